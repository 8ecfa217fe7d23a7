<?php

declare(strict_types=1);

namespace Meandros\Core\Proof;

/** The instants at which calls fare differently, of two coverages of the same stretch. */
final class Impact
{
    /** @return list<Change> the worst first, then the longest; none where calls always fare the same */
    public static function between(Coverage $before, Coverage $after): array
    {
        $intervals = $courses = [];
        foreach (self::cuts($before, $after) as [$since, $until, $was, $is]) {
            if ($was->key === $is->key) {
                continue;
            }
            $pair = $was->key . ' ' . $is->key;
            $courses[$pair] ??= [$was, $is];
            $last = \count($intervals[$pair] ?? []) - 1;
            if ($last >= 0 && $intervals[$pair][$last][1] === $since) {
                $intervals[$pair][$last][1] = $until;
            } else {
                $intervals[$pair][] = [$since, $until];
            }
        }
        $changes = [];
        foreach ($intervals as $pair => $times) {
            $changes[] = new Change($courses[$pair][0], $courses[$pair][1], $times);
        }

        return self::worstFirst($changes);
    }

    /**
     * @param list<Change> $changes
     *
     * @return list<Change> the worst first, then where phones ring on, then with the fewest keys, then the longest
     */
    public static function worstFirst(array $changes): array
    {
        $order = array_flip(array_map(static fn(Severity $one): string => $one->value, Severity::cases()));
        $rank = static fn(Change $one): array => [
            $order[$one->severity->value],
            null === $one->phones ? 0 : 1,
            \count($one->keys),
            $one->caller,
            -$one->seconds,
        ];
        usort($changes, static fn(Change $a, Change $b): int => $rank($a) <=> $rank($b));

        return $changes;
    }

    /** @return iterable<array{int, int, Course, Course}> intervals in which neither changes, with the course of each */
    private static function cuts(Coverage $before, Coverage $after): iterable
    {
        $i = $j = 0;
        $since = max($before->starts[0], $after->starts[0]);
        $end = min($before->until, $after->until);
        while ($since < $end) {
            $iEnds = $before->starts[$i + 1] ?? $before->until;
            $jEnds = $after->starts[$j + 1] ?? $after->until;
            $until = min($iEnds, $jEnds, $end);
            if ($since < $until) {
                yield [$since, $until, $before->courses[$i], $after->courses[$j]];
            }
            $i += $iEnds <= $until ? 1 : 0;
            $j += $jEnds <= $until ? 1 : 0;
            $since = max($since, $until);
        }
    }
}
