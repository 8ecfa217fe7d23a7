<?php

declare(strict_types=1);

namespace Meandros\Core\Proof\Year;

use Meandros\Core\Check\Finding;
use Meandros\Core\Proof\Fares\Fares;

/** A step that no call comes to at any time of the year, in a journey to which calls come. */
final class StepNeverReached implements StepsCheck
{
    public function found(StepsReached $steps, Fares $fares): iterable
    {
        foreach ($steps->never($fares) as [$journey, $pointer]) {
            yield Finding::warning($journey, $pointer, 'step-never-reached');
        }
    }
}
