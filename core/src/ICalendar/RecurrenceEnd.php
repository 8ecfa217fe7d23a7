<?php

declare(strict_types=1);

namespace Meandros\Core\ICalendar;

/** Where an RRULE ends (RFC 5545 3.3.10): after so many times, or at a date; never where it has neither. */
final readonly class RecurrenceEnd
{
    /** @param string|null $until as written: a date, a local time or a UTC time */
    public function __construct(public ?int $count, public ?string $until) {}
}
