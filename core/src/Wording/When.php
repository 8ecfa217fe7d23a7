<?php

declare(strict_types=1);

namespace Meandros\Core\Wording;

use Meandros\Core\Time\CivilDate;
use Meandros\Core\Time\Weekday;
use Meandros\Core\Time\Zone;

/** Instants and dates as people read them. Names of days and months are those of CLDR, by ICU. */
final class When
{
    public static function instant(int $instant, string $zone): string
    {
        return self::said('D j M Y ', Zone::around($zone, $instant)->localOf($instant));
    }

    /**
     * As it is said to whoever knows of which date it is spoken: "12:00" of the same one, "Tue 24 Nov 05:00" of another one of
     * the year.
     *
     * @param int $day since 1970
     */
    public static function instantFrom(int $day, int $instant, string $zone): string
    {
        $local = Zone::around($zone, $instant)->localOf($instant);
        $then = CivilDate::ofLocalSecond($local);
        $isInYear = CivilDate::year($then) === CivilDate::year($day);

        return self::said($then === $day ? '' : ($isInYear ? 'D j M ' : 'D j M Y '), $local);
    }

    /** "Fri 25 Dec 2026". */
    public static function date(int $day, string $language = 'en'): string
    {
        // Answers to trial calls have dates, and do not wait for ICU.
        return 'en' === $language
            ? gmdate('D j M Y', $day * CivilDate::SECONDS_PER_DAY)
            : self::in($language, 'EEE d MMM y', $day);
    }

    /** "Fri". */
    public static function weekday(Weekday $day, string $language = 'en'): string
    {
        // 5 January 1970 was a Monday.
        return self::in($language, 'EEE', 4 + $day->index());
    }

    /** "25 December". */
    public static function dayOfYear(int $day, string $language): string
    {
        return self::in($language, 'd MMMM', $day);
    }

    /** Seconds only where there are some. */
    private static function said(string $date, int $local): string
    {
        return gmdate($date . (0 === $local % 60 ? 'H:i' : 'H:i:s'), $local);
    }

    private static function in(string $language, string $pattern, int $day): string
    {
        /** @var array<string, \IntlDateFormatter> $formatters */
        static $formatters = [];

        $formatters[$language . $pattern] ??= new \IntlDateFormatter(
            $language,
            \IntlDateFormatter::NONE,
            \IntlDateFormatter::NONE,
            'UTC',
            \IntlDateFormatter::GREGORIAN,
            $pattern,
        );

        return (string) $formatters[$language . $pattern]->format($day * CivilDate::SECONDS_PER_DAY);
    }
}
