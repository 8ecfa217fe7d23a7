<?php

declare(strict_types=1);

namespace Meandros\Core\Callers;

use Meandros\Core\Plan\Element\CallerList;

/** What two lists have in common. */
final readonly class Overlap
{
    /** @param list<array{string, string}> $examples of what the one matches by, and what the other does */
    public function __construct(public CallerList $other, public int $count, public array $examples) {}
}
