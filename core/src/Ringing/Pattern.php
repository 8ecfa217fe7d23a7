<?php

declare(strict_types=1);

namespace Meandros\Core\Ringing;

/** Decides when whose phones ring. */
interface Pattern
{
    /**
     * @param list<RingMember>           $members     whose phones can ring, in the team's order
     * @param int                        $seconds     how long there is in all
     * @param \Closure(RingMember): ?int $silentAfter seconds after which all phones of a member have refused; null when they do not
     *
     * @return list<Alert>
     */
    public function alerts(array $members, int $seconds, \Closure $silentAfter): array;
}
