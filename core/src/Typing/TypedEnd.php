<?php

declare(strict_types=1);

namespace Meandros\Core\Typing;

use Meandros\Core\Plan\Plan;
use Meandros\Core\Plan\Step;
use Meandros\Core\Plan\Step\EndStep;

/** End the call. */
final class TypedEnd implements TypedKind
{
    public function begins(): string
    {
        return 'end(?: the call)?';
    }

    public function example(): string
    {
        return 'end';
    }

    public function read(Line $line): array
    {
        return ['do' => 'end'];
    }

    public function write(Step $step, Plan $plan): ?string
    {
        return $step instanceof EndStep ? 'end' : null;
    }
}
