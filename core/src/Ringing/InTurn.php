<?php

declare(strict_types=1);

namespace Meandros\Core\Ringing;

/**
 * Each member rings for so many seconds, or until nothing of theirs rings or will ring; then the next. Where a member
 * has seconds of their own, they take the place of the team's.
 */
final readonly class InTurn implements Pattern
{
    public function __construct(private int $memberSeconds, private Order $order) {}

    public function begin(RingSimulation $ringing, array $members, int $from, int $until, Group $group): void
    {
        if ($ringing->canRing($members)) {
            $ringing->at($from, $members, $group, function () use ($ringing, $members, $until, $group): void {
                $group->open();
                $this->next($ringing, $this->order->of($members), $until, $group);
            });
        }
    }

    /** @param list<RingMember> $members those whose turn is still to come */
    private function next(RingSimulation $ringing, array $members, int $until, Group $group): void
    {
        $member = array_shift($members);
        $now = $ringing->second();
        if (null === $member || $now >= $until) {
            $group->close();

            return;
        }
        $turn = new Group(fn() => $this->next($ringing, $members, $until, $group));
        $turn->open();
        $ringing->member($member, $now, min($until, $now + ($member->seconds ?? $this->memberSeconds)), $turn);
        $turn->close();
    }
}
