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
use Meandros\Core\Routing\EndingKind;

/** Holds promises against every moment of a stretch: how the calls fare that they name. */
final class Holding
{
    /** @var array<string, list<array{int, int}>> when promises hold, by expectation and site */
    private array $times = [];

    public function __construct(private readonly Fares $fares) {}

    /**
     * Where phones ring on.
     *
     * @param \Closure(): bool $goOn asked before each number; whether there is time for it
     */
    public function hold(Expectation $expectation, \Closure $goOn): Held
    {
        return $this->look(new Held($expectation, [], false, true, 0, false), [null], $goOn);
    }

    /**
     * Also where all phones do something else, as far as the promise must be kept then: it takes three times as long.
     *
     * @param Held             $held where they ring on
     * @param \Closure(): bool $goOn asked before each number; whether there is time for it
     */
    public function whateverPhonesDo(Held $held, \Closure $goOn): Held
    {
        return $this->look($held, Keepings::phones($held->expectation->promise), $goOn);
    }

    /**
     * Of calls to some numbers only, where phones ring on.
     *
     * @param list<Number> $numbers to which calls fare alike
     *
     * @return bool|null null where the promise is about none of them
     */
    public function isKeptOf(Expectation $expectation, array $numbers): ?bool
    {
        $to = $expectation->calls->to;
        $named = array_values(
            array_filter($numbers, static fn(Number $one): bool => [] === $to || \in_array($one->id(), $to, true)),
        );

        return [] === $named ? null : [] === $this->lookAt($expectation, $named, [null], [])[0];
    }

    /**
     * @param list<Behaviour|null> $phones what all of them do, each by itself; null for ringing on
     * @param \Closure(): bool     $goOn
     */
    private function look(Held $sofar, array $phones, \Closure $goOn): Held
    {
        $expectation = $sofar->expectation;
        $breaches = $sofar->breaches;
        [$applies, $isComplete] = [$sofar->applies, $sofar->isComplete];
        $left = 0;
        foreach ([] === $phones ? [] : $this->fares->numbers($expectation->calls->to) as $numbers) {
            if (!$goOn()) {
                $left += \count($numbers);
                continue;
            }
            [$found, $doesApply, $isAll] = $this->lookAt($expectation, $numbers, $phones, $breaches);
            array_push($breaches, ...$found);
            $applies = $applies || $doesApply;
            $isComplete = $isComplete && $isAll;
        }
        usort(
            $breaches,
            static fn(Breach $a, Breach $b): int => [$a->intervals[0][0], \count($a->keys)] <=> [
                $b->intervals[0][0],
                \count($b->keys),
            ],
        );

        // What phones do is looked at where there is time: it does not make a promise one that was not looked at.
        return [null] === $phones
            ? new Held($expectation, $breaches, $applies, $isComplete, $left, false)
            : new Held($expectation, $breaches, $applies, $isComplete && 0 === $left, $sofar->left, true);
    }

    /**
     * @param non-empty-list<Number> $numbers to which calls fare alike
     * @param list<Behaviour|null>   $phones
     * @param list<Breach>           $known   told already
     *
     * @return array{list<Breach>, bool, bool} others; whether it names any call to them, and whether all of these were looked at
     */
    private function lookAt(Expectation $expectation, array $numbers, array $phones, array $known): array
    {
        $number = $numbers[0];
        $breaches = [];
        [$applies, $isComplete] = [false, true];
        $times = $this->times($expectation, $number->line->site);
        foreach ([] === $times ? [] : $this->fares->callers($expectation->calls->from, $number) as $caller) {
            $applies = true;
            foreach ($this->isUpTo($phones, $expectation, $number, $caller) ? $phones : [] as $does) {
                [$presses, $isAll] = $this->presses($expectation, $number, $caller, $does);
                $isComplete = $isComplete && $isAll;
                foreach ($presses as $keys) {
                    // When it is broken where phones ring on is not told again for those that do not.
                    $told = self::told([...$known, ...$breaches], $number, $caller, $keys);
                    $coverage = $this->fares->coverage($number, $caller, $keys, $does);
                    $broken = $this->broken($expectation, $coverage, $keys, Intervals::without($times, $told));
                    foreach ($broken as [$course, $intervals]) {
                        $breaches[] = new Breach($numbers, $caller, $keys, $does, $course->takenBy(), $intervals);
                    }
                }
            }
        }

        return [$breaches, $applies, $isComplete];
    }

    /** @return list<array{int, int}> when the promise holds for calls to a site */
    private function times(Expectation $expectation, string $site): array
    {
        return $this->times[$expectation->id() . ' ' . $site] ??= PromisedTimes::of(
            $expectation->when,
            $site,
            $this->fares->plan,
            $this->fares->hours,
        )->within($this->fares->from, $this->fares->until);
    }

    /** @return array{list<list<string>>, bool} keys that are pressed, and whether these are all */
    private function presses(Expectation $expectation, Number $number, Caller $caller, ?Behaviour $phones): array
    {
        return null === $expectation->calls->keys
            ? $this->fares->presses($number, $caller, $phones)
            : [[$expectation->calls->keys], true];
    }

    /**
     * Whether it matters what phones do: where none rings, whatever is pressed, it does not.
     *
     * @param list<Behaviour|null> $phones
     */
    private function isUpTo(array $phones, Expectation $expectation, Number $number, Caller $caller): bool
    {
        if ([null] === $phones) {
            return true;
        }
        foreach ($this->presses($expectation, $number, $caller, null)[0] as $keys) {
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
                array_push($told, ...$one->intervals);
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
