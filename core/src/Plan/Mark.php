<?php

declare(strict_types=1);

namespace Meandros\Core\Plan;

/** What elements were at a moment, so that it can be told later which of them are others since. */
final readonly class Mark
{
    /**
     * @param string $of whose elements they are: those of a draft, of an edition
     * @param int    $at which moment; greater for later ones
     */
    public function __construct(public string $of, public int $at) {}
}
