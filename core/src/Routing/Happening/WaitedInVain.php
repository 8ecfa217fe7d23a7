<?php

declare(strict_types=1);

namespace Meandros\Core\Routing\Happening;

/** The longest wait of a queue is over. */
final readonly class WaitedInVain implements QueueHappening
{
    public function __construct(public string $queue, public int $seconds, public int $ahead) {}

    public function kind(): string
    {
        return 'waited in vain';
    }

    public function what(): array
    {
        return ['queue' => $this->queue, 'seconds' => $this->seconds, 'ahead' => $this->ahead];
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
