<?php

declare(strict_types=1);

namespace Meandros\Core\Proof\Year;

use Meandros\Core\Time\Zone;

/** Moments as they are told: seconds on the clock of a place, as if it were in UTC. */
final class LocalClock
{
    public static function of(int $instant, string $zone): int
    {
        return Zone::around($zone, $instant)->localOf($instant);
    }
}
