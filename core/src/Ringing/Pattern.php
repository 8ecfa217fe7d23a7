<?php

declare(strict_types=1);

namespace Meandros\Core\Ringing;

/** Decides when whose phones ring. */
interface Pattern
{
    /**
     * @param list<list<RingPhone>> $members phones that can ring, by member, in the team's order
     * @param int                   $seconds how long there is in all
     *
     * @return list<Alert>
     */
    public function alerts(array $members, int $seconds): array;
}
