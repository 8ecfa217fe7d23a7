<?php

declare(strict_types=1);

namespace Meandros\Core\Routing\Step;

use Meandros\Core\Call\Tag;
use Meandros\Core\Callers\CallerLookup;
use Meandros\Core\Plan\Element\CallerList;
use Meandros\Core\Plan\Step;
use Meandros\Core\Plan\Step\CallerStep;
use Meandros\Core\Routing\Happening\CallerToldApart;
use Meandros\Core\Routing\Onward;
use Meandros\Core\Routing\StepWalker;
use Meandros\Core\Routing\Walk;

final class CallerWalker implements StepWalker
{
    private readonly CallerLookup $lookup;

    public function __construct()
    {
        $this->lookup = new CallerLookup();
    }

    public function take(Step $step, Walk $walk): Onward
    {
        \assert($step instanceof CallerStep);
        $caller = $walk->arrival()->caller;
        $passed = [];
        foreach ($step->exits()->items as $exit) {
            $list = $walk->plan->get(CallerList::class, $exit->on);
            $entry = null === $list ? null : $this->lookup->find($list, $caller);
            if (null !== $entry) {
                $walk->tag(new Tag('' === $entry->label ? null : $entry->label));
                $walk->note(new CallerToldApart($caller->text, $exit->on, $entry, $passed));

                return Onward::by($exit->on);
            }
            $passed[] = $exit->on;
        }
        $walk->note(new CallerToldApart($caller->text, null, null, $passed));

        return Onward::next();
    }
}
