<?php

declare(strict_types=1);

namespace Meandros\Core\Wording;

final class Duration
{
    /** "45 s", "8 min", "1 min 30 s", "2 h 5 min". */
    public static function words(int $seconds): string
    {
        [$hours, $minutes, $rest] = [intdiv($seconds, 3600), intdiv($seconds, 60) % 60, $seconds % 60];
        $parts = [];
        foreach ([[$hours, 'h'], [$minutes, 'min'], [$rest, 's']] as [$amount, $unit]) {
            if ($amount > 0) {
                $parts[] = $amount . ' ' . $unit;
            }
        }

        return [] === $parts ? '0 s' : implode(' ', $parts);
    }
}
