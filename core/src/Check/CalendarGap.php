<?php

declare(strict_types=1);

namespace Meandros\Core\Check;

use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\Element\HolidayCalendar;
use Meandros\Core\Time\CivilDate;

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
        $comes = $element->holidays->between(
            $today,
            CivilDate::of(CivilDate::year($today) + self::YEARS_AHEAD + 1, 1, 1),
        );
        foreach ($comes as $occasion) {
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
}
