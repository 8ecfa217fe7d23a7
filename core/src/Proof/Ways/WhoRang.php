<?php

declare(strict_types=1);

namespace Meandros\Core\Proof\Ways;

/** What callers may still hear that depends on the last ringing. */
final readonly class WhoRang
{
    /**
     * @param list<string> $exits what may have become of it and has a greeting of its own: "busy", "unreachable"
     * @param bool         $name  whether a prompt says the name of whoever was rung
     */
    public function __construct(public array $exits = [], public bool $name = false) {}

    public function isHeard(): bool
    {
        return $this->name || [] !== $this->exits;
    }

    public function and(self $other): self
    {
        return new self(array_values(array_unique([...$this->exits, ...$other->exits])), $this->name || $other->name);
    }
}
