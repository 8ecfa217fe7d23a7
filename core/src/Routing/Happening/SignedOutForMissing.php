<?php

declare(strict_types=1);

namespace Meandros\Core\Routing\Happening;

/** An agent is signed out, having missed too many calls. */
final readonly class SignedOutForMissing implements QueueHappening
{
    public function __construct(public string $queue, public string $who, public int $missed) {}

    public function kind(): string
    {
        return 'signed out';
    }

    public function what(): array
    {
        return ['queue' => $this->queue, 'who' => $this->who];
    }

    public function because(): array
    {
        return ['missed' => $this->missed];
    }

    public function noticed(): array
    {
        return ['who' => $this->who];
    }
}
