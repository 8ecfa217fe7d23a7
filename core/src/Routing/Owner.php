<?php

declare(strict_types=1);

namespace Meandros\Core\Routing;

use Meandros\Core\Plan\Step;

/** The step to which a list of steps belongs. */
final readonly class Owner
{
    /**
     * @param Ending|null $otherwise how the call ends where the list runs out; null to go on behind the step
     * @param int|null    $dialled   the second since which the call is at the step, where the list rings whoever was dialled at it; null
     *                               where it stands in an exit
     */
    public function __construct(public Step $step, public ?Ending $otherwise = null, public ?int $dialled = null) {}
}
