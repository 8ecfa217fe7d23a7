<?php

declare(strict_types=1);

namespace Meandros\Core\Routing;

use Meandros\Core\Call\Assumptions;
use Meandros\Core\Call\Status;
use Meandros\Core\Call\Tag;
use Meandros\Core\Call\TrialCall;
use Meandros\Core\Outside\Lines;
use Meandros\Core\Plan\Element\Hours;
use Meandros\Core\Plan\Element\Prompt;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Queueing\Roster;
use Meandros\Core\Ringing\Phones;
use Meandros\Core\Routing\Happening\Happening;
use Meandros\Core\Routing\Happening\HoursRead;
use Meandros\Core\Routing\Happening\Ringing;
use Meandros\Core\Routing\Happening\Said;
use Meandros\Core\Routing\Lookup\BlanksLookup;
use Meandros\Core\Routing\Lookup\CallFacts;
use Meandros\Core\Routing\Lookup\Lookups;
use Meandros\Core\Time\Reading;
use Meandros\Core\Value\Lists;

/** A call on its way: its clock, where it is, and what has happened to it so far. */
final class Walk
{
    /** Steps that it may come to again; those that it comes to for the first time are not counted. */
    public const MOST_REPEATS = 100;

    private ?string $journey = null;
    private ?string $step = null;
    /** @var array<string, true> steps that it came to */
    private array $seen = [];
    private int $repeats = 0;
    /** @var list<Event> */
    private array $events = [];
    /** @var list<Visit> */
    private array $visits = [];
    /** @var list<Arrival> how it came in each time before the last */
    private array $earlier = [];
    private ?PlaceKept $kept = null;
    /** @var array{string|null, string|null, \Closure(): Ending}|null where it was, and what goes on once the caller has hung up */
    private ?array $afterwards = null;
    private ?HungUp $hungUp = null;
    /** @var array<string, Prompt> that callers hear, by id */
    private array $heard = [];
    private bool $usesTag = false;
    private ?Hours $lastHours = null;
    private ?Ringing $lastRinging = null;
    /** @var (\Closure(int): Waits)|null */
    private ?\Closure $wait = null;
    private readonly Assumed $assumed;
    public readonly CallClock $clock;
    public readonly KeysTaken $keys;
    public readonly RungSoFar $rung;
    public readonly Lookups $lookups;
    public readonly Roster $roster;

    public readonly Plan $plan;
    public readonly Lines $lines;
    public readonly Phones $phones;

    /** @param \Closure(self, string): Onward $arrive lets it come in by one of our numbers, in E.164 */
    public function __construct(
        public readonly TrialCall $call,
        public readonly Assumptions $assumptions,
        private readonly Surroundings $surroundings,
        private Arrival $arrival,
        private readonly \Closure $arrive,
        private readonly Work $work,
    ) {
        $this->plan = $surroundings->plan;
        $this->lines = $surroundings->lines;
        $this->phones = $surroundings->phones;
        $this->assumed = new Assumed($assumptions);
        $this->clock = new CallClock($assumptions->caller->patienceSeconds);
        $this->keys = new KeysTaken($assumptions->caller);
        $this->rung = new RungSoFar();
        $this->lookups = new Lookups($call->instant, $surroundings->hours);
        $this->roster = new Roster($this->plan, $assumptions, $surroundings->live->signIns);
    }

    /** What is assumed at this second. */
    public function assumed(): Assumptions
    {
        return $this->assumed->at($this->second());
    }

    /** The first second from which on something else is assumed. */
    public function assumedUntil(): int
    {
        return $this->assumed->until($this->second());
    }

    /** Seconds since the call began. */
    public function second(): int
    {
        return $this->clock->second();
    }

    /** How it came in. */
    public function arrival(): Arrival
    {
        return $this->arrival;
    }

    /** The language that the call is in. */
    public function language(): string
    {
        return $this->arrival->language;
    }

    /** @return array<string, Prompt> that the caller heard so far, at least in part, by id: in another language they may last longer */
    public function heard(): array
    {
        return $this->heard;
    }

    /** For how many seconds a prompt is heard in the language that the call is in; null where it has blanks in it. */
    public function lasts(Prompt $prompt): ?int
    {
        return $this->surroundings->hearing->of($prompt, $prompt->languageFor($this->language()))?->seconds;
    }

    /** Whether it counts by what the call has its language: something was put on it, or it came in once more. */
    public function usesTag(): bool
    {
        return $this->usesTag;
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
        $before = [$this->arrival, $this->earlier, $this->journey, $this->step];
        [$onward, $wasAnswered] = $this->clock->within($seconds, fn(): Onward => ($this->arrive)($this, $number));
        if (null !== $onward?->ending) {
            return $onward;
        }
        // It goes on from where it was.
        [$this->arrival, $this->earlier, $this->journey, $this->step] = $before;

        return $wasAnswered ? Onward::end(new Ending(EndingKind::RanOut)) : $onward;
    }

    /**
     * What was put on it before, it still carries.
     *
     * @throws CallOver when it came in so already
     */
    public function arriveBy(Arrival $arrival): void
    {
        foreach ([...$this->earlier, $this->arrival] as $earlier) {
            if ($earlier->at->element === $arrival->at->element) {
                throw CallOver::stopped(Stop::Number);
            }
        }
        $this->usesTag = true;
        $this->earlier[] = $this->arrival;
        $this->arrival = $arrival->tagged($this->arrival->tag);
    }

