<?php

declare(strict_types=1);

namespace Meandros\Core\Proof;

/** Calls take another course than before, and when. */
final readonly class Change
{
    public Severity $severity;
    /** Of all its intervals together. */
    public int $seconds;

    /** @param non-empty-list<array{int, int}> $intervals first instants, and first instants after them */
    public function __construct(public Course $before, public Course $after, public array $intervals)
    {
        $this->severity = Severity::of($before, $after);
        $this->seconds = array_sum(array_map(static fn(array $one): int => $one[1] - $one[0], $intervals));
    }
}
