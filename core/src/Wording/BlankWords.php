<?php

declare(strict_types=1);

namespace Meandros\Core\Wording;

use Meandros\Core\Plan\Element\Blank;

/** What filled the blanks of a prompt, in words. */
final class BlankWords
{
    /**
     * @param array<string, string> $filled words by blank
     *
     * @return string a sentence for each, with a space before it
     */
    public static function of(array $filled): string
    {
        $sentences = '';
        foreach ($filled as $blank => $words) {
            $sentences .=
                '' === $words
                    ? \sprintf(' Nothing is said for {%s}: %s.', $blank, self::unknown(Blank::from($blank)))
                    : \sprintf(' It says “%s” for {%s}.', $words, $blank);
        }

        return $sentences;
    }

    private static function unknown(Blank $blank): string
    {
        return match ($blank) {
            Blank::Opening => 'no hours are known that open again',
            Blank::Position => 'the caller does not wait in a queue',
            Blank::Wait => 'nobody can say how long it takes',
            Blank::Date, Blank::Name => 'nothing is known',
        };
    }
}
