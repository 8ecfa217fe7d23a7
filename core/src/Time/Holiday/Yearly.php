<?php

declare(strict_types=1);

namespace Meandros\Core\Time\Holiday;

use Meandros\Core\Time\MonthDay;

/** The same date every year. */
final readonly class Yearly implements HolidayRule
{
    public const NAME = 'yearly';

    public function __construct(public MonthDay $date) {}

    public function daysIn(int $year): array
    {
        $day = $this->date->in($year);

        return null === $day ? [] : [$day];
    }

    public function lastDay(): ?int
    {
        return null;
    }

    public function toJson(): array
    {
        return ['on' => self::NAME, 'date' => $this->date->format()];
    }
}
