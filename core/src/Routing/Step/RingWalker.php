<?php

declare(strict_types=1);

namespace Meandros\Core\Routing\Step;

use Meandros\Core\Plan\Element\Person;
use Meandros\Core\Plan\Element\Via;
use Meandros\Core\Plan\Step\RingStep;
use Meandros\Core\Routing\Answering\Answering;
use Meandros\Core\Routing\Answering\HandOver;
use Meandros\Core\Routing\Answering\Ringer;
use Meandros\Core\Routing\CallOver;
use Meandros\Core\Routing\Onward;
use Meandros\Core\Routing\Walk;

final class RingWalker
{
    /** @throws CallOver */
    public static function take(RingStep $step, Walk $walk): Onward
    {
        $person = $walk->plan->get(Person::class, $step->target);
        if (null !== $person && $step->handOver) {
            return (new HandOver($walk))->to($person);
        }
        $choice = null === $person ? null : (new Answering($walk))->of($person, Via::Direct);

        return (new Ringer($walk))->ring($step->target, $step->seconds, $choice);
    }
}
