<?php

declare(strict_types=1);

namespace Meandros\Core\Proof\Ways;

use Meandros\Core\Call\Assumptions;
use Meandros\Core\Call\Behaviour;
use Meandros\Core\Call\PhoneAssumption;
use Meandros\Core\Plan\Element\Queue;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Proof\NotTried;
use Meandros\Core\Ringing\Rung;
use Meandros\Core\Routing\CallOver;
use Meandros\Core\Routing\Ending;
use Meandros\Core\Routing\EndingKind;
use Meandros\Core\Routing\Happening\QueueEntered;
use Meandros\Core\Routing\Happening\Ringing;
use Meandros\Core\Routing\Happening\SentOn;
use Meandros\Core\Routing\Router;
use Meandros\Core\Routing\TooMuchWork;
use Meandros\Core\Routing\Walk;

/**
 * Every place to which calls may come between two steps, and the legs between them. Calls that stand at the same step and go
 * on alike stand at the same place, however they came there: a journey of many steps has few places.
 */
final class Explorer
{
    /** Of all steps together. */
    private const MOST_RUNS = 20_000;
    /** There are many more places then, and it is said in any case that not all is tried. */
    private const MOST_BY_SECOND = 5_000;
    private const MOST_HAPPENINGS = 150_000;

    /** The key of where it begins. */
    public string $start = '';
    /** @var array<string, Stand> by key, in the order in which they were found */
    public array $stands = [];
    /** @var array<string, NotTried> what callers and phones may do that was not among the choices, by where that is and why */
    public array $notTried = [];
    /** Whether a phone that rang together with others was looked at again in the same second: it matters what each of them did. */
    public bool $looksAgain = false;
    /** @var array<string, int> places that differ in nothing but what phones did in the second in which calls come there: how many */
    private array $alike = [];
    /** @var array<string, array<string, Run>> by those and by acts: runs in which that is no matter */
    private array $known = [];
    private int $runs = 0;
    /** In all runs together. */
    private int $happened = 0;
    private readonly Remaining $remaining;
    private readonly Questions $questions;
    private readonly LookedAt $lookedAt;

    /**
     * @param bool $bySecond whether calls that come at other seconds stand at other places
     * @param bool $mixes    whether phones that ring together are tried doing one thing each, as they are looked at again
     */
    public function __construct(
        private readonly Router $router,
        private readonly Plan $plan,
        private readonly Assumptions $given,
        private readonly bool $bySecond,
        private readonly bool $mixes,
    ) {
        $this->remaining = new Remaining($plan);
        $this->questions = new Questions();
        $this->lookedAt = new LookedAt($plan);
    }

    public function explore(Stand $first): void
    {
        $this->start = $start = $this->key($first);
        $this->stands[$start] = $first;
        $this->alike[$first->place] = 1;
        $next = [$start];
        while (null !== ($key = array_pop($next))) {
            $stand = $this->stands[$key];
            foreach ($this->expand($stand) as $found => $new) {
                $this->stands[$found] = $new;
                $this->alike[$new->place] = 1 + ($this->alike[$new->place] ?? 0);
                $next[] = $found;
            }
            if (0 === --$this->alike[$stand->place]) {
                unset($this->known[$stand->place]);
            }
            if ($this->looksAgain && !$this->mixes) {
                // It is explored once more, with them.
                break;
            }
            if ($this->isSpent()) {
                $this->leaves(Untried::TooManyWays, $stand);
                break;
            }
        }
    }

    /** @return array<string, Stand> that were not known, by key */
    private function expand(Stand $stand): array
    {
        $at = $stand->way->next();
        $new = [];
        if (null === $at) {
            $ending = $stand->way->ending ?? new Ending(EndingKind::RanOut);
            $stand->ends($ending, Leg::of(0, new Acts()), false);

            return [];
        }
        $after = $this->remaining->afterRinging($stand->way);
        $choices = new Choices(
            fn(Acts $acts): Run => $this->run($stand, $acts),
            $stand,
            $this->given,
            $this->questions,
            new Later($this->remaining->says($this->remaining->of($stand->way))->isHeard(), $after, $this->mixes),
            $this->bySecond,
        );
        $all = $choices->all();
        $afterRounds = $choices->afterRounds();
        foreach ($all as $run) {
            $isAfterRounds = isset($afterRounds[spl_object_id($run)]);
            if (null === $stand->walk->kept() && (null !== $run->ending || null !== $run->walk->kept())) {
                $stand->stays(Leg::of($run->there, $run->acts));
            }
            if (null !== $run->ending) {
                $stand->ends($run->ending, Leg::of($run->seconds, $run->acts), $isAfterRounds);
                continue;
            }
            $kept = $run->walk->kept();
            $why = match (true) {
                isset($this->given->circumstances->queues[$kept?->queue]) => Untried::AfterPlaceKept,
                Again::later($run, $after + $this->remaining->ofKept($kept)) => Untried::AgentAgain,
                default => null,
            };
            if (null !== $why) {
                $this->leaves($why, $stand);
                continue;
            }
            $reached = new Stand(
                $run->walk,
                $run->way,
                $stand->acts->then($run->acts->later($stand->walk->second())),
                ...$this->still($run, $stand),
            );
            $reached->before = $stand;
            $key = $this->key($reached);
            $key = $this->bySecond ? $reached->wasBefore() ?? $key : $key;
            $stand->leads($key, Leg::of($run->seconds, $run->acts), $isAfterRounds);
            if (!isset($this->stands[$key]) && !isset($new[$key])) {
                $new[$key] = $reached;
            }
        }
        foreach ($choices->untried as $why) {
            $this->leaves($why, $stand);
        }

        return $new;
    }

