<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Element;

/** A holiday calendar that hours keep: its holidays bring one state, except those that have one of their own. */
final readonly class CalendarUse
{
    /** @param array<string, string|null> $exceptions state by holiday; null where the hours do not keep it */
    public function __construct(public string $calendar, public string $state, public array $exceptions) {}

    /** @return array<string, mixed> */
    public function toJson(): array
    {
        $exceptions = [];
        foreach ($this->exceptions as $holiday => $state) {
            $exceptions[] = ['holiday' => $holiday, 'state' => $state];
        }

        return ['calendar' => $this->calendar, 'state' => $this->state, 'exceptions' => $exceptions];
    }
}
