<?php

declare(strict_types=1);

namespace Meandros\Core\Proof\Ways;

use Meandros\Core\Call\Assumptions;
use Meandros\Core\Call\Behaviour;
use Meandros\Core\Call\PhoneAssumption;
use Meandros\Core\Plan\Element\Person;
use Meandros\Core\Plan\Element\Queue;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Plan\Target;
use Meandros\Core\Routing\CallOver;
use Meandros\Core\Routing\Ending;
use Meandros\Core\Routing\EndingKind;
use Meandros\Core\Routing\Happening\QueueEntered;
use Meandros\Core\Routing\Happening\SentOn;
use Meandros\Core\Routing\Router;
use Meandros\Core\Routing\Walk;

/**
 * Every place to which calls may come between two steps, and the legs between them. Calls that stand at the same step and go
 * on alike stand at the same place, however they came there: a journey of many steps has few places.
 */
final class Explorer
{
    /** Of all steps together. */
    private const MOST_RUNS = 20_000;

    /** @var array<string, Stand> by key, in the order in which they were found */
    public array $stands = [];
    /** Whether whatever callers and phones may do was among the choices. */
    public bool $isComplete = true;
    /** The first second of the call at which something that is looked up may change; null where nothing does. */
    public ?int $changes = null;
    private int $runs = 0;
    private readonly Remaining $remaining;
    private readonly Questions $questions;

    /** @param bool $bySecond whether calls that come at other seconds stand at other places */
    public function __construct(
        private readonly Router $router,
        private readonly Plan $plan,
        private readonly Assumptions $given,
        private readonly bool $bySecond,
    ) {
        $this->remaining = new Remaining($plan);
        $this->questions = new Questions();
    }

    /** @return string the key of where it begins */
    public function explore(Stand $first): string
    {
        $start = $this->key($first);
        $this->stands[$start] = $first;
        $next = [$start];
        while (null !== ($key = array_pop($next))) {
            foreach ($this->expand($this->stands[$key]) as $found => $stand) {
                $this->stands[$found] = $stand;
                $next[] = $found;
            }
            if ($this->runs >= self::MOST_RUNS) {
                $this->isComplete = false;
                break;
            }
        }

        return $start;
    }

    /** @return array<string, Stand> that were not known, by key */
    private function expand(Stand $stand): array
    {
        $at = $stand->way->next();
        $new = [];
        if (null === $at) {
            $ending = $stand->way->ending ?? new Ending(EndingKind::RanOut);
            $stand->ends($ending, Leg::of(0, new Acts()));

            return [];
        }
        $choices = new Choices(
            fn(Acts $acts): Run => $this->run($stand, $acts),
            $stand,
            $this->given,
            $this->questions,
            $this->remaining->says($this->remaining->of($stand->way)),
            $this->bySecond,
        );
        $after = $this->remaining->after($stand->way);
        foreach ($choices->all() as $run) {
            if (null !== $run->ending) {
                $stand->ends($run->ending, Leg::of($run->seconds, $run->acts));
                $stand->stays(Leg::of($run->there, $run->acts));
                continue;
            }
            if (Again::later($this->plan, $run->acts, $after)) {
                $this->isComplete = false;
                continue;
            }
            $reached = new Stand(
                $run->walk,
                $run->way,
                $stand->acts->then($run->acts->later($stand->walk->second())),
                ...$this->still($run, $stand),
            );
            $key = $this->key($reached);
            $stand->leads($key, Leg::of($run->seconds, $run->acts));
            if (!isset($this->stands[$key]) && !isset($new[$key])) {
                $new[$key] = $reached;
            }
        }
        $this->isComplete = $this->isComplete && $choices->areAll;

        return $new;
    }

