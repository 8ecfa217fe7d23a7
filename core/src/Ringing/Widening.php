<?php

declare(strict_types=1);

namespace Meandros\Core\Ringing;

/** The first tier rings from the start; each further tier joins after so many seconds, and all go on ringing. */
final readonly class Widening implements Pattern
{
    public function __construct(private int $widenSeconds) {}

    public function begin(RingSimulation $ringing, array $members, int $from, int $until, Group $group): void
    {
        foreach ($members as $member) {
            $joins = $from + ($member->tier - 1) * $this->widenSeconds;
            $ringing->member(
                $member,
                $joins,
                null === $member->seconds ? $until : min($until, $joins + $member->seconds),
                $group,
            );
        }
    }
}
