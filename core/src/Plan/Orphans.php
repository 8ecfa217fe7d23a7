<?php

declare(strict_types=1);

namespace Meandros\Core\Plan;

use Meandros\Core\Plan\Element\CalendarUse;
use Meandros\Core\Plan\Element\HolidayCalendar;
use Meandros\Core\Plan\Element\Hours;

/** What goes with something that is taken away because it means nothing without: exceptions of a holiday that is gone. */
final class Orphans
{
    /** @return list<Element> others as they are to be once this one is as given */
    public static function of(Plan $plan, Element $element): array
    {
        if (!($element instanceof HolidayCalendar)) {
            return [];
        }
        $changed = [];
        foreach ($plan->usesOf($element->id()) as $place) {
            $part = $place->reference->part;
            if ($place->user instanceof Hours && null !== $part && !$element->parts()->have($part)) {
                $changed[$place->user->id()] ??= self::withKnownExceptions($place->user, $element);
            }
        }

        return array_values($changed);
    }

    private static function withKnownExceptions(Hours $hours, HolidayCalendar $calendar): Hours
    {
        $known = array_flip($calendar->parts()->ids);

        return $hours->withDays(
            $hours->days->withCalendars(
                array_map(
                    static fn(CalendarUse $use): CalendarUse => $use->calendar === $calendar->id()
                        ? new CalendarUse($use->calendar, $use->state, array_intersect_key($use->exceptions, $known))
                        : $use,
                    $hours->days->calendars,
                ),
            ),
        );
    }
}
