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
     * @param list<string>                    $keys      pressed at one menu after the other
     * @param string                          $caller    who calls; empty for whoever it is
     * @param Behaviour|null                  $phones    what all of them do; null for ringing on
     */
    public function __construct(
        public Course $before,
        public Course $after,
        public array $intervals,
        public array $keys = [],
        public string $caller = '',
        public ?Behaviour $phones = null,
    ) {
        $this->severity = Severity::of($before, $after);
        $this->seconds = array_sum(array_map(static fn(array $one): int => $one[1] - $one[0], $intervals));
    }

    /** @param list<string> $keys */
    public function by(array $keys, string $caller): self
    {
        return new self($this->before, $this->after, $this->intervals, $keys, $caller, $this->phones);
    }

    /** @param non-empty-list<array{int, int}> $intervals */
    public function at(array $intervals, Behaviour $phones): self
    {
        return new self($this->before, $this->after, $intervals, $this->keys, $this->caller, $phones);
    }
}
