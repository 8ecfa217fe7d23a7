<?php

declare(strict_types=1);

namespace Meandros\Core\Time;

use Meandros\Core\Time\Holiday\Holiday;
use Meandros\Core\Time\Holiday\Holidays;

/** A holiday calendar as some hours keep it: the state that its holidays bring, and those that bring another or none. */
final readonly class ObservedCalendar
{
    /** @param array<string, string|null> $exceptions state by holiday; null where these hours do not keep it */
    public function __construct(
        public string $id,
        public string $name,
        public Holidays $holidays,
        public string $state,
        public array $exceptions = [],
    ) {}

    public function stateOn(Holiday $holiday): ?string
    {
        return \array_key_exists($holiday->id, $this->exceptions) ? $this->exceptions[$holiday->id] : $this->state;
    }
}
