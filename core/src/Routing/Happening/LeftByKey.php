<?php

declare(strict_types=1);

namespace Meandros\Core\Routing\Happening;

/** Whoever waits presses the key that leaves the queue. */
final readonly class LeftByKey implements QueueHappening
{
    public function __construct(public string $queue, public string $key, public int $seconds) {}

    public function kind(): string
    {
        return 'left by key';
    }

    public function what(): array
    {
        return ['queue' => $this->queue, 'key' => $this->key, 'seconds' => $this->seconds];
    }

    public function because(): array
    {
        return [];
    }

    public function noticed(): array
    {
        return [];
    }
}
