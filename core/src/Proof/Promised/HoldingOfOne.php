<?php

declare(strict_types=1);

namespace Meandros\Core\Proof\Promised;

use Meandros\Core\Call\Behaviour;
use Meandros\Core\Call\Caller;
use Meandros\Core\Plan\Element\Expectation;
use Meandros\Core\Plan\Element\Number;
use Meandros\Core\Proof\Course;
use Meandros\Core\Proof\Coverage;
use Meandros\Core\Proof\Fares\Fares;
use Meandros\Core\Proof\Fares\Presses;
use Meandros\Core\Proof\Intervals;
use Meandros\Core\Proof\PackedIntervals;
use Meandros\Core\Routing\EndingKind;

/** Holds promises against every call to a number that they name, at any moment of a stretch. */
final class HoldingOfOne
{
    /** @var array<string, list<array{int, int}>> when promises hold, by expectation and time zone */
    private array $times = [];
    /** @var array<string, string> all that what becomes of a promise depends on, but for the calls; by expectation and time zone */
    private array $asked = [];

    public function __construct(private readonly Fares $fares) {}

    /** @param list<Breach> $known told already */
    public function look(PromisedCalls $calls, array $known): Looked
    {
        [$expectation, $number] = [$calls->expectation, $calls->number];
        $breaches = [];
        $isComplete = true;
        $times = $this->times($expectation, $number);
        foreach ($calls->callers as $caller) {
            foreach ($this->isUpToPhones($calls, $caller) ? $calls->phones : [] as $does) {
                [$presses, $isAll] = $this->presses($expectation, $number, $caller, $does);
                $isComplete = $isComplete && $isAll;
                foreach ($presses as $keys) {
                    // When it is broken where phones ring on is not told again for those that do not.
                    $told = self::told([...$known, ...$breaches], $number, $caller, $keys);
                    $coverage = $this->fares->coverage($number, $caller, $keys, $does);
                    $broken = $this->broken($expectation, $coverage, $keys, Intervals::without($times, $told));
                    foreach ($broken as [$course, $intervals]) {
                        $when = PackedIntervals::of($intervals);
                        $breaches[] = new Breach([$number], $caller, $keys, $does, $course->takenBy(), $when);
                    }
                }
            }
        }

        return new Looked($breaches, $isComplete);
    }

    /** What look() depends on where phones ring on, but for how the calls fare. */
    public function asked(PromisedCalls $calls): string
    {
        $expectation = $calls->expectation;
        $of = $this->asked[$this->zoned($expectation, $calls->number)] ??= hash(
            'xxh128',
            serialize([$expectation->promise, $expectation->calls->keys, $this->times($expectation, $calls->number)]),
        );
        $from = array_map(static fn(Caller $one): string => $one->text, $calls->callers);

        return implode(' ', [$of, hash('xxh128', $this->fares->alike($calls->number)), ...$from]);
    }

    /** @return list<array{int, int}> when the promise holds for calls to a number, in the stretch of the fares */
    public function times(Expectation $expectation, Number $number): array
    {
        return $this->times[$this->zoned($expectation, $number)] ??= PromisedTimes::of(
            $expectation->when,
            $this->fares->plan->zoneOf($number->line->site),
            $this->fares->plan,
            $this->fares->hours,
        )->within($this->fares->from, $this->fares->until);
    }

    private function zoned(Expectation $expectation, Number $number): string
    {
        return $expectation->id() . ' ' . $this->fares->plan->zoneOf($number->line->site);
    }

    /** @return array{list<list<string>>, bool} keys that are pressed, and whether these are all */
    private function presses(Expectation $expectation, Number $number, Caller $caller, ?Behaviour $phones): array
    {
        return null === $expectation->calls->keys
            ? $this->fares->presses($number, $caller, $phones)
            : [[$expectation->calls->keys], true];
    }

    /** Whether it matters what phones do: where none rings, whatever is pressed, it does not. */
    private function isUpToPhones(PromisedCalls $calls, Caller $caller): bool
    {
        if ($calls->doRing()) {
            return true;
        }
        $number = $calls->number;
        foreach ($this->presses($calls->expectation, $number, $caller, null)[0] as $keys) {
            foreach ($this->fares->coverage($number, $caller, $keys)->courses as $course) {
                if ([] !== $course->trace->passage->rung || EndingKind::Forwarded === $course->trace->ending->kind) {
                    return true;
                }
            }
        }

        return false;
    }

    /**
     * @param list<Breach> $breaches
     * @param list<string> $keys
     *
     * @return list<array{int, int}> when it is known already that the promise is broken
     */
    private static function told(array $breaches, Number $number, Caller $caller, array $keys): array
    {
        $told = [];
        foreach ($breaches as $one) {
            if ($one->numbers[0] === $number && $one->caller->text === $caller->text && $one->keys === $keys) {
                array_push($told, ...$one->times->all());
            }
        }

        return $told;
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
            [$since, $until] = [$coverage->starts[$i], $coverage->starts[$i + 1] ?? $coverage->until];
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
