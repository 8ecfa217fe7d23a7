<?php

declare(strict_types=1);

namespace Meandros\Core\Proof;

use Meandros\Core\Time\Weekday;

/** Intervals that begin and end at the same local times, on some weekdays of most weeks. */
final readonly class Weekly
{
    /**
     * @param non-empty-list<Weekday> $days   on which they begin
     * @param int                     $from   second of the day
     * @param int                     $later  days after the one on which they begin, at which they end
     * @param int                     $to     second of that day
     * @param int                     $times  how many there are
     * @param array{int, int}|null    $season the days since 1970 on which the first and the last begin; null for throughout
     */
    public function __construct(
        public array $days,
        public int $from,
        public int $later,
        public int $to,
        public int $times,
        public ?array $season = null,
    ) {}
}
