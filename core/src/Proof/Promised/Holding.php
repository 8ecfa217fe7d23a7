<?php

declare(strict_types=1);

namespace Meandros\Core\Proof\Promised;

use Meandros\Core\Plan\Element\Expectation;
use Meandros\Core\Proof\Course;
use Meandros\Core\Proof\Coverage;
use Meandros\Core\Proof\Fares\Fares;
use Meandros\Core\Proof\Fares\Presses;

/** Holds promises against every moment of a stretch: how the calls fare that they name. */
final class Holding
{
    public function __construct(private readonly Fares $fares) {}

    /** @param \Closure(): bool $goOn asked before each number; whether there is time for it */
    public function hold(Expectation $expectation, \Closure $goOn): Held
    {
        $breaches = [];
        $applies = false;
        $isComplete = true;
        $left = 0;
        foreach ($this->fares->numbers($expectation->calls->to) as $numbers) {
            if (!$goOn()) {
                $left += \count($numbers);
                continue;
            }
            $times = PromisedTimes::of(
                $expectation->when,
                $numbers[0]->site,
                $this->fares->plan,
                $this->fares->hours,
            )->within($this->fares->from, $this->fares->until);
            foreach ([] === $times ? [] : $this->fares->callers($expectation->calls->from, $numbers[0]) as $caller) {
                $applies = true;
                [$presses, $isAll] =
                    null === $expectation->calls->keys
                        ? $this->fares->presses($numbers[0], $caller)
                        : [[$expectation->calls->keys], true];
                $isComplete = $isComplete && $isAll;
                foreach ($presses as $keys) {
                    $coverage = $this->fares->coverage($numbers[0], $caller, $keys);
                    $broken = $this->broken($expectation, $coverage, $keys, $times);
                    foreach ($broken as [$course, $intervals]) {
                        $breaches[] = new Breach($numbers, $caller, $keys, $course, $intervals);
                    }
                }
            }
        }
        usort(
            $breaches,
            static fn(Breach $a, Breach $b): int => [$a->intervals[0][0], \count($a->keys)] <=> [
                $b->intervals[0][0],
                \count($b->keys),
            ],
        );

        return new Held($expectation, $breaches, $applies, $isComplete, $left);
    }

    /**
     * @param list<string>          $keys
     * @param list<array{int, int}> $times
     *
     * @return list<array{Course, non-empty-list<array{int, int}>}> courses that do not keep the promise, and when calls take them
     */
    private function broken(Expectation $expectation, Coverage $coverage, array $keys, array $times): array
    {
        /** @var array<string, bool> $isBroken by course */
        $isBroken = [];
        $found = [];
        $at = 0;
        foreach ($coverage->courses as $i => $course) {
            $isBroken[$course->key] ??= $this->breaks($expectation, $course, $keys);
            if (!$isBroken[$course->key]) {
                continue;
            }
            [$since, $until] = [$coverage->starts[$i] ?? 0, $coverage->starts[$i + 1] ?? $coverage->until];
            while (isset($times[$at]) && $times[$at][1] <= $since) {
                ++$at;
            }
            for ($j = $at; isset($times[$j]) && $times[$j][0] < $until; ++$j) {
                $found[$course->key][0] = $course;
                $found[$course->key][1][] = [max($since, $times[$j][0]), min($until, $times[$j][1])];
            }
        }

        return array_values($found);
    }

    /** @param list<string> $keys */
    private function breaks(Expectation $expectation, Course $course, array $keys): bool
    {
        // Keys that nobody asks for are pressed by nobody; where they are promised to do something, that is broken.
        $isCall = null !== $expectation->calls->keys || Presses::areTaken($course, $keys);

        return $isCall && !Keepings::keeps($expectation->promise, $course);
    }
}
