<?php

declare(strict_types=1);

namespace Meandros\Core\Routing;

/** Keys that a step heeded while something was heard or rang. */
final readonly class Heeded
{
    /**
     * @param list<string> $keys
     * @param int          $events that came about before
     * @param int          $from   second of the call
     * @param int|null     $heard  seconds after which keys are heard; null where the call is not answered by then
     * @param int          $until  second of the call at which they were heeded no longer
     */
    public function __construct(
        public array $keys,
        public int $events,
        public int $from,
        public ?int $heard,
        public int $until,
    ) {}

    public function until(int $second): self
    {
        return new self($this->keys, $this->events, $this->from, $this->heard, $second);
    }
}
