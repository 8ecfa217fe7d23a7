<?php

declare(strict_types=1);

namespace Meandros\Core\Routing\Lookup;

use Meandros\Core\Plan\PlanHours;

/**
 * Something that a call looks up on its way and that depends on when it comes in. Time enters a trace by nothing else: calls
 * that find the same fare the same.
 *
 * @phpstan-sealed HoursLookup|InstantLookup|BlanksLookup
 */
interface Lookup
{
    /** @param int $instant at which the call comes in, Unix seconds */
    public function at(int $instant, PlanHours $hours): Found;
}
