<?php

declare(strict_types=1);

namespace Meandros\Core\Check;

use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\Element\HolidayCalendar;
use Meandros\Core\Time\CivilDate;
use Meandros\Core\Time\Holiday\Holidays;

/**
 * A holiday calendar of dates that were typed in for some years, of which the last comes within a year: nobody will have typed in the next.
 *
 * @implements Check<HolidayCalendar>
 */
final class CalendarRunsOut implements Check
{
    private const DAYS = 366;

    public function looksAt(): array
    {
        return [HolidayCalendar::class];
    }

    public function of(Element $element, Survey $survey): iterable
    {
        $end = null;
        foreach ($element->holidays->entries as $holiday) {
            $last = $holiday->lastDay();
            if (null === $last) {
                return;
            }
            $end = max($end ?? $last, $last);
        }
        if (null === $end || null === $survey->now) {
            return;
        }
        $today = intdiv($survey->now, CivilDate::SECONDS_PER_DAY);
        $last = self::lastOccasion($element->holidays, $end);
        if ($last < $today + self::DAYS) {
            yield Finding::warning($element, '/holidays', $last < $today ? 'calendar-ran-out' : 'calendar-runs-out', [
                'last' => CivilDate::format($last),
            ]);
        }
    }

    /** @param int $end the last day on which one may come */
    private static function lastOccasion(Holidays $holidays, int $end): int
    {
        $year = CivilDate::year($end);
        // A substitute day may come in the year after it.
        $last = $holidays->between(CivilDate::of($year, 1, 1), CivilDate::of($year + 2, 1, 1));

        return [] === $last ? $end : end($last)->day;
    }
}
