<?php

declare(strict_types=1);

namespace Meandros\Core\ICalendar;

/** FREQ of RFC 5545 3.3.10. */
enum Frequency: string
{
    case Secondly = 'SECONDLY';
    case Minutely = 'MINUTELY';
    case Hourly = 'HOURLY';
    case Daily = 'DAILY';
    case Weekly = 'WEEKLY';
    case Monthly = 'MONTHLY';
    case Yearly = 'YEARLY';

    /** @return int|null seconds of one period; null where a period is made of days */
    public function seconds(): ?int
    {
        return match ($this) {
            self::Secondly => 1,
            self::Minutely => 60,
            self::Hourly => 3600,
            default => null,
        };
    }
}
