<?php

declare(strict_types=1);

namespace Meandros\Core\Routing;

use Meandros\Core\Call\Assumptions;
use Meandros\Core\Call\KeyPress;
use Meandros\Core\Call\Status;
use Meandros\Core\Call\Tag;
use Meandros\Core\Call\TrialCall;
use Meandros\Core\Outside\Lines;
use Meandros\Core\Plan\Element\Hours;
use Meandros\Core\Plan\Element\Prompt;
use Meandros\Core\Plan\Element\Site;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Queueing\Roster;
use Meandros\Core\Ringing\Phones;
use Meandros\Core\Ringing\Rung;
use Meandros\Core\Routing\Happening\Happening;
use Meandros\Core\Routing\Happening\HoursRead;
use Meandros\Core\Routing\Happening\Ringing;
use Meandros\Core\Routing\Happening\Said;
use Meandros\Core\Routing\Lookup\BlanksLookup;
use Meandros\Core\Routing\Lookup\CallFacts;
use Meandros\Core\Routing\Lookup\Found;
use Meandros\Core\Routing\Lookup\HoursLookup;
use Meandros\Core\Routing\Lookup\InstantLookup;
use Meandros\Core\Routing\Lookup\Lookup;
use Meandros\Core\Time\Reading;

/** A call on its way: its clock, where it is, and what has happened to it so far. */
final class Walk
{
    /** Steps that it may come to again; those that it comes to for the first time are not counted. */
    public const MOST_REPEATS = 250;

    private int $second = 0;
    private int $keysTaken = 0;
    private ?string $journey = null;
    private ?string $step = null;
    private ?int $holdsSince = null;
    private ?int $holdsUntil = null;
    private int $sameSince = \PHP_INT_MIN;
    private int $sameUntil = \PHP_INT_MAX;
    /** @var list<array{Lookup, string}> */
    private array $lookups = [];
    /** @var array{string, int}|null the hours that were read last, and when */
    private ?array $lastRead = null;
    /** @var array<string, true> steps that it came to */
    private array $seen = [];
    private int $repeats = 0;
    private int $timesDialled = 0;
    /** @var list<Event> */
    private array $events = [];
    /** @var list<Visit> */
    private array $visits = [];
    /** @var list<Rung> */
    private array $rung = [];
    /** @var array<string, int> seconds for which phones rang, by phone */
    private array $rungSeconds = [];
    /** Of the phones that rang, as many as did before they rang as if they had not. */
    private int $rungAnew = 0;
    /** @var non-empty-list<Arrival> how it came in, each time that it did */
    private array $arrivals;
    /** @var list<int|null> the second at which each call within the call is given up; null once it is answered */
    private array $legs = [];
    /** The second from which on a greeting is heard while it rings. */
    private ?int $hearsFrom = null;
    private ?PlaceKept $kept = null;
    /** @var array{string|null, string|null, \Closure(): Ending}|null where it was, and what goes on once the caller has hung up */
    private ?array $afterwards = null;
    private bool $isHungUp = false;
    private ?HungUp $hungUp = null;
    private bool $isAnswered = false;
    private int $meanwhileTaken = 0;
    private ?Hours $lastHours = null;
    private ?Ringing $lastRinging = null;
    /** @var list<Heeded> keys that were heeded while something was heard or rang, each time */
    private array $heeded = [];
    /** @var (\Closure(int): Waits)|null */
    private ?\Closure $wait = null;
    /** The second at which the caller presses a key that the step heeds. */
    private ?int $interruptAt = null;
    public readonly Roster $roster;
    private readonly Assumed $assumed;

    public readonly Plan $plan;
    public readonly Lines $lines;
    public readonly Phones $phones;

    /** @param \Closure(self, string): Onward $arrive lets it come in by one of our numbers, in E.164 */
    public function __construct(
        public readonly TrialCall $call,
        public readonly Assumptions $assumptions,
        private readonly Surroundings $surroundings,
        Arrival $arrival,
        private readonly \Closure $arrive,
        private readonly Work $work,
    ) {
        $this->arrivals = [$arrival];
        $this->plan = $surroundings->plan;
        $this->lines = $surroundings->lines;
        $this->phones = $surroundings->phones;
        $this->assumed = new Assumed($assumptions);
        $this->roster = new Roster($this->plan, $assumptions, $surroundings->live->signIns);
    }

