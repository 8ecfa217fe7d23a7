<?php

declare(strict_types=1);

namespace Meandros\Core\Proof\Promised;

use Meandros\Core\Call\Assumptions;
use Meandros\Core\Call\Caller;
use Meandros\Core\Call\CallerActs;
use Meandros\Core\Call\KeyPress;
use Meandros\Core\Call\TrialCall;
use Meandros\Core\Live\LiveState;
use Meandros\Core\Plan\Element\Expectation;
use Meandros\Core\Plan\Element\Number;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Plan\PlanHours;
use Meandros\Core\Proof\AllNumbers;
use Meandros\Core\Proof\Course;
use Meandros\Core\Proof\Courses;
use Meandros\Core\Proof\Coverage;
use Meandros\Core\Routing\Router;

/**
 * Holds promises against every moment of a stretch: the calls that they name, from every caller who is told apart, with whatever
 * they press at menus, where nobody answers.
 */
final class Holding
{
    /** Of one number and caller. */
    private const MOST_PRESSES = 500;

    private readonly Router $router;
    private readonly PlanHours $hours;
    private readonly PromisedCallers $callers;
    /** @var array<string, Coverage> by number, caller and keys */
    private array $known = [];
    /** @var array<string, array{list<list<string>>, bool}> keys that may be pressed, and whether these are all, by number and caller */
    private array $presses = [];

    public function __construct(
        private readonly Plan $plan,
        private readonly int $from,
        private readonly int $until,
        private readonly LiveState $live = new LiveState(),
    ) {
        $this->router = new Router();
        $this->hours = $this->router->hoursOf($plan, $live->overrides);
        $this->callers = new PromisedCallers($plan);
    }

    /** @param \Closure(): bool $goOn asked before each number; whether there is time for it */
    public function hold(Expectation $expectation, \Closure $goOn): Held
    {
        $breaches = [];
        $applies = false;
        $isComplete = true;
        $left = 0;
        foreach ($this->numbers($expectation) as $alike => $numbers) {
            if (!$goOn()) {
                $left += \count($numbers);
                continue;
            }
            $times = PromisedTimes::of($expectation->when, $numbers[0]->site, $this->plan, $this->hours)->within(
                $this->from,
                $this->until,
            );
            foreach ([] === $times ? [] : $this->callers->of($expectation->calls->from, $numbers[0]) as $caller) {
                $applies = true;
                [$presses, $isAll] =
                    null === $expectation->calls->keys
                        ? $this->presses($alike, $numbers[0], $caller)
                        : [[$expectation->calls->keys], true];
                $isComplete = $isComplete && $isAll;
                foreach ($presses as $keys) {
                    $coverage = $this->coverage($alike, $numbers[0], $caller, $keys);
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

    /** @return array<string, non-empty-list<Number>> those to which calls fare alike, together */
    private function numbers(Expectation $expectation): array
    {
        $numbers = [];
        foreach ([] === $expectation->calls->to ? $this->plan->all(Number::class) : $expectation->calls->to as $one) {
            $number = $one instanceof Number ? $one : $this->plan->get(Number::class, $one);
            // One that was given up reaches nobody, and nothing is promised of it.
            if (null !== $number && null === $number->keptUntil) {
                $numbers[AllNumbers::alike($number)][] = $number;
            }
        }

        return $numbers;
    }

    /** @return array{list<list<string>>, bool} none at all first; and whether these are all */
    private function presses(string $alike, Number $number, Caller $caller): array
    {
        $name = $alike . ' ' . $caller->text;
        if (isset($this->presses[$name])) {
            return $this->presses[$name];
        }
        /** @var array<string, list<string>> $found by themselves */
        $found = ['' => []];
        $next = [[]];
        while (null !== ($keys = array_shift($next)) && \count($found) < self::MOST_PRESSES) {
            $courses = $this->coverage($alike, $number, $caller, $keys)->courses;
            foreach (array_combine(array_map(spl_object_id(...), $courses), $courses) as $course) {
                foreach (Presses::after($course, $keys) as $more) {
                    $id = implode(' ', $more);
                    if (!isset($found[$id])) {
                        $found[$id] = $next[] = $more;
                    }
                }
            }
        }

        return $this->presses[$name] = [array_values($found), [] === $next];
    }

    /** @param list<string> $keys */
    private function coverage(string $alike, Number $number, Caller $caller, array $keys): Coverage
    {
        return $this->known[$alike . ' ' . $caller->text . ' ' . implode(' ', $keys)] ??= Coverage::over(
            new Courses(
                $this->plan,
                new TrialCall($number->example(), $caller, $this->from),
                new Assumptions(
                    new CallerActs(array_map(static fn(string $key): KeyPress => new KeyPress($key), $keys)),
                ),
                $this->live,
                $this->router,
            ),
            $this->from,
            $this->until,
        );
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
