<?php

declare(strict_types=1);

namespace Meandros\Core\Time\Holiday;

use Meandros\Core\Time\CivilDate;

/** An entry of a holiday calendar: a name, the days it falls on, and the part of the day that it takes. */
final readonly class Holiday
{
    /** @param string $id within its calendar: hours refer to it to give it a state of its own */
    public function __construct(
        public string $id,
        public string $name,
        public HolidayRule $rule,
        public ?Substitute $substitute = null,
        public DayPart $part = new DayPart(),
        public Years $years = new Years(),
    ) {}

    /** @return int|null the last day on which it may come; null where it comes for ever */
    public function lastDay(): ?int
    {
        $last = $this->rule->lastDay();

        return null === $this->years->to ? $last : min($last ?? \PHP_INT_MAX, CivilDate::of($this->years->to, 12, 31));
    }

    /** Whether it will never come again. */
    public function isOver(int $today): bool
    {
        return ($this->lastDay() ?? $today) < $today;
    }

    /** @return array<string, mixed> */
    public function toJson(): array
    {
        return [
            'id' => $this->id,
            'name' => $this->name,
            'rule' => $this->rule->toJson(),
            'substitute' => $this->substitute?->toJson(),
            'part' => $this->part->toJson(),
            'years' => $this->years->toJson(),
        ];
    }
}
