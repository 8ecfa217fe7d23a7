<?php

declare(strict_types=1);

namespace Meandros\Core\Routing\Happening;

/** Somebody waits longer than is tolerated: an e-mail says so. */
final readonly class NoticeSent implements QueueHappening
{
    /** @param list<string> $to e-mail addresses */
    public function __construct(public string $queue, public int $seconds, public array $to) {}

    public function kind(): string
    {
        return 'notice sent';
    }

    public function what(): array
    {
        return ['queue' => $this->queue, 'to' => $this->to];
    }

    public function because(): array
    {
        return ['seconds' => $this->seconds];
    }

    public function noticed(): array
    {
        return ['to' => $this->to];
    }
}
