<?php

declare(strict_types=1);

namespace Meandros\Core\Routing;

use Meandros\Core\Plan\Step;
use Meandros\Core\Plan\Step\StepList;

/** A list of steps that a call is in, and how far it came. */
final readonly class Frame
{
    /**
     * @param string      $name      of the list within the call's way: the same for the same list
     * @param int         $at        place of the step that comes next
     * @param Step|null   $owner     the step in whose exit the list stands; null for the list of a journey
     * @param Ending|null $otherwise how the call ends where the list runs out; null to go on behind its owner
     */
    public function __construct(
        public string $name,
        public string $journey,
        public StepList $list,
        public int $at = 0,
        public ?Step $owner = null,
        public ?Ending $otherwise = null,
    ) {}

    public function movedTo(int $at): self
    {
        return new self($this->name, $this->journey, $this->list, $at, $this->owner, $this->otherwise);
    }

    public function step(): ?Step
    {
        return $this->list->steps[$this->at] ?? null;
    }
}
