<?php

declare(strict_types=1);

namespace Meandros\Core\Routing\Step;

use Meandros\Core\Plan\Step;
use Meandros\Core\Routing\Ending;
use Meandros\Core\Routing\EndingKind;
use Meandros\Core\Routing\Onward;
use Meandros\Core\Routing\StepWalker;
use Meandros\Core\Routing\Walk;

final class EndWalker implements StepWalker
{
    public function take(Step $step, Walk $walk): Onward
    {
        return Onward::end(new Ending(EndingKind::EndedByPlan));
    }
}
