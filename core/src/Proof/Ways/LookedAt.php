<?php

declare(strict_types=1);

namespace Meandros\Core\Proof\Ways;

use Meandros\Core\Call\Behaviour;
use Meandros\Core\Call\PhoneAssumption;
use Meandros\Core\Plan\Element\Person;
use Meandros\Core\Plan\Element\Queue;
use Meandros\Core\Plan\Element\Team;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Plan\Step\QueueStep;
use Meandros\Core\Ringing\Rung;
use Meandros\Core\Routing\Event;
use Meandros\Core\Routing\Happening\Happening;
use Meandros\Core\Routing\Happening\QueueEntered;
use Meandros\Core\Routing\Happening\Ringing;
use Meandros\Core\Routing\Happening\SentOn;
use Meandros\Core\Routing\Happening\TriesAgain;
use Meandros\Core\Routing\Walk;
use Meandros\Core\Value\Lists;

/** At what happens, of which phones it is looked at what they do. */
final readonly class LookedAt
{
    public function __construct(private Plan $plan) {}

    /** @return list<string> of which it is looked at what they do */
    public function phones(Happening $what): array
    {
        return match (true) {
            $what instanceof Ringing => [
                ...array_map(static fn(Rung $rung): string => $rung->phone->id, $what->rung),
                ...$this->onACall($what),
            ],
            // Where nobody is signed in it ends with that.
            $what instanceof QueueEntered => QueueStep::NO_AGENTS === $what->exit ? [] : $this->ofAgents($what->queue),
            $what instanceof SentOn => null === $what->number ? [] : [$what->number],
            default => [],
        };
    }

    /** @return list<string> phones that do not ring, and of which it is known that they are not busy */
    public function wouldRing(Ringing $what): array
    {
        $silent = array_filter(
            $what->isDialled() ? [] : $what->rung,
            static fn(Rung $one): bool => Rung::NOT_REACHED === $one->outcome,
        );

        return [
            ...array_map(static fn(Rung $one): string => $one->phone->id, array_values($silent)),
            ...$this->onACall($what),
        ];
    }

    /** @return list<string> phones that do not ring, but keep others of their owner's from ringing where they are busy */
    public function onACall(Ringing $what): array
    {
        if (!self::skipsBusy($this->plan, $what)) {
            return [];
        }
        $rung = $phones = [];
        foreach ($what->rung as $one) {
            $rung[$one->phone->id] = true;
            $phones += array_flip($this->plan->get(Person::class, $one->phone->owner->person)?->phoneIds() ?? []);
        }

        return array_keys(array_diff_key($phones, $rung));
    }

    /** Whether one busy phone may keep all of somebody's from ringing: in the team that rings, or one that a rule has ring with somebody. */
    public static function skipsBusy(Plan $plan, Ringing $what): bool
    {
        $teams = [$what->target?->element];
        foreach ($what->why->choice->rule->ringing->stages ?? [] as $stage) {
            array_push($teams, ...$stage->teams);
        }
        foreach ($teams as $team) {
            if (true === $plan->get(Team::class, $team)?->manners->skipBusy) {
                return true;
            }
        }

        return false;
    }

    /** @return list<string> */
    private function ofAgents(?string $queue): array
    {
        $phones = [];
        foreach (Queue::askedIn($this->plan, $queue) as $member) {
            array_push($phones, ...$this->plan->get(Person::class, $member->who)?->phoneIds() ?? []);
        }

        return $phones;
    }

    /**
     * Whether it is the same for phones that ring together if all of them do one thing, or one each: none speaks for others, and no rule
     * has them ring at seconds of their own.
     */
    public function isPlain(Happening $what): bool
    {
        if (!($what instanceof Ringing) || null !== $what->why->choice?->rule) {
            return false;
        }
        $speak = array_filter($what->rung, static fn(Rung $one): bool => $one->phone->owner->refusesForAll);
        $manners = Team::mannersOf($this->plan, $what->target);

        return [] === $speak && true !== $manners?->skipBusy && true !== $manners?->followRules;
    }

    /** @return array<string, list<string>> phones of which it is looked at together what they do, with all of these */
    public function together(Happening $what): array
    {
        $phones = $this->phones($what);
        // No other ringing is of all of them where one may speak for others.
        $with = $this->isPlain($what) ? $phones : [...$phones, ''];

        return \count($phones) > 1 ? array_fill_keys($phones, $with) : [];
    }

    /** What those phones did that were looked at in the second in which a step was over. */
    public function justNow(Walk $walk, Acts $acts, JustNow $before): JustNow
    {
        $second = $walk->second();
        $looked = array_filter($this->looked($walk), static fn(int $one): bool => $one === $second);
        if ([] === $looked) {
            return new JustNow();
        }
        $rang = $together = [];
        foreach ($walk->rung->latest() as [$rung, $dialled]) {
            $dialled === $second && ($rang[$rung->phone->id] = null !== $rung->times->rings);
        }
        foreach ($walk->events() as $event) {
            if ($this->last($event, $walk) !== $second) {
                continue;
            }
            $phones = $this->phones($event->happening);
            $together += $event->second === $second ? $this->together($event->happening) : [];
            $rings = $event->happening instanceof Ringing ? $this->wouldRing($event->happening) : [];
            $rang = array_fill_keys(array_intersect($phones, $rings), true) + $rang;
        }
        $did = [];
        foreach (array_keys($looked) as $phone) {
            $one = $acts->does($phone) ?? ($before->did[$phone] ?? null);
            if (null !== $one && (Behaviour::Rings !== $one->does || ($rang[$phone] ?? false))) {
                $did[$phone] = new PhoneAssumption($one->who, $one->does, $one->afterSeconds);
            }
        }

        return new JustNow($did, array_diff_key($looked, $did), $together);
    }

    /** @return array<string, int> the second at which it was last looked at what a phone does, by phone */
    private function looked(Walk $walk): array
    {
        $looked = [];
        foreach ($walk->rung->latest() as [$rung, $dialled]) {
            // Where others rang, nobody looked at those whose turn never came.
            if (Rung::NOT_REACHED !== $rung->outcome) {
                $looked[$rung->phone->id] = $dialled;
            }
        }
        foreach ($walk->events() as $event) {
            $what = $event->happening;
            // Some queues are entered only while an agent can be reached.
            $looks =
                $what instanceof QueueEntered &&
                true === $this->plan->get(Queue::class, $what->queue)?->callers->admission->needsAgent;
            $agents = $looks ? $walk->assumptions->circumstances->queues[$what->queue]->agents ?? [] : [];
            foreach ($looks ? $this->phones($what) : [] as $phone) {
                if (true === ($agents[explode('/', $phone)[0]]->signedIn ?? true)) {
                    $looked[$phone] = max($looked[$phone] ?? 0, $event->second);
                }
            }
            if ($what instanceof SentOn && null !== $what->number) {
                $looked[$what->number] = $event->second;
            }
            $last = $this->last($event, $walk);
            foreach ($what instanceof Ringing ? $this->wouldRing($what) : [] as $phone) {
                $looked[$phone] = max($looked[$phone] ?? 0, $last);
            }
        }

        return $looked;
    }

    /** When it happened; of rounds of ringing, of which only the first is told, the last. */
    public function last(Event $event, Walk $walk): int
    {
        $last = $event->second;
        if (!($event->happening instanceof Ringing) || !self::isRungAgain($event, $walk)) {
            return $last;
        }
        $phones = array_map(static fn(Rung $one): string => $one->phone->id, $event->happening->rung);
        foreach ($walk->rung->latest() as [$rung, $dialled]) {
            $last = Lists::has($phones, $rung->phone->id) ? max($last, $dialled) : $last;
        }

        return $last;
    }

    /** Whether rounds of ringing follow it. */
    private static function isRungAgain(Event $ringing, Walk $walk): bool
    {
        $before = null;
        foreach ($walk->events() as $event) {
            if ($event->happening instanceof TriesAgain && $before === $ringing) {
                return true;
            }
            $before = $event->happening instanceof Ringing ? $event : $before;
        }

        return false;
    }
}
