<?php

declare(strict_types=1);

namespace Meandros\Core\Ringing;

/** One way: phones inside that are free answer by themselves at once, and everybody hears the caller. */
final readonly class Paging implements Pattern
{
    /** @param string $team its id */
    public function __construct(private string $team) {}

    public function begin(RingSimulation $ringing, array $members, int $from, int $until, Group $group): void
    {
        $ringing->page($this->team, $members, $from, $group);
    }
}
