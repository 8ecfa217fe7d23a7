<?php

declare(strict_types=1);

namespace Meandros\Core\Wording;

use Meandros\Core\Time\CivilDate;
use Meandros\Core\Time\Zone;

/** Instants and dates as people read them. */
final class When
{
    public static function instant(int $instant, string $zone): string
    {
        $local = Zone::over($zone, $instant, $instant)->localOf($instant);

        return gmdate(0 === $local % 60 ? 'D j M Y H:i' : 'D j M Y H:i:s', $local);
    }

    public static function date(int $day): string
    {
        return gmdate('D j M Y', $day * CivilDate::SECONDS_PER_DAY);
    }
}
