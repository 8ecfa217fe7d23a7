<?php

declare(strict_types=1);

namespace Meandros\Core\Call;

use Meandros\Core\Reading\Input;
use Meandros\Core\Reading\PlainLetters;
use Meandros\Core\Value\Lists;

final class Keypad
{
    /** The keys of a telephone keypad, ITU-T E.161. */
    public const KEYS = ['1', '2', '3', '4', '5', '6', '7', '8', '9', '*', '0', '#'];

    /** The letters that stand on them, ITU-T E.161. */
    private const LETTERS = 'abcdefghijklmnopqrstuvwxyz';
    private const OF_LETTERS = '22233344455566677778889999';

    /** Words as they are spelled on the keys: accents do not count, nor does anything between letters. */
    public static function spell(string $words): string
    {
        return strtr((string) preg_replace('/[^a-z]+/', '', PlainLetters::of($words)), self::LETTERS, self::OF_LETTERS);
    }

    /** A key, where one is given. */
    public static function optional(Input $in): ?string
    {
        if (!$in->isGiven()) {
            return null;
        }
        $key = $in->exactText(1);
        if (!Lists::has(self::KEYS, $key)) {
            $in->complain('not-a-key', ['key' => $key]);
        }

        return $key;
    }
}
