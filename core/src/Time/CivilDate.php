<?php

declare(strict_types=1);

namespace Meandros\Core\Time;

/**
 * Calendar dates as whole days since 1970-01-01 in the proleptic Gregorian calendar: no date objects in hot paths.
 */
final class CivilDate
{
    public const SECONDS_PER_DAY = 86400;

    /** Years in which dates are taken: those of telephony, and as far ahead as holidays are known by rule. */
    public const FIRST_YEAR = 1900;
    public const LAST_YEAR = 2500;

    /** @return int|null days since 1970-01-01, or null when the text is not an existing date of those years, written YYYY-MM-DD */
    public static function parse(string $text): ?int
    {
        if (1 !== preg_match('/^(\d{4})-(\d{2})-(\d{2})$/D', $text, $part)) {
            return null;
        }
        [$year, $month, $day] = [(int) $part[1], (int) $part[2], (int) $part[3]];

        return $year >= self::FIRST_YEAR && $year <= self::LAST_YEAR && checkdate($month, $day, $year)
            ? self::of($year, $month, $day)
            : null;
    }

    public static function format(int $day): string
    {
        return gmdate('Y-m-d', $day * self::SECONDS_PER_DAY);
    }

    /**
     * Years are counted from March, so that the leap day is the last.
     *
     * @param int $month 1 to 12; others lie in the years beside it
     *
     * @return int days since 1970-01-01
     */
    public static function of(int $year, int $month, int $day): int
    {
        $months = 12 * $year + $month - 3;
        $march = intdiv($months, 12);
        $century = intdiv($march, 100);

        return 365 * $march +
            intdiv($march, 4) -
            $century +
            intdiv($century, 4) +
            intdiv(153 * ($months % 12) + 2, 5) +
            $day -
            719469;
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
        return ((($day + 3) % 7) + 7) % 7;
    }

    /** The local day that a local time (seconds since 1970-01-01T00:00 on the wall clock) falls on. */
    public static function ofLocalSecond(int $localSecond): int
    {
        return (int) floor($localSecond / self::SECONDS_PER_DAY);
    }
}
