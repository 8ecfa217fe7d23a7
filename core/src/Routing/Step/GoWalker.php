<?php

declare(strict_types=1);

namespace Meandros\Core\Routing\Step;

use Meandros\Core\Plan\Element\Journey;
use Meandros\Core\Plan\Step;
use Meandros\Core\Plan\Step\GoStep;
use Meandros\Core\Routing\Happening\Went;
use Meandros\Core\Routing\Onward;
use Meandros\Core\Routing\StepWalker;
use Meandros\Core\Routing\Walk;

final class GoWalker implements StepWalker
{
    public function take(Step $step, Walk $walk): Onward
    {
        \assert($step instanceof GoStep);
        $journey = $walk->plan->get(Journey::class, $step->journey);
        $walk->note(new Went($journey?->id(), $step->comesBack));

        return null === $journey ? Onward::next() : Onward::to($journey->id(), $step->comesBack);
    }
}
