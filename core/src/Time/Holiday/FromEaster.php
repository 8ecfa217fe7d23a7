<?php

declare(strict_types=1);

namespace Meandros\Core\Time\Holiday;

/** So many days after Easter Sunday, or before it when negative: Good Friday is -2. */
final readonly class FromEaster implements HolidayRule
{
    public const NAME = 'easter';

    public function __construct(public int $days, public Church $church) {}

    public function daysIn(int $year): array
    {
        return [$this->church->easter($year) + $this->days];
    }

    public function lastDay(): ?int
    {
        return null;
    }

    public function toJson(): array
    {
        return ['on' => self::NAME, 'days' => $this->days, 'church' => $this->church->value];
    }
}
