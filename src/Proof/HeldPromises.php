<?php

declare(strict_types=1);

namespace Meandros\Server\Proof;

use Meandros\Core\Plan\Element\Expectation;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Proof\Fares\Fares;
use Meandros\Core\Proof\Promised\Holding;
use Meandros\Core\Time\CivilDate;
use Meandros\Core\Wording\PromiseReport;
use Meandros\Server\Now;
use Meandros\Server\Patience;
use Meandros\Server\Storage\Live;

/** The expectations of a plan, held against the coming year. */
final readonly class HeldPromises
{
    private const DAYS = 366;

    public function __construct(
        private Live $live,
        private Now $now,
        private Patience $patience,
        private WorkedOut $workedOut,
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
        return $this->reports($plan, [$expectation], $seconds)[0];
    }

    /**
     * @param list<Expectation> $expectations
     *
     * @return list<array{state: string, left: int, ...}> one each
     */
    private function reports(Plan $plan, array $expectations, float $seconds): array
    {
        [$from, $until] = $this->stretch();
        $report = new PromiseReport($plan, $from, $until);
        $holding = new Holding(new Fares($plan, $from, $until, $this->live->state($plan, $from)));
        $goOn = $this->patience->for($seconds);

        return array_map(static fn(Expectation $one): array => $report->of($holding->hold($one, $goOn)), $expectations);
    }

    /**
     * All that may take its time: also where phones do something else than ring on, and for every number.
     *
     * @param \Closure(int, int): void $progress is told how many expectations were looked at, and of how many
     *
     * @return list<array{state: string, ...}> one each
     */
    public function inFull(Plan $plan, \Closure $progress): array
    {
        [$from, $until] = $this->stretch();
        $holding = new Holding(new Fares($plan, $from, $until, $this->live->state($plan, $from)));
        $report = new PromiseReport($plan, $from, $until);
        $expectations = $plan->all(Expectation::class);
        $reports = [];
        foreach ($expectations as $i => $one) {
            $goOn = static function () use ($progress, $i, $expectations): bool {
                $progress($i, \count($expectations));

                return true;
            };
            $reports[] = $report->of($holding->whateverPhonesDo($holding->hold($one, $goOn), $goOn));
        }

        return $reports;
    }

    /** @return array{int, int} from now on */
    private function stretch(): array
    {
        return [$this->now->second(), $this->now->second() + self::DAYS * CivilDate::SECONDS_PER_DAY];
    }
}
