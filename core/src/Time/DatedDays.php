<?php

declare(strict_types=1);

namespace Meandros\Core\Time;

/** What goes by dates, not by the day of the week alone. */
final readonly class DatedDays
{
    /**
     * @param list<Season>           $seasons     none overlaps another
     * @param list<ObservedCalendar> $calendars   the strongest first
     * @param array<int, SpecialDay> $specialDays by day since 1970-01-01
     */
    public function __construct(
        public array $seasons = [],
        public array $calendars = [],
        public array $specialDays = [],
    ) {}
}