    /** What is assumed at this second. */
    public function assumed(): Assumptions
    {
        return $this->assumed->at($this->second);
    }

    /** Seconds since the call began. */
    public function second(): int
    {
        return $this->second;
    }

    /** How it came in. */
    public function arrival(): Arrival
    {
        return $this->arrivals[\count($this->arrivals) - 1];
    }

    /**
     * Lets it come in by one of our own numbers, as a call from inside.
     *
     * @param int|null $seconds after which it is given up if nothing has answered it; null for never
     *
     * @return Onward|null null where it was given up
     *
     * @throws CallOver when it came in by that number already
     */
    public function comeBackIn(string $number, ?int $seconds): ?Onward
    {
        $leg = \count($this->legs);
        $this->legs[] = null === $seconds ? null : $this->second + $seconds;
        $before = $this->arrivals;
        [$journey, $step] = [$this->journey, $this->step];
        // Keys are for what is heard there.
        [$interrupt, $this->interruptAt] = [$this->interruptAt, null];
        try {
            $onward = ($this->arrive)($this, $number);
        } catch (TimeUp $up) {
            $onward = $up->leg === $leg ? null : throw $up;
        }
        $this->interruptAt = $interrupt;
        if (null === $onward?->ending) {
            // It goes on from where it was.
            [$this->arrivals, $this->journey, $this->step] = [$before, $journey, $step];
        }
        $wasAnswered = null === $this->legs[$leg] && null !== $seconds;
        $this->legs = \array_slice($this->legs, 0, $leg);

        return null === $onward?->ending && $wasAnswered ? Onward::end(new Ending(EndingKind::RanOut)) : $onward;
    }

    /**
     * What was put on it before, it still carries.
     *
     * @throws CallOver when it came in so already
     */
    public function arriveBy(Arrival $arrival): void
    {
        foreach ($this->arrivals as $earlier) {
            if ($earlier->at->element === $arrival->at->element) {
                throw CallOver::stopped(Stop::Number);
            }
        }
        $this->arrivals[] = $arrival->tagged($this->arrival()->tag);
    }

    /** Something is heard from a second on, if it comes to that: what would be given up later is not. */
    public function willHear(?int $second): void
    {
        $this->hearsFrom = $second;
    }

    /** What the call carries changes, from here on. */
    public function tag(Tag $tag): void
    {
        $this->arrivals = [...\array_slice($this->arrivals, 0, -1), $this->arrival()->tagged($tag)];
    }

    /** Something goes on once the caller has hung up, and decides how it all ends. */
    public function keepsPlace(PlaceKept $kept): void
    {
        $this->kept = null === $this->kept ? $kept : $kept->since($this->kept->since);
        $this->afterwards = [$this->journey, $this->step, ($kept->callBack)($this)];
    }

    /** The place that the caller keeps, or kept before they were called back. */
    public function kept(): ?PlaceKept
    {
        return $this->kept;
    }

    /** How the caller who keeps a place has hung up; null where they have not. */
    public function whenHungUp(): ?HungUp
    {
        return $this->hungUp;
    }

    /** Whether something goes on once the call itself has ended so. */
    public function goesOnAfter(Ending $ending): bool
    {
        return null !== $this->afterwards && EndingKind::LoopStopped !== $ending->kind;
    }

    /**
     * The caller has hung up: what goes on then does.
     *
     * @param Ending $ending of the call itself
     *
     * @return Ending of it all
     *
     * @throws CallOver
     */
    public function hungUp(Ending $ending): Ending
    {
        if (null === $this->afterwards || !$this->goesOnAfter($ending)) {
            return $ending;
        }
        [$this->journey, $this->step, $do] = $this->afterwards;
        [$this->afterwards, $this->legs, $this->isHungUp] = [null, [], true];
        $this->hungUp = null === $this->kept ? null : new HungUp($this->kept, \count($this->events), $this->second);
        $since = $this->second;
        try {
            return $do();
        } finally {
            $this->leave($since, null, false);
        }
    }

