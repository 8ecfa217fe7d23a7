<?php

declare(strict_types=1);

namespace Meandros\Core\Time;

/**
 * Wall-clock times as seconds since local midnight. Ends may pass midnight and are then written as hours above 24
 * (30:00 is 06:00 on the next day), the way the GTFS schedule reference writes times of service days.
 */
final class TimeOfDay
{
    public const DAY = 86400;
    public const LATEST = 2 * self::DAY;

    /** @return int|null seconds since midnight, 0 to 172800, or null when the text is not HH:MM or HH:MM:SS */
    public static function parse(string $text): ?int
    {
        if (1 !== preg_match('/^(\d{1,2}):(\d{2})(?::(\d{2}))?$/D', $text, $part)) {
            return null;
        }
        [$minutes, $seconds] = [(int) $part[2], (int) ($part[3] ?? 0)];
        $total = (int) $part[1] * 3600 + $minutes * 60 + $seconds;

        return $minutes > 59 || $seconds > 59 || $total > self::LATEST ? null : $total;
    }

    public static function format(int $seconds): string
    {
        $text = \sprintf('%02d:%02d', intdiv($seconds, 3600), intdiv($seconds, 60) % 60);

        return 0 === $seconds % 60 ? $text : $text . \sprintf(':%02d', $seconds % 60);
    }
}
