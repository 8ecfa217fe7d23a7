<?php

declare(strict_types=1);

namespace Meandros\Core\Routing\Step;

use Meandros\Core\Plan\Element\Prompt;
use Meandros\Core\Plan\Step;
use Meandros\Core\Plan\Step\MenuStep;
use Meandros\Core\Routing\Happening\Asked;
use Meandros\Core\Routing\Onward;
use Meandros\Core\Routing\StepWalker;
use Meandros\Core\Routing\Walk;

/** Callers hear the whole prompt and press at its end; a wrong key and silence each use up a try. */
final class MenuWalker implements StepWalker
{
    public function take(Step $step, Walk $walk): Onward
    {
        \assert($step instanceof MenuStep);
        $heard = $walk->hear($walk->plan->get(Prompt::class, $step->prompt));
        for ($try = 1;; ++$try) {
            $start = $walk->second();
            $walk->listen($heard);
            $key = $walk->takeKey();
            $known = null !== $key && null !== $step->exits()->find($key);
            $walk->note(new Asked($heard->prompt, $heard->language, $heard->seconds, $key, $known, $step->waitSeconds, $try, $step->tries), $start);
            $walk->pass(null === $key ? $step->waitSeconds : 0);
            if ($known) {
                return Onward::by($key);
            }
            if ($try >= $step->tries) {
                return Onward::by(null === $key ? MenuStep::NOTHING : MenuStep::WRONG);
            }
        }
    }
}
