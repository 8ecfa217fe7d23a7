<?php

declare(strict_types=1);

namespace Meandros\Core\Time;

/**
 * Calendar dates as whole days since 1970-01-01 in the proleptic Gregorian calendar: no date objects in hot paths.
 */
final class CivilDate
{
    public const SECONDS_PER_DAY = 86400;

    /** @return int|null days since 1970-01-01, or null when the text is not an existing date written YYYY-MM-DD */
    public static function parse(string $text): ?int
    {
        if (1 !== preg_match('/^(\d{4})-(\d{2})-(\d{2})$/D', $text, $part)
            || !checkdate((int) $part[2], (int) $part[3], (int) $part[1])) {
            return null;
        }

        return intdiv((int) gmmktime(0, 0, 0, (int) $part[2], (int) $part[3], (int) $part[1]), self::SECONDS_PER_DAY);
    }

    public static function format(int $day): string
    {
        return gmdate('Y-m-d', $day * self::SECONDS_PER_DAY);
    }

    /** @return int days since 1970-01-01 of a date that exists */
    public static function of(int $year, int $month, int $day): int
    {
        return intdiv((int) gmmktime(0, 0, 0, $month, $day, $year), self::SECONDS_PER_DAY);
    }

    public static function year(int $day): int
    {
        return (int) gmdate('Y', $day * self::SECONDS_PER_DAY);
    }

    /** @return int 101 for 1 January … 1231 for 31 December */
    public static function monthDay(int $day): int
    {
        return (int) gmdate('nd', $day * self::SECONDS_PER_DAY);
    }

    /** @return int 0 for Monday … 6 for Sunday (the ISO 8601 order) */
    public static function weekday(int $day): int
    {
        // 1970-01-01 was a Thursday.
        return (($day + 3) % 7 + 7) % 7;
    }

    /** The local day that a local time (seconds since 1970-01-01T00:00 on the wall clock) falls on. */
    public static function ofLocalSecond(int $localSecond): int
    {
        return (int) floor($localSecond / self::SECONDS_PER_DAY);
    }
}
