<?php

declare(strict_types=1);

namespace Meandros\Core\Proof\Year;

use Meandros\Core\Check\Finding;
use Meandros\Core\Proof\Fares\Fares;

/** One thing to look for in the steps to which all calls of a year come. */
interface StepsCheck extends YearCheck, OfWhatNeverHappens
{
    /** @return iterable<Finding> each thing once */
    public function found(StepsReached $steps, Fares $fares): iterable;
}
