<?php

declare(strict_types=1);

namespace Meandros\Core\Routing;

/** How somebody waits in a queue at a second of the call. */
final readonly class Waits
{
    /**
     * @param int      $position from 1
     * @param int|null $expected seconds; null where nobody is signed in
     */
    public function __construct(public int $position, public ?int $expected) {}
}
