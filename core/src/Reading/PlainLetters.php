<?php

declare(strict_types=1);

namespace Meandros\Core\Reading;

/** Words in small letters from a to z, as far as letters have such a form: accents do not count. */
final class PlainLetters
{
    public static function of(string $words): string
    {
        if (1 !== preg_match('/[^\x00-\x7F]/', $words)) {
            return strtolower($words);
        }
        /** @var \Transliterator|null $latin made once: that is what takes time */
        static $latin = null;
        $latin ??= \Transliterator::create('Any-Latin; Latin-ASCII; Lower()');
        $plain = $latin?->transliterate($words);

        return \is_string($plain) ? $plain : mb_strtolower($words);
    }
}
