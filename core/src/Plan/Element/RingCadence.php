<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Element;

/**
 * How long a ring lasts, with its silence, in milliseconds by country: "3 rings" and "18 s" say the same where a ring
 * lasts 6 s. ITU-T E.180/Q.35 calls the ringing tone a slow one, shorter than its silence, and recommends 0.67 to 1.5 s of
 * tone and 3 to 5 s of silence. That, and the figures by country (its Supplement 2, "Various tones used in national
 * networks"), are written down from memory.
 */
final class RingCadence
{
    /** Tone and silence of one period, ms. */
    private const PERIODS = [
        'GB' => [400, 200, 400, 2000],
        'IE' => [400, 200, 400, 2000],
        'AU' => [400, 200, 400, 2000],
        'NZ' => [400, 200, 400, 2000],
        'US' => [2000, 4000],
        'CA' => [2000, 4000],
        'FR' => [1500, 3500],
        'ES' => [1500, 3000],
        'BE' => [1000, 3000],
        'JP' => [1000, 2000],
        'PT' => [1000, 5000],
        'AT' => [1000, 5000],
        'SE' => [1000, 5000],
    ];
    /** Within the recommendation; the most common. */
    private const USUAL = [1000, 4000];

    /** @return array<string, int> milliseconds from the start of a ring to the start of the next, by country (ISO 3166-1 alpha-2) that is known */
    public static function countries(): array
    {
        return array_map(array_sum(...), self::PERIODS);
    }

    /** In any other. */
    public static function usual(): int
    {
        return array_sum(self::USUAL);
    }
}
