<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Json;

use Meandros\Core\Reading\Input;
use Meandros\Core\Time\Zone;

/** Reads the name of a time zone: one that is no zone is refused, with the usual or the closest name as remedy. */
final class ZoneReader
{
    public static function read(Input $in): string
    {
        $zone = $in->exactText(64);
        if ('' !== $zone && !Zone::exists($zone)) {
            $in->complain('not-a-zone', Zone::unknown($zone));
            $zone = '';
        }

        return '' === $zone ? 'UTC' : $zone;
    }
}
