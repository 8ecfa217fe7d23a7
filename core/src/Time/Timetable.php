<?php

declare(strict_types=1);

namespace Meandros\Core\Time;

/**
 * What the compiler needs of hours: bands per weekday, special days, and the state that holds elsewhere.
 */
final readonly class Timetable
{
    /**
     * @param array<int, list<Band>> $week        by weekday, 0 for Monday
     * @param array<int, SpecialDay> $specialDays by day since 1970-01-01
     */
    public function __construct(public string $zone, public array $week, public array $specialDays, public string $defaultState)
    {
    }
}
