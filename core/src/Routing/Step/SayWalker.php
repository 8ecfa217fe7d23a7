<?php

declare(strict_types=1);

namespace Meandros\Core\Routing\Step;

use Meandros\Core\Plan\Element\Prompt;
use Meandros\Core\Plan\Step;
use Meandros\Core\Plan\Step\SayStep;
use Meandros\Core\Routing\Happening\Said;
use Meandros\Core\Routing\KeysMeanwhile;
use Meandros\Core\Routing\Onward;
use Meandros\Core\Routing\StepWalker;
use Meandros\Core\Routing\Walk;

final class SayWalker implements StepWalker
{
    public function take(Step $step, Walk $walk): Onward
    {
        \assert($step instanceof SayStep);

        return (new KeysMeanwhile($walk))->during(
            $step->exits()->keys(),
            static fn(): Onward => self::say($step, $walk),
            0,
        );
    }

    private static function say(SayStep $step, Walk $walk): Onward
    {
        $start = $walk->second();
        $heard = $walk->hear($walk->plan->get(Prompt::class, $step->prompt));
        $walk->listen($heard);
        $walk->note(Said::all($heard, $walk->arrival()->language), $start);

        return Onward::next();
    }
}
