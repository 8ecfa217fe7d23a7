<?php

declare(strict_types=1);

namespace Meandros\Core\Script;

use Meandros\Core\Time\CivilDate;
use Meandros\Core\Value\Lists;

/** Dates that a script names, in words or figures, in English and French: "the fourth of January", "January 4th", "quatre janvier 2027". */
final class NamedDates
{
    private const YEAR = '(?:,?\s+(\d{4}))?';
    private const DAYS_OF_MONTH = 31;
    private const HALF_A_YEAR = 183;

    /**
     * @param int $near days since 1970: where no year is named, the nearest one to this day is meant
     *
     * @return array<string, int> days since 1970, by their words
     */
    public static function in(string $script, string $language, int $near): array
    {
        $months = self::months($language);
        if ([] === $months) {
            return [];
        }
        $days = self::days($language);
        $day =
            '(\d{1,2}|' .
            implode(
                '|',
                array_map(static fn($word): string => preg_quote($word, '/'), array_reverse(array_keys($days))),
            ) .
            ')';
        $month = '(' . implode('|', array_keys($months)) . ')';
        $patterns = [
            [\sprintf('/\b%s(?:st|nd|rd|th|er)?\s+(?:of\s+)?%s\b%s/iu', $day, $month, self::YEAR), 1, 2],
            [\sprintf('/\b%s\s+(?:the\s+)?%s(?:st|nd|rd|th)?\b%s/iu', $month, $day, self::YEAR), 2, 1],
        ];
        $found = [];
        foreach (\array_slice($patterns, 0, 'en' === $language ? 2 : 1) as [$pattern, $dayPlace, $monthPlace]) {
            preg_match_all($pattern, $script, $matches, \PREG_SET_ORDER);
            foreach ($matches as $match) {
                $word = mb_strtolower($match[$dayPlace]);
                $number = ctype_digit($word) ? (int) $word : $days[$word] ?? 0;
                $date = self::date(
                    isset($match[3]) ? (int) $match[3] : null,
                    $months[mb_strtolower($match[$monthPlace])],
                    $number,
                    $near,
                );
                null === $date || ($found[$match[0]] = $date);
            }
        }

        return $found;
    }

    private static function date(?int $year, int $month, int $day, int $near): ?int
    {
        $years = null === $year ? range(CivilDate::year($near) - 1, CivilDate::year($near) + 1) : [$year];
        foreach ($years as $one) {
            $date = checkdate($month, $day, $one) ? CivilDate::of($one, $month, $day) : null;
            if (null !== $date && (null !== $year || abs($date - $near) <= self::HALF_A_YEAR)) {
                return $date;
            }
        }

        return null;
    }

    /** @return array<string, int> by name, in small letters */
    private static function months(string $language): array
    {
        $months = [];
        if (Lists::has(['en', 'fr'], $language)) {
            $formatter = new \IntlDateFormatter(
                $language,
                \IntlDateFormatter::NONE,
                \IntlDateFormatter::NONE,
                'UTC',
                null,
                'MMMM',
            );
            for ($month = 1; $month <= 12; ++$month) {
                $months[
                    mb_strtolower(
                        (string) $formatter->format(CivilDate::of(2026, $month, 15) * CivilDate::SECONDS_PER_DAY),
                    )
                ] = $month;
            }
        }

        return $months;
    }

    /** @return array<string, int> days of a month by their words: ordinals, and in French cardinals */
    private static function days(string $language): array
    {
        $spell = new \NumberFormatter($language, \NumberFormatter::SPELLOUT);
        'en' === $language && $spell->setTextAttribute(\NumberFormatter::DEFAULT_RULESET, '%spellout-ordinal');
        $days = 'fr' === $language ? ['premier' => 1] : [];
        for ($day = 1; $day <= self::DAYS_OF_MONTH; ++$day) {
            $days[(string) $spell->format($day)] = $day;
            $days[str_replace('-', ' ', (string) $spell->format($day))] = $day;
        }

        return $days;
    }
}
