<?php

declare(strict_types=1);

namespace Meandros\Core\Queueing;

/** An agent of a queue as they stand at a second of the call. */
final class Agent
{
    /** @param int $atOnce calls that they have at the same time */
    public function __construct(
        public readonly string $who,
        public readonly int $tier,
        public bool $signedIn,
        public readonly Occupation $now,
        public readonly int $atOnce = 1,
    ) {
    }

    public function isFree(int $second): bool
    {
        return $this->signedIn && null !== $this->now->freeAt && $this->now->freeAt <= $second;
    }
}
