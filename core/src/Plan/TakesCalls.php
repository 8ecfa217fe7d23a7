<?php

declare(strict_types=1);

namespace Meandros\Core\Plan;

use Meandros\Core\Plan\Step\StepList;

/** Something that a call can be sent straight to: by a number, by an answering rule, from a place in a plan to come. */
interface TakesCalls extends Element
{
    /** The shortest of journeys: what a call goes through that is sent there. */
    public function directSteps(): StepList;
}
