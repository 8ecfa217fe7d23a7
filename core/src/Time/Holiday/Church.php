<?php

declare(strict_types=1);

namespace Meandros\Core\Time\Holiday;

use Meandros\Core\Time\CivilDate;

/** The two reckonings of Easter. */
enum Church: string
{
    case Western = 'western';
    case Orthodox = 'orthodox';

    /** @return int Easter Sunday, in days since 1970-01-01 of the Gregorian calendar */
    public function easter(int $year): int
    {
        return self::Western === $this ? self::gregorian($year) : self::julian($year);
    }

    /** The anonymous Gregorian computus (Nature, 1876; Meeus, Astronomical Algorithms, chapter 8). */
    private static function gregorian(int $year): int
    {
        $golden = $year % 19;
        [$century, $ofCentury] = [intdiv($year, 100), $year % 100];
        $leapCorrection = intdiv($century - intdiv($century + 8, 25) + 1, 3);
        $epact = (19 * $golden + $century - intdiv($century, 4) - $leapCorrection + 15) % 30;
        $weekday = (32 + 2 * ($century % 4) + 2 * intdiv($ofCentury, 4) - $epact - ($ofCentury % 4)) % 7;
        $late = intdiv($golden + 11 * $epact + 22 * $weekday, 451);
        $position = $epact + $weekday - 7 * $late + 114;

        return CivilDate::of($year, intdiv($position, 31), ($position % 31) + 1);
    }

    /** Meeus's Julian algorithm, moved to the Gregorian calendar by the days between the two (13 from 1900 to 2099). */
    private static function julian(int $year): int
    {
        $d = (19 * ($year % 19) + 15) % 30;
        $e = (2 * ($year % 4) + 4 * ($year % 7) - $d + 34) % 7;
        $position = $d + $e + 114;
        $between = intdiv($year, 100) - intdiv($year, 400) - 2;

        return CivilDate::of($year, intdiv($position, 31), ($position % 31) + 1) + $between;
    }
}
