<?php

declare(strict_types=1);

namespace Meandros\Core\Proof\Year;

use Meandros\Core\Check\Finding;
use Meandros\Core\Plan\Element\Number;
use Meandros\Core\Proof\Fares\Fares;

/**
 * One thing to look for in how all calls of a year fare: it sees those to one number after the other, adds up what each of them
 * saw, and then says what was found. What it saw of one is small enough to be kept: of elements it has ids.
 */
interface CallCheck extends YearCheck
{
    /** A call to one number. */
    public function see(Seen $seen, Fares $fares): void;

    /**
     * @param self                   $one     of the same kind, that saw all calls to the first of some numbers
     * @param non-empty-list<Number> $numbers to which calls fare alike
     */
    public function add(self $one, array $numbers): void;

    /** @return iterable<Finding> each thing once */
    public function found(Fares $fares): iterable;
}
