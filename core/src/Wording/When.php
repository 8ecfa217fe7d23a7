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
        $local = Zone::around($zone, $instant)->localOf($instant);

        return gmdate(0 === $local % 60 ? 'D j M Y H:i' : 'D j M Y H:i:s', $local);
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