    /** The caller hears something: whoever called one of our numbers is through. */
    public function answer(): void
    {
        $this->isAnswered = true;
        $this->legs = array_map(static fn(): ?int => null, $this->legs);
    }

    public function lastStep(): ?string
    {
        return $this->step;
    }

    /**
     * So many phones are to ring.
     *
     * @throws TooMuchWork
     */
    public function willRing(int $phones): void
    {
        $this->work->spend($phones * Work::OF_A_PHONE);
    }

    /**
     * So many phones may come to ring.
     *
     * @throws TooMuchWork when that would be too many
     */
    public function mayRing(int $phones): void
    {
        $this->work->demand($phones * Work::OF_A_PHONE);
    }

    /**
     * @throws CallOver
     * @throws TooMuchWork
     */
    public function enter(string $journey, string $step): void
    {
        $this->work->spend(Work::OF_A_STEP);
        $this->journey = $journey;
        $this->step = $step;
        $place = $journey . '/' . $step;
        if (isset($this->seen[$place]) && ++$this->repeats >= self::MOST_REPEATS) {
            throw CallOver::stopped(Stop::Steps);
        }
        $this->seen[$place] = true;
    }

    public function leave(int $since, ?string $exit, bool $exitTaken): void
    {
        $this->visits[] = new Visit(
            (string) $this->journey,
            (string) $this->step,
            $since,
            $this->second,
            $exit,
            $exitTaken,
        );
    }

    public function note(Happening $happening, ?int $second = null): void
    {
        $this->lastRinging = $happening instanceof Ringing ? $happening : $this->lastRinging;
        $this->events[] = new Event(
            $second ?? $this->second,
            $this->journey,
            $this->step,
            $happening,
            $this->arrival()->shown,
        );
    }

    /**
     * @throws CallOver    when the caller gives up, or the call has lasted too long
     * @throws TimeUp      when a call to one of our own numbers is given up
     * @throws Interrupted when the caller presses a key that the step heeds
     */
    public function pass(int $seconds): void
    {
        $until = $this->second + $seconds;
        $patience = $this->patience();
        $leg = $this->firstLeg();
        $legEnds = null === $leg ? \PHP_INT_MAX : (int) $this->legs[$leg];
        $interrupt = $this->interruptAt ?? \PHP_INT_MAX;
        $this->second = min($until, $patience, $legEnds, $interrupt, TrialCall::MOST_SECONDS);
        // Whoever gives up in the second in which something happens is gone before it does.
        if ($patience === $this->second) {
            throw CallOver::givenUp();
        }
        if (TrialCall::MOST_SECONDS === $this->second) {
            throw CallOver::stopped(Stop::Seconds);
        }
        if (null !== $leg && $legEnds === $this->second) {
            throw new TimeUp($leg);
        }
        if ($interrupt === $this->second) {
            throw new Interrupted();
        }
    }

    /** @return int seconds until the caller gives up, or something else ends what goes on */
    public function secondsLeft(): int
    {
        $leg = $this->firstLeg();

        return max(
            0,
            min(
                $this->patience(),
                null === $leg ? \PHP_INT_MAX : (int) $this->legs[$leg],
                $this->interruptAt ?? \PHP_INT_MAX,
                TrialCall::MOST_SECONDS,
            ) - $this->second,
        );
    }

    /** The second at which the caller gives up; nobody does who has hung up already. */
    private function patience(): int
    {
        return $this->isHungUp ? \PHP_INT_MAX : $this->assumptions->caller->patienceSeconds ?? \PHP_INT_MAX;
    }

    /** Which of the calls within the call is given up first; the outer one where two are at the same second. */
    private function firstLeg(): ?int
    {
        if ([] === $this->legs) {
            return null;
        }
        $ends = array_filter(
            $this->legs,
            fn(?int $end): bool => null !== $end && $end <= ($this->hearsFrom ?? \PHP_INT_MAX),
        );
        asort($ends);

        return array_key_first($ends);
    }

