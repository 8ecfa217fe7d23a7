<?php

declare(strict_types=1);

namespace Meandros\Core\Time\Holiday;

use Meandros\Core\Time\DateSpan;

/** Every day from one date to another, once or every year. */
final readonly class InSpan implements HolidayRule
{
    public const NAME = 'range';

    public function __construct(public DateSpan $span) {}

    public function daysIn(int $year): array
    {
        return $this->span->daysIn($year);
    }

    public function lastDay(): ?int
    {
        return $this->span->lastDay();
    }

    public function toJson(): array
    {
        return ['on' => self::NAME] + $this->span->toJson();
    }
}
