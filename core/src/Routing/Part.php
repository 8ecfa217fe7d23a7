<?php

declare(strict_types=1);

namespace Meandros\Core\Routing;

use Meandros\Core\Plan\Step\StepList;

/** Steps that are taken as part of the one at which the call is. */
final readonly class Part
{
    /**
     * @param string      $name the same for the same steps
     * @param string|null $exit of the step, by which the call goes on after them; null for that by which the last of them goes on
     */
    public function __construct(public string $name, public StepList $steps, public ?string $exit) {}
}
