<?php

declare(strict_types=1);

namespace Meandros\Core\Routing;

use Meandros\Core\Plan\Step;
use Meandros\Core\Plan\Step\EndStep;
use Meandros\Core\Plan\Step\GoStep;
use Meandros\Core\Plan\Step\HoursStep;
use Meandros\Core\Plan\Step\MenuStep;
use Meandros\Core\Plan\Step\MessageStep;
use Meandros\Core\Plan\Step\RingStep;
use Meandros\Core\Plan\Step\SayStep;
use Meandros\Core\Routing\Step\EndWalker;
use Meandros\Core\Routing\Step\GoWalker;
use Meandros\Core\Routing\Step\HoursWalker;
use Meandros\Core\Routing\Step\MenuWalker;
use Meandros\Core\Routing\Step\MessageWalker;
use Meandros\Core\Routing\Step\RingWalker;
use Meandros\Core\Routing\Step\SayWalker;

/** Which walker takes which kind of step. */
final readonly class Walkers
{
    public function take(Step $step, Walk $walk): Onward
    {
        return match (true) {
            $step instanceof SayStep => SayWalker::take($step, $walk),
            $step instanceof HoursStep => HoursWalker::take($step, $walk),
            $step instanceof MenuStep => MenuWalker::take($step, $walk),
            $step instanceof RingStep => RingWalker::take($step, $walk),
            $step instanceof MessageStep => MessageWalker::take($step, $walk),
            $step instanceof GoStep => GoWalker::take($step, $walk),
            $step instanceof EndStep => EndWalker::take(),
            default => throw new \LogicException(\sprintf('No walker is registered for %s.', $step::class)),
        };
    }
}
