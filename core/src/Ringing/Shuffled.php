<?php

declare(strict_types=1);

namespace Meandros\Core\Ringing;

use Random\Engine\Mt19937;
use Random\Randomizer;

/** Any order, the same for the same seed: whoever is missing leaves that of the others as it is. */
final readonly class Shuffled implements Order
{
    /** @param list<string> $team everybody in the team, also those who are off now */
    public function __construct(private array $team, private int $seed) {}

    public function of(array $members): array
    {
        $turns = array_flip((new Randomizer(new Mt19937($this->seed)))->shuffleArray($this->team));
        usort($members, static fn(RingMember $a, RingMember $b): int => $turns[$a->who] <=> $turns[$b->who]);

        return $members;
    }

    public function first(array $members): RingMember
    {
        return $this->of($members)[0] ?? $members[0];
    }
}
