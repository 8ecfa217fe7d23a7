<?php

declare(strict_types=1);

namespace Meandros\Core\Proof\Year;

/**
 * One thing to look for in a year.
 *
 * @phpstan-sealed CallCheck|StepsCheck|HoursCheck
 */
interface YearCheck {}
