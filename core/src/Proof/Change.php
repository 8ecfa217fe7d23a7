<?php

declare(strict_types=1);

namespace Meandros\Core\Proof;

use Meandros\Core\Call\Behaviour;

/** Calls take another course than before, and when. */
final readonly class Change
{
    public Severity $severity;
    /** Of all its intervals together. */
    public int $seconds;

    /**
     * @param non-empty-list<array{int, int}> $intervals first instants, and first instants after them
     * @param int                             $moved     seconds by which an edge of hours comes later for calls; below nothing where it
     *                                                   comes sooner, 0 where it is something else that changes
     */
    public function __construct(
        public Course $before,
        public Course $after,
        public array $intervals,
        public int $moved,
        public CallsOf $calls = new CallsOf(),
    ) {
        $this->severity = 0 === $moved ? Severity::of($before, $after) : Severity::Details;
        $this->seconds = array_sum(array_map(static fn(array $one): int => $one[1] - $one[0], $intervals));
    }

    public function by(CallsOf $calls): self
    {
        return new self($this->before, $this->after, $this->intervals, $this->moved, $calls);
    }

    /** @param non-empty-list<array{int, int}> $intervals */
    public function at(array $intervals, Behaviour $phones): self
    {
        $calls = new CallsOf($this->calls->keys, $this->calls->caller, $phones);

        return new self($this->before, $this->after, $intervals, $this->moved, $calls);
    }
}
