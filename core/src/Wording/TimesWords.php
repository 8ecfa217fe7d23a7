<?php

declare(strict_types=1);

namespace Meandros\Core\Wording;

use Meandros\Core\Proof\Times;
use Meandros\Core\Proof\Weekly;
use Meandros\Core\Time\TimeOfDay;
use Meandros\Core\Time\Weekday;

/** When something is the case, as people say it: "Mon–Fri 17:00–08:00; on 8 other days, the first on Fri 25 Dec 2026". */
final class TimesWords
{
    private const DAY = 86400;

    /** @param int $most parts; there may be many seasons */
    public static function of(Times $times, int $most = 4): string
    {
        if ($times->always) {
            return 'always';
        }
        $parts = array_map(
            static fn(Weekly $weekly): string => self::weekly($weekly) . self::season($weekly->season),
            $times->weekly,
        );
        $count = \count($times->days);
        if ($count > 0) {
            $other = [] === $times->weekly ? '' : ' other';
            $parts[] =
                1 === $count
                    ? 'on ' . When::date($times->days[0])
                    : \sprintf('on %d%s days, the first on %s', $count, $other, When::date($times->days[0]));
        }

        if (\count($parts) > $most) {
            $parts = [...\array_slice($parts, 0, $most), \sprintf('and %d more', \count($parts) - $most)];
        }

        return implode('; ', $parts);
    }

    /** @param array{int, int}|null $season */
    private static function season(?array $season): string
    {
        return null === $season ? '' : \sprintf(' from %s to %s', When::date($season[0]), When::date($season[1]));
    }

    /** "Mon–Fri 17:00–08:00". */
    public static function weekly(Weekly $weekly): string
    {
        $days = self::days($weekly->days);
        $from = TimeOfDay::format($weekly->from);
        $isAllDay = 0 === $weekly->from && 0 === $weekly->later && self::DAY === $weekly->to;

        return match (true) {
            $isAllDay => $days . ' all day',
            0 === $weekly->later => \sprintf('%s %s–%s', $days, $from, TimeOfDay::format($weekly->to)),
            1 === $weekly->later && $weekly->to <= $weekly->from => \sprintf(
                '%s %s–%s',
                $days,
                $from,
                TimeOfDay::format($weekly->to),
            ),
            default => \sprintf(
                '%s %s until %s %s',
                $days,
                $from,
                self::days(
                    array_map(
                        static fn(Weekday $day): Weekday => Weekday::cases()[($day->index() + $weekly->later) % 7],
                        $weekly->days,
                    ),
                ),
                TimeOfDay::format($weekly->to),
            ),
        };
    }

    /** @param non-empty-list<Weekday> $days */
    private static function days(array $days): string
    {
        $name = static fn(Weekday $day): string => substr($day->name, 0, 3);
        $places = array_map(static fn(Weekday $day): int => $day->index(), $days);
        $last = $days[\count($days) - 1];

        return match (true) {
            7 === \count($days) => 'daily',
            \count($days) > 2 && $places === range($places[0], $places[0] + \count($days) - 1) => \sprintf(
                '%s–%s',
                $name($days[0]),
                $name($last),
            ),
            default => implode(', ', array_map($name, $days)),
        };
    }
}
