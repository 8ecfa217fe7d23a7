<?php

declare(strict_types=1);

namespace Meandros\Core\Proof\Ways;

use Meandros\Core\Plan\Element\Person;
use Meandros\Core\Plan\Element\Queue;
use Meandros\Core\Plan\Element\Team;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Plan\Step\QueueStep;
use Meandros\Core\Ringing\Rung;
use Meandros\Core\Routing\Happening\Happening;
use Meandros\Core\Routing\Happening\QueueEntered;
use Meandros\Core\Routing\Happening\Ringing;
use Meandros\Core\Routing\Happening\SentOn;

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
        $rung = array_fill_keys(array_map(static fn(Rung $one): string => $one->phone->id, $what->rung), true);
        $phones = [];
        foreach (true === Team::mannersOf($this->plan, $what->target)?->skipBusy ? $what->rung : [] as $one) {
            $phones += array_flip($this->plan->get(Person::class, $one->phone->owner->person)?->phoneIds() ?? []);
        }

        return array_keys(array_diff_key($phones, $rung));
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
}
