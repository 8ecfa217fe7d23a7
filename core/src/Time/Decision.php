<?php

declare(strict_types=1);

namespace Meandros\Core\Time;

use Meandros\Core\Value\Handed;

/** What decided a state: an override, a special day, a holiday, a band of the week, or nothing (the default state). */
final readonly class Decision
{
    use Handed;

    public const OVERRIDE = 'override';
    public const SPECIAL_DAY = 'special day';
    public const HOLIDAY = 'holiday';
    public const WEEK = 'week';
    public const DEFAULT = 'default';

    /**
     * @param int         $day    the day (since 1970-01-01) whose rule decided; a band past midnight keeps the day it started on
     * @param Band|null   $band   null where no band decided
     * @param string|null $season the season whose week was looked at; null for the base week
     */
    public function __construct(
        public string $by,
        public int $day,
        public ?Band $band = null,
        public Origin $origin = new Origin(),
        public ?string $season = null,
    ) {}

    public function daysLater(int $days): self
    {
        return 0 === $days ? $this : new self($this->by, $this->day + $days, $this->band, $this->origin, $this->season);
    }

    /** @return array<string, mixed> */
    public function toJson(): array
    {
        return [
            'by' => $this->by,
            'date' => CivilDate::format($this->day),
            'band' => $this->band?->toJson(),
            'name' => $this->origin->name,
            'source' => $this->origin->source,
            'of' => $this->origin->of,
            'season' => $this->season,
        ];
    }
}
