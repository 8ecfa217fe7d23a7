<?php

declare(strict_types=1);

namespace Meandros\Core\Routing;

/** The caller has hung up who keeps a place. */
final readonly class HungUp
{
    /**
     * @param int $events that came about before
     * @param int $from   second of the call
     */
    public function __construct(public PlaceKept $kept, public int $events, public int $from) {}
}
