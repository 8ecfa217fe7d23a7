<?php

declare(strict_types=1);

namespace Meandros\Core\Ringing;

/** Decides who comes first where members ring one after the other. */
interface Order
{
    /**
     * @param list<RingMember> $members in the team's order
     *
     * @return list<RingMember>
     */
    public function of(array $members): array;

    /** @param non-empty-list<RingMember> $members in the team's order */
    public function first(array $members): RingMember;
}
