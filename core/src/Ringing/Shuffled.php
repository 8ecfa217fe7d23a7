<?php

declare(strict_types=1);

namespace Meandros\Core\Ringing;

use Random\Engine\Mt19937;
use Random\Randomizer;

/** Any order, the same for the same seed. */
final readonly class Shuffled implements Order
{
    public function __construct(private int $seed)
    {
    }

    public function of(array $members): array
    {
        return (new Randomizer(new Mt19937($this->seed)))->shuffleArray($members);
    }
}
