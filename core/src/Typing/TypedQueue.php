<?php

declare(strict_types=1);

namespace Meandros\Core\Typing;

use Meandros\Core\Plan\Kind;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Plan\Step;
use Meandros\Core\Plan\Step\QueueStep;

/** Wait in a queue. */
final class TypedQueue implements TypedKind
{
    public function begins(): string
    {
        return 'queue';
    }

    public function example(): string
    {
        return 'queue …';
    }

    public function read(Line $line): ?array
    {
        $id = $line->name([Kind::Queue]);

        return null === $id ? null : ['do' => 'queue', 'queue' => $id];
    }

    public function write(Step $step, Plan $plan): ?string
    {
        return $step instanceof QueueStep ? \sprintf('queue %s', $plan->find($step->queue)?->name()) : null;
    }
}
