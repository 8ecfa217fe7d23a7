<?php

declare(strict_types=1);

namespace Meandros\Core\Proof\Fares;

use Meandros\Core\Call\Assumptions;
use Meandros\Core\Call\Behaviour;
use Meandros\Core\Call\Caller;
use Meandros\Core\Call\CallerActs;
use Meandros\Core\Call\KeyPress;
use Meandros\Core\Call\PhoneAssumption;
use Meandros\Core\Call\TrialCall;
use Meandros\Core\Live\LiveState;
use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\Element\Number;
use Meandros\Core\Plan\Element\Person;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Plan\PlanHours;
use Meandros\Core\Proof\Alike;
use Meandros\Core\Proof\Courses;
use Meandros\Core\Proof\Coverage;
use Meandros\Core\Proof\EachNumber;
use Meandros\Core\Routing\Router;

/**
 * How all calls to the numbers of a plan fare over a stretch: from every caller who is told apart, with whatever they press at
 * menus, where nobody answers: phones ring on, or all of them do something else. What was looked at is kept.
 */
final class Fares
{
    /** Of one number and caller. */
    private const MOST_PRESSES = 500;
    /** Happenings in all calls that are kept: beyond that those to other numbers are given up. Calls that go round hold many. */
    private const MOST_KEPT = 300_000;

    public readonly PlanHours $hours;
    private readonly Router $router;
    private readonly StandIns $callers;
    private readonly Alike $alike;
    /** @var array<string, Coverage> by number, caller and keys */
    private array $known = [];
    /** @var array<string, Courses> the same, of the number that was looked at last */
    private array $courses = [];
    private string $current = '';
    /** Happenings in all calls that are kept. */
    private int $kept = 0;
    /** @var array<string, list<Number>> that people dial, by the number of the plan */
    private array $dialled = [];
    /** @var array<string, array{list<list<string>>, bool}> keys that may be pressed, and whether these are all, by number and caller */
    private array $presses = [];

    /**
     * @param int $from  Unix seconds
     * @param int $until first instant after the stretch
     */
    public function __construct(
        public readonly Plan $plan,
        public readonly int $from,
        public readonly int $until,
        public readonly LiveState $live = new LiveState(),
    ) {
        $this->router = new Router();
        $this->hours = $this->router->hoursOf($plan, $live->overrides);
        $this->callers = new StandIns($plan);
        $this->alike = new Alike($plan);
    }

    /**
     * @param list<string> $ids of numbers, and of people for those by which they are called straight; none for every number
     *
     * @return array<string, non-empty-list<Number>> as EachNumber takes them apart: those to which calls fare alike, together
     */
    public function numbers(array $ids = []): array
    {
        [] === $ids && $this->plan->foreseeAll();
        $numbers = [];
        foreach ([] === $ids ? $this->plan->all(Number::class) : array_map($this->plan->find(...), $ids) as $one) {
            foreach (null === $one ? [] : $this->dialled($one) as $dialled) {
                $numbers[$this->alike->of($dialled)][$dialled->range->number] = $dialled;
            }
        }

        return array_map(array_values(...), $numbers);
    }

    /** @return list<Number> one that was given up reaches nobody, and nothing is expected of it */
    private function dialled(Element $one): array
    {
        $isGivenUp = static fn(Number $number): bool => null !== $number->line->keptUntil;

        return $this->dialled[$one->id()] ??= match (true) {
            $one instanceof Number => $isGivenUp($one) ? [] : EachNumber::of($this->plan, $one),
            $one instanceof Person => array_values(
                array_filter(
                    EachNumber::straightTo($this->plan, $one),
                    static fn(Number $number): bool => !$isGivenUp($number),
                ),
            ),
            default => [],
        };
    }

    /** Equal for numbers to which calls fare alike. */
    public function alike(Number $number): string
    {
        return $this->alike->of($number);
    }

    /**
     * @param list<string> $lists of callers, by id; none for anybody
     *
     * @return list<Caller>
     */
    public function callers(array $lists, Number $number): array
    {
        return $this->callers->of($lists, $number);
    }

    /** Somebody who is in no list of callers. */
    public function anybody(): Caller
    {
        return $this->callers->ordinary();
    }

    /**
     * @param Behaviour|null $phones what all of them do; null for ringing on
     *
     * @return array{list<list<string>>, bool} nothing at all first; and whether these are all
     */
    public function presses(Number $number, Caller $caller, ?Behaviour $phones = null): array
    {
        $name = $this->name($number, $caller, [], $phones);
        if (isset($this->presses[$name])) {
            return $this->presses[$name];
        }
        /** @var array<string, list<string>> $found by themselves */
        $found = ['' => []];
        $next = [[]];
        while ([] !== $next && \count($found) < self::MOST_PRESSES) {
            $keys = array_shift($next);
            $courses = $this->coverage($number, $caller, $keys, $phones)->courses;
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

    /**
     * @param list<string>   $keys
     * @param Behaviour|null $phones what all of them do; null for ringing on
     */
    public function coverage(Number $number, Caller $caller, array $keys, ?Behaviour $phones = null): Coverage
    {
        $name = $this->name($number, $caller, $keys, $phones);
        if (isset($this->known[$name])) {
            return $this->known[$name];
        }
        $courses = $this->made($number, $caller, $keys, $phones);
        $coverage = Coverage::over($courses, $this->from, $this->until);
        foreach ($courses->all() as $course) {
            $this->kept += \count($course->trace->passage->events);
        }

        return $this->known[$name] = $coverage;
    }

    /**
     * Every combination of lookups that calls come to, each traced once.
     *
     * @param list<string> $keys
     */
    public function courses(Number $number, Caller $caller, array $keys): Courses
    {
        $name = $this->name($number, $caller, $keys, null);
        if (!isset($this->courses[$name])) {
            unset($this->known[$name]);
            $this->coverage($number, $caller, $keys);
        }

        return $this->courses[$name];
    }

    /** @param list<string> $keys */
    private function made(Number $number, Caller $caller, array $keys, ?Behaviour $phones): Courses
    {
        // Traces are large: those of one number are kept at a time.
        if ($this->alike->of($number) !== $this->current) {
            [$this->current, $this->courses] = [$this->alike->of($number), []];
            if ($this->kept > self::MOST_KEPT) {
                [$this->known, $this->presses, $this->kept] = [[], [], 0];
            }
        }

        return $this->courses[$this->name($number, $caller, $keys, $phones)] ??= new Courses(
            $this->plan,
            new TrialCall($number->range->example(), $caller, $this->from),
            new Assumptions(
                new CallerActs(array_map(static fn(string $key): KeyPress => new KeyPress($key), $keys)),
                null === $phones ? [] : [new PhoneAssumption(Assumptions::EVERY_PHONE, $phones)],
            ),
            $this->live,
            $this->router,
        );
    }

    /** @param list<string> $keys */
    private function name(Number $number, Caller $caller, array $keys, ?Behaviour $phones): string
    {
        return implode(' ', [$this->alike->of($number), $caller->text, $phones?->value, ...$keys]);
    }
}