    /**
     * The language that the prompt is heard in, what fills its blanks, and for how many seconds.
     *
     * @param string|null $name of whoever is called; null for whoever rang last, else what was dialled
     */
    public function hear(?Prompt $prompt, ?string $name = null): Heard
    {
        $wanted = $this->arrival()->language;
        $language = $prompt?->languageFor($wanted) ?? $wanted;
        if (null === $prompt) {
            return new Heard(null, $language, 0);
        }
        $filled = [] === $prompt->script($language)->blanks() ? [] : $this->fill($prompt, $language, $name);

        return new Heard(
            $prompt->id(),
            $language,
            $prompt->seconds($language, $filled),
            $prompt->lengthFrom($language),
            $filled,
        );
    }

    /**
     * Lets the caller hear a prompt. Where they are gone before its end, what they heard is noted.
     *
     * @param int|null $seconds only its first ones; null for all
     *
     * @throws CallOver
     * @throws TimeUp
     */
    public function listen(Heard $heard, ?int $seconds = null): void
    {
        $this->answer();
        $start = $this->second;
        try {
            $this->pass($seconds ?? $heard->seconds);
        } catch (CallOver | Interrupted $over) {
            if ($this->second > $start) {
                $this->note(Said::partly($heard, $this->arrival()->language, $this->second - $start), $start);
            }
            throw $over;
        }
    }

    /** What the caller presses at the next menu, if anything is left. */
    public function takeKey(): ?KeyPress
    {
        $key = $this->assumptions->caller->keys[$this->keysTaken] ?? null;
        ++$this->keysTaken;

        return $key;
    }

    /**
     * What the caller presses at the next step that heeds keys meanwhile, if anything is left; nothing where no key is named.
     *
     * @param list<string> $keys  that it heeds
     * @param int|null     $heard seconds after which they are heard; null for from when the call is answered
     */
    public function takeMeanwhile(array $keys, ?int $heard): ?KeyPress
    {
        $this->heeded[] = new Heeded(
            $keys,
            \count($this->events),
            $this->second,
            $this->isAnswered ? 0 : $heard,
            $this->second,
        );
        $press = $this->assumptions->caller->meanwhile[$this->meanwhileTaken] ?? null;
        ++$this->meanwhileTaken;

        return null === $press || '' === $press->keys ? null : $press;
    }

    /** Keys are heeded no longer; they were not since others began to be heeded meanwhile. */
    public function heedsNoMore(Heeded $heeded): void
    {
        $place = (int) array_search($heeded, $this->heeded, true);
        $next = $this->heeded[$place + 1] ?? null;
        array_splice($this->heeded, $place, 1, [$heeded->until($next->from ?? $this->second)]);
    }

    /** A key is pressed at that second of the call, if it comes to that; null for none. */
    public function willInterrupt(?int $second): void
    {
        $this->interruptAt = $second;
    }

    /** Whether the call was answered: something was heard in it. */
    public function isAnswered(): bool
    {
        return $this->isAnswered;
    }

    /** The state of the hours at this second of the call; narrows the stretch in which the trace holds. */
    public function read(Hours $hours): Reading
    {
        $reading = $this->surroundings->hours->read($hours, $this->call->instant + $this->second);
        // The rules of a whole team ask for the same hours at the same second.
        if ($this->lastRead !== [$hours->id(), $this->second]) {
            $this->lastRead = [$hours->id(), $this->second];
            $lookup = new HoursLookup($hours, $this->second);
            $this->look($lookup, $lookup->found($reading));
        }

        return $reading;
    }

    /** Whether an instant (Unix seconds) has passed at this second of the call. */
    public function hasPassed(int $instant): bool
    {
        $lookup = new InstantLookup($instant, $this->second);
        $found = $lookup->at($this->call->instant, $this->surroundings->hours);
        $this->look($lookup, $found);

        return InstantLookup::PASSED === $found->answer;
    }

