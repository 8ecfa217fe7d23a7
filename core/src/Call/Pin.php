<?php

declare(strict_types=1);

namespace Meandros\Core\Call;

use Meandros\Core\Reading\Input;

/** The digits that protect a mailbox: which of them somebody else would guess (common practice). */
final class Pin
{
    public const LEAST = 4;
    public const MOST = 10;

    /** @param list<string> $extensions of whoever listens to the mailbox */
    public static function read(Input $in, array $extensions): string
    {
        $pin = $in->exactText(self::MOST);
        $weakness = self::weakness($pin, $extensions);
        if ('' !== $pin && null !== $weakness) {
            $in->complain($weakness, ['least' => self::LEAST, 'most' => self::MOST]);
        }

        return $pin;
    }

    /**
     * @param list<string> $extensions
     *
     * @return string|null a problem's code; null for one that will do
     */
    public static function weakness(string $pin, array $extensions): ?string
    {
        return match (true) {
            1 !== preg_match(\sprintf('/^\d{%d,%d}$/D', self::LEAST, self::MOST), $pin) => 'pin-not-digits',
            1 === preg_match('/^(\d+?)\1+$/D', $pin) => 'pin-repeats',
            str_contains('01234567890', $pin) || str_contains('09876543210', $pin) => 'pin-in-a-row',
            [] !==
                array_filter(
                    $extensions,
                    static fn(string $one): bool => '' !== $one && ltrim($pin, '0') === ltrim($one, '0'),
                )
                => 'pin-is-extension',
            default => null,
        };
    }
}
