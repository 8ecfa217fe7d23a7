<?php

declare(strict_types=1);

namespace Meandros\Core\Proof;

use Meandros\Core\Plan\PlanHours;
use Meandros\Core\Routing\Lookup\Found;
use Meandros\Core\Routing\Lookup\Lookup;

/** A place in the tree of lookups: one that is looked up next, or the course that calls take that came so far. */
final class Node
{
    public ?Lookup $lookup = null;
    /** @var array<string, self> by what is found */
    public array $branches = [];
    public ?Course $course = null;
    /** What was found last, and from when on that is known: of all that calls look up, little changes from one instant to the next. */
    private ?Found $found = null;
    private int $from = 0;

    /** What the lookup finds; null where none comes next. */
    public function find(int $instant, PlanHours $hours): ?Found
    {
        $found = $this->found;
        if (null === $found || $instant < $this->from || (null !== $found->until && $instant >= $found->until)) {
            $this->found = $found = $this->lookup?->at($instant, $hours);
            $this->from = $found->since ?? $instant;
        }

        return $found;
    }

    /** @param list<array{Lookup, string}> $lookups with what they found, from this place on */
    public function keep(array $lookups, Course $course): void
    {
        $node = $this;
        foreach ($lookups as [$lookup, $answer]) {
            $node->lookup ??= $lookup;
            $node = $node->branches[$answer] ??= new self();
        }
        $node->course = $course;
    }
}
