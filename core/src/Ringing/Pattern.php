<?php

declare(strict_types=1);

namespace Meandros\Core\Ringing;

/** Decides when whose phones ring. A team of which nobody could ring takes no time. */
interface Pattern
{
    /**
     * @param list<RingMember> $members in the team's order
     * @param int              $from    second at which the team begins to ring; now, or later
     * @param int              $until   first second at which it rings no longer
     * @param Group            $group   is told of everything that is still to ring or rings
     */
    public function begin(RingSimulation $ringing, array $members, int $from, int $until, Group $group): void;
}
