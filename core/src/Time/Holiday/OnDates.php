<?php

declare(strict_types=1);

namespace Meandros\Core\Time\Holiday;

use Meandros\Core\Time\CivilDate;

/** Particular dates. */
final readonly class OnDates implements HolidayRule
{
    public const NAME = 'dates';

    /** @param non-empty-list<int> $days since 1970-01-01, in order */
    public function __construct(public array $days) {}

    public function daysIn(int $year): array
    {
        return array_values(array_filter($this->days, static fn(int $day): bool => CivilDate::year($day) === $year));
    }

    public function lastDay(): int
    {
        return max($this->days);
    }

    public function toJson(): array
    {
        return ['on' => self::NAME, 'dates' => array_map(CivilDate::format(...), $this->days)];
    }
}
