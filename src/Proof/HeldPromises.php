<?php

declare(strict_types=1);

namespace Meandros\Server\Proof;

use Meandros\Core\Plan\Element\Expectation;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Proof\Fares\Fares;
use Meandros\Core\Proof\Known;
use Meandros\Core\Proof\Promised\Holding;
use Meandros\Core\Wording\PromiseReport;
use Meandros\Server\Patience;

/** The expectations of a plan, held against the coming year. */
final readonly class HeldPromises
{
    /** Where phones do something else than ring on it takes three times as long. */
    private const PARTS = 4;

    public function __construct(
        private ComingYear $year,
        private Patience $patience,
        private WorkedOut $workedOut,
        private KnownNumbers $known,
    ) {}

    /**
     * Of all expectations.
     *
     * @param float $seconds after which no further number is looked at
     *
     * @return list<array{state: string, left: int, ...}> one each
     */
    public function all(Plan $plan, float $seconds): array
    {
        return $this->workedOut->of(
            'promises',
            [$plan],
            fn(): array => $this->reports($plan, $plan->all(Expectation::class), $seconds),
            static fn(array $reports): bool => 0 === array_sum(array_column($reports, 'left')),
        );
    }

    /**
     * Of one, as it is edited.
     *
     * @param float $seconds after which no further number is looked at
     *
     * @return array{state: string, left: int, ...}
     */
    public function one(Plan $plan, Expectation $expectation, float $seconds): array
    {
        if ([] === $expectation->calls->to) {
            return $this->reports($plan, [$expectation], $seconds)[0];
        }
        // A few numbers are looked at sooner than it is found out what is known of all.
        [$from, $until] = $this->year->fromNow();
        $holding = new Holding(new Fares($plan, $from, $until, $this->year->live($plan)));

        return (new PromiseReport($plan, $from, $until))->of(
            $holding->hold([$expectation], $this->patience->for($seconds))[0],
        );
    }

    /**
     * @param list<Expectation> $expectations
     *
     * @return list<array{state: string, left: int, ...}> one each
     */
    private function reports(Plan $plan, array $expectations, float $seconds): array
    {
        [$from, $until] = $this->year->fromNow();
        $live = $this->year->live($plan);
        $days = $this->year->inDays();
        $goOn = $this->patience->for($seconds);
        $hold = static function (Known $known) use ($plan, $live, $days, $from, $until, $expectations, $goOn): array {
            $holding = new Holding(new Fares($plan, ...[...$days, $live]), $known, $from, $until);

            return $holding->hold($expectations, $goOn);
        };
        $report = new PromiseReport($plan, $from, $until);

        return array_map($report->of(...), $this->known->with('promises', $plan, $live, (string) $days[0], $hold));
    }

    /**
     * All that may take its time: also where phones do something else than ring on, and for every number.
     *
     * @param \Closure(int, int): void $progress is told how much of it was looked at, and of how much
     *
     * @return list<array{state: string, ...}> one each
     */
    public function inFull(Plan $plan, \Closure $progress): array
    {
        [$from, $until] = $this->year->fromNow();
        $holding = new Holding(new Fares($plan, $from, $until, $this->year->live($plan)));
        $isOn = static fn(int $part, int $parts): \Closure => static function (int $done, int $of) use (
            $progress,
            $part,
            $parts,
        ): bool {
            $progress($part * $of + $parts * $done, self::PARTS * $of);

            return true;
        };
        $held = $holding->hold($plan->all(Expectation::class), $isOn(0, 1));
        $report = new PromiseReport($plan, $from, $until);

        return array_map($report->of(...), $holding->whateverPhonesDo($held, $isOn(1, self::PARTS - 1)));
    }
}
