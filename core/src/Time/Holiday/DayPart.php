<?php

declare(strict_types=1);

namespace Meandros\Core\Time\Holiday;

use Meandros\Core\Time\TimeOfDay;

/** The part of a day that a holiday takes. */
final readonly class DayPart
{
    public function __construct(public int $fromSeconds = 0, public int $toSeconds = TimeOfDay::DAY)
    {
        if ($fromSeconds < 0 || $toSeconds <= $fromSeconds || $toSeconds > TimeOfDay::DAY) {
            throw new \InvalidArgumentException('A holiday takes a part of its own day.');
        }
    }

    public function isWholeDay(): bool
    {
        return 0 === $this->fromSeconds && TimeOfDay::DAY === $this->toSeconds;
    }

    /** @return array{from: string, to: string}|null null for the whole day */
    public function toJson(): ?array
    {
        return $this->isWholeDay()
            ? null
            : ['from' => TimeOfDay::format($this->fromSeconds), 'to' => TimeOfDay::format($this->toSeconds)];
    }
}
