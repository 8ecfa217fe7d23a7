<?php

declare(strict_types=1);

namespace Meandros\Core\Time;

use Meandros\Core\Value\Handed;

/**
 * A stretch of a day in which hours are in a state: half-open, in seconds since local midnight; an end above 24:00
 * runs into the next day.
 */
final readonly class Band
{
    use Handed;

    public function __construct(public int $fromSeconds, public int $toSeconds, public string $state)
    {
        if (
            $fromSeconds < 0 ||
            $fromSeconds >= TimeOfDay::DAY ||
            $toSeconds <= $fromSeconds ||
            $toSeconds > TimeOfDay::LATEST
        ) {
            throw new \InvalidArgumentException('A band starts within its day, and ends after it starts.');
        }
    }

    /** @return array{from: string, to: string, state: string} */
    public function toJson(): array
    {
        return [
            'from' => TimeOfDay::format($this->fromSeconds),
            'to' => TimeOfDay::format($this->toSeconds),
            'state' => $this->state,
        ];
    }
}
