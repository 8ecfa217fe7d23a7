<?php

declare(strict_types=1);

namespace Meandros\Server\Storage;

/** Elements that differ between the draft and another plan; where there are many, the first of each kind are named. */
final readonly class Differing
{
    public int $count;

    /**
     * @param int                    $revision of the draft
     * @param list<DifferingCount>   $counts   of all of them
     * @param list<DifferingElement> $pending  those that are named
     */
    public function __construct(public int $revision, public array $counts, public array $pending)
    {
        $this->count = array_sum(array_map(static fn(DifferingCount $of): int => $of->count, $counts));
    }
}
