<?php

declare(strict_types=1);

namespace Meandros\Server\Proof;

use Meandros\Core\Plan\Element\Number;
use Meandros\Core\Plan\Kind;
use Meandros\Core\Proof\Changed;
use Meandros\Core\Proof\Known;
use Meandros\Core\Time\Override;
use Meandros\Server\Patience;
use Meandros\Server\Storage\Editions;
use Meandros\Server\Storage\NotFound;
use Meandros\Server\Storage\Plans;

/** What another plan changes for callers, for a year from now on. */
final readonly class FoundImpact
{
    private const NOTHING = ['numbers' => [], 'looked' => 0, 'left' => 0, 'unlooked' => 0];

    public function __construct(
        private Plans $plans,
        private Editions $editions,
        private ComingYear $year,
        private Patience $patience,
        private WorkedOut $workedOut,
        private KnownNumbers $known,
    ) {}

    /**
     * To withheld callers who press nothing: looked at anew, as it takes less than finding out that it need not be.
     *
     * @param float $seconds after which no further number is looked at
     *
     * @return array{numbers: list<array<string, mixed>>, looked: int, left: int, unlooked: int} as JSON
     *
     * @throws NotFound
     */
    public function atOnce(string $before, string $after, float $seconds): array
    {
        if (!$this->isThere($before)) {
            return self::NOTHING;
        }
        $plans = $this->between($before, $after, $this->year->fromNow());
        $impact = $plans->impact(false);
        [$found, $left] = $impact->find($this->patience->for($seconds));

        return self::report($plans, self::told($plans, $found), \count($impact->numbers) - $left, $left, $left);
    }

    /**
     * To everybody who is told apart, with whatever they press, from the next full hour on. What is found is kept.
     *
     * @param float $seconds after which no further number is looked at
     *
     * @return array{numbers: list<array<string, mixed>>, looked: int, left: int, unlooked: int} as JSON
     *
     * @throws NotFound
     */
    public function byKeys(string $before, string $after, float $seconds): array
    {
        if (!$this->isThere($before)) {
            return self::NOTHING;
        }
        $goOn = $this->patience->for($seconds);

        return $this->workedOut->of(
            'impact',
            [$this->plans->get($before), $this->plans->get($after)],
            fn(): array => $this->keyed($before, $after, $goOn),
            static fn(array $found): bool => 0 === $found['unlooked'],
        );
    }

    /**
     * All that may take its time: also where all phones are busy, cannot be reached, or refuse, and for every number.
     *
     * @param \Closure(int, int): void $progress is told how many numbers were looked at, and of how many
     *
     * @return array{numbers: list<array<string, mixed>>, looked: int, left: int, unlooked: int} as JSON
     *
     * @throws NotFound
     */
    public function inFull(string $before, string $after, \Closure $progress): array
    {
        if (!$this->isThere($before)) {
            return self::NOTHING;
        }
        $plans = $this->between($before, $after, $this->year->fromNow());
        $impact = $plans->impact(true);
        [$found, $left] = $impact->findWhateverPhonesDo(static function (int $done) use ($impact, $progress): bool {
            $progress($done, \count($impact->numbers));

            return true;
        });

        return self::report($plans, self::told($plans, $found), \count($impact->numbers) - $left, $left, 0);
    }

    /**
     * @param \Closure(): bool $goOn
     *
     * @return array{numbers: list<array<string, mixed>>, looked: int, left: int, unlooked: int}
     */
    private function keyed(string $before, string $after, \Closure $goOn): array
    {
        $stretch = $this->year->fromNextHour();
        $plans = $this->between($before, $after, $stretch);
        $impact = $plans->impact(true);
        // What is forced on hours that only the plan before has is not among what is live in the one after.
        $gone = array_filter(
            $this->year->live($plans->was)->overrides,
            static fn(Override $one): bool => Kind::Hours !== $plans->is->kindOf($one->hours),
        );
        [$told, $left, $unlooked] = $this->known->with(
            'impact',
            $plans->is,
            $this->year->live($plans->is),
            serialize([$stretch, $gone]),
            static fn(Known $known): array => $impact->told($plans->teller(), $goOn, $known),
            $plans->was,
        );

        return self::report($plans, $told, \count($impact->numbers) - $left, $left, $unlooked);
    }

    /** Whether it is a plan: nothing may be live yet. */
    private function isThere(string $which): bool
    {
        return 'live' !== $which || null !== $this->editions->live();
    }

    /**
     * @param array{int, int} $stretch
     *
     * @throws NotFound
     */
    private function between(string $before, string $after, array $stretch): TwoPlans
    {
        [$was, $is] = [$this->plans->get($before), $this->plans->get($after)];

        return new TwoPlans($was, $is, $this->editions->differing($before, $after), $stretch, [
            $this->year->live($was),
            $this->year->live($is),
        ]);
    }

    /**
     * @param list<Changed> $found
     *
     * @return list<array{Number, list<array<string, mixed>>}>
     */
    private static function told(TwoPlans $plans, array $found): array
    {
        $tell = $plans->teller();

        return array_map(static fn(Changed $one): array => [$one->number, $tell($one->number, $one->changes)], $found);
    }

    /**
     * @param list<array{Number, list<array<string, mixed>>}> $told
     *
     * @return array{numbers: list<array<string, mixed>>, looked: int, left: int, unlooked: int}
     */
    private static function report(TwoPlans $plans, array $told, int $looked, int $left, int $unlooked): array
    {
        return [
            'numbers' => $plans->numbers($told),
            'looked' => $looked,
            'left' => $left,
            'unlooked' => $unlooked,
        ];
    }
}