    /**
     * Of phones that were looked at in the second in which the step is over, and may be rung again.
     *
     * @return array{array<string, PhoneAssumption>, array<string, int>, array<string, list<string>>} what they did, those that could be reached,
     *                                                                                                and with which others phones rang together
     */
    private function still(Run $run, Stand $stand): array
    {
        $second = $run->walk->second();
        $looked = array_filter($this->looked($run->walk), static fn(int $one): bool => $one === $second);
        $rang = $together = [];
        foreach ($run->walk->rung->all() as $rung) {
            $rung->times->from === $second && ($rang[$rung->phone->id] = null !== $rung->times->rings);
        }
        foreach ($run->walk->events() as $event) {
            $phones = $event->second === $second ? $this->lookedAt->phones($event->happening) : [];
            // No other ringing is of all of them where one may speak for others.
            $with = $this->lookedAt->isPlain($event->happening) ? $phones : [...$phones, ''];
            $together += \count($phones) > 1 ? array_fill_keys($phones, $with) : [];
            $rings = $event->happening instanceof Ringing ? $this->lookedAt->wouldRing($event->happening) : [];
            $rang = array_fill_keys(array_intersect($phones, $rings), true) + $rang;
        }
        $now = [];
        foreach (array_keys($looked) as $phone) {
            $one = $run->acts->does($phone) ?? ($stand->now[$phone] ?? null);
            if (null !== $one && (Behaviour::Rings !== $one->does || ($rang[$phone] ?? false))) {
                $now[$phone] = new PhoneAssumption($one->who, $one->does, $one->afterSeconds);
            }
        }
        $reached = array_diff_key($looked, $now);
        if (0 === $run->seconds) {
            [$now, $reached, $together] = [
                $now + $stand->now,
                $reached + $stand->reached,
                $together + $stand->together,
            ];
        }
        $remaining = $this->remaining->of($run->way) + $this->remaining->ofKept($run->walk->kept());
        $mayRing = static fn(string $phone): bool => isset($remaining[explode('/', $phone)[0]]);

        return [
            array_filter($now, $mayRing, \ARRAY_FILTER_USE_KEY),
            array_filter($reached, $mayRing, \ARRAY_FILTER_USE_KEY),
            $together,
        ];
    }

    /** Whether as much was tried as may be. */
    public function isSpent(): bool
    {
        return $this->runs >= ($this->bySecond ? self::MOST_BY_SECOND : self::MOST_RUNS) ||
            $this->happened >= self::MOST_HAPPENINGS;
    }

    /** @throws TooMuchWork when as much was tried as may be */
    private function run(Stand $stand, Acts $acts): Run
    {
        if ($this->isSpent()) {
            throw new TooMuchWork(null);
        }
        $isAlone = $this->alike[$stand->place] < 2 && !isset($this->known[$stand->place]);
        $key = $isAlone ? '' : $acts->key();
        $run = $this->known[$stand->place][$key] ?? $this->walk($stand, $acts);
        $stand->looks($run->walk->lookups->isSame());
        if (
            $this->alike[$stand->place] > 1 &&
            (null !== $run->ending || $run->seconds > 0) &&
            !$this->looksAtOnce($run, $stand)
        ) {
            $this->known[$stand->place][$key] = $run;
        }

        return $run;
    }

    /** Whether it is looked at what a phone does in the second in which calls come to where they stand. */
    private function looksAtOnce(Run $run, Stand $stand): bool
    {
        foreach ($run->walk->events() as $event) {
            if ($event->second === $stand->walk->second() && [] !== $this->lookedAt->phones($event->happening)) {
                return true;
            }
        }

        return false;
    }

