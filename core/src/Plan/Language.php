<?php

declare(strict_types=1);

namespace Meandros\Core\Plan;

use Meandros\Core\Reading\Input;

/** Languages by their two-letter ISO 639-1 codes. */
final class Language
{
    public const DEFAULT = 'en';

    public static function read(Input $in): string
    {
        $code = $in->isNamed() ? $in->exactText(2) : self::DEFAULT;
        '' === $code || self::check($code, $in);

        return $code;
    }

    public static function check(string $code, Input $in): void
    {
        if (1 !== preg_match('/^[a-z]{2}$/D', $code)) {
            $in->complain('not-a-language', ['code' => Input::quote($code)]);
        }
    }
}
