<?php

declare(strict_types=1);

namespace Meandros\Server;

use Meandros\Core\Time\CivilDate;
use Psr\Clock\ClockInterface;

/** The one place that knows what time it is. */
final readonly class Now
{
    public function __construct(private ClockInterface $clock) {}

    /** @return int Unix seconds */
    public function second(): int
    {
        return $this->clock->now()->getTimestamp();
    }

    /** @return int days since 1970-01-01, UTC */
    public function day(): int
    {
        return intdiv($this->second(), CivilDate::SECONDS_PER_DAY);
    }

    public function moment(): \DateTimeImmutable
    {
        return $this->clock->now();
    }
}
