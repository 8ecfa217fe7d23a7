<?php

declare(strict_types=1);

namespace Meandros\Core\Proof;

use Meandros\Core\Routing\Lookup\HoursLookup;
use Meandros\Core\Routing\Lookup\InstantLookup;

/** Calls of one stretch that fare alike, and what they look up. */
final readonly class Piece
{
    /**
     * @param int                                      $since   first instant
     * @param int                                      $until   first instant after it
     * @param int                                      $place   of what is said of them
     * @param array<string, HoursLookup|InstantLookup> $lookups by what they are of, in order
     */
    public function __construct(public int $since, public int $until, public int $place, public array $lookups) {}
}
