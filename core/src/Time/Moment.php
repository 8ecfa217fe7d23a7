<?php

declare(strict_types=1);

namespace Meandros\Core\Time;

/**
 * A moment as people write it: a local date and time in a zone, or an RFC 3339 timestamp with its offset.
 */
final class Moment
{
    /**
     * @param string $text `2026-11-23T10:30`, `2026-11-23 10:30:15`, or RFC 3339 with `Z` or an offset
     *
     * @return int Unix seconds
     *
     * @throws \InvalidArgumentException when the date does not exist or the text is no moment; RFC 3339 5.6 bounds hours of an offset to 23, minutes to 59
     */
    public static function parse(string $text, string $zone): int
    {
        if (
            1 !==
            preg_match(
                '/^(\d{4}-\d{2}-\d{2})(?:[T ](\d{1,2}:\d{2}(?::\d{2})?))?(Z|[+-](?:[01]\d|2[0-3]):[0-5]\d)?$/D',
                $text,
                $part,
            )
        ) {
            throw new \InvalidArgumentException(
                \sprintf(
                    '"%s" is not a moment. Write it like 2026-11-23T10:30 or 2026-11-23T10:30:00+00:00.',
                    mb_strimwidth($text, 0, 80, '…'),
                ),
            );
        }
        $day = CivilDate::parse($part[1]);
        if (null === $day) {
            throw new \InvalidArgumentException(
                \sprintf(
                    'The date %s does not exist. Dates run from %d to %d.',
                    $part[1],
                    CivilDate::FIRST_YEAR,
                    CivilDate::LAST_YEAR,
                ),
            );
        }
        $clock = '' === ($part[2] ?? '') ? '00:00' : $part[2];
        $time = TimeOfDay::parse($clock);
        if (null === $time || $time > TimeOfDay::DAY) {
            throw new \InvalidArgumentException(
                \sprintf('The time %s does not exist. Times run from 00:00 to 24:00.', $clock),
            );
        }
        $local = $day * CivilDate::SECONDS_PER_DAY + $time;
        $offset = $part[3] ?? '';
        if ('' === $offset) {
            return Zone::around($zone, $local)->instantOf($local);
        }

        return $local - self::offsetSeconds($offset);
    }

    /** RFC 3339, with the offset in force in the zone. */
    public static function format(int $instant, string $zone): string
    {
        $offset = Zone::around($zone, $instant)->offsetAt($instant);
        $sign = $offset < 0 ? '-' : '+';

        return gmdate('Y-m-d\TH:i:s', $instant + $offset) .
            $sign .
            \sprintf('%02d:%02d', intdiv(abs($offset), 3600), intdiv(abs($offset), 60) % 60);
    }

    private static function offsetSeconds(string $offset): int
    {
        if ('Z' === $offset) {
            return 0;
        }
        $seconds = (int) substr($offset, 1, 2) * 3600 + (int) substr($offset, 4, 2) * 60;

        return '-' === $offset[0] ? -$seconds : $seconds;
    }
}
