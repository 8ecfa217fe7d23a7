<?php

declare(strict_types=1);

namespace Meandros\Core\Routing;

use Meandros\Core\Live\LiveState;
use Meandros\Core\Outside\Lines;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Plan\PlanHours;
use Meandros\Core\Ringing\Phones;

/** What a call finds on its way: the plan, with its hours, outside lines and phones, and what is so live. */
final readonly class Surroundings
{
    public function __construct(
        public Plan $plan,
        public LiveState $live,
        public PlanHours $hours,
        public Lines $lines,
        public Phones $phones,
        public Hearing $hearing,
    ) {}
}
