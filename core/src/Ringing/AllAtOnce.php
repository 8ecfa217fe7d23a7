<?php

declare(strict_types=1);

namespace Meandros\Core\Ringing;

/** Every member's phones ring from the start. */
final readonly class AllAtOnce implements Pattern
{
    public function alerts(array $members, int $seconds, \Closure $silentAfter): array
    {
        return (new Widening(0))->alerts($members, $seconds, $silentAfter);
    }
}
