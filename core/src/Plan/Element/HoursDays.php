<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Element;

use Meandros\Core\Time\SpecialDay;
use Meandros\Core\Value\Copied;

/** The days of hours, the weakest first: the week, seasons with weeks of their own, holidays, special days. */
final readonly class HoursDays
{
    use Copied;

    /**
     * @param list<WeekBand>    $week
     * @param list<SeasonWeek>  $seasons     none overlaps another
     * @param list<CalendarUse> $calendars   the strongest first
     * @param list<SpecialDay>  $specialDays in order of date
     */
    public function __construct(
        public array $week,
        public array $seasons = [],
        public array $calendars = [],
        public array $specialDays = [],
    ) {}

    /** @param list<SpecialDay> $specialDays in order of date */
    public function withSpecialDays(array $specialDays): self
    {
        return $this->with(specialDays: $specialDays);
    }

    /** @param list<CalendarUse> $calendars the strongest first */
    public function withCalendars(array $calendars): self
    {
        return $this->with(calendars: $calendars);
    }
}
