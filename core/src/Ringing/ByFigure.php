<?php

declare(strict_types=1);

namespace Meandros\Core\Ringing;

/** Orders members by a figure that earlier calls left, the smallest first; the team's order decides between equals. */
final readonly class ByFigure implements Order
{
    /** @param \Closure(string): int $figure of a member */
    public function __construct(private \Closure $figure) {}

    public function of(array $members): array
    {
        usort($members, fn(RingMember $a, RingMember $b): int => ($this->figure)($a->who) <=> ($this->figure)($b->who));

        return $members;
    }

    public function first(array $members): RingMember
    {
        $first = $members[0];
        $least = ($this->figure)($first->who);
        foreach ($members as $member) {
            $figure = ($this->figure)($member->who);
            if ($figure < $least) {
                [$first, $least] = [$member, $figure];
            }
        }

        return $first;
    }
}
