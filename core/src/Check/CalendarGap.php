<?php

declare(strict_types=1);

namespace Meandros\Core\Check;

use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\Element\HolidayCalendar;
use Meandros\Core\Time\CivilDate;
use Meandros\Core\Time\Holiday\Holidays;
use Meandros\Core\Time\Holiday\Occasion;

/**
 * A holiday calendar that has holidays, and none for more than a year in between: one of the years was forgotten.
 *
 * @implements Check<HolidayCalendar>
 */
final class CalendarGap implements Check
{
    private const YEARS_AHEAD = 3;
    /** From an early Easter to a late one, and what a substitute day adds. */
    private const MOST_DAYS = 366 + 35 + 7;

    public function looksAt(): array
    {
        return [HolidayCalendar::class];
    }

    public function of(Element $element, Survey $survey): iterable
    {
        if (null === $survey->now) {
            return;
        }
        $today = intdiv($survey->now, CivilDate::SECONDS_PER_DAY);
        $last = null;
        foreach (self::coming($element->holidays, $today) as $occasion) {
            if ($occasion->day - ($last ?? $today) > self::MOST_DAYS) {
                $next = CivilDate::format($occasion->day);

                yield null === $last
                    ? Finding::warning($element, '/holidays', 'calendar-begins-late', ['next' => $next])
                    : Finding::warning($element, '/holidays', 'calendar-gap', [
                        'last' => CivilDate::format($last),
                        'next' => $next,
                    ]);

                return;
            }
            $last = $occasion->day;
        }
    }

    /** @return list<Occasion> of the next years; where none comes in them, of the first year in which one does: it may be a slip of the pen */
    private static function coming(Holidays $holidays, int $today): array
    {
        $year = CivilDate::year($today) + self::YEARS_AHEAD + 1;
        $coming = $holidays->between($today, CivilDate::of($year, 1, 1));
        $latest = 0;
        foreach ($holidays->entries as $holiday) {
            $last = $holiday->lastDay();
            $latest = max($latest, $holiday->years->from ?? 0, null === $last ? 0 : CivilDate::year($last));
        }
        for (; [] === $coming && $year <= $latest; ++$year) {
            $coming = $holidays->between(CivilDate::of($year, 1, 1), CivilDate::of($year + 1, 1, 1));
        }

        return $coming;
    }
}
