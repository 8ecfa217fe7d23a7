<?php

declare(strict_types=1);

namespace Meandros\Server\Proof;

use Meandros\Core\Call\Caller;
use Meandros\Core\Call\TrialCall;
use Meandros\Core\Live\LiveState;
use Meandros\Core\Plan\Element\Number;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Plan\PlanHours;
use Meandros\Core\Proof\AllNumbers;
use Meandros\Core\Proof\Change;
use Meandros\Core\Proof\Changed;
use Meandros\Core\Proof\Fares\Fares;
use Meandros\Core\Proof\LookedUp;
use Meandros\Core\Proof\PlanImpact;
use Meandros\Core\Proof\Severity;
use Meandros\Core\Wording\ChangeWords;
use Meandros\Core\Wording\ImpactReport;

/** Two plans over a stretch of time, and how it is told what the second changes for callers. */
final readonly class TwoPlans
{
    private int $from;
    private int $until;

    /**
     * @param list<string>                $ids     of the elements that differ
     * @param array{int, int}             $stretch first instant, and first instant after it
     * @param array{LiveState, LiveState} $live    of each
     */
    public function __construct(
        public Plan $was,
        public Plan $is,
        private array $ids,
        public array $stretch,
        private array $live,
    ) {
        [$this->from, $this->until] = $stretch;
    }

    /** @param bool $isByKeys whether calls from everybody who is told apart are looked at, with whatever they press */
    public function impact(bool $isByKeys): PlanImpact
    {
        $call = new TrialCall('', Caller::withheld(), $this->from);
        $all = fn(Plan $plan, LiveState $live): AllNumbers => new AllNumbers(
            $plan,
            $call,
            $this->from,
            $this->until,
            live: $live,
        );
        $fares = fn(Plan $plan, LiveState $live): Fares => new Fares($plan, $this->from, $this->until, $live);

        return new PlanImpact(
            PlanImpact::numbers($this->was, $this->is, $this->ids),
            $all($this->was, $this->live[0]),
            $all($this->is, $this->live[1]),
            $isByKeys ? [$fares($this->was, $this->live[0]), $fares($this->is, $this->live[1])] : null,
        );
    }

    /** @return \Closure(Number, list<Change>): list<array<string, mixed>> tells the changes at a number, the worst first */
    public function teller(): \Closure
    {
        $words = $this->words();
        $lookedUp = $this->lookedUp();

        return function (Number $number, array $changes) use ($words, $lookedUp): array {
            /** @var list<Change> $changes */
            $zone = $this->is->zoneOf($number->line->site);

            return ImpactReport::of($changes, $words, $this->from, $this->until, $zone, $lookedUp);
        };
    }

    /**
     * @param list<Changed> $found
     *
     * @return list<array{Number, list<array<string, mixed>>}> told as above; once for those that change alike
     */
    public function told(array $found): array
    {
        return ImpactReport::ofAll(
            $found,
            $this->words(),
            $this->from,
            $this->until,
            fn(Number $number): string => $this->is->zoneOf($number->line->site),
            $this->lookedUp(),
        );
    }

    /** @return array{list<Number>, list<Number>} those that only the first has, and those that only the second has */
    public function onlyInOne(): array
    {
        return [
            PlanImpact::onlyIn($this->was, $this->is, $this->ids),
            PlanImpact::onlyIn($this->is, $this->was, $this->ids),
        ];
    }

    /**
     * With the numbers that only one of them has.
     *
     * @param list<array{Number, list<array<string, mixed>>}> $told
     *
     * @return list<array<string, mixed>> as JSON
     */
    public function numbers(array $told): array
    {
        $words = $this->words();
        [$gone, $come] = $this->onlyInOne();

        return array_map(
            static fn(array $one): array => [
                'id' => $one[0]->id(),
                'name' => $one[0]->name(),
                'number' => $one[0]->range->example(),
                'changes' => $one[1],
            ],
            [
                ...ImpactReport::ofOnlyOne($gone, Severity::Gone, $words, $this->from, $this->until),
                ...$told,
                ...ImpactReport::ofOnlyOne($come, Severity::Come, $words, $this->from, $this->until),
            ],
        );
    }

    private function lookedUp(): LookedUp
    {
        return new LookedUp(new PlanHours($this->is, $this->live[1]->overrides), $this->from, $this->until);
    }

    private function words(): ChangeWords
    {
        return new ChangeWords($this->is, $this->was);
    }
}
