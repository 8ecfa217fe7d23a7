<?php

declare(strict_types=1);

namespace Meandros\Core\Routing;

use Meandros\Core\Plan\Step;

/** Takes a call through steps of one kind. */
interface StepWalker
{
    /**
     * @throws CallOver when the caller gives up, or the call is stopped
     * @throws TimeUp   when a call within the call is given up
     */
    public function take(Step $step, Walk $walk): Onward;
}
