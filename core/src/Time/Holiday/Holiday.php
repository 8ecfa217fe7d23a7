<?php

declare(strict_types=1);

namespace Meandros\Core\Time\Holiday;

use Meandros\Core\Time\TimeOfDay;

/** An entry of a holiday calendar: a name, the days it falls on, and the part of the day that it takes. */
final readonly class Holiday
{
    /** @param string $id within its calendar: hours refer to it to give it a state of its own */
    public function __construct(
        public string $id,
        public string $name,
        public HolidayRule $rule,
        public ?Substitute $substitute = null,
        public int $fromSeconds = 0,
        public int $toSeconds = TimeOfDay::DAY,
        public Years $years = new Years(),
    ) {
        if ($fromSeconds < 0 || $toSeconds <= $fromSeconds || $toSeconds > TimeOfDay::DAY) {
            throw new \InvalidArgumentException('A holiday takes a part of its own day.');
        }
    }

    public function isWholeDay(): bool
    {
        return 0 === $this->fromSeconds && TimeOfDay::DAY === $this->toSeconds;
    }

    /** @return array<string, mixed> */
    public function toJson(): array
    {
        return [
            'id' => $this->id,
            'name' => $this->name,
            'rule' => $this->rule->toJson(),
            'substitute' => $this->substitute?->toJson(),
            'part' => $this->isWholeDay()
                ? null
                : ['from' => TimeOfDay::format($this->fromSeconds), 'to' => TimeOfDay::format($this->toSeconds)],
            'years' => $this->years->toJson(),
        ];
    }
}
