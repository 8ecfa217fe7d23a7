<?php

declare(strict_types=1);

namespace Meandros\Core\Queueing;

/** An agent of a queue as they stand at a second of the call. */
final class Agent
{
    /**
     * @param int|null $freeAt    second from which on they can be asked; null for never
     * @param int      $idleSince second at which their last call, or its pause, was over; before the call: negative
     */
    public function __construct(
        public readonly string $who,
        public readonly int $tier,
        public readonly bool $signedIn,
        public ?int $freeAt,
        public int $idleSince,
        public int $calls = 0,
        public int $talk = 0,
    ) {
    }

    public function isFree(int $second): bool
    {
        return $this->signedIn && null !== $this->freeAt && $this->freeAt <= $second;
    }
}
