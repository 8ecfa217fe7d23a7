<?php

declare(strict_types=1);

namespace Meandros\Core\Proof\Ways\Question;

use Meandros\Core\Call\AgentState;
use Meandros\Core\Call\QueueState;
use Meandros\Core\Call\WaitingCaller;
use Meandros\Core\Plan\Element\Queue;
use Meandros\Core\Plan\Element\QueueCallback;
use Meandros\Core\Proof\Ways\Acts;
use Meandros\Core\Proof\Ways\Asking;
use Meandros\Core\Proof\Ways\Question;
use Meandros\Core\Proof\Ways\Stated;
use Meandros\Core\Proof\Ways\Usual;
use Meandros\Core\Routing\Happening\CallbackTaken;

/** Who is free for somebody who has kept a place, and whether they take the call: at once, or as late as the place is kept. */
final class CallbackStands implements Question
{
    use Usual;

    public function about(Asking $at): ?string
    {
        \assert($at->what instanceof CallbackTaken);
        $name = self::name($at->what->queue);

        return isset($at->given()->circumstances->queues[$at->what->queue]) || $at->isSettled($name) ? null : $name;
    }

    public function answers(Asking $at): array
    {
        \assert($at->what instanceof CallbackTaken);
        $queue = $at->plan()->get(Queue::class, $at->what->queue) ?? throw new \LogicException('No such queue.');
        $callback = $queue->callers->callback ?? new QueueCallback();
        $state = $at->acts->stated->queues[$queue->id()] ?? new QueueState();
        $kept = $at->since - $at->what->seconds + 60 * $callback->window->keptMinutes - 1;
        $name = self::name($queue->id());
        $answers = [Acts::settling([$name])];
        foreach ($queue->agents->asked() as $member) {
            foreach (
                [[$at->since, 0], [$kept, $callback->calls->ringSeconds - 1], [$kept, null]]
                as [$free, $picksUp]
            ) {
                $stands = new QueueState(
                    $state->ahead,
                    null,
                    [$member->who => new AgentState(true, $free)],
                    new WaitingCaller($state->caller->leaves, $state->caller->keeps, $picksUp),
                );
                $answers[] = new Acts(stated: new Stated([$queue->id() => $stands]), settled: [$name => true]);
            }
        }

        return $answers;
    }

    public function areAll(Asking $at): bool
    {
        return false;
    }

    private static function name(string $queue): string
    {
        return 'callback ' . $queue;
    }
}
