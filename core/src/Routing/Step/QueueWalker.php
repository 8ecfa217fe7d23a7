<?php

declare(strict_types=1);

namespace Meandros\Core\Routing\Step;

use Meandros\Core\Plan\Element\Queue;
use Meandros\Core\Plan\Step;
use Meandros\Core\Plan\Step\QueueStep;
use Meandros\Core\Routing\Happening\QueueEntered;
use Meandros\Core\Routing\Onward;
use Meandros\Core\Routing\StepWalker;
use Meandros\Core\Routing\Waiting\Wait;
use Meandros\Core\Routing\Walk;

final class QueueWalker implements StepWalker
{
    public function take(Step $step, Walk $walk): Onward
    {
        \assert($step instanceof QueueStep);
        $queue = $walk->plan->get(Queue::class, $step->queue);
        if (null === $queue) {
            $walk->note(new QueueEntered(null));

            return Onward::next();
        }

        return (new Wait($queue, $walk))->take();
    }
}
