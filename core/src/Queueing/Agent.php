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
    ) {}

    /** @return int|null second from which on they can be asked; null for never */
    public function freeAt(): ?int
    {
        return $this->signedIn ? $this->now->freeAt : null;
    }
}
