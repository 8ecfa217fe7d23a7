<?php

declare(strict_types=1);

namespace Meandros\Core\Ringing;

/** Every member's phones ring from the start. */
final readonly class AllAtOnce implements Pattern
{
    public function alerts(array $members, int $seconds): array
    {
        return array_map(static fn (RingPhone $phone): Alert => new Alert($phone, 0, $seconds), array_merge(...$members));
    }
}
