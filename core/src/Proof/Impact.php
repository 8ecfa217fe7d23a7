<?php

declare(strict_types=1);

namespace Meandros\Core\Proof;

/** The instants at which calls fare differently, of two coverages of the same stretch. */
final class Impact
{
    /** Seconds by which an edge moves as calls come to it sooner or later; whoever changes hours moves it by more. */
    public const MOVED_AT_MOST = 59;

    /** @return list<Change> the worst first, then the longest; none where calls always fare the same */
    public static function between(Coverage $before, Coverage $after): array
    {
        $changes = [];
        foreach (self::differing($before, $after) as [$was, $is, $times]) {
            $byMove = [];
            foreach ($times as $time) {
                $byMove[self::moved($before, $after, $time)][] = $time;
            }
            foreach ($byMove as $moved => $moving) {
                $changes[] = new Change($was, $is, $moving, $moved);
            }
        }

        return self::worstFirst($changes);
    }

    /** @return array<string, array{Course, Course, non-empty-list<array{int, int}>}> what calls came to and come to, and when */
    private static function differing(Coverage $before, Coverage $after): array
    {
        $differing = [];
        foreach (self::cuts($before, $after) as [$since, $until, $was, $is]) {
            if ($was->key === $is->key) {
                continue;
            }
            $pair = $was->key . ' ' . $is->key;
            $differing[$pair] = [$was, $is, [...$differing[$pair][2] ?? [], [$since, $until]]];
        }

        return $differing;
    }

    /**
     * Where calls come to a step some seconds sooner or later, so they do to the edges of hours: what came before or after such an
     * edge lasts so much longer or shorter.
     *
     * @param array{int, int} $time
     *
     * @return int seconds by which the edge comes later; below nothing where it is sooner, 0 where it is none
     */
    private static function moved(Coverage $before, Coverage $after, array $time): int
    {
        [$since, $until] = $time;
        $isWithin = $since > $before->starts[0] && $until < $before->until;
        if ($until - $since > self::MOVED_AT_MOST || !$isWithin) {
            return 0;
        }
        [$was, $is] = [$before->at($since), $after->at($since)];
        $isOfDetails = Severity::Details === Severity::of($was, $is);
        $isSame = static fn(Course $one, Course $other): bool => Severity::Details === Severity::of($one, $other) &&
            (!$isOfDetails || $one->hears === $other->hears);

        return match (true) {
            $isSame($was, $is) => 0,
            $isSame($was, $after->at($since - 1)) && $isSame($is, $before->at($until)) => $since - $until,
            $isSame($is, $before->at($since - 1)) && $isSame($was, $after->at($until)) => $until - $since,
            default => 0,
        };
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
            null === $one->calls->phones ? 0 : 1,
            \count($one->calls->keys),
            $one->calls->caller,
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
