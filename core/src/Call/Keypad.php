<?php

declare(strict_types=1);

namespace Meandros\Core\Call;

use Meandros\Core\Reading\Input;

final class Keypad
{
    /** The keys of a telephone keypad, ITU-T E.161. */
    public const KEYS = ['1', '2', '3', '4', '5', '6', '7', '8', '9', '*', '0', '#'];

    /** A key, where one is given. */
    public static function optional(Input $in): ?string
    {
        if (!$in->isGiven()) {
            return null;
        }
        $key = $in->exactText(1);
        if (!\in_array($key, self::KEYS, true)) {
            $in->complain(\sprintf('"%s" is not a key.', $key), 'Choose one of 0–9, * and #, or leave it open.');
        }

        return $key;
    }
}
