<?php

declare(strict_types=1);

namespace Meandros\Core\Routing\Step;

use Meandros\Core\Plan\Element\Prompt;
use Meandros\Core\Plan\Step\SayStep;
use Meandros\Core\Routing\CallOver;
use Meandros\Core\Routing\Happening\Said;
use Meandros\Core\Routing\Onward;
use Meandros\Core\Routing\Walk;

final class SayWalker
{
    /** @throws CallOver */
    public static function take(SayStep $step, Walk $walk): Onward
    {
        $start = $walk->second();
        $heard = $walk->hear($walk->plan->get(Prompt::class, $step->prompt));
        $walk->listen($heard);
        $walk->note(Said::all($heard, $walk->arrival()->language), $start);

        return Onward::next();
    }
}
