<?php

declare(strict_types=1);

namespace Meandros\Core\Time;

/** The state of hours at an instant, what decided it, and the stretch of time in which that state holds. */
final readonly class Reading
{
    /**
     * @param int|null $since first instant of the state; null when it lies before everything that was looked at
     * @param int|null $until first instant of another state; null when none comes within the horizon
     */
    public function __construct(
        public string $state,
        public Decision $decision,
        public ?int $since,
        public ?int $until,
    ) {}
}
