<?php

declare(strict_types=1);

namespace Meandros\Core\Typing;

use Meandros\Core\Plan\Kind;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Plan\Step;
use Meandros\Core\Plan\Step\SayStep;

/** Say a prompt. */
final class TypedSay implements TypedKind
{
    public function begins(): string
    {
        return 'say';
    }

    public function example(): string
    {
        return 'say …';
    }

    public function read(Line $line): ?array
    {
        $id = $line->name([Kind::Prompt]);

        return null === $id ? null : ['do' => 'say', 'prompt' => $id];
    }

    public function write(Step $step, Plan $plan): ?string
    {
        return $step instanceof SayStep ? \sprintf('say %s', $plan->find($step->prompt)?->name()) : null;
    }
}
