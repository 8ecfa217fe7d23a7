<?php

declare(strict_types=1);

namespace Meandros\Core\Check;

use Meandros\Core\Plan\Step\RingStep;

/** A place in a plan that rings somebody. */
final readonly class Rings
{
    /**
     * @param string        $by      the journey's name, or the rule's
     * @param int           $seconds for how long at most
     * @param RingStep|null $step    the step; null where a rule rings them
     */
    public function __construct(public string $by, public int $seconds, public ?RingStep $step) {}

    public function during(int $seconds): self
    {
        return new self($this->by, $seconds, $this->step);
    }

    /** Seconds after which a greeting begins; null where none does. */
    public function greetsAfter(): ?int
    {
        return $this->step?->greeting->begins();
    }
}
