<?php

declare(strict_types=1);

namespace Meandros\Core\Time\Holiday;

/**
 * Names the days of a holiday, year by year, before any substitute day.
 *
 * @phpstan-sealed FromEaster|InSpan|NthWeekday|OnDates|WeekdayNear|Yearly
 */
interface HolidayRule
{
    /** @return list<int> days since 1970-01-01 that lie in the year */
    public function daysIn(int $year): array;

    /** @return int|null the last day that the rule will ever name; null when it goes on */
    public function lastDay(): ?int;

    /** @return array<string, mixed> with the rule's name under "on" */
    public function toJson(): array;
}
