<?php

declare(strict_types=1);

namespace Meandros\Core\Routing\Step;

use Meandros\Core\Plan\Element\Journey;
use Meandros\Core\Plan\Step\GoStep;
use Meandros\Core\Routing\Happening\Went;
use Meandros\Core\Routing\Onward;
use Meandros\Core\Routing\Walk;

final class GoWalker
{
    public static function take(GoStep $step, Walk $walk): Onward
    {
        $journey = $walk->plan->get(Journey::class, $step->journey);
        $walk->note(new Went($journey?->id()));

        return null === $journey ? Onward::next() : Onward::to($journey->id());
    }
}
