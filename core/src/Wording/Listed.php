<?php

declare(strict_types=1);

namespace Meandros\Core\Wording;

/** Words one beside the other, in one language. */
final class Listed
{
    /**
     * "one, two and three".
     *
     * @param list<string> $words
     * @param 'and'|'or'   $how
     */
    public static function words(array $words, string $how, string $language = 'en'): string
    {
        $last = (string) array_pop($words);

        return [] === $words ? $last : self::pair($how, implode(', ', $words), $last, $language);
    }

    /**
     * "one, then two, then three"; "one or two or three"; "one; two; three".
     *
     * @param list<string>         $words
     * @param 'or'|'then'|'beside' $how
     */
    public static function each(array $words, string $how, string $language = 'en'): string
    {
        $said = (string) array_shift($words);
        foreach ($words as $word) {
            $said = self::pair($how, $said, $word, $language);
        }

        return $said;
    }

    /** "one, two and 4 more"; nothing more is not said. */
    public static function more(string $words, int $count, string $language = 'en'): string
    {
        return $count > 0
            ? Catalog::of('lists', $language)->say('more', ['before' => $words, 'count' => $count])
            : $words;
    }

    public static function quoted(string $text, string $language): string
    {
        return Catalog::of('lists', $language)->say('quoted', ['text' => $text]);
    }

    /** "Name: Ann". */
    public static function labelled(string $label, string $value, string $language): string
    {
        return Catalog::of('lists', $language)->say('labelled', ['label' => $label, 'value' => $value]);
    }

    /** As a sentence begins. */
    public static function capital(string $words): string
    {
        return mb_strtoupper(mb_substr($words, 0, 1)) . mb_substr($words, 1);
    }

    private static function pair(string $how, string $before, string $last, string $language): string
    {
        return Catalog::of('lists', $language)->say($how, ['before' => $before, 'last' => $last]);
    }
}
