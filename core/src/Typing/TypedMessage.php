<?php

declare(strict_types=1);

namespace Meandros\Core\Typing;

use Meandros\Core\Plan\Kind;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Plan\Step;
use Meandros\Core\Plan\Step\MessageStep;

/** Take a message. */
final class TypedMessage implements TypedKind
{
    public function begins(): string
    {
        return 'message';
    }

    public function example(): string
    {
        return 'message …';
    }

    public function read(Line $line): ?array
    {
        $id = $line->name([Kind::Mailbox]);

        return null === $id ? null : ['do' => 'message', 'mailbox' => $id];
    }

    public function write(Step $step, Plan $plan): ?string
    {
        return $step instanceof MessageStep ? \sprintf('message %s', $plan->find($step->mailbox)?->name()) : null;
    }
}
