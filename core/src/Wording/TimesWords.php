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

    /**
     * @param int $most parts; there may be many seasons
     * @param int $days that are told one by one
     */
    public static function of(Times $times, int $most = 4, string $language = 'en', int $days = 1): string
    {
        $catalog = Catalog::of('times', $language);
        if ($times->always) {
            return $catalog->say('always');
        }
        $parts = [];
        foreach (self::together($times->weekly) as $some) {
            $parts[] = self::inSeason($some, $language);
        }
        $count = \count($times->days);
        if ($count > 0) {
            $told = \array_slice($times->days, 0, $count > $days ? 1 : $count);
            $dates = array_map(static fn(int $day): string => When::date($day, $language), $told);
            $parts[] = $catalog->say($count > $days ? 'days' : 'day', [
                'count' => $count,
                'other' => [] === $times->weekly ? 'no' : 'yes',
                'date' => Listed::words($dates, 'and', $language),
            ]);
        }

        if (\count($parts) > $most) {
            $more = $catalog->say('more', ['count' => \count($parts) - $most]);
            $parts = [...\array_slice($parts, 0, $most), $more];
        }

        return Listed::each($parts, 'beside', $language);
    }

    /**
     * @param list<Weekly> $weekly
     *
     * @return list<non-empty-list<Weekly>> those within the same days of the same season
     */
    private static function together(array $weekly): array
    {
        $together = [];
        foreach ($weekly as $i => $one) {
            $days = self::isWithinADay($one) ? serialize([$one->days, $one->season]) : $i;
            $together[$days][] = $one;
        }

        return array_values($together);
    }

    /** @param non-empty-list<Weekly> $some of the same days */
    private static function inSeason(array $some, string $language): string
    {
        $season = $some[0]->season;
        $when = implode(', ', [
            self::weekly($some[0], $language),
            ...array_map(self::clock(...), \array_slice($some, 1)),
        ]);

        return null === $season
            ? $when
            : Catalog::of('times', $language)->say('season', [
                'when' => $when,
                'from' => When::date($season[0], $language),
                'to' => When::date($season[1], $language),
            ]);
    }

    private static function clock(Weekly $weekly): string
    {
        return TimeOfDay::format($weekly->from) . '–' . TimeOfDay::format($weekly->to);
    }

    private static function isAllDay(Weekly $weekly): bool
    {
        return 0 === $weekly->from && 0 === $weekly->later && self::DAY === $weekly->to;
    }

    private static function isWithinADay(Weekly $weekly): bool
    {
        return !self::isAllDay($weekly) &&
            (0 === $weekly->later || (1 === $weekly->later && $weekly->to <= $weekly->from));
    }

    /** "Mon–Fri 17:00–08:00". */
    public static function weekly(Weekly $weekly, string $language = 'en'): string
    {
        $days = self::days($weekly->days, $language);
        $last = array_map(
            static fn(Weekday $day): Weekday => Weekday::cases()[($day->index() + $weekly->later) % 7],
            $weekly->days,
        );
        $catalog = Catalog::of('times', $language);

        return match (true) {
            self::isAllDay($weekly) => $catalog->say('all-day', ['days' => $days]),
            self::isWithinADay($weekly) => $days . ' ' . self::clock($weekly),
            default => $catalog->say('until-day', [
                'days' => $days,
                'from' => TimeOfDay::format($weekly->from),
                'last' => self::days($last, $language),
                'to' => TimeOfDay::format($weekly->to),
            ]),
        };
    }

    /** @param non-empty-list<Weekday> $days */
    private static function days(array $days, string $language): string
    {
        $name = static fn(Weekday $day): string => When::weekday($day, $language);
        $places = array_map(static fn(Weekday $day): int => $day->index(), $days);
        $last = $days[\count($days) - 1];

        return match (true) {
            7 === \count($days) => Catalog::of('times', $language)->say('daily'),
            \count($days) > 2 && $places === range($places[0], $places[0] + \count($days) - 1) => \sprintf(
                '%s–%s',
                $name($days[0]),
                $name($last),
            ),
            default => implode(', ', array_map($name, $days)),
        };
    }
}
