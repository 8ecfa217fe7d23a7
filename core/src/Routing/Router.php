<?php

declare(strict_types=1);

namespace Meandros\Core\Routing;

use Meandros\Core\Call\Assumptions;
use Meandros\Core\Call\Caller;
use Meandros\Core\Call\TrialCall;
use Meandros\Core\Live\LiveState;
use Meandros\Core\Outside\KnownRanges;
use Meandros\Core\Outside\Lines;
use Meandros\Core\Outside\PhoneRanges;
use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\Element\Hours;
use Meandros\Core\Plan\Element\Journey;
use Meandros\Core\Plan\Element\OverrideEnd;
use Meandros\Core\Plan\Element\Queue;
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
use Meandros\Core\Routing\Happening\Happening;
use Meandros\Core\Routing\Happening\Over;
use Meandros\Core\Routing\Happening\SignedByCode;
use Meandros\Core\Time\Override;

/** Walks a call through a plan. Pure: the same plan, call and assumptions give the same trace. */
final class Router
{
    private readonly Walkers $walkers;
    private ?PlanHours $hours = null;
    /** @var array{Lines, Phones}|null of the plan in which calls were looked at last */
    private ?array $outside = null;
    private readonly Hearing $hearing;

    public function __construct(private readonly PhoneRanges $ranges = new KnownRanges())
    {
        $this->walkers = new Walkers();
        $this->hearing = new Hearing();
    }

