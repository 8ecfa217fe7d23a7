<?php

declare(strict_types=1);

namespace Meandros\Core\Reading;

/** Something wrong with given data: where (RFC 6901 JSON Pointer), what, and how to mend it. */
final readonly class Problem
{
    public function __construct(public string $pointer, public string $message, public string $remedy) {}

    public function under(string $prefix): self
    {
        return new self($prefix . $this->pointer, $this->message, $this->remedy);
    }

    /** @return array{pointer: string, detail: string, remedy: string} */
    public function toJson(): array
    {
        return ['pointer' => $this->pointer, 'detail' => $this->message, 'remedy' => $this->remedy];
    }
}
