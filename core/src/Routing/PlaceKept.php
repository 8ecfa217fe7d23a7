<?php

declare(strict_types=1);

namespace Meandros\Core\Routing;

/** Somebody keeps their place in a queue, and is called back once they have hung up. */
final readonly class PlaceKept
{
    /**
     * @param int                                  $start    second of the call at which the wait began
     * @param int                                  $since    second of the call from which on the place is kept
     * @param \Closure(Walk): (\Closure(): Ending) $callBack makes ready what is done, on the walk that goes on
     */
    public function __construct(
        public string $queue,
        public int $start,
        public int $since,
        public \Closure $callBack,
    ) {}

    /** In place of another one, kept before. */
    public function since(int $second): self
    {
        return new self($this->queue, $this->start, $second, $this->callBack);
    }
}
