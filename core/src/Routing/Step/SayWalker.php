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
        $heard = $walk->hear($walk->plan->get(Prompt::class, $step->prompt));
        $walk->note(new Said($heard->prompt, $heard->language, $walk->language, $heard->seconds));
        $walk->pass($heard->seconds);

        return Onward::next();
    }
}
