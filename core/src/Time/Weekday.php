<?php

declare(strict_types=1);

namespace Meandros\Core\Time;

/** Days of the week by their two-letter codes in RFC 5545 3.3.10 (lower case), Monday first as in ISO 8601. */
enum Weekday: string
{
    case Monday = 'mo';
    case Tuesday = 'tu';
    case Wednesday = 'we';
    case Thursday = 'th';
    case Friday = 'fr';
    case Saturday = 'sa';
    case Sunday = 'su';

    public function isWeekend(): bool
    {
        return self::Saturday === $this || self::Sunday === $this;
    }

    /** @return int 0 for Monday … 6 for Sunday */
    public function index(): int
    {
        return (int) array_search($this, self::cases(), true);
    }
}
