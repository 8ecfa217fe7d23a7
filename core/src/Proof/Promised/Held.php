<?php

declare(strict_types=1);

namespace Meandros\Core\Proof\Promised;

use Meandros\Core\Plan\Element\Expectation;

/** A promise, held against the calls that it names. */
final readonly class Held
{
    /**
     * @param list<Breach> $breaches   the soonest first
     * @param bool         $applies    whether it names any call at all
     * @param bool         $isComplete whether all of them were looked at
     * @param int          $left       numbers that could not be looked at
     * @param bool         $whatever   whether it was also looked at where phones do something else than ring on
     */
    public function __construct(
        public Expectation $expectation,
        public array $breaches,
        public bool $applies,
        public bool $isComplete,
        public int $left,
        public bool $whatever,
    ) {}

    public function isKept(): bool
    {
        return [] === $this->breaches;
    }
}
