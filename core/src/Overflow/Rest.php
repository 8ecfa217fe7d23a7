<?php

declare(strict_types=1);

namespace Meandros\Core\Overflow;

use Meandros\Core\Plan\Step\StepList;

/** Where a call goes on: from a place in a list of steps on, then after the step that branched into it. */
final readonly class Rest
{
    /**
     * @param string    $pointer of the list, within the journey
     * @param int       $next    the first step of what is left
     * @param self|null $outer   after the list has run out; null where the call ends then
     */
    public function __construct(
        public string $journey,
        public string $pointer,
        public StepList $list,
        public int $next = 0,
        public ?self $outer = null,
    ) {}

    public function after(): self
    {
        return new self($this->journey, $this->pointer, $this->list, $this->next + 1, $this->outer);
    }

    /** The pointer of the next step. */
    public function place(): string
    {
        return $this->pointer . '/' . $this->next;
    }
}
