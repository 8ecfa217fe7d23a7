<?php

declare(strict_types=1);

namespace Meandros\Core\Routing\Happening;

/** Whoever waits hears that they may keep the place and be called back. */
final readonly class CallbackOffered implements QueueHappening
{
    public function __construct(public string $queue, public string $key, public ?string $prompt) {}

    public function kind(): string
    {
        return 'callback offered';
    }

    public function what(): array
    {
        return ['queue' => $this->queue, 'key' => $this->key, 'prompt' => $this->prompt];
    }

    public function because(): array
    {
        return [];
    }

    public function noticed(): array
    {
        return ['key' => $this->key, 'prompt' => $this->prompt];
    }
}
