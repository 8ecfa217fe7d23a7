<?php

declare(strict_types=1);

namespace Meandros\Core\Routing;

use Meandros\Core\Call\Assumptions;
use Meandros\Core\Call\Caller;
use Meandros\Core\Call\TrialCall;
use Meandros\Core\Live\LiveState;
use Meandros\Core\Outside\Lines;
use Meandros\Core\Plan\Element\DialCode;
use Meandros\Core\Plan\Element\Hours;
use Meandros\Core\Plan\Element\Journey;
use Meandros\Core\Plan\Element\OverrideEnd;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Plan\PlanHours;
use Meandros\Core\Plan\Step;
use Meandros\Core\Plan\Step\RingStep;
use Meandros\Core\Plan\Step\StepList;
use Meandros\Core\Reading\InvalidData;
use Meandros\Core\Ringing\Phones;
use Meandros\Core\Routing\Happening\CodeDialled;
use Meandros\Core\Routing\Happening\ComesBackIn;
use Meandros\Core\Routing\Happening\Dialled;
use Meandros\Core\Routing\Happening\Over;
use Meandros\Core\Time\Override;

/** Walks a call through a plan. Pure: the same plan, call and assumptions give the same trace. */
final class Router
{
    private readonly Walkers $walkers;
    private ?PlanHours $hours = null;
    private ?Lines $lines = null;
    private ?Phones $phones = null;

    public function __construct()
    {
        $this->walkers = new Walkers();
    }

    /**
     * @param Work|null $work what is left of a larger question; null for this call alone
     *
     * @throws InvalidData when what is dialled is neither a number, an extension nor a code of the plan
     * @throws TooMuchWork
     */
    public function trace(Plan $plan, TrialCall $call, Assumptions $assumptions, LiveState $live = new LiveState(), ?Work $work = null): Trace
    {
        $entry = Entry::find($plan, $call->dialled);
        $walk = $this->walk($plan, $call, $assumptions, $live, $entry->by($call->caller), $work ?? new Work());
        $hours = $plan->get(Hours::class, $entry->element);
        $code = $hours?->code($call->dialled);
        if (null !== $hours && null !== $code) {
            return self::dialCode($walk, $hours, $code);
        }
        $walk->note(new Dialled($entry->element, $entry->target));
        try {
            $ending = $this->come($walk, $entry)->ending ?? new Ending(EndingKind::RanOut);
            $walk->note(new Over($ending, $walk->lastStep()));
        } catch (CallOver $over) {
            $ending = $over->ending;
            $walk->note(self::cut($walk, $over));
        }

        return $walk->trace($ending);
    }

    /**
     * What a ring step alone would do to a call that comes to it at once: for looking at a person, a team or a step by itself.
     *
     * @throws TooMuchWork
     */
    public function ringing(Plan $plan, RingStep $step, TrialCall $call, Assumptions $assumptions, LiveState $live): Trace
    {
        $entry = Entry::find($plan, $call->dialled);
        $walk = $this->walk($plan, $call, $assumptions, $live, new Arrival($entry->element, '', $entry->language, $entry->site, $call->caller), new Work());
        $walk->enter('', $step->id());
        try {
            $ending = $this->walkers->take($step, $walk)->ending ?? new Ending(EndingKind::RanOut);
        } catch (CallOver $over) {
            $ending = $over->ending;
        }

        return $walk->trace($ending);
    }

    private function walk(Plan $plan, TrialCall $call, Assumptions $assumptions, LiveState $live, Arrival $arrival, Work $work): Walk
    {
        $hours = $this->hoursOf($plan, $assumptions->withoutOverrides ? [] : $live->overrides);
        if (null === $this->lines || null === $this->phones || !$this->lines->isOf($plan)) {
            $this->lines = new Lines($plan);
            $this->phones = new Phones($this->lines);
        }

        return new Walk($plan, $call, $assumptions, $hours, $arrival, $live->statuses, $this->lines, $this->phones, $this->comeBackIn(...), $work, $live->signIns);
    }

    /** @throws CallOver */
    private function come(Walk $walk, Entry $entry): Onward
    {
        $journey = $walk->plan->get(Journey::class, $entry->target?->element);
        $onward = null === $journey ? $this->walkList($walk, $entry->element, $entry->steps) : Onward::to($journey->id());
        while (null !== $onward->journey) {
            $journey = $walk->plan->get(Journey::class, $onward->journey);
            $onward = null === $journey ? Onward::next() : $this->walkList($walk, $journey->id(), $journey->steps);
        }

        return $onward;
    }

    /** @throws CallOver */
    private function comeBackIn(Walk $walk, string $number): Onward
    {
        $entry = Entry::find($walk->plan, $number);
        $walk->arriveBy($entry->by(Caller::inside()));
        $walk->note(new ComesBackIn($entry->element));

        return $this->come($walk, $entry);
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
        } catch (CallOver|TimeUp $over) {
            $walk->leave($since, null, false);
            throw $over;
        }
        $exit = null === $onward->exit ? null : $step->exits()->find($onward->exit);
        $walk->leave($since, $onward->exit, null !== $exit);

        return null === $exit ? $onward : $this->walkList($walk, $journey, $exit->steps);
    }

    private static function dialCode(Walk $walk, Hours $hours, DialCode $code): Trace
    {
        $usual = new PlanHours($walk->plan);
        $until = OverrideEnd::NextChange === $code->ends && null !== $code->state ? $usual->read($hours, $walk->call->instant)->until : null;
        $walk->note(new CodeDialled($hours->id(), $code, $until, $usual->zone($hours), $walk->call->caller->isExtension()));
        $ending = new Ending(EndingKind::EndedByPlan);
        $walk->note(new Over($ending, null));

        return $walk->trace($ending);
    }

    /** @param list<Override> $overrides */
    private function hoursOf(Plan $plan, array $overrides): PlanHours
    {
        if (null === $this->hours || !$this->hours->isOf($plan, $overrides)) {
            $this->hours = new PlanHours($plan, $overrides);
        }

        return $this->hours;
    }

    private static function cut(Walk $walk, CallOver $over): Over
    {
        return new Over($over->ending, $walk->lastStep(), $over->stop, match ($over->stop) {
            Stop::Steps => Walk::MOST_REPEATS,
            Stop::Seconds, null => $walk->second(),
            Stop::People, Stop::Number => null,
        });
    }
}