    /** @return array<string, string> words by blank */
    private function fill(Prompt $prompt, string $language, ?string $name): array
    {
        $hours = $this->plan->get(Hours::class, $prompt->hours) ?? $this->lastHours;
        $zone =
            null === $hours
                ? $this->plan->get(Site::class, $this->arrival()->at->site)->place->zone ?? 'UTC'
                : $this->surroundings->hours->zone($hours);
        $rang = $this->lastRinging()?->target;
        $name ??= null === $rang?->element ? null : $this->plan->find($rang->element)?->name();
        $facts = new CallFacts($hours, $zone, $name ?? $this->arrival()->shown->label, $this->wait());
        $lookup = new BlanksLookup($prompt, $language, $facts, $this->second);
        $this->look($lookup, $lookup->at($this->call->instant, $this->surroundings->hours));

        return $lookup->look($this->call->instant, $this->surroundings->hours)[0];
    }

    /** Keeps a lookup and what it found; it narrows the stretch of instants in which the trace holds. */
    private function look(Lookup $lookup, Found $found): void
    {
        $this->lookups[] = [$lookup, $found->answer];
        if (null !== $found->since) {
            $this->holdsSince = max($this->holdsSince ?? \PHP_INT_MIN, $found->since);
            $this->sameSince = max($this->sameSince, $found->since + $this->second);
        }
        if (null !== $found->until) {
            $this->holdsUntil = min($this->holdsUntil ?? \PHP_INT_MAX, $found->until);
            $this->sameUntil = min($this->sameUntil, $found->until + $this->second);
        }
    }

    public function zoneOf(Hours $hours): string
    {
        return $this->surroundings->hours->zone($hours);
    }

    public function noteHours(?Hours $hours, ?Reading $reading, bool $hasExit): void
    {
        $this->lastHours = $hours ?? $this->lastHours;
        $this->note(
            new HoursRead(
                $hours?->id(),
                $reading,
                null === $hours ? 'UTC' : $this->surroundings->hours->zone($hours),
                $hasExit,
            ),
        );
    }

    /**
     * @param list<Rung> $rung    in seconds since the call began
     * @param bool       $dialled whether any phone was dialled
     */
    public function rang(array $rung, bool $dialled): void
    {
        $this->timesDialled += $dialled ? 1 : 0;
        array_push($this->rung, ...$rung);
        foreach ($rung as $one) {
            if (null !== $one->times->rings) {
                $this->rungSeconds[$one->phone->id] =
                    ($this->rungSeconds[$one->phone->id] ?? 0) + $one->times->seconds();
            }
        }
    }

    /**
     * Seconds for which phones rang since they do what they do at a second.
     *
     * @param Assumptions $now what holds at it
     *
     * @return array<string, int> by phone
     */
    public function rangBefore(Assumptions $now): array
    {
        if ($now === $this->assumptions) {
            return $this->rungSeconds;
        }
        $before = [];
        foreach (\array_slice($this->rung, $this->rungAnew) as $one) {
            if (null !== $one->times->rings && $one->times->from >= $now->of($one->phone->names())->from) {
                $before[$one->phone->id] = ($before[$one->phone->id] ?? 0) + $one->times->seconds();
            }
        }

        return $before;
    }

    /** Phones ring as if they had not rung before in this call. */
    public function ringsAnew(): void
    {
        $this->rungSeconds = [];
        $this->rungAnew = \count($this->rung);
    }

    public function lastRinging(): ?Ringing
    {
        return $this->lastRinging;
    }

    /** @param (\Closure(int): Waits)|null $wait how the caller waits at a second; null once they do no more */
    public function waits(?\Closure $wait): void
    {
        $this->wait = $wait;
    }

    /** Where in a queue the caller waits at this second; null where they do not. */
    private function wait(): ?Waits
    {
        return null === $this->wait ? null : ($this->wait)($this->second);
    }

    /** How many times phones were dialled. */
    public function timesDialled(): int
    {
        return $this->timesDialled;
    }

    /** The status of somebody at this second; narrows the stretch in which the trace holds to its end. */
    public function statusOf(string $person): Status
    {
        $assumed = $this->assumptions->circumstances->statuses[$person] ?? null;
        $live = $this->surroundings->live->statuses[$person] ?? null;
        if (null !== $assumed || null === $live) {
            return $assumed ?? Status::Available;
        }

        return null !== $live->until && $this->hasPassed($live->until) ? Status::Available : $live->status;
    }

