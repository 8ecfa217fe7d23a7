<?php

declare(strict_types=1);

namespace Meandros\Core\Ringing;

/** Every member's phones ring from the start. */
final readonly class AllAtOnce implements Pattern
{
    public function begin(RingSimulation $ringing, array $members, int $from, int $until, Group $group): void
    {
        (new Widening(0))->begin($ringing, $members, $from, $until, $group);
    }
}
