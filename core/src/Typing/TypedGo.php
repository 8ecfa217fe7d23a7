<?php

declare(strict_types=1);

namespace Meandros\Core\Typing;

use Meandros\Core\Plan\Kind;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Plan\Step;
use Meandros\Core\Plan\Step\GoStep;

/** Go on in another journey, or through it. */
final class TypedGo implements TypedKind
{
    public function begins(): string
    {
        return 'go(?: on in| through)?';
    }

    public function example(): string
    {
        return 'go …';
    }

    public function read(Line $line): ?array
    {
        $journey = $line->name([Kind::Journey], ['and back']);

        return null === $journey
            ? null
            : ['do' => 'go', 'journey' => $journey, 'comesBack' => null !== $line->take('and back')];
    }

    public function write(Step $step, Plan $plan): ?string
    {
        return $step instanceof GoStep
            ? \sprintf('go %s%s', $plan->find($step->journey)?->name(), $step->comesBack ? ', and back' : '')
            : null;
    }
}
