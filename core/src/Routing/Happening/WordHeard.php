<?php

declare(strict_types=1);

namespace Meandros\Core\Routing\Happening;

/** The agent hears what the call is about before the caller is through. */
final readonly class WordHeard implements QueueHappening
{
    public function __construct(public string $prompt, public int $seconds) {}

    public function kind(): string
    {
        return 'word heard';
    }

    public function what(): array
    {
        return ['prompt' => $this->prompt];
    }

    public function because(): array
    {
        return ['seconds' => $this->seconds];
    }

    public function noticed(): array
    {
        return ['prompt' => $this->prompt];
    }
}
