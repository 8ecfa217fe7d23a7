<?php

declare(strict_types=1);

namespace Meandros\Core\Wording;

/** What a country is called. Source: ICU, which has the names from CLDR. */
final class RegionName
{
    /** @param string $code ISO 3166-1 alpha-2 */
    public static function of(string $code, string $in = 'en'): string
    {
        return (string) \Locale::getDisplayRegion('-' . $code, $in);
    }
}
