<?php

declare(strict_types=1);

namespace Meandros\Core\ICalendar;

/** What was read from a calendar file: its events, and what was left out of it. */
final readonly class CalendarFile
{
    /**
     * @param string        $name    empty when the file has none
     * @param list<Event>   $events
     * @param list<LeftOut> $leftOut
     */
    public function __construct(public string $name, public array $events, public array $leftOut) {}
}
