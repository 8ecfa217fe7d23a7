<?php

declare(strict_types=1);

namespace Meandros\Core\Time\Holiday;

use Meandros\Core\Time\CivilDate;
use Meandros\Core\Time\MonthDay;
use Meandros\Core\Time\Weekday;

/** The weekday on or before a date, or on or after it: the Monday on or before 24 May. */
final readonly class WeekdayNear implements HolidayRule
{
    public const NAME = 'weekday near';

    public function __construct(public Weekday $weekday, public MonthDay $date, public Side $side) {}

    public function daysIn(int $year): array
    {
        $days = [];
        // A date near the turn of the year may find its weekday in the year beside it.
        foreach ([$year - 1, $year, $year + 1] as $near) {
            $day = $this->from($this->date->in($near));
            if (null !== $day && CivilDate::year($day) === $year) {
                $days[] = $day;
            }
        }

        return $days;
    }

    private function from(?int $date): ?int
    {
        if (null === $date) {
            return null;
        }
        $ahead = $this->weekday->index() - CivilDate::weekday($date);

        return Side::OnOrAfter === $this->side ? $date + (($ahead + 7) % 7) : $date - ((7 - $ahead) % 7);
    }

    public function lastDay(): ?int
    {
        return null;
    }

    public function toJson(): array
    {
        return [
            'on' => self::NAME,
            'weekday' => $this->weekday->value,
            'side' => $this->side->value,
            'date' => $this->date->format(),
        ];
    }
}
