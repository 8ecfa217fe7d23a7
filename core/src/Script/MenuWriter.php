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
                    '{label}' => self::inSentence($one->destination, $language),
                    '{key}' => $grammar->keys->names[$one->key] ?? $one->key,
                ]),
                $keys,
            ),
        );
    }

    /** A label as it stands in the middle of a sentence: small, unless it is an abbreviation, or a language that is written large. */
    private static function inSentence(string $label, string $language): string
    {
        $word = (string) preg_replace('/\PL.*/us', '', $label);

        return 1 === preg_match('/^\p{Lu}\p{Ll}/u', $word) && !isset(self::languages($language)[$word])
            ? mb_strtolower(mb_substr($label, 0, 1)) . mb_substr($label, 1)
            : $label;
    }

    /** @return array<string, true> names of languages as they are written in one; source: ICU, which has them from CLDR */
    private static function languages(string $in): array
    {
        /** @var array<string, array<string, true>> $known */
        static $known = [];
        if (!isset($known[$in])) {
            $names = [];
            foreach (\ResourceBundle::getLocales('') ?: [] as $locale) {
                // "en" of "en_GB".
                $code = \is_string($locale) ? strtok($locale, '_') : false;
                false === $code || ($names[$code] ??= (string) \Locale::getDisplayLanguage($code, $in));
            }
            $known[$in] = array_fill_keys(array_values($names), true);
        }

        return $known[$in];
    }
}
