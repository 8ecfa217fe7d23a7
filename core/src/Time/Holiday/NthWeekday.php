<?php

declare(strict_types=1);

namespace Meandros\Core\Time\Holiday;

use Meandros\Core\Time\CivilDate;
use Meandros\Core\Time\Weekday;

/** The nth weekday of a month, counted from its end when negative: the last Monday of May. */
final readonly class NthWeekday implements HolidayRule
{
    public const NAME = 'nth weekday';

    /** @param int $nth 1 to 5, or -1 to -5; months without a fifth such weekday have none */
    public function __construct(public int $nth, public Weekday $weekday, public int $month) {}

    public function daysIn(int $year): array
    {
        $first = CivilDate::of($year, $this->month, 1);
        $last = CivilDate::of($year, $this->month + 1, 1) - 1;
        $day =
            $this->nth > 0
                ? $first + (($this->weekday->index() - CivilDate::weekday($first) + 7) % 7) + 7 * ($this->nth - 1)
                : $last - ((CivilDate::weekday($last) - $this->weekday->index() + 7) % 7) + 7 * ($this->nth + 1);

        return $day < $first || $day > $last ? [] : [$day];
    }

    public function lastDay(): ?int
    {
        return null;
    }

    public function toJson(): array
    {
        return ['on' => self::NAME, 'nth' => $this->nth, 'weekday' => $this->weekday->value, 'month' => $this->month];
    }
}
