<?php

declare(strict_types=1);

namespace Meandros\Core\Proof\Ways\Question;

use Meandros\Core\Call\AgentState;
use Meandros\Core\Call\Ahead;
use Meandros\Core\Call\Behaviour;
use Meandros\Core\Call\PhoneAssumption;
use Meandros\Core\Call\QueueState;
use Meandros\Core\Call\WaitingCaller;
use Meandros\Core\Plan\Element\Queue;
use Meandros\Core\Plan\Element\QueueMember;
use Meandros\Core\Plan\Step\QueueStep;
use Meandros\Core\Proof\Ways\Acts;
use Meandros\Core\Proof\Ways\Asking;
use Meandros\Core\Proof\Ways\Question;
use Meandros\Core\Proof\Ways\Stated;
use Meandros\Core\Proof\Ways\Untried;
use Meandros\Core\Proof\Ways\Usual;
use Meandros\Core\Routing\Happening\CallbackTaken;
use Meandros\Core\Routing\Happening\LeftByKey;
use Meandros\Core\Routing\Happening\QueueEntered;
use Meandros\Core\Routing\Happening\WaitedInVain;

/**
 * How a queue stands that a call comes to, and what the caller presses there: nobody is free, or one agent is, at once or
 * shortly before the wait is over; the call is not let in, for each reason; the caller leaves, or keeps the place. What is
 * stated of the queue counts: then only the caller has a choice. Callers who come back do what they did before.
 */
final class QueueStands implements Question
{
    use Usual;

    public function about(Asking $at): ?string
    {
        \assert($at->what instanceof QueueEntered);
        $queue = $at->what->queue;
        if (null === $queue || isset($at->acts->stated->queues[$queue])) {
            return null;
        }
        $before = $at->stand()->acts->stated;
        $about = self::again($queue);

        return match (true) {
            !isset($before->queues[$queue]) => 'queue ' . $queue,
            !$before->waitedInVain($queue),
            isset($at->given()->circumstances->queues[$queue]),
            $at->isSettled($about)
                => null,
            default => $about,
        };
    }

    public function answers(Asking $at): array
    {
        $queue = self::queue($at);
        $before = $at->stand()->acts->stated->queues[$queue->id()] ?? null;

        return null === $before ? self::first($at, $queue) : self::nextTime($at, $queue, $before->caller);
    }

    /** @return list<Acts> */
    private static function first(Asking $at, Queue $queue): array
    {
        $stated = $at->given()->circumstances->queues[$queue->id()] ?? null;
        $last = $queue->callers->waiting->longestSeconds - 1;
        $seconds = [...$at->soonest(0, $last), $last];
        $leaves = static fn(int $second): WaitingCaller => new WaitingCaller($second);
        $keeps = static fn(int $second): WaitingCaller => new WaitingCaller(null, $second);
        $callers = [
            new WaitingCaller(),
            ...null === $queue->callers->waiting->leaveKey ? [] : array_map($leaves, $seconds),
            ...null === $queue->callers->callback?->offer->key ? [] : array_map($keeps, $seconds),
        ];
        $answers = [];
        foreach ($callers as $caller) {
            $answers[] = self::stands(
                $queue,
                new QueueState($stated->ahead ?? new Ahead(), $stated?->free, $stated->agents ?? [], $caller),
            );
        }

        return null === $stated
            ? [
                ...$answers,
                ...self::notLetIn($queue),
                ...self::free($at, $queue, new WaitingCaller(), $at->since + $queue->callers->waiting->longestSeconds),
                ...$queue->callers->admission->needsAgent ? self::unreachable($at, $queue) : [],
            ]
            : [...$answers, ...self::statedUnreachable($at, $queue, $stated)];
    }

    /** @return list<Acts> nobody who is stated to be signed in is within reach */
    private static function statedUnreachable(Asking $at, Queue $queue, QueueState $stated): array
    {
        $out = array_filter($stated->agents, static fn(AgentState $one): bool => !$one->signedIn);
        $phones = array_diff_key(self::phones($at, $queue), $out);

        return $queue->callers->admission->needsAgent && [] !== $phones
            ? [self::stands($queue, $stated)->then(self::gone($at, array_merge(...array_values($phones))))]
            : [];
    }

    /**
     * Whoever comes back to a queue does there what they did before; somebody may be free by now, or nobody within reach.
     *
     * @return list<Acts>
     */
    private static function nextTime(Asking $at, Queue $queue, WaitingCaller $caller): array
    {
        $settled = Acts::settling([self::again($queue->id())]);
        $answers = [new Acts(), ...self::free($at, $queue, $caller, self::until($at, $queue))];
        if ($queue->callers->admission->needsAgent) {
            $answers[] = self::gone($at, array_merge(...array_values(self::phones($at, $queue))));
        }

        return array_map(static fn(Acts $one): Acts => $settled->then($one), $answers);
    }

    /** The second since the step began at which the wait is over where nobody is free. */
    private static function until(Asking $at, Queue $queue): int
    {
        foreach ($at->run->walk->events() as $event) {
            $what = $event->happening;
            $isOver = $what instanceof LeftByKey || $what instanceof CallbackTaken || $what instanceof WaitedInVain;
            if ($isOver && $what->queue === $queue->id()) {
                return $event->second - $at->stand()->walk->second();
            }
        }

        return $at->since;
    }

