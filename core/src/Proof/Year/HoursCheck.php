<?php

declare(strict_types=1);

namespace Meandros\Core\Proof\Year;

use Meandros\Core\Check\Finding;
use Meandros\Core\Proof\Fares\Fares;

/** One thing to look for in what hours say over a year. */
interface HoursCheck extends YearCheck
{
    /** @return iterable<Finding> each thing once */
    public function found(Fares $fares): iterable;
}
