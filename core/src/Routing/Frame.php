<?php

declare(strict_types=1);

namespace Meandros\Core\Routing;

use Meandros\Core\Plan\Step;
use Meandros\Core\Plan\Step\StepList;

/** A list of steps that a call is in, and how far it came. */
final readonly class Frame
{
    /**
     * @param string     $name  of the list within the call's way: the same for the same list
     * @param int        $at    place of the step that comes next
     * @param Owner|null $owner the step to which the list belongs; null for the list of a journey
     */
    public function __construct(
        public string $name,
        public string $journey,
        public StepList $list,
        public int $at = 0,
        public ?Owner $owner = null,
    ) {}

    /** Equal for the same place in the same list. */
    public function key(): string
    {
        return $this->name . ':' . $this->at;
    }

    public function movedTo(int $at): self
    {
        return new self($this->name, $this->journey, $this->list, $at, $this->owner);
    }

    /** The step at which the call is, as people see it; null where no step is left. */
    public function place(): ?Step
    {
        return null === $this->owner?->since ? $this->step() : $this->owner->step;
    }

    public function step(): ?Step
    {
        return $this->list->steps[$this->at] ?? null;
    }
}
