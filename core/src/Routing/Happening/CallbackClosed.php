<?php

declare(strict_types=1);

namespace Meandros\Core\Routing\Happening;

use Meandros\Core\Time\Moment;
use Meandros\Core\Time\Reading;

/** It is closing time, and somebody still keeps a place. */
final readonly class CallbackClosed implements QueueHappening
{
    /** @param bool $kept whether the place is kept until it opens again */
    public function __construct(
        public string $queue,
        public string $hours,
        public Reading $reading,
        public string $zone,
        public bool $kept,
    ) {}

    public function kind(): string
    {
        return 'closed before the callback';
    }

    public function what(): array
    {
        return ['queue' => $this->queue, 'hours' => $this->hours, 'kept' => $this->kept];
    }

    public function because(): array
    {
        return [
            'state' => $this->reading->state,
            'until' => null === $this->reading->until ? null : Moment::format($this->reading->until, $this->zone),
        ];
    }

    public function noticed(): array
    {
        return ['kept' => $this->kept];
    }
}
