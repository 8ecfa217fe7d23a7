<?php

declare(strict_types=1);

namespace Meandros\Server\Storage;

use Meandros\Core\Plan\Plan;

/** The draft at one moment. */
final readonly class DraftReading
{
    /** @param array<string, int> $revisions of the elements, by id */
    public function __construct(public Plan $plan, public int $revision, public array $revisions)
    {
    }
}
