<?php

declare(strict_types=1);

namespace Meandros\Core\Proof;

/** Stretches of time: first instants, and first instants after them. */
final class Intervals
{
    /**
     * @param list<array{int, int}> $intervals
     *
     * @return list<array{int, int}> in order, without those that overlap or meet
     */
    public static function union(array $intervals): array
    {
        sort($intervals);
        $union = [];
        foreach ($intervals as [$since, $until]) {
            $last = \count($union) - 1;
            if ($last >= 0 && $union[$last][1] >= $since) {
                $union[$last][1] = max($union[$last][1], $until);
            } else {
                $union[] = [$since, $until];
            }
        }

        return $union;
    }

    /**
     * @param non-empty-list<array{int, int}> $intervals
     * @param list<array{int, int}>           $gaps
     *
     * @return non-empty-list<array{int, int}> in order, those that only such a gap parts being one
     */
    public static function across(array $intervals, array $gaps): array
    {
        $begins = array_fill_keys(array_column($intervals, 0), true);
        $ends = array_fill_keys(array_column($intervals, 1), true);
        foreach ($gaps as $gap) {
            isset($ends[$gap[0]], $begins[$gap[1]]) && ($intervals[] = $gap);
        }

        return self::union($intervals) ?: $intervals;
    }

    /**
     * @param list<array{int, int}> $intervals in order
     * @param list<array{int, int}> $others    that are taken away
     *
     * @return list<array{int, int}> in order
     */
    public static function without(array $intervals, array $others): array
    {
        $others = self::union($others);
        $left = [];
        $next = 0;
        foreach ($intervals as [$from, $to]) {
            while (isset($others[$next]) && $others[$next][1] <= $from) {
                ++$next;
            }
            for ($i = $next; isset($others[$i]) && $others[$i][0] < $to; ++$i) {
                $from < $others[$i][0] && ($left[] = [$from, $others[$i][0]]);
                $from = max($from, $others[$i][1]);
            }
            $from < $to && ($left[] = [$from, $to]);
        }

        return $left;
    }

    /** @param list<array{int, int}> $intervals of which it is asked whether any lies within, in part or whole */
    public static function meet(array $intervals, int $from, int $until): bool
    {
        foreach ($intervals as [$since, $to]) {
            if ($since < $until && $to > $from) {
                return true;
            }
        }

        return false;
    }

    /**
     * @param non-empty-list<array{int, int}> $intervals in order
     *
     * @return non-empty-list<array{int, int}> in order, those that no more than so many seconds part being one
     */
    public static function bridged(array $intervals, int $seconds): array
    {
        $bridges = [];
        foreach ($intervals as $i => [$from]) {
            $until = $intervals[$i - 1][1] ?? $from;
            $from - $until <= $seconds && ($bridges[] = [$until, $from]);
        }

        return self::union([...$intervals, ...$bridges]) ?: $intervals;
    }

    /**
     * Whether they are the same but for so many seconds at which each begins or ends.
     *
     * @param list<array{int, int}> $intervals in order
     * @param list<array{int, int}> $others    in order
     */
    public static function areNear(array $intervals, array $others, int $seconds): bool
    {
        foreach ($intervals as $i => [$from, $until]) {
            $other = $others[$i] ?? null;
            if (null === $other || max(abs($from - $other[0]), abs($until - $other[1])) > $seconds) {
                return false;
            }
        }

        return \count($intervals) === \count($others);
    }
}
