<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Element;

use Meandros\Core\Time\DateSpan;

/** A season of hours, with a week of its own. */
final readonly class SeasonWeek
{
    /** @param list<WeekBand> $week */
    public function __construct(public string $name, public DateSpan $span, public array $week) {}

    /** @return array<string, mixed> */
    public function toJson(): array
    {
        return ['name' => $this->name] +
            $this->span->toJson() + [
                'week' => array_map(static fn(WeekBand $band): array => $band->toJson(), $this->week),
            ];
    }
}