    private function walk(Stand $stand, Acts $acts): Run
    {
        ++$this->runs;
        $before = new Acts($stand->acts->keys, $stand->acts->meanwhile, [], $stand->acts->stated);
        // What phones did in that second is settled; after it they ring, unless it is said what they do.
        $ring = static fn(PhoneAssumption $one): PhoneAssumption => new PhoneAssumption($one->who, Behaviour::Rings);
        $kept = Acts::ringing($stand->now)->then(Acts::ringing(array_map($ring, $stand->now), 1));
        $does = $kept->then($acts)->later($stand->walk->second());
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
        $this->happened += \count($walk->events()) + \count($walk->rung->all());
        $there = ($walk->kept()->since ?? $walk->second()) - $since;
        $hungUp = EndingKind::CallerGaveUp === $ending?->kind;
        if (null !== $ending && $walk->goesOnAfter($ending)) {
            try {
                $ending = $walk->hungUp($ending);
            } catch (CallOver $over) {
                $ending = $over->ending;
            }
        }
        $this->leaves(Again::within($stand, $walk, $this->given), $stand);
        if (null === $stand->walk->kept() && $walk->whenHungUp()?->from > $walk->kept()?->since) {
            $this->leaves(Untried::AfterPlaceKept, $stand);
        }
        $asked = $acts->asked(
            $walk->keys->menus() - $stand->walk->keys->menus(),
            \count($walk->keys->heeded()),
            $this->open($stand, $walk),
            $hungUp,
        );

        return new Run($asked, $walk, $way, $walk->second() - $since, $ending, $there);
    }

    private function leaves(?Untried $why, Stand $stand): void
    {
        if (null !== $why) {
            [$journey, $step] = $stand->way->place() ?? [null, null];
            $this->notTried[$why->value . ' ' . $journey . ' ' . $step] ??= new NotTried($why, $journey, $step);
        }
    }

    /** @return array<string, int> the second at which it was last looked at what a phone does, by phone */
    private function looked(Walk $walk): array
    {
        $looked = [];
        foreach ($walk->rung->all() as $rung) {
            $looked[$rung->phone->id] = $rung->times->from;
        }
        foreach ($walk->events() as $event) {
            $what = $event->happening;
            // Some queues are entered only while an agent can be reached.
            $looks =
                $what instanceof QueueEntered &&
                true === $this->plan->get(Queue::class, $what->queue)?->callers->admission->needsAgent;
            $agents = $looks ? $walk->assumptions->circumstances->queues[$what->queue]->agents ?? [] : [];
            foreach ($looks ? $this->lookedAt->phones($what) : [] as $phone) {
                if (true === ($agents[explode('/', $phone)[0]]->signedIn ?? true)) {
                    $looked[$phone] = max($looked[$phone] ?? 0, $event->second);
                }
            }
            if ($what instanceof SentOn && null !== $what->number) {
                $looked[$what->number] = $event->second;
            }
            foreach ($what instanceof Ringing ? $this->lookedAt->onACall($what) : [] as $phone) {
                $looked[$phone] = max($looked[$phone] ?? 0, $event->second);
            }
        }

        return $looked;
    }

    /** @return array<string, int> phones of which it is not settled what they did, with seconds since the step began until it was looked at first */
    private function open(Stand $stand, Walk $walk): array
    {
        $open = [];
        foreach ($walk->events() as $event) {
            $second = $event->second - $stand->walk->second();
            $phones = $this->lookedAt->phones($event->happening);
            foreach ($phones as $phone) {
                $isKept = 0 === $second && isset($stand->now[$phone]);
                $this->looksAgain =
                    $this->looksAgain ||
                    ($isKept &&
                        isset($stand->together[$phone]) &&
                        !(
                            $this->lookedAt->isPlain($event->happening) &&
                            [] === array_diff($stand->together[$phone], $phones)
                        ));
                $isKept || ($open[$phone] ??= $second);
            }
        }
        // Of rounds of ringing, only the first is told.
        foreach ($walk->rung->all() as $rung) {
            if ($rung->times->from > $stand->walk->second() && isset($stand->now[$rung->phone->id])) {
                $open[$rung->phone->id] = 1;
            }
        }

        return $open;
    }

    /** Of a place; names it, and those that differ in nothing but what phones did in the second in which calls come there. */
    private function key(Stand $stand): string
    {
        $remaining = $this->remaining->of($stand->way) + $this->remaining->ofKept($stand->walk->kept());
        $whoRang = $this->remaining->says($remaining);
        $place = implode("\n", [
            $stand->way->key(),
            $stand->walk->condition($whoRang->exits, $whoRang->name),
            serialize([
                array_intersect_key($stand->acts->stated->queues, $remaining),
                array_intersect($stand->walk->roster->cameTo(), array_keys($this->given->circumstances->queues)),
                $stand->acts->stated->parked,
                $stand->acts->stated->isFax,
            ]),
        ]);
        // A run that is shared goes on from where its own presses were counted.
        $pressed = [\count($stand->acts->keys), \count($stand->acts->meanwhile)];
        $stand->place = implode(' ', [$place, $stand->walk->second(), ...$pressed]);
        [$now, $reached] = [$stand->now, array_keys($stand->reached)];
        ksort($now);
        sort($reached);

        $stand->name = [] === $now && [] === $reached ? $place : $place . "\n" . serialize([$now, $reached]);

        return $stand->key = $stand->name . ($this->bySecond ? "\n" . $stand->walk->second() : '');
    }
}