    /** What the call carries changes, from here on. */
    public function tag(Tag $tag): void
    {
        $this->usesTag = true;
        $this->arrival = $this->arrival->tagged($tag);
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
        $this->afterwards = null;
        $this->clock->hangUp();
        $since = $this->second();
        $this->hungUp = null === $this->kept ? null : new HungUp($this->kept, \count($this->events), $since);
        try {
            return $do();
        } finally {
            $this->leave($since, null, false);
        }
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
            $this->second(),
            $exit,
            $exitTaken,
        );
    }

    public function note(Happening $happening, ?int $second = null): void
    {
        $this->lastRinging = $happening instanceof Ringing ? $happening : $this->lastRinging;
        $this->events[] = new Event(
            $second ?? $this->second(),
            $this->journey,
            $this->step,
            $happening,
            $this->arrival->shown,
        );
    }

    /**
     * @throws CallOver    when the caller gives up, or the call has lasted too long
     * @throws TimeUp      when a call to one of our own numbers is given up
     * @throws Interrupted when the caller presses a key that the step heeds
     */
    public function pass(int $seconds): void
    {
        $this->clock->pass($seconds);
    }

    /**
     * The language that the prompt is heard in, what fills its blanks, and for how many seconds.
     *
     * @param string|null $name of whoever is called; null for whoever rang last, else what was dialled
     */
    public function hear(?Prompt $prompt, ?string $name = null): Heard
    {
        if (null === $prompt) {
            return new Heard(null, $this->arrival->language, 0);
        }
        $language = $prompt->languageFor($this->language());
        $this->heard[$prompt->id()] = $prompt;
        $heard = $this->surroundings->hearing->of($prompt, $language);
        if (null !== $heard) {
            return $heard;
        }
        $filled = $this->fill($prompt, $language, $name);

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
        $this->clock->answer();
        $start = $this->second();
        try {
            $this->pass($seconds ?? $heard->seconds);
        } catch (CallOver | Interrupted $over) {
            if ($this->second() > $start) {
                $this->note(Said::partly($heard, $this->arrival->language, $this->second() - $start), $start);
            }
            throw $over;
        }
    }

    /** The state of the hours at this second of the call; narrows the stretch in which the trace holds. */
    public function read(Hours $hours): Reading
    {
        return $this->lookups->read($hours, $this->second());
    }

    /** Whether an instant (Unix seconds) has passed at this second of the call. */
    public function hasPassed(int $instant): bool
    {
        return $this->lookups->hasPassed($instant, $this->second());
    }

    /** @return array<string, string> words by blank */
    private function fill(Prompt $prompt, string $language, ?string $name): array
    {
        $hours = $this->plan->get(Hours::class, $prompt->hours) ?? $this->lastHours;
        $zone =
            null === $hours ? $this->plan->zoneOf($this->arrival->at->site) : $this->surroundings->hours->zone($hours);
        $rang = $this->lastRinging()?->target;
        $name ??= null === $rang?->element ? null : $this->plan->find($rang->element)?->name();
        $facts = new CallFacts($hours, $zone, $name ?? $this->arrival->shown->label, $this->wait());
        $second = $this->second();

        return $this->lookups->fill(new BlanksLookup($prompt, $language, $facts, $second), $second);
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
        return null === $this->wait ? null : ($this->wait)($this->second());
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
        $came = $this->earlier[0] ?? $this->arrival;
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
        $copy = new self($this->call, $assumptions, $this->surroundings, $this->arrival, $this->arrive, new Work());
        $copy->roster->after($this->roster);
        $copy->clock->goOnFrom($this->clock);
        $copy->keys->goOnFrom($this->keys);
        $copy->rung->goOnFrom($this->rung);
        $copy->journey = $this->journey;
        $copy->step = $this->step;
        $copy->earlier = $this->earlier;
        $copy->lastHours = $this->lastHours;
        $copy->lastRinging = $this->lastRinging;
        if (null !== $this->kept && null !== $this->afterwards) {
            $copy->kept = $this->kept;
            $copy->afterwards = [$this->afterwards[0], $this->afterwards[1], ($this->kept->callBack)($copy)];
        }

        return $copy;
    }

    /** The same call, where it came in as another one did. */
    public function arrived(Arrival $arrival): self
    {
        $copy = clone $this;
        $copy->arrival = $arrival;

        return $copy;
    }

    /** @return list<Event> in the order in which they came about */
    public function events(): array
    {
        return $this->events;
    }

    /**
     * Equal for calls that go on alike but for the phones that rang before, the second, and the language that was put on them.
     *
     * @param list<string> $exits    of the last ringing that count: they choose greetings
     * @param bool         $withName whether it counts who rang: prompts say the name
     */
    public function condition(array $exits, bool $withName): string
    {
        $rang = $this->lastRinging;
        $tag = $this->arrival->tag;

        return serialize([
            $this->arrival->at->element,
            [$tag->label, $tag->urgency, $tag->tone, $tag->note],
            $this->clock->isAnswered(),
            $this->lastHours?->id(),
            null !== $rang && Lists::has($exits, $rang->exit) ? $rang->exit : null,
            $withName ? $rang?->target?->element : null,
            // A place is kept for so long since it was waited for.
            null === $this->kept ? null : [$this->kept->queue, $this->second() - $this->kept->start],
        ]);
    }

    public function trace(Ending $ending): Trace
    {
        // What goes on while phones ring is known afterwards.
        usort($this->events, static fn(Event $one, Event $other): int => $one->second <=> $other->second);

        return new Trace(
            $this->call,
            new Passage($this->events, $this->visits, $this->rung->all()),
            $ending,
            $this->second(),
            $this->arrival->shown,
            $this->lookups->holds(),
        );
    }
}