    /**
     * Of phones that were looked at in the second in which the step is over.
     *
     * @return array{array<string, PhoneAssumption>, array<string, int>} what they did, and those that could be reached
     */
    private function still(Run $run, Stand $stand): array
    {
        $second = $run->walk->second();
        $rang = [];
        foreach ($run->walk->rung() as $rung) {
            $rung->from === $second && ($rang[$rung->phone->id] = null !== $rung->rings);
        }
        $looked = array_filter($this->looked($run->walk), static fn(int $one): bool => $one === $second);
        $does = array_intersect_key(($run->acts->phones[0] ?? []) + $stand->now, $looked);
        $now = array_filter(
            $does,
            static fn(PhoneAssumption $one): bool => Behaviour::Rings !== $one->does || ($rang[$one->who] ?? false),
        );
        $reached = array_diff_key($looked, $now);

        return 0 === $run->seconds ? [$now + $stand->now, $reached + $stand->reached] : [$now, $reached];
    }

    private function run(Stand $stand, Acts $acts): Run
    {
        ++$this->runs;
        $before = new Acts($stand->acts->keys, $stand->acts->meanwhile, [], $stand->acts->stated);
        $does = Acts::ringing($stand->now)->then($acts)->later($stand->walk->second());
        $walk = $stand->walk->goingOn($before->then($does)->within($this->given));
        $since = $walk->second();
        $ending = null;
        $way = $stand->way;
        try {
            $way = $this->router->step($walk, $way);
            if (null === $way->next()) {
                $ending = $way->ending ?? new Ending(EndingKind::RanOut);
            }
        } catch (CallOver $over) {
            $ending = $over->ending;
        }
        $there = $walk->second() - $since;
        if (null !== $ending && $walk->goesOnAfter($ending)) {
            $this->isComplete = false;
            try {
                $ending = $walk->hungUp($ending);
            } catch (CallOver $over) {
                $ending = $over->ending;
            }
        }
        $until = $walk->holdsUntil();
        if (null !== $until) {
            $this->changes = min($this->changes ?? \PHP_INT_MAX, $until - $walk->call->instant);
        }
        $this->isComplete = $this->isComplete && !Again::within($stand, $walk);
        $asked = $acts->asked(
            $walk->keysTaken() - $stand->walk->keysTaken(),
            \count($walk->heeded()),
            array_keys(array_diff_key($this->looked($walk), $stand->now)),
        );

        return new Run($asked, $walk, $way, $walk->second() - $since, $ending, $there);
    }

    /** @return array<string, int> the second at which it was last looked at what a phone does, by phone */
    private function looked(Walk $walk): array
    {
        $looked = [];
        foreach ($walk->rung() as $rung) {
            $looked[$rung->phone->id] = $rung->from;
        }
        foreach ($walk->events() as $event) {
            $what = $event->happening;
            foreach ($what instanceof QueueEntered ? $this->agentsPhones($what->queue) : [] as $phone) {
                $looked[$phone] = max($looked[$phone] ?? 0, $event->second);
            }
            if ($what instanceof SentOn && null !== $what->number) {
                $looked[$what->number] = $event->second;
            }
        }

        return $looked;
    }

    /** @return list<string> */
    private function agentsPhones(?string $queue): array
    {
        $phones = [];
        foreach ($this->plan->get(Queue::class, $queue)?->asked() ?? [] as $member) {
            foreach ($this->plan->get(Person::class, $member->who)->phones ?? [] as $phone) {
                $phones[] = Target::phone($member->who, $phone->id)->text();
            }
        }

        return $phones;
    }

    private function key(Stand $stand): string
    {
        $remaining = $this->remaining->of($stand->way);
        $mayRing = static fn(string $phone): bool => isset($remaining[explode('/', $phone)[0]]);
        $now = array_filter($stand->now, $mayRing, \ARRAY_FILTER_USE_KEY);
        ksort($now);
        $reached = array_filter(array_keys($stand->reached), $mayRing);
        sort($reached);

        return implode("\n", [
            $stand->way->key(),
            $stand->walk->condition($this->remaining->says($remaining)),
            serialize([
                $now,
                $reached,
                array_intersect_key($stand->acts->stated->queues, $remaining),
                $stand->acts->stated->parked,
                $stand->acts->stated->isFax,
            ]),
            $this->bySecond ? (string) $stand->walk->second() : '',
        ]);
    }
}
