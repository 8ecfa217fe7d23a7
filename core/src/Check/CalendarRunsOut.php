<?php

declare(strict_types=1);

namespace Meandros\Core\Check;

use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\Element\HolidayCalendar;
use Meandros\Core\Time\CivilDate;
use Meandros\Core\Time\Holiday\Holiday;

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
        $last = null;
        foreach ($element->holidays->entries as $holiday) {
            $end = self::lastDay($holiday);
            if (null === $end) {
                return;
            }
            $last = max($last ?? $end, $end);
        }
        $today = null === $survey->now ? null : intdiv($survey->now, CivilDate::SECONDS_PER_DAY);
        if (null !== $last && null !== $today && $last < $today + self::DAYS) {
            yield Finding::warning($element, '/holidays', $last < $today ? 'calendar-ran-out' : 'calendar-runs-out', [
                'last' => CivilDate::format($last),
            ]);
        }
    }

    private static function lastDay(Holiday $holiday): ?int
    {
        $last = $holiday->rule->lastDay();
        $to = $holiday->years->to;

        return null === $to ? $last : min($last ?? \PHP_INT_MAX, CivilDate::of($to, 12, 31));
    }
}
