<?php

declare(strict_types=1);

namespace Meandros\Core\Ringing;

/** The order in which the team lists its members. */
final readonly class TeamOrder implements Order
{
    public function of(array $members): array
    {
        return $members;
    }

    public function first(array $members): RingMember
    {
        return $members[0];
    }
}
