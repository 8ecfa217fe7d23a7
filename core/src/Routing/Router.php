<?php

declare(strict_types=1);

namespace Meandros\Core\Routing;

use Meandros\Core\Call\Assumptions;
use Meandros\Core\Call\TrialCall;
use Meandros\Core\Plan\Element\Journey;
use Meandros\Core\Plan\InvalidData;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Plan\Step;
use Meandros\Core\Plan\Step\StepList;
use Meandros\Core\Routing\Happening\Dialled;
use Meandros\Core\Routing\Happening\Over;
use Meandros\Core\Time\HoursBook;

/** Walks a call through a plan. Pure: the same plan, call and assumptions give the same trace. */
final readonly class Router
{
    private Walkers $walkers;

    public function __construct(private HoursBook $book = new HoursBook())
    {
        $this->walkers = new Walkers();
    }

    /** @throws InvalidData when what is dialled is neither a number nor an extension of the plan */
    public function trace(Plan $plan, TrialCall $call, Assumptions $assumptions): Trace
    {
        $entry = Entry::find($plan, $call->dialled);
        $walk = new Walk($plan, $call, $assumptions, $this->book, $entry->label, $entry->language);
        $walk->note(new Dialled($entry->element, $entry->target));
        $onward = null === $entry->journey ? Onward::next() : Onward::to($entry->journey);
        try {
            if ([] !== $entry->steps->steps) {
                $onward = $this->walkList($walk, $entry->element, $entry->steps);
            }
            while (null !== $onward->journey) {
                $journey = $plan->get(Journey::class, $onward->journey);
                $onward = null === $journey ? Onward::next() : $this->walkList($walk, $journey->id(), $journey->steps);
            }
            $ending = $onward->ending ?? new Ending(EndingKind::RanOut);
            $walk->note(new Over($ending, $walk->lastStep()));
        } catch (CallOver $over) {
            $ending = $over->ending;
            $walk->note($this->limit($walk, $ending));
        }

        return $walk->trace($ending);
    }

    private function walkList(Walk $walk, string $journey, StepList $list): Onward
    {
        foreach ($list->steps as $step) {
            $onward = $this->walkStep($walk, $journey, $step);
            if (null !== $onward->journey || null !== $onward->ending) {
                return $onward;
            }
        }

        return Onward::next();
    }

    private function walkStep(Walk $walk, string $journey, Step $step): Onward
    {
        $walk->enter($journey, $step->id());
        $since = $walk->second();
        try {
            $onward = $this->walkers->take($step, $walk);
        } catch (CallOver $over) {
            $walk->leave($since, null, false);
            throw $over;
        }
        $exit = null === $onward->exit ? null : $step->exits()->find($onward->exit);
        $walk->leave($since, $onward->exit, null !== $exit);

        return null === $exit ? $onward : $this->walkList($walk, $journey, $exit->steps);
    }

    private function limit(Walk $walk, Ending $ending): Over
    {
        if (EndingKind::CallerGaveUp === $ending->kind) {
            return new Over($ending, $walk->lastStep(), $walk->second(), 'seconds');
        }

        return $walk->stepsTaken() >= Walk::MOST_STEPS
            ? new Over($ending, $walk->lastStep(), Walk::MOST_STEPS, 'steps')
            : new Over($ending, $walk->lastStep(), Walk::MOST_SECONDS, 'seconds');
    }
}
