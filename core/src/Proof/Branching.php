<?php

declare(strict_types=1);

namespace Meandros\Core\Proof;

use Meandros\Core\Plan\Element\State;
use Meandros\Core\Routing\Lookup\HoursLookup;
use Meandros\Core\Routing\Lookup\InstantLookup;

/**
 * Says when calls fare how by what they look up, in the order in which they do: the state of hours, whether it is in the times of a
 * rule, whether an instant has passed. Nobody reads clock times for that.
 */
final readonly class Branching
{
    /** Calls look hours up some seconds after they come in, and sooner or later by how they fare: so near an edge they are not told by themselves. */
    private const NEAR_SECONDS = Impact::MOVED_AT_MOST;
    private const DEEPEST = 3;
    /** Places of times that are to be told, and of all others. */
    public const WITHIN = 0;
    private const BESIDE = 1;

    public function __construct(private LookedUp $lookedUp) {}

    /** @param non-empty-list<int> $places of what is said of the intervals of the coverage */
    public function over(Coverage $coverage, array $places): Branch
    {
        $pieces = [];
        foreach ($places as $i => $place) {
            $until = $coverage->starts[$i + 1] ?? $coverage->until;
            $pieces[] = new Piece($coverage->starts[$i], $until, $place, self::lookups($coverage->courses[$i]));
        }

        return $this->grow($pieces, [], 0);
    }

    /**
     * @param non-empty-list<array{int, int}> $intervals in order
     * @param Course                          $course    of a call in one of them: only what that looks up tells them apart
     *
     * @return Branch of those times, and of the others
     */
    public function within(array $intervals, Course $course): Branch
    {
        $lookups = self::lookups($course);
        $others = Intervals::without([[$this->lookedUp->from, $this->lookedUp->until]], $intervals);
        $pieces = [];
        foreach ([self::WITHIN => $intervals, self::BESIDE => $others] as $place => $times) {
            foreach ($times as [$since, $until]) {
                $pieces[] = new Piece($since, $until, $place, $lookups);
            }
        }

        return $this->grow($pieces, [], 0);
    }

    /** What a lookup is of, whenever in the call it is. */
    public static function of(HoursLookup|InstantLookup $lookup): string
    {
        return $lookup instanceof HoursLookup ? $lookup->hours->id() : 'instant ' . $lookup->passes;
    }

    /** @return array<string, HoursLookup|InstantLookup> in order, each the first of its kind */
    private static function lookups(Course $course): array
    {
        $lookups = [];
        foreach ($course->trace->holds->lookups as [$lookup]) {
            if ($lookup instanceof HoursLookup || $lookup instanceof InstantLookup) {
                $lookups[self::of($lookup)] ??= $lookup;
            }
        }

        return $lookups;
    }

    /**
     * @param non-empty-list<Piece> $pieces in order
     * @param array<string, true>   $used   what parts them already
     */
    private function grow(array $pieces, array $used, int $depth): Branch
    {
        $times = self::times($pieces);
        if (1 === \count($times) || self::DEEPEST === $depth) {
            return new Branch($times);
        }
        $common = array_diff_key(array_intersect_key(...array_column($pieces, 'lookups')), $used);
        foreach ($common as $name => $lookup) {
            $used[$name] = true;
            $branches = $this->branches($pieces, $name, $used, $depth);
            if (\count($branches) > 1) {
                return new Branch($times, $lookup, $branches);
            }
        }

        return new Branch($times);
    }

    /**
     * @param non-empty-list<Piece> $pieces
     * @param array<string, true>   $used
     *
     * @return list<array{non-empty-list<string>, Branch}>
     */
    private function branches(array $pieces, string $name, array $used, int $depth): array
    {
        $branches = [];
        foreach ($this->parted($pieces, $name) as $answer => $part) {
            $branch = $this->grow($part, $used, $depth + 1);
            $likeness = $branch->likeness();
            [$answers, $known] = $branches[$likeness] ?? [[], null];
            $branches[$likeness] = [[...$answers, $answer], $known?->with($branch) ?? $branch];
        }

        return array_values($branches);
    }

    /**
     * @param non-empty-list<Piece> $pieces
     *
     * @return array<string, non-empty-list<Piece>> by what is found
     */
    private function parted(array $pieces, string $name): array
    {
        $parted = array_fill_keys(self::answers($pieces[0]->lookups[$name]), []);
        foreach ($pieces as $one) {
            $found = $this->lookedUp->between($one->since, $one->until, $one->lookups[$name]);
            foreach ($found as [$since, $until, $answer]) {
                if ($until - $since > self::NEAR_SECONDS) {
                    $parted[$answer][] = new Piece($since, $until, $one->place, $one->lookups);
                }
            }
        }

        return array_filter($parted);
    }

    /** @return list<string> in the order in which they are told */
    private static function answers(HoursLookup|InstantLookup $lookup): array
    {
        return $lookup instanceof HoursLookup
            ? array_map(static fn(State $one): string => $one->key, $lookup->hours->states->all)
            : [InstantLookup::TO_COME, InstantLookup::PASSED];
    }

    /**
     * @param non-empty-list<Piece> $pieces
     *
     * @return non-empty-array<int, non-empty-list<array{int, int}>>
     */
    private static function times(array $pieces): array
    {
        $times = [];
        foreach ($pieces as $one) {
            $times[$one->place][] = [$one->since, $one->until];
        }

        return array_map(static fn(array $some): array => Intervals::union($some) ?: $some, $times);
    }
}
