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
use Meandros\Core\Proof\Ways\Acts;
use Meandros\Core\Proof\Ways\Asking;
use Meandros\Core\Proof\Ways\Question;
use Meandros\Core\Proof\Ways\Stated;
use Meandros\Core\Routing\Happening\QueueEntered;

/**
 * How a queue stands that a call comes to, and what the caller presses there: nobody is free, or one agent is, at once or
 * shortly before the wait is over; the call is not let in, for each reason; the caller leaves, or keeps the place. What is
 * stated of the queue counts: then only the caller has a choice.
 */
final class QueueStands implements Question
{
    public function about(Asking $at): ?string
    {
        \assert($at->what instanceof QueueEntered);
        $queue = $at->what->queue;

        return null === $queue ||
            isset($at->stand()->acts->stated->queues[$queue]) ||
            isset($at->acts->stated->queues[$queue])
            ? null
            : 'queue ' . $queue;
    }

    public function answers(Asking $at): array
    {
        $queue = self::queue($at);
        $stated = $at->given()->circumstances->queues[$queue->id()] ?? null;
        $last = $queue->waiting->longestSeconds - 1;
        $callers = [
            new WaitingCaller(),
            ...null === $queue->waiting->leaveKey ? [] : [new WaitingCaller(0), new WaitingCaller($last)],
            ...null === $queue->callback?->offer->key
                ? []
                : [new WaitingCaller(null, 0), new WaitingCaller(null, $last)],
        ];
        $answers = [];
        foreach ($callers as $caller) {
            $answers[] = self::stands(
                $queue,
                new QueueState($stated->ahead ?? new Ahead(), $stated?->free, $stated->agents ?? [], $caller),
            );
        }

        return null === $stated ? [...$answers, ...self::notLetIn($queue), ...self::free($at, $queue)] : $answers;
    }

    public function takesKey(): bool
    {
        return false;
    }

    public function areAll(Asking $at): bool
    {
        // Who is asked in one queue is asked later in another: how they stand there depends on both.
        return true;
    }

    /** @return list<Acts> nobody is signed in, as many wait as may, the wait is too long */
    private static function notLetIn(Queue $queue): array
    {
        $admission = $queue->admission;
        $members = array_map(static fn(QueueMember $member): string => $member->who, array_values($queue->asked()));
        $out = array_fill_keys($members, new AgentState(false, null));
        $states =
            $admission->needsAgent || null !== $admission->mostExpectedSeconds ? [new QueueState(agents: $out)] : [];
        if (null !== $admission->mostWaiting) {
            $states[] = new QueueState(new Ahead(0, $admission->mostWaiting));
        }
        if (null !== $admission->mostExpectedSeconds && [] !== $members) {
            // With one agent the wait is long before many are ahead.
            $ahead = intdiv($admission->mostExpectedSeconds, max(1, $admission->handlingSeconds));
            $states[] = new QueueState(new Ahead(0, $ahead), null, [$members[0] => new AgentState(true, null)] + $out);
        }

        return array_map(static fn(QueueState $state): Acts => self::stands($queue, $state), $states);
    }

    /** @return list<Acts> one agent is free, or all of them are out of reach */
    private static function free(Asking $at, Queue $queue): array
    {
        $ends = $at->since + $queue->waiting->longestSeconds;
        $free = $phones = [];
        foreach ($queue->asked() as $member) {
            $atOnce = self::agent($queue, $member->who, 0);
            $free[] = $atOnce;
            $run = $at->try($atOnce);
            $asked = null;
            $late = [];
            foreach ($run->walk->rung() as $rung) {
                $asked ??= $rung->from;
                if (null !== $rung->rings && !isset($phones[$rung->phone->id])) {
                    $phones[$rung->phone->id] = new PhoneAssumption($rung->phone->id, Behaviour::Unreachable);
                    // As late as it can begin to ring, and as late as what takes the call after a while still can.
                    $late[$rung->rings - $asked] = true;
                    $late[$rung->until - $asked] = true;
                }
            }
            foreach (array_keys($late) as $seconds) {
                $ends - 1 - $seconds > 0 && ($free[] = self::agent($queue, $member->who, $ends - 1 - $seconds));
            }
        }
        $unreachable = self::stands($queue, new QueueState())->then(
            Acts::ringing(array_diff_key($phones, $at->stand()->now, $at->stand()->reached)),
        );

        return [...$free, ...$queue->admission->needsAgent ? [$unreachable] : []];
    }

    /** Nobody is free but one agent, from that second of the call on. */
    private static function agent(Queue $queue, string $who, int $freeAfter): Acts
    {
        return self::stands($queue, new QueueState(agents: [$who => new AgentState(true, $freeAfter)]));
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
