<?php

declare(strict_types=1);

namespace Meandros\Core\Queueing;

use Meandros\Core\Call\AgentState;
use Meandros\Core\Call\Assumptions;
use Meandros\Core\Call\Behaviour;
use Meandros\Core\Call\QueueState;
use Meandros\Core\Call\SignIn;
use Meandros\Core\Call\Urgency;
use Meandros\Core\Plan\Element\Queue;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Value\Lists;

/**
 * The agents of one call: how they stand when it begins, from what is stated and who is signed in, and what they do
 * meanwhile. Somebody who is in several queues is the same somebody in each.
 */
final class Roster
{
    /** Of somebody whose phones are assumed to do one of these. */
    private const AT_THE_DESK = [Behaviour::Answers, Behaviour::Refuses, Behaviour::Rings];

    /** @var array<string, Occupation> by person */
    private array $occupations = [];
    /** @var array<string, list<Agent>> by queue */
    private array $agents = [];
    /** @var array<string, Dispatcher> by queue and urgency */
    private array $dispatchers = [];
    /** @var list<array{Queue, Urgency}> */
    private array $cameTo = [];
    /** @var array<string, true>|null people of whose phones something is assumed that needs somebody at the desk */
    private ?array $atTheDesk = null;

    /** @param array<string, array<string, SignIn>> $signIns live, by queue and person; whoever is not listed is signed in */
    public function __construct(
        private readonly Plan $plan,
        private readonly Assumptions $assumptions,
        private readonly array $signIns,
    ) {}

    /** With the queues that a call came to before, in that order: who is in several of them stands as in the first. */
    public function after(self $before): void
    {
        foreach ($before->cameTo as [$queue, $urgency]) {
            $this->dispatcher($queue, $urgency);
        }
    }

    /** @return list<string> queues that the call came to, by id */
    public function cameTo(): array
    {
        return array_map(static fn(array $one): string => $one[0]->id(), $this->cameTo);
    }

    public function dispatcher(Queue $queue, Urgency $urgency): Dispatcher
    {
        $key = $queue->id() . ' ' . $urgency->value;
        isset($this->dispatchers[$key]) || ($this->cameTo[] = [$queue, $urgency]);

        return $this->dispatchers[$key] ??= new Dispatcher(
            $queue,
            $this->agents($queue),
            $this->stated($queue)->ahead->of($urgency),
            $this->seed(),
            $this->before($queue),
        );
    }

    /** @return list<Dispatcher> of queues whose callers are taken before those of this one, where somebody is in both: the lowest rank first */
    private function before(Queue $queue): array
    {
        $before = [];
        foreach ($this->assumptions->circumstances->queues as $id => $state) {
            $other = $id === $queue->id() ? null : $this->plan->get(Queue::class, $id);
            if (null !== $other && $other->rank <= $queue->rank && $state->ahead->all() > 0) {
                $before[$other->rank][] = new Dispatcher(
                    $other,
                    $this->agents($other),
                    $state->ahead->all(),
                    $this->seed(),
                );
            }
        }
        ksort($before);

        return array_merge(...array_values($before));
    }

    /** @return list<Agent> those who are on, in the queue's order */
    private function agents(Queue $queue): array
    {
        return $this->agents[$queue->id()] ??= $this->asStated($queue);
    }

    /** @return list<Agent> */
    private function asStated(Queue $queue): array
    {
        $state = $this->stated($queue);
        $free = $this->firstFree($queue, $state);
        $agents = [];
        foreach ($queue->agents->asked() as $member) {
            $given = $state->agents[$member->who] ?? $this->usually($queue, $member->who, $free);
            $isAway =
                !$given->signedIn ||
                (!isset($state->agents[$member->who]) && SignIn::In !== $this->signIn($queue, $member->who));
            $agents[] = new Agent(
                $member->who,
                $member->tier,
                $given->signedIn,
                $this->occupation($member->who, $given, $isAway),
                $member->calls,
            );
        }

        return $agents;
    }

    /**
     * What somebody is busy with: the same in all of their queues. Being signed out of one, or in a pause there, says nothing
     * of the others; nor does a call without a known end of which nothing was stated.
     */
    private function occupation(string $who, AgentState $given, bool $isAway): Occupation
    {
        if ($isAway) {
            return new Occupation(null, 0);
        }
        $now =
            $this->occupations[$who] ??
            new Occupation($given->freeAfter, ($given->freeAfter ?? 0) - $given->idle, $given->calls, $given->talk);
        if (null !== $given->freeAfter) {
            $this->occupations[$who] = $now;
        }

        return $now;
    }

    /** How somebody stands of whom nothing is stated. */
    private function usually(Queue $queue, string $who, ?string $free): AgentState
    {
        $signIn = $this->signIn($queue, $who);
        $freeAfter = match (true) {
            SignIn::In !== $signIn => null,
            $who === $free => $this->stated($queue)->free,
            default => isset($this->assumptions->circumstances->queues[$queue->id()]) || !$this->isAtTheDesk($who)
                ? null
                : 0,
        };

        return new AgentState(SignIn::Out !== $signIn, $freeAfter);
    }

    /** Who is free when the state says so: of those of whom nothing is stated one whose phones are assumed to do something, or the first. */
    private function firstFree(Queue $queue, QueueState $state): ?string
    {
        $first = null;
        foreach (null === $state->free ? [] : $queue->agents->asked() as $member) {
            if (!isset($state->agents[$member->who]) && SignIn::In === $this->signIn($queue, $member->who)) {
                if ($this->isAtTheDesk($member->who)) {
                    return $member->who;
                }
                $first ??= $member->who;
            }
        }

        return $first;
    }

    private function isAtTheDesk(string $who): bool
    {
        if (null === $this->atTheDesk) {
            $this->atTheDesk = [];
            foreach ($this->assumptions->phones as $phone) {
                if (Lists::has(self::AT_THE_DESK, $phone->does)) {
                    $this->atTheDesk[explode('/', $phone->who)[0]] = true;
                }
            }
        }

        return isset($this->atTheDesk[$who]);
    }

    private function signIn(Queue $queue, string $who): SignIn
    {
        return $this->signIns[$queue->id()][$who] ?? SignIn::In;
    }

    private function stated(Queue $queue): QueueState
    {
        return $this->assumptions->circumstances->queues[$queue->id()] ?? new QueueState();
    }

    private function seed(): int
    {
        return $this->assumptions->earlier->seed;
    }
}
