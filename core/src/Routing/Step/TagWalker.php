<?php

declare(strict_types=1);

namespace Meandros\Core\Routing\Step;

use Meandros\Core\Plan\Step;
use Meandros\Core\Plan\Step\TagStep;
use Meandros\Core\Routing\Happening\Tagged;
use Meandros\Core\Routing\Onward;
use Meandros\Core\Routing\StepWalker;
use Meandros\Core\Routing\Walk;

final class TagWalker implements StepWalker
{
    public function take(Step $step, Walk $walk): Onward
    {
        \assert($step instanceof TagStep);
        $walk->tag($step->tag);
        $walk->note(new Tagged($step->tag));

        return Onward::next();
    }
}
