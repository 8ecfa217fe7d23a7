<?php

declare(strict_types=1);

namespace Meandros\Core\Routing\Step;

use Meandros\Core\Plan\Element\Hours;
use Meandros\Core\Plan\Step;
use Meandros\Core\Plan\Step\HoursStep;
use Meandros\Core\Routing\Onward;
use Meandros\Core\Routing\StepWalker;
use Meandros\Core\Routing\Walk;

final class HoursWalker implements StepWalker
{
    public function take(Step $step, Walk $walk): Onward
    {
        \assert($step instanceof HoursStep);
        $hours = $walk->plan->get(Hours::class, $step->hours);
        $reading = null === $hours ? null : $walk->read($hours);
        $walk->noteHours($hours, $reading, null !== $reading && null !== $step->exits()->find($reading->state));

        return null === $reading ? Onward::next() : Onward::by($reading->state);
    }
}
