<?php

declare(strict_types=1);

namespace Meandros\Core\Time\Holiday;

use Meandros\Core\Time\CivilDate;
use Meandros\Core\Time\Weekday;
use Meandros\Core\Value\Lists;

/** On which weekdays a holiday gets a substitute day, which one, and whether the day itself is kept too. */
final readonly class Substitute
{
    private const SATURDAY = 5;

    /** @param non-empty-list<Weekday> $on */
    public function __construct(public array $on, public SubstituteDay $to, public bool $keep) {}

    public function concerns(int $day): bool
    {
        return Lists::has($this->on, Weekday::cases()[CivilDate::weekday($day)]);
    }

    /** @param array<int, mixed> $taken days that are holidays already */
    public function of(int $day, array $taken): int
    {
        $weekday = CivilDate::weekday($day);

        return match ($this->to) {
            SubstituteDay::NextMonday => $day + 7 - $weekday,
            SubstituteDay::NearestWeekday => $day + (self::SATURDAY === $weekday ? -1 : 1),
            SubstituteDay::DayBefore => $day - 1,
            SubstituteDay::DayAfter => $day + 1,
            SubstituteDay::NextWorkingDay => self::nextWorkingDay($day, $taken),
        };
    }

    /** @param array<int, mixed> $taken */
    private static function nextWorkingDay(int $day, array $taken): int
    {
        do {
            ++$day;
        } while (CivilDate::weekday($day) >= self::SATURDAY || isset($taken[$day]));

        return $day;
    }

    /** @return array{on: list<string>, to: string, keep: bool} */
    public function toJson(): array
    {
        return [
            'on' => array_map(static fn(Weekday $day): string => $day->value, $this->on),
            'to' => $this->to->value,
            'keep' => $this->keep,
        ];
    }
}
