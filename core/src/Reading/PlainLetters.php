<?php

declare(strict_types=1);

namespace Meandros\Core\Reading;

/** Words in small letters from a to z, as far as letters have such a form: accents do not count. */
final class PlainLetters
{
    /** Latin letters are enough for most: what knows all other letters takes two hundred times as long to make. */
    private const RULES = ['Latin-ASCII; Lower()', 'Any-Latin; Latin-ASCII; Lower()'];

    /** @var array<string, \Transliterator|null> by rules */
    private static array $made = [];

    public static function of(string $words): string
    {
        $plain = $words;
        foreach (self::isPlain($words) ? [] : self::RULES as $rules) {
            $made = self::$made[$rules] ??= \Transliterator::create($rules);
            $plain = (string) $made?->transliterate($words);
            if (self::isPlain($plain)) {
                break;
            }
        }

        return '' === $plain ? mb_strtolower($words) : strtolower($plain);
    }

    /** The plain words and numbers in a text, parted by something: for names of files, ids, and what is compared by ear. */
    public static function joined(string $text, string $by): string
    {
        return trim((string) preg_replace('/[^a-z0-9]+/', $by, self::of($text)), $by);
    }

    private static function isPlain(string $words): bool
    {
        return 1 !== preg_match('/[^\x00-\x7F]/', $words);
    }
}
