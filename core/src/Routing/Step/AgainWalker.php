<?php

declare(strict_types=1);

namespace Meandros\Core\Routing\Step;

use Meandros\Core\Plan\Step;
use Meandros\Core\Plan\Step\AgainStep;
use Meandros\Core\Routing\Happening\AskedAgain;
use Meandros\Core\Routing\Onward;
use Meandros\Core\Routing\StepWalker;
use Meandros\Core\Routing\Walk;

final class AgainWalker implements StepWalker
{
    public function take(Step $step, Walk $walk): Onward
    {
        \assert($step instanceof AgainStep);
        $walk->note(new AskedAgain($step->up));

        return Onward::again($step->up);
    }
}
