<?php

declare(strict_types=1);

namespace Meandros\Core\Proof\Ways\Question;

use Meandros\Core\Call\AgentState;
use Meandros\Core\Call\QueueState;
use Meandros\Core\Call\WaitingCaller;
use Meandros\Core\Plan\Element\Queue;
use Meandros\Core\Proof\Ways\Acts;
use Meandros\Core\Proof\Ways\Asking;
use Meandros\Core\Proof\Ways\Question;
use Meandros\Core\Proof\Ways\Stated;
use Meandros\Core\Proof\Ways\Usual;
use Meandros\Core\Routing\Happening\CallbackClosed;
use Meandros\Core\Routing\HungUp;

/**
 * Who is free for somebody who has hung up and keeps a place, and whether they take the call: nobody is; one agent is, at once or as late as
 * the place is kept, and they take it at once, in the last second, or never. Where it is stated who is free, only they have a choice.
 */
final readonly class CallbackStands implements Question
{
    use Usual;

    public function about(Asking $at): ?string
    {
        $queue = self::queue($at)->id();
        $before = $at->stand()->acts->stated->queues[$queue]->agents ?? [];

        return [] !== $before || $at->isSettled('callback ' . $queue) ? null : 'callback ' . $queue;
    }

    public function answers(Asking $at): array
    {
        $queue = self::queue($at);
        $calls = $queue->callers->callsBack()->calls;
        $state =
            $at->acts->stated->queues[$queue->id()] ??
            ($at->stand()->acts->stated->queues[$queue->id()] ?? new QueueState());
        $settled = Acts::settling(['callback ' . $queue->id()]);
        $last = $calls->ringSeconds - 1;
        $answers = [$settled];
        if (isset($at->given()->circumstances->queues[$queue->id()])) {
            for ($try = 1; $try <= $calls->tries; ++$try) {
                $answers[] = $settled->then(self::pickedUp($queue, $state, 0, $try));
                $answers[] = $settled->then(self::pickedUp($queue, $state, $last, $try));
            }

            return $answers;
        }
        foreach ($queue->agents->asked() as $member) {
            $stands = static fn(int $second): QueueState => new QueueState(
                $state->ahead,
                null,
                [$member->who => new AgentState(true, $second)],
                $state->caller,
            );
            $free = static fn(int $second): Acts => $settled->then(self::pickedUp($queue, $stands($second), null));
            foreach ((new FreeAgent($at, $queue, $member->who, $free, self::until($at, $queue)))->takes() as $takes) {
                foreach (['soon' => 0, 'late' => $last] as $when => $seconds) {
                    $stated = $takes[$when]->stated->queues[$queue->id()];
                    $answers[] = $takes[$when];
                    $answers[] = $takes[$when]->then(self::pickedUp($queue, $stated, $seconds));
                }
            }
        }

        return $answers;
    }

    /** The second since the step began after which nobody is asked: the place is not kept any longer, or it is closing time. */
    private static function until(Asking $at, Queue $queue): int
    {
        \assert($at->what instanceof HungUp);
        $window = $queue->callers->callsBack()->window;
        $until = $at->what->kept->start + 60 * $window->keptMinutes - $at->stand()->walk->second();
        foreach ($at->run->walk->events() as $event) {
            if ($event->happening instanceof CallbackClosed) {
                $until = min($until, $event->second - $at->stand()->walk->second());
            }
        }

        return $until;
    }

    private static function pickedUp(Queue $queue, QueueState $state, ?int $seconds, int $try = 1): Acts
    {
        $caller = new WaitingCaller($state->caller->leaves, $state->caller->keeps, $seconds, $try);

        return new Acts(
            stated: new Stated([$queue->id() => new QueueState($state->ahead, $state->free, $state->agents, $caller)]),
        );
    }

    private static function queue(Asking $at): Queue
    {
        \assert($at->what instanceof HungUp);

        return $at->plan()->get(Queue::class, $at->what->kept->queue) ?? throw new \LogicException('No such queue.');
    }
}
