<?php

declare(strict_types=1);

namespace Meandros\Core\Wording;

/** What a language is called: nobody says "en". Source: ICU, which has the names from CLDR. */
final class LanguageName
{
    /** @param string $code two letters; one that nobody knows stays as it is */
    public static function of(string $code, string $in = 'en'): string
    {
        $name = '' === $code ? '' : (string) \Locale::getDisplayLanguage($code, $in);

        return '' === $name || $name === $code ? \sprintf('“%s”', $code) : $name;
    }
}
