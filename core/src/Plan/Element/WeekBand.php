<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Element;

use Meandros\Core\Time\Band;
use Meandros\Core\Time\Weekday;

/** A band on some weekdays: `Mon–Fri 12:00–13:00 lunch`. */
final readonly class WeekBand
{
    /** @param non-empty-list<Weekday> $days */
    public function __construct(public array $days, public Band $band) {}

    /** @return array<string, mixed> */
    public function toJson(): array
    {
        return ['days' => array_map(static fn(Weekday $day): string => $day->value, $this->days)] +
            $this->band->toJson();
    }
}
