<?php

declare(strict_types=1);

namespace Meandros\Server\Proof;

use Meandros\Core\Call\Caller;
use Meandros\Core\Call\TrialCall;
use Meandros\Core\Plan\Element\Number;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Plan\PlanHours;
use Meandros\Core\Proof\AllNumbers;
use Meandros\Core\Proof\Changed;
use Meandros\Core\Proof\Fares\Fares;
use Meandros\Core\Proof\LookedUp;
use Meandros\Core\Proof\PlanImpact;
use Meandros\Core\Proof\Severity;
use Meandros\Core\Time\CivilDate;
use Meandros\Core\Wording\ChangeWords;
use Meandros\Core\Wording\ImpactReport;
use Meandros\Server\Now;
use Meandros\Server\Patience;
use Meandros\Server\Storage\Editions;
use Meandros\Server\Storage\Live;
use Meandros\Server\Storage\NotFound;
use Meandros\Server\Storage\Plans;

/** What another plan changes for callers, for a year from now on. */
final readonly class FoundImpact
{
    private const DAYS = 366;

    public function __construct(
        private Plans $plans,
        private Editions $editions,
        private Live $live,
        private Now $now,
        private Patience $patience,
        private WorkedOut $workedOut,
    ) {}

    /**
     * @param bool  $isByKeys whether calls from everybody who is told apart are looked at, with whatever they press
     * @param float $seconds  after which no further number is looked at
     *
     * @return array<string, mixed> as JSON
     *
     * @throws NotFound
     */
    public function within(string $before, string $after, bool $isByKeys, float $seconds): array
    {
        $find = fn(): array => $this->between(
            $before,
            $after,
            $isByKeys,
            fn(PlanImpact $impact): array => $impact->find($this->patience->for($seconds)),
        );
        // The line under the answer is worked out anew: it looks at less than all that plans say.
        if (!$isByKeys || !$this->isThere($before)) {
            return $find();
        }

        return $this->workedOut->of(
            'impact',
            [$this->plans->get($before), $this->plans->get($after)],
            $find,
            static fn(array $found): bool => 0 === $found['left'],
        );
    }

    /**
     * All that may take its time: also where all phones are busy, cannot be reached, or refuse, and for every number.
     *
     * @param \Closure(int, int): void $progress is told how many numbers were looked at, and of how many
     *
     * @return array<string, mixed> as JSON
     *
     * @throws NotFound
     */
    public function inFull(string $before, string $after, \Closure $progress): array
    {
        return $this->between(
            $before,
            $after,
            true,
            static fn(PlanImpact $impact): array => $impact->findWhateverPhonesDo(static function (int $done) use (
                $impact,
                $progress,
            ): bool {
                $progress($done, \count($impact->numbers));

                return true;
            }),
        );
    }

    /** Whether it is a plan: nothing may be live yet. */
    private function isThere(string $which): bool
    {
        return 'live' !== $which || null !== $this->editions->live();
    }

    /**
     * @param \Closure(PlanImpact): array{list<Changed>, int} $find
     *
     * @return array{numbers: list<array<string, mixed>>, looked: int, left: int}
     *
     * @throws NotFound
     */
    private function between(string $before, string $after, bool $isByKeys, \Closure $find): array
    {
        if (!$this->isThere($before)) {
            return ['numbers' => [], 'looked' => 0, 'left' => 0];
        }
        $from = $this->now->second();
        $until = $from + self::DAYS * CivilDate::SECONDS_PER_DAY;
        [$was, $is] = [$this->plans->get($before), $this->plans->get($after)];
        $all = fn(Plan $plan): AllNumbers => new AllNumbers(
            $plan,
            new TrialCall('', Caller::withheld(), $from),
            $from,
            $until,
            live: $this->live->state($plan, $from),
        );
        $fares = fn(Plan $plan): Fares => new Fares($plan, $from, $until, $this->live->state($plan, $from));
        $ids = $this->editions->differing($before, $after);
        $impact = new PlanImpact(
            PlanImpact::numbers($was, $is, $ids),
            $all($was),
            $all($is),
            $isByKeys ? [$fares($was), $fares($is)] : null,
        );
        [$found, $left] = $find($impact);
        $words = new ChangeWords($is, $was);
        $lookedUp = new LookedUp(new PlanHours($is, $this->live->state($is, $from)->overrides), $from, $until);

        $zone = static fn(Number $number): string => $is->zoneOf($number->line->site);
        $gone = PlanImpact::onlyIn($was, $is, $ids);
        $come = PlanImpact::onlyIn($is, $was, $ids);
        $told = [
            ...ImpactReport::ofOnlyOne($gone, Severity::Gone, $words, $from, $until),
            ...ImpactReport::ofAll($found, $words, $from, $until, $zone, $lookedUp),
            ...ImpactReport::ofOnlyOne($come, Severity::Come, $words, $from, $until),
        ];

        return [
            'numbers' => array_map(
                static fn(array $one): array => [
                    'id' => $one[0]->id(),
                    'name' => $one[0]->name(),
                    'number' => $one[0]->range->example(),
                    'changes' => $one[1],
                ],
                $told,
            ),
            'looked' => \count($impact->numbers) - $left,
            'left' => $left,
        ];
    }
}
