<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Step;

/** A named way out of a step, with a list of steps of its own. */
final readonly class StepExit
{
    public function __construct(public string $on, public string $label, public StepList $steps) {}
}
