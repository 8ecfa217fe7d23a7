<?php

declare(strict_types=1);

namespace Meandros\Core\Ringing;

/** Starts after the member who rang last, and comes round to that one at the end. */
final readonly class Rotating implements Order
{
    /**
     * @param list<string> $team everybody in the team, in order: the one who rang last may be off now
     * @param string|null  $last who rang last; null where nobody did yet
     */
    public function __construct(private array $team, private ?string $last) {}

    public function of(array $members): array
    {
        $last = array_search($this->last, $this->team, true);
        if (false === $last) {
            return $members;
        }
        $count = \count($this->team);
        $turn = fn(RingMember $member): int => ((int) array_search($member->who, $this->team, true) -
            $last -
            1 +
            $count) %
            $count;
        usort($members, static fn(RingMember $a, RingMember $b): int => $turn($a) <=> $turn($b));

        return $members;
    }

    public function first(array $members): RingMember
    {
        return $this->of($members)[0] ?? $members[0];
    }
}