    /**
     * @param Work|null $work what is left of a larger question; null for this call alone
     *
     * @throws InvalidData when what is dialled is neither a number, an extension nor a code of the plan
     * @throws TooMuchWork
     */
    public function trace(
        Plan $plan,
        TrialCall $call,
        Assumptions $assumptions,
        LiveState $live = new LiveState(),
        ?Work $work = null,
    ): Trace {
        $entry = Entry::find($plan, $call->dialled);
        $walk = $this->walk($plan, $call, $assumptions, $live, $entry->by($call->caller), $work ?? new Work());
        $code = self::code($walk, $call->dialled, $plan->find($entry->at->element));
        if (null !== $code) {
            $ending = new Ending(EndingKind::EndedByPlan);
            $walk->note($code);
            $walk->note(new Over($ending, null));

            return $walk->trace($ending);
        }
        $walk->note(
            new Dialled(
                $entry->at->element,
                $entry->target,
                $entry->hides($call->caller),
                $entry->isTried,
                $entry->line->inBlock,
                $entry->line->keptUntil,
            ),
        );
        try {
            $ending = $this->hungUp(
                $walk,
                fn(): Ending => $this->come($walk, $entry)->ending ?? new Ending(EndingKind::RanOut),
            );
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
    public function ringing(
        Plan $plan,
        RingStep $step,
        TrialCall $call,
        Assumptions $assumptions,
        LiveState $live,
    ): Trace {
        $entry = Entry::find($plan, $call->dialled);
        $walk = $this->walk($plan, $call, $assumptions, $live, new Arrival($entry->at, $call->caller), new Work());
        $way = Itinerary::along('', new StepList([$step]));
        try {
            do {
                $way = $this->step($walk, $way);
            } while (null !== $way->within());
        } catch (CallOver $over) {
            return $walk->trace($over->ending);
        }

        return $walk->trace($way->ending ?? new Ending(EndingKind::RanOut));
    }

    private function walk(
        Plan $plan,
        TrialCall $call,
        Assumptions $assumptions,
        LiveState $live,
        Arrival $arrival,
        Work $work,
    ): Walk {
        $hours = $this->hoursOf($plan, $assumptions->circumstances->withoutOverrides ? [] : $live->overrides);
        [$lines, $phones] = $this->outsideOf($plan);
        $surroundings = new Surroundings($plan, $live, $hours, $lines, $phones, $this->hearing);

        return new Walk($call, $assumptions, $surroundings, $arrival, $this->comeBackIn(...), $work);
    }

    /** @return array{Lines, Phones} */
    private function outsideOf(Plan $plan): array
    {
        if (null === $this->outside || !$this->outside[0]->isOf($plan)) {
            $lines = new Lines($plan, $this->ranges);
            $this->outside = [$lines, new Phones($lines)];
        }

        return $this->outside;
    }

    /**
     * What a call comes to, with what goes on after the caller has hung up.
     *
     * @param \Closure(): Ending $call
     *
     * @throws CallOver
     */
    private function hungUp(Walk $walk, \Closure $call): Ending
    {
        try {
            $ending = $call();
        } catch (CallOver $over) {
            if (!$walk->goesOnAfter($over->ending)) {
                throw $over;
            }
            $ending = $over->ending;
        }

        return $walk->hungUp($ending);
    }

    /** @throws CallOver */
    private function come(Walk $walk, Entry $entry): Onward
    {
        $way = self::way($walk->plan, $entry);
        while (null !== $way->next()) {
            $way = $this->step($walk, $way);
        }

        return null === $way->ending ? Onward::next() : Onward::end($way->ending);
    }

    private static function way(Plan $plan, Entry $entry): Itinerary
    {
        $journey = $plan->get(Journey::class, $entry->target?->element);

        return null === $journey
            ? Itinerary::along($entry->at->element, $entry->steps)
            : Itinerary::along($journey->id(), $journey->steps);
    }

    /**
     * A call as it comes in, before its first step; null where a code was dialled, which ends it at once.
     *
     * @return array{Walk, Itinerary}|null
     *
     * @throws InvalidData when what is dialled is nothing of the plan
     */
    public function begin(Plan $plan, TrialCall $call, Assumptions $assumptions, LiveState $live): ?array
    {
        $entry = Entry::find($plan, $call->dialled);
        $walk = $this->walk($plan, $call, $assumptions, $live, $entry->by($call->caller), new Work());

        return null === self::code($walk, $call->dialled, $plan->find($entry->at->element))
            ? [$walk, self::way($plan, $entry)]
            : null;
    }

    /**
     * Takes the step that comes next.
     *
     * @throws CallOver
     * @throws TimeUp
     */
    public function step(Walk $walk, Itinerary $way): Itinerary
    {
        $step = self::enter($walk, $way);
        $since = $way->within() ?? $walk->second();
        try {
            $onward = $this->walkers->take($step, $walk);
        } catch (CallOver | TimeUp $over) {
            $walk->leave($since, null, false);
            throw $over;
        }
        $next = $way->after($onward, $walk->plan, $since);
        if (null === $next->within()) {
            [$exit, $isListed] = $way->leaves($onward);
            $walk->leave($since, $exit, $isListed);
        }

        return $next;
    }

    /**
     * Takes the step that comes next, and leaves it open where the call is then.
     *
     * @throws CallOver
     * @throws TimeUp
     */
    public function take(Walk $walk, Itinerary $way): Onward
    {
        return $this->walkers->take(self::enter($walk, $way), $walk);
    }

    /** @throws CallOver */
    private static function enter(Walk $walk, Itinerary $way): Step
    {
        [$journey, $step] = $way->next() ?? throw new \LogicException('The call is over.');
        null === $way->within() && $walk->enter($journey, $step->id());

        return $step;
    }

    /** @throws CallOver */
    private function comeBackIn(Walk $walk, string $number): Onward
    {
        $entry = Entry::find($walk->plan, $number);
        $walk->arriveBy($entry->by(Caller::inside()));
        $walk->note(new ComesBackIn($entry->at->element));

        return $this->come($walk, $entry);
    }

    /** What a code does that was dialled; null where it is none. */
    private static function code(Walk $walk, string $dialled, ?Element $element): ?Happening
    {
        $caller = $walk->call->caller;
        if ($element instanceof Queue) {
            $signIn = $element->agents->duty->does($dialled);
            $who = $caller->isExtension() ? $walk->plan->dialled($caller->text) : null;

            return null === $signIn
                ? null
                : new SignedByCode(
                    $element->id(),
                    $dialled,
                    $signIn,
                    null !== $who && $element->agents->has($who->id()) ? $who->id() : null,
                );
        }
        $code = $element instanceof Hours ? $element->states->code($dialled) : null;
        if (null === $code) {
            return null;
        }
        $usual = new PlanHours($walk->plan);
        $until =
            OverrideEnd::NextChange === $code->ends && null !== $code->state
                ? $usual->read($element, $walk->call->instant)->until
                : null;

        return new CodeDialled($element->id(), $code, $until, $usual->zone($element), $caller->isExtension());
    }

    /** @param list<Override> $overrides */
    public function hoursOf(Plan $plan, array $overrides): PlanHours
    {
        if (null === $this->hours || !$this->hours->isOf($plan, $overrides)) {
            $this->hours = new PlanHours($plan, $overrides);
        }

        return $this->hours;
    }

    private static function cut(Walk $walk, CallOver $over): Over
    {
        return new Over(
            $over->ending,
            $walk->lastStep(),
            $over->stop,
            match ($over->stop) {
                Stop::Steps => Walk::MOST_REPEATS,
                Stop::Seconds, null => $walk->second(),
                Stop::People, Stop::Number => null,
            },
        );
    }
}
