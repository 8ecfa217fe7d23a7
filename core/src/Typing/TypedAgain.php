<?php

declare(strict_types=1);

namespace Meandros\Core\Typing;

use Meandros\Core\Plan\Plan;
use Meandros\Core\Plan\Step;
use Meandros\Core\Plan\Step\AgainStep;

/** Back to the menu, or to one further up. */
final class TypedAgain implements TypedKind
{
    public function begins(): string
    {
        return 'back(?: to the menu)?';
    }

    public function example(): string
    {
        return 'back';
    }

    public function read(Line $line): array
    {
        $up = $line->take('(\\d) up');

        return ['do' => 'again', 'up' => (int) ($up[1] ?? 0)];
    }

    public function write(Step $step, Plan $plan): ?string
    {
        return $step instanceof AgainStep ? (0 === $step->up ? 'back' : \sprintf('back %d up', $step->up)) : null;
    }
}
