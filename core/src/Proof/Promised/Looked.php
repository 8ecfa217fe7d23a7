<?php

declare(strict_types=1);

namespace Meandros\Core\Proof\Promised;

/** What became of a promise in calls to one number, small enough to be kept. */
final readonly class Looked
{
    /**
     * @param list<Breach> $breaches
     * @param bool         $isAll    whether all calls were looked at that it names
     */
    public function __construct(public array $breaches, public bool $isAll) {}
}
