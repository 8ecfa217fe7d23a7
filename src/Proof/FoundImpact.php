<?php

declare(strict_types=1);

namespace Meandros\Server\Proof;

use Meandros\Core\Plan\Element\Number;
use Meandros\Core\Plan\Kind;
use Meandros\Core\Proof\Change;
use Meandros\Core\Proof\Known;
use Meandros\Core\Proof\PlanImpact;
use Meandros\Core\Proof\Severity;
use Meandros\Core\Time\Override;
use Meandros\Server\Patience;
use Meandros\Server\Storage\Editions;
use Meandros\Server\Storage\NotFound;
use Meandros\Server\Storage\Plans;

/** What another plan changes for callers, for a year from now on. */
final readonly class FoundImpact
{
    /** Numbers that are looked at sooner than it is found out what is known of all. */
    private const FEW = 20;
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
     * How many numbers fare differently for withheld callers who press nothing. What is found of many is kept.
     *
     * @param float $seconds after which no further number is looked at
     *
     * @return array{changed: int, nobody: int, gone: int, new: int, left: int} numbers
     *
     * @throws NotFound
     */
    public function counted(string $before, string $after, float $seconds): array
    {
        if (!$this->isThere($before)) {
            return ['changed' => 0, 'nobody' => 0, 'gone' => 0, 'new' => 0, 'left' => 0];
        }
        $plans = $this->between($before, $after, $this->year->fromThisHour());
        $impact = $plans->impact(false);
        $goOn = $this->patience->for($seconds);
        [$found, $left] =
            \count($impact->numbers) > self::FEW
                ? $this->known($plans, 'changed', $impact, self::lasting(...), $goOn)
                : $impact->find(self::lasting(...), $goOn);
        $toCome = array_filter(
            array_map(fn(array $one): array => array_filter($one[1], $this->year->isToCome(...)), $found),
        );
        [$gone, $come] = $plans->onlyInOne();

        return [
            'changed' => \count($toCome),
            'nobody' => \count(array_column($toCome, Severity::Lost->value)),
            'gone' => \count($gone),
            'new' => \count($come),
            'left' => $left,
        ];
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

        return self::report($plans, $plans->told($found), \count($impact->numbers) - $left, $left, 0);
    }

    /**
     * @param \Closure(): bool $goOn
     *
     * @return array{numbers: list<array<string, mixed>>, looked: int, left: int, unlooked: int}
     */
    private function keyed(string $before, string $after, \Closure $goOn): array
    {
        $plans = $this->between($before, $after, $this->year->fromNextHour());
        $impact = $plans->impact(true);
        [$told, $left, $unlooked] = $this->known($plans, 'impact', $impact, $plans->teller(), $goOn);

        return self::report($plans, $told, \count($impact->numbers) - $left, $left, $unlooked);
    }

    /**
     * What is found by number, beginning with what is known of it.
     *
     * @template T
     *
     * @param \Closure(Number, non-empty-list<Change>): T $tell as it is kept
     * @param \Closure(): bool                            $goOn
     *
     * @return array{list<array{Number, T}>, int, int} that; how many numbers could not be looked at in full, and how many of them for want of time
     */
    private function known(TwoPlans $plans, string $what, PlanImpact $impact, \Closure $tell, \Closure $goOn): array
    {
        // What is forced on hours that only the plan before has is not among what is live in the one after.
        $gone = array_filter(
            $this->year->live($plans->was)->overrides,
            static fn(Override $one): bool => Kind::Hours !== $plans->is->kindOf($one->hours),
        );

        return $this->known->with(
            $what,
            $plans->is,
            $this->year->live($plans->is),
            serialize([$plans->stretch, $gone]),
            static fn(Known $known): array => $impact->find($tell, $goOn, $known),
            $plans->was,
        );
    }

    /**
     * @param non-empty-list<Change> $changes
     *
     * @return non-empty-array<string, int> first instants after them, by severity
     */
    private static function lasting(Number $_, array $changes): array
    {
        $lasting = [];
        foreach ($changes as $one) {
            $until = max(array_column($one->intervals, 1));
            $lasting[$one->severity->value] = max($until, $lasting[$one->severity->value] ?? $until);
        }

        return $lasting;
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
