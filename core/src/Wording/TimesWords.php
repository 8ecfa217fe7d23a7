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
    public static function of(Times $times, int $most = 4, string $language = 'en'): string
    {
        $catalog = Catalog::of('times', $language);
        if ($times->always) {
            return $catalog->say('always');
        }
        $parts = array_map(static fn(Weekly $weekly): string => self::inSeason($weekly, $language), $times->weekly);
        $count = \count($times->days);
        if ($count > 0) {
            $parts[] = $catalog->say(1 === $count ? 'day' : 'days', [
                'count' => $count,
                'other' => [] === $times->weekly ? 'no' : 'yes',
                'date' => When::date($times->days[0], $language),
            ]);
        }

        if (\count($parts) > $most) {
            $more = $catalog->say('more', ['count' => \count($parts) - $most]);
            $parts = [...\array_slice($parts, 0, $most), $more];
        }

        return Listed::each($parts, 'beside', $language);
    }

    private static function inSeason(Weekly $weekly, string $language): string
    {
        $when = self::weekly($weekly, $language);

        return null === $weekly->season
            ? $when
            : Catalog::of('times', $language)->say('season', [
                'when' => $when,
                'from' => When::date($weekly->season[0], $language),
                'to' => When::date($weekly->season[1], $language),
            ]);
    }

    /** "Mon–Fri 17:00–08:00". */
    public static function weekly(Weekly $weekly, string $language = 'en'): string
    {
        $days = self::days($weekly->days, $language);
        [$from, $to] = [TimeOfDay::format($weekly->from), TimeOfDay::format($weekly->to)];
        $isAllDay = 0 === $weekly->from && 0 === $weekly->later && self::DAY === $weekly->to;
        $isWithinADay = 0 === $weekly->later || (1 === $weekly->later && $weekly->to <= $weekly->from);
        $last = array_map(
            static fn(Weekday $day): Weekday => Weekday::cases()[($day->index() + $weekly->later) % 7],
            $weekly->days,
        );
        $catalog = Catalog::of('times', $language);

        return match (true) {
            $isAllDay => $catalog->say('all-day', ['days' => $days]),
            $isWithinADay => \sprintf('%s %s–%s', $days, $from, $to),
            default => $catalog->say('until-day', [
                'days' => $days,
                'from' => $from,
                'last' => self::days($last, $language),
                'to' => $to,
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
