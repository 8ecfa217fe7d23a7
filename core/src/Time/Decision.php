<?php

declare(strict_types=1);

namespace Meandros\Core\Time;

/** What decided a state: a band of a special day, a band of the week, or nothing (the default state). */
final readonly class Decision
{
    public const WEEK = 'week';
    public const SPECIAL_DAY = 'special day';
    public const DEFAULT = 'default';

    /** @param int $day the day (since 1970-01-01) whose bands decided; a band past midnight keeps the day it started on */
    public function __construct(public string $by, public int $day, public ?Band $band, public ?string $name = null)
    {
    }

    public function daysLater(int $days): self
    {
        return new self($this->by, $this->day + $days, $this->band, $this->name);
    }

    /** @return array{by: string, date: string, band: array{from: string, to: string, state: string}|null, name: string|null} */
    public function toJson(): array
    {
        return ['by' => $this->by, 'date' => CivilDate::format($this->day), 'band' => $this->band?->toJson(), 'name' => $this->name];
    }
}