    /** @return array<string, int> channels of outside lines that are taken, by line: by other calls, and by this one if it came in by a line */
    public function channelsInUse(): array
    {
        $inUse = $this->assumptions->circumstances->channelsTaken;
        $came = $this->arrivals[0];
        if (null !== $came->at->site && !$came->caller->isExtension()) {
            foreach ($this->lines->of($came->at->site) as $line) {
                if (($inUse[$line->id()] ?? 0) < $line->channels) {
                    $inUse[$line->id()] = 1 + ($inUse[$line->id()] ?? 0);
                    break;
                }
            }
        }

        return $inUse;
    }

    /** The same call at this second, as it goes on with other assumptions; what happened before, and what rang, is left behind. */
    public function goingOn(Assumptions $assumptions): self
    {
        $copy = new self($this->call, $assumptions, $this->surroundings, $this->arrivals[0], $this->arrive, new Work());
        $copy->roster->after($this->roster);
        $copy->second = $this->second;
        $copy->keysTaken = $this->keysTaken;
        $copy->meanwhileTaken = $this->meanwhileTaken;
        $copy->journey = $this->journey;
        $copy->step = $this->step;
        $copy->timesDialled = $this->timesDialled;
        $copy->arrivals = $this->arrivals;
        $copy->isHungUp = $this->isHungUp;
        $copy->isAnswered = $this->isAnswered;
        $copy->lastHours = $this->lastHours;
        $copy->lastRinging = $this->lastRinging;
        if (null !== $this->kept && null !== $this->afterwards) {
            $copy->kept = $this->kept;
            $copy->afterwards = [$this->afterwards[0], $this->afterwards[1], ($this->kept->callBack)($copy)];
        }

        return $copy;
    }

    /** How many menus have asked. */
    public function keysTaken(): int
    {
        return $this->keysTaken;
    }

    /** @return list<Heeded> keys that were heeded meanwhile, each time */
    public function heeded(): array
    {
        return $this->heeded;
    }

    /** @return list<Event> in the order in which they came about */
    public function events(): array
    {
        return $this->events;
    }

    /** @return list<Rung> */
    public function rung(): array
    {
        return $this->rung;
    }

    /**
     * Seconds of the call between which whatever was looked up since is the same whenever it is looked up.
     *
     * @return array{int, int} the first of them, and the first after them
     */
    public function isSame(): array
    {
        return [
            \PHP_INT_MIN === $this->sameSince ? \PHP_INT_MIN : $this->sameSince - $this->call->instant,
            \PHP_INT_MAX === $this->sameUntil ? \PHP_INT_MAX : $this->sameUntil - $this->call->instant,
        ];
    }

    /**
     * Equal for calls that go on alike but for the phones that rang before, and the second.
     *
     * @param list<string> $exits    of the last ringing that count: they choose greetings
     * @param bool         $withName whether it counts who rang: prompts say the name
     */
    public function condition(array $exits, bool $withName): string
    {
        $rang = $this->lastRinging;

        return serialize([
            $this->arrival()->at->element,
            $this->arrival()->tag,
            $this->isAnswered,
            $this->lastHours?->id(),
            \in_array($rang?->exit, $exits, true) ? $rang->exit : null,
            $withName ? $rang?->target?->element : null,
            // A place is kept for so long since it was waited for.
            null === $this->kept ? null : [$this->kept->queue, $this->second - $this->kept->start],
        ]);
    }

    public function trace(Ending $ending): Trace
    {
        // What goes on while phones ring is known afterwards.
        usort($this->events, static fn(Event $one, Event $other): int => $one->second <=> $other->second);

        return new Trace(
            $this->call,
            new Passage($this->events, $this->visits, $this->rung),
            $ending,
            $this->second,
            $this->arrival()->shown,
            new Holds($this->holdsSince, $this->holdsUntil, $this->lookups),
        );
    }
}
