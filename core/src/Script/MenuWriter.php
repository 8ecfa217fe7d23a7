<?php

declare(strict_types=1);

namespace Meandros\Core\Script;

/** Writes the script of a menu from its keys. */
final class MenuWriter
{
    /**
     * @param list<Promised> $keys in order
     *
     * @return string|null null in languages of which no grammar is known
     */
    public static function write(array $keys, string $language): ?string
    {
        $grammar = Grammar::of($language);
        if (null === $grammar) {
            return null;
        }

        return implode(
            ' ',
            array_map(
                static fn(Promised $one): string => strtr($grammar->keys->sentence, [
                    '{label}' => self::inSentence($one->destination),
                    '{key}' => $grammar->keys->names[$one->key] ?? $one->key,
                ]),
                $keys,
            ),
        );
    }

    /** A label as it stands in the middle of a sentence: small, unless it is an abbreviation. */
    private static function inSentence(string $label): string
    {
        return 1 === preg_match('/^\p{Lu}\p{Ll}/u', $label)
            ? mb_strtolower(mb_substr($label, 0, 1)) . mb_substr($label, 1)
            : $label;
    }
}
