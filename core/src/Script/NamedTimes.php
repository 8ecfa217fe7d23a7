<?php

declare(strict_types=1);

namespace Meandros\Core\Script;

/**
 * Stretches of a day that a script names: "from nine to five", "between 8:30 and 17:00", "de neuf heures à midi", in words or
 * figures, in English and French. Times without minutes or a part of the day, up to twelve, may be of the morning or of the
 * evening.
 */
final class NamedTimes
{
    private const BETWEEN = [
        'en' => '/\b(?:from|between)\s+(TIME)\s*(?:to|till|until|and|[-–])\s*(TIME)(?!\s+(?:OTHERS)\b)/iu',
        'fr' => '/\b(?:de|d\'|d’|entre)\s*(TIME)\s*(?:à|jusqu\'à|jusqu’à|et|[-–])\s*(TIME)/iu',
    ];
    /** What numbers count that are no hours: "from two to three minutes". */
    private const OTHERS = 'minutes|hours|days|weeks|people|persons|passengers|calls|customers|times|euros|pounds|working';
    private const PARTS_OF_DAY = [
        'en' => '(?:\s*(?:a\.?m\.?|p\.?m\.?)(?!\w)|\s+in\s+the\s+(?:morning|afternoon|evening)|\s+at\s+night)?',
        'fr' => '(?:\s+du\s+(?:matin|soir)|\s+de\s+l[\'’]après-midi)?',
    ];
    private const HALF = 30;
    private const HOUR = 60;
    private const NOON = 720;
    private const DAY = 1440;

    /** @return list<array{string, list<int>, list<int>}> the words, and the minutes of the day at which it may begin and end */
    public static function in(string $script, string $language): array
    {
        if (!isset(self::BETWEEN[$language])) {
            return [];
        }
        $found = [];
        preg_match_all(
            strtr(self::BETWEEN[$language], ['TIME' => self::pattern($language), 'OTHERS' => self::OTHERS]),
            $script,
            $matches,
            \PREG_SET_ORDER,
        );
        foreach ($matches as [$words, $from, $to]) {
            $begins = self::minutes($from, $language);
            $ends = array_map(
                static fn(int $minute): int => 0 === $minute ? self::DAY : $minute,
                self::minutes($to, $language),
            );
            [] === $begins || [] === $ends || ($found[] = [trim($words), $begins, $ends]);
        }

        return $found;
    }

    /** A time in words or figures. */
    private static function pattern(string $language): string
    {
        $numbers = implode(
            '|',
            array_map(
                static fn(string $word): string => preg_quote($word, '/'),
                array_reverse(array_keys(self::numbers($language))),
            ),
        );
        $time =
            'en' === $language
                ? "(?:half\s+past\s+|a?\s*quarter\s+(?:past|to)\s+)?(?:noon|midday|midnight|\d{1,2}(?:[:.]\d\d)?|$numbers)" .
                    "(?:\s+(?:thirty|fifteen|forty-five|o'clock))?"
                : "(?:midi|minuit|\d{1,2}\s*(?:h|:|heures?)\s*(?:\d\d)?|(?:$numbers)\s+heures?)(?:\s+(?:et\s+demie?|trente|quinze|quarante-cinq|et\s+quart))?";

        return $time . self::PARTS_OF_DAY[$language];
    }

    /** @return list<int> the minutes of the day that are meant; none where it is not understood */
    private static function minutes(string $time, string $language): array
    {
        $time = mb_strtolower(trim($time));
        $hour = match (true) {
            1 === preg_match('/\bnoon|midday|(?<!-)\bmidi/u', $time) => 12,
            1 === preg_match('/midnight|minuit/u', $time) => 0,
            1 === preg_match('/\d+/', $time, $digits) => (int) $digits[0],
            default => self::hourIn($time, $language),
        };
        if (null === $hour || $hour > 24) {
            return [];
        }
        $past = self::past($time);
        if (12 === $hour && 1 === preg_match('/a\.?m\.?$|morning|matin/u', $time)) {
            $hour = 0;
        }
        $minute = $hour * self::HOUR + $past;

        return match (true) {
            1 === preg_match('/p\.?m|afternoon|evening|\bnight\b|soir|après-midi/u', $time) && $hour < 12 => [
                $minute + self::NOON,
            ],
            'fr' === $language,
            $hour > 12,
            0 === $hour,
            1 === preg_match('/a\.?m|p\.?m|morning|afternoon|noon|midday|:/u', $time)
                => [$minute % self::DAY],
            default => [$minute % self::DAY, ($minute + self::NOON) % self::DAY],
        };
    }

    /** Minutes past the hour; fewer than none before it. */
    private static function past(string $time): int
    {
        // In French minutes stand behind the hour, of which there may be fifteen.
        $rest = (string) preg_replace('/^.*\b(?:heures?|midi|minuit)\b/u', '', $time);

        return match (true) {
            1 === preg_match('/\d\s*(?:[:.h]|heures?)\s*(\d\d)/u', $time, $digits) => (int) $digits[1],
            1 === preg_match('/half|thirty|demie?|trente/u', $rest) => self::HALF,
            1 === preg_match('/quarter\s+to/u', $rest) => -15,
            1 === preg_match('/forty-five|quarante-cinq/u', $rest) => 45,
            1 === preg_match('/quarter|fifteen|quart|quinze/u', $rest) => 15,
            default => 0,
        };
    }

    private static function hourIn(string $time, string $language): ?int
    {
        $numbers = self::numbers($language);
        // Longer words first: "vingt-et-une" begins like "vingt". Minutes come after the hour.
        uksort($numbers, static fn(string $a, string $b): int => \strlen($b) <=> \strlen($a));
        $any = implode('|', array_map(static fn(string $word): string => preg_quote($word, '/'), array_keys($numbers)));

        return 1 === preg_match('/\b(?:' . $any . ')\b/u', $time, $found) ? $numbers[$found[0]] : null;
    }

    /** @return array<string, int> hours by their words */
    private static function numbers(string $language): array
    {
        /** @var array<string, array<string, int>> $known */
        static $known = [];
        if (!isset($known[$language])) {
            $spell = new \NumberFormatter($language, \NumberFormatter::SPELLOUT);
            // Nobody says "fifteen" for an hour in English.
            for ($hour = 1; $hour <= ('en' === $language ? 12 : 23); ++$hour) {
                $word = (string) $spell->format($hour);
                // Hours are feminine in French: "vingt-et-une heures", also written without hyphens.
                $word = 'fr' === $language ? (string) preg_replace('/\bun$/u', 'une', $word) : $word;
                $known[$language][$word] = $hour;
                $known[$language][str_replace('-', ' ', $word)] = $hour;
            }
        }

        return $known[$language];
    }
}
