<?php

declare(strict_types=1);

namespace Meandros\Core\Routing;

use Meandros\Core\Routing\Lookup\Lookup;

/** The stretch of instants in which a call fares the same, and the lookups that make it so. */
final readonly class Holds
{
    /**
     * @param int|null                    $since   first instant (Unix seconds) of the stretch in which every lookup finds the same
     * @param int|null                    $until   first instant after it
     * @param list<array{Lookup, string}> $lookups in order, with what they found
     */
    public function __construct(public ?int $since, public ?int $until, public array $lookups) {}
}
