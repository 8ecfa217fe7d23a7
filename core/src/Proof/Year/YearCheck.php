<?php

declare(strict_types=1);

namespace Meandros\Core\Proof\Year;

use Meandros\Core\Check\Finding;
use Meandros\Core\Proof\Fares\Fares;

/** One thing to look for in how all calls of a year fare. It sees them one after the other, and then says what it found. */
interface YearCheck
{
    public function see(Seen $seen, Fares $fares): void;

    /** @return iterable<Finding> each thing once */
    public function found(Fares $fares): iterable;
}
