<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Step;

/** What a step still lacks: its field, and what is to be chosen there, for people. */
final readonly class Unfinished
{
    private function __construct(public string $field, public string $what)
    {
    }

    /** @param mixed $chosen what stands in the field */
    public static function without(string $field, mixed $chosen, ?string $what = null): ?self
    {
        return null === $chosen ? new self($field, $what ?? $field) : null;
    }
}
