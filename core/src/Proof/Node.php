<?php

declare(strict_types=1);

namespace Meandros\Core\Proof;

use Meandros\Core\Routing\Lookup\Lookup;

/** A place in the tree of lookups: one that is looked up next, or the course that calls take that came so far. */
final class Node
{
    public ?Lookup $lookup = null;
    /** @var array<string, self> by what is found */
    public array $branches = [];
    public ?Course $course = null;

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