    /** Where it is stated who is free, they may be asked again and again: only as if they did the same each time. */
    public function untried(Asking $at): ?Untried
    {
        $stated = $at->given()->circumstances->queues[self::queue($at)->id()] ?? null;
        $free = array_filter(
            $stated->agents ?? [],
            static fn(AgentState $one): bool => $one->signedIn && null !== $one->freeAfter,
        );

        return [] === $free && null === $stated?->free ? null : Untried::PhoneAgain;
    }

    /** @return list<Acts> nobody is signed in, as many wait as may, the wait is too long */
    private static function notLetIn(Queue $queue): array
    {
        $admission = $queue->callers->admission;
        $out = self::out($queue);
        $first = array_key_first($out);
        $states =
            $admission->needsAgent || null !== $admission->mostExpectedSeconds ? [new QueueState(agents: $out)] : [];
        if (null !== $admission->mostWaiting) {
            $states[] = new QueueState(new Ahead(0, $admission->mostWaiting));
        }
        if (null !== $admission->mostExpectedSeconds && null !== $first) {
            // With one agent the wait is long before many are ahead.
            $ahead = intdiv($admission->mostExpectedSeconds, max(1, $admission->handlingSeconds));
            $states[] = new QueueState(new Ahead(0, $ahead), null, [$first => new AgentState(true, null)] + $out);
        }

        return array_map(static fn(QueueState $state): Acts => self::stands($queue, $state), $states);
    }

    /** @return array<string, AgentState> nobody is signed in */
    private static function out(Queue $queue): array
    {
        $members = array_map(
            static fn(QueueMember $member): string => $member->who,
            array_values($queue->agents->asked()),
        );

        return array_fill_keys($members, new AgentState(false, null));
    }

    /** @return list<Acts> one agent is free and takes the call */
    private static function free(Asking $at, Queue $queue, WaitingCaller $caller, int $until): array
    {
        $answers = [];
        foreach ($queue->agents->asked() as $member) {
            foreach (self::agent($at, $queue, $member->who, $caller, $until)->takes() as $takes) {
                array_push($answers, ...array_values($takes));
            }
        }

        return $answers;
    }

    /** @return list<Acts> the only agent who is signed in is out of reach; whoever it is, where it is no matter later */
    private static function unreachable(Asking $at, Queue $queue): array
    {
        $answers = [];
        $out = self::out($queue);
        foreach (self::phones($at, $queue) as $who => $phones) {
            $only = new QueueState(agents: [$who => new AgentState(true, null)] + $out);
            $gone = self::stands($queue, $only)->then(self::gone($at, $phones));
            if (!$at->later()->rings($who) && self::isLeftUnreachable($at, $gone)) {
                return [$gone];
            }
            $answers[] = $gone;
        }

        return $answers;
    }

    private static function isLeftUnreachable(Asking $at, Acts $gone): bool
    {
        foreach ($at->try($gone)->walk->events() as $event) {
            $what = $event->happening;
            \assert($at->what instanceof QueueEntered);
            if ($what instanceof QueueEntered && $what->queue === $at->what->queue) {
                return QueueStep::UNREACHABLE === $what->exit;
            }
        }

        return false;
    }

    /** @param list<string> $phones that are out of reach, but for those that could be reached in this very second */
    private static function gone(Asking $at, array $phones): Acts
    {
        $gone = array_map(
            static fn(string $phone): PhoneAssumption => new PhoneAssumption($phone, Behaviour::Unreachable),
            array_combine($phones, $phones),
        );

        return Acts::ringing(
            0 === $at->since
                ? array_diff_key($gone, $at->stand()->justNow->did, $at->stand()->justNow->reached)
                : $gone,
            $at->since,
        );
    }

    /** @return array<string, list<string>> that ring when an agent is asked, by person */
    private static function phones(Asking $at, Queue $queue): array
    {
        $phones = [];
        $until = $at->since + $queue->callers->waiting->longestSeconds;
        foreach ($queue->agents->asked() as $member) {
            $agent = self::agent($at, $queue, $member->who, new WaitingCaller(), $until);
            $phones[$member->who] = array_keys($agent->phones);
        }

        return $phones;
    }

    private static function agent(Asking $at, Queue $queue, string $who, WaitingCaller $caller, int $until): FreeAgent
    {
        $free = static fn(int $second): Acts => self::stands(
            $queue,
            new QueueState(agents: [$who => new AgentState(true, $second)], caller: $caller),
        );

        return new FreeAgent($at, $queue, $who, $free, $until);
    }

    private static function again(string $queue): string
    {
        return 'queue again ' . $queue;
    }

    private static function stands(Queue $queue, QueueState $state): Acts
    {
        return new Acts(stated: new Stated([$queue->id() => $state]));
    }

    private static function queue(Asking $at): Queue
    {
        \assert($at->what instanceof QueueEntered);

        return $at->plan()->get(Queue::class, $at->what->queue) ?? throw new \LogicException('No such queue.');
    }
}
