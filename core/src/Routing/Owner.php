<?php

declare(strict_types=1);

namespace Meandros\Core\Routing;

use Meandros\Core\Plan\Step;

/** The step to which a list of steps belongs. */
final readonly class Owner
{
    /**
     * @param Ending|null $otherwise how the call ends where the list runs out; null to go on behind the step
     * @param int|null    $since     the second since which the call is at the step, where the list is a part of it; null where it stands in
     *                               an exit
     * @param string|null $exit      of the step, by which the call goes on after a part; null for that by which the last step of it goes on
     */
    public function __construct(
        public Step $step,
        public ?Ending $otherwise,
        public ?int $since = null,
        public ?string $exit = null,
    ) {}
}
