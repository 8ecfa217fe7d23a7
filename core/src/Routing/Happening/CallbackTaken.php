<?php

declare(strict_types=1);

namespace Meandros\Core\Routing\Happening;

/** The caller keeps the place and is to be called back. */
final readonly class CallbackTaken implements QueueHappening
{
    /**
     * @param string      $number  that will be called
     * @param string|null $key     that was pressed; null where the longest wait is over
     * @param int         $seconds of waiting
     * @param int         $ahead   callers before them
     */
    public function __construct(
        public string $queue,
        public string $number,
        public ?string $key,
        public int $seconds,
        public int $ahead,
    ) {}

    public function kind(): string
    {
        return 'place kept';
    }

    public function what(): array
    {
        return ['queue' => $this->queue, 'number' => $this->number, 'key' => $this->key];
    }

    public function because(): array
    {
        return ['seconds' => $this->seconds, 'ahead' => $this->ahead];
    }

    public function noticed(): array
    {
        return ['key' => $this->key];
    }
}
