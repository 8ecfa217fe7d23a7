<?php

declare(strict_types=1);

namespace Meandros\Core\Script;

use Meandros\Core\Plan\Step\MenuWord;
use Meandros\Core\Reading\PlainLetters;

/**
 * Which of a menu's words somebody said. A plain stand-in for a speech service: the same words without regard to case,
 * accents and punctuation; or words that stand among what is said; or one that differs in few letters.
 */
final class Spoken
{
    /** Letters from which on a word may differ in one, and in two. */
    private const ONE_FROM = 4;
    private const TWO_FROM = 8;

    /** @param list<MenuWord> $words in the order in which they are looked at */
    public static function understand(string $said, array $words, string $language): Understood
    {
        $plain = self::plain($said);
        $known = [];
        foreach ($words as $word) {
            foreach ($word->language === $language ? $word->say : [] as $say) {
                $known[] = [$word->on, $say, self::plain($say)];
            }
        }

        return self::same($said, $plain, $known) ??
            (self::among($said, $plain, $known) ?? (self::nearly($said, $plain, $known) ?? new Understood($said)));
    }

    /** Small letters without accents, a space between words. */
    public static function plain(string $words): string
    {
        return PlainLetters::joined($words, ' ');
    }

    /** @param list<array{string, string, string}> $known key, word, and the word made plain */
    private static function same(string $said, string $plain, array $known): ?Understood
    {
        foreach ($known as [$key, $word, $wordPlain]) {
            if ($wordPlain === $plain && '' !== $plain) {
                return new Understood($said, $key, $word);
            }
        }

        return null;
    }

    /**
     * The longest one that stands among what is said.
     *
     * @param list<array{string, string, string}> $known the same
     */
    private static function among(string $said, string $plain, array $known): ?Understood
    {
        $found = null;
        $longest = 0;
        foreach ($known as [$key, $word, $wordPlain]) {
            if (\strlen($wordPlain) > $longest && str_contains(' ' . $plain . ' ', ' ' . $wordPlain . ' ')) {
                $found = new Understood($said, $key, $word, true);
                $longest = \strlen($wordPlain);
            }
        }

        return $found;
    }

    /**
     * The nearest one, where it is near enough and only one key has it.
     *
     * @param list<array{string, string, string}> $known the same
     */
    private static function nearly(string $said, string $plain, array $known): ?Understood
    {
        $found = null;
        $nearest = \PHP_INT_MAX;
        foreach ($known as [$key, $word, $wordPlain]) {
            $may = \strlen($wordPlain) >= self::TWO_FROM ? 2 : (\strlen($wordPlain) >= self::ONE_FROM ? 1 : 0);
            foreach (array_unique([$plain, ...explode(' ', $plain)]) as $heard) {
                $letters = levenshtein($heard, $wordPlain);
                if ($letters <= $may && $letters <= $nearest) {
                    // Two keys that are equally near are neither.
                    $found =
                        $letters === $nearest && $found?->key !== $key
                            ? new Understood($said)
                            : new Understood($said, $key, $word, $heard !== $plain, $letters);
                    $nearest = $letters;
                }
            }
        }

        return $found;
    }
}
