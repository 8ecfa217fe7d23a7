<?php

declare(strict_types=1);

namespace Meandros\Core\Proof;

use Meandros\Core\Plan\Element\Hours;
use Meandros\Core\Plan\Element\State;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Plan\PlanHours;
use Meandros\Core\Routing\Lookup\HoursLookup;

/** Times that are those in which calls find hours in some of their states: nobody has to say them one by one. */
final class HoursHeld
{
    /** Calls look at hours some seconds after they begin, and sooner or later in another plan. */
    private const NEAR_SECONDS = Impact::MOVED_AT_MOST;
    private const MOST_CHANGES = 20_000;

    /** @var array<string, list<array{int, int, string}>> in order, with the state, by lookup */
    private array $known = [];

    /**
     * @param int $from  first instant of the stretch
     * @param int $until first instant after it
     */
    public function __construct(
        private readonly Plan $plan,
        private readonly PlanHours $hours,
        private readonly int $from,
        private readonly int $until,
    ) {}

    /**
     * @param non-empty-list<array{int, int}> $intervals in order
     * @param Course                          $course    of a call in one of them: of what it looks up, the first that explains them
     *
     * @return array{string, list<string>}|null hours, and the states in which they are then and at no other time
     */
    public function during(array $intervals, Course $course): ?array
    {
        foreach ($course->trace->holds->lookups as [$lookup]) {
            // Windows of rules are hours too, but have no name.
            if ($lookup instanceof HoursLookup && null !== $this->plan->get(Hours::class, $lookup->hours->id())) {
                $found = self::inStates($this->stretches($lookup), $intervals);
                if ([] !== $found) {
                    return [$lookup->hours->id(), self::inOrder($found, $lookup->hours)];
                }
            }
        }

        return null;
    }

    /**
     * @param list<array{int, int, string}>   $stretches
     * @param non-empty-list<array{int, int}> $intervals
     *
     * @return array<string, true> none where these are not the times of any
     */
    private static function inStates(array $stretches, array $intervals): array
    {
        $states = [];
        $next = 0;
        foreach ($stretches as [$since, $until, $state]) {
            while (isset($intervals[$next]) && $intervals[$next][1] - $since <= self::NEAR_SECONDS) {
                ++$next;
            }
            $begins = $intervals[$next][0] ?? \PHP_INT_MAX;
            if ($begins < $until - self::NEAR_SECONDS) {
                $states[$state] = true;
            }
        }
        $held = [];
        foreach ($stretches as [$since, $until, $state]) {
            isset($states[$state]) && ($held[] = [$since, $until]);
        }
        $held = Intervals::union($held);
        if (\count($held) !== \count($intervals)) {
            return [];
        }
        foreach ($held as $i => [$since, $until]) {
            $isNear =
                abs($since - $intervals[$i][0]) <= self::NEAR_SECONDS &&
                abs($until - $intervals[$i][1]) <= self::NEAR_SECONDS;
            if (!$isNear) {
                return [];
            }
        }

        return $states;
    }

    /**
     * @param array<string, true> $states
     *
     * @return list<string> as the hours list them
     */
    private static function inOrder(array $states, Hours $hours): array
    {
        $all = array_map(static fn(State $one): string => $one->key, $hours->states->all);

        return array_values(array_filter($all, static fn(string $key): bool => isset($states[$key])));
    }

    /** @return list<array{int, int, string}> */
    private function stretches(HoursLookup $lookup): array
    {
        return $this->known[serialize([$lookup->hours->id(), $lookup])] ??= $this->cut($lookup);
    }

    /** @return list<array{int, int, string}> */
    private function cut(HoursLookup $lookup): array
    {
        $stretches = [];
        $instant = $this->from;
        for ($i = 0; $i < self::MOST_CHANGES && $instant < $this->until; ++$i) {
            $found = $lookup->at($instant, $this->hours);
            $ends = min($found->until ?? $this->until, $this->until);
            $stretches[] = [$instant, $ends, $found->answer];
            $instant = $ends;
        }

        return $stretches;
    }
}
