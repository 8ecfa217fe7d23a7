<?php

declare(strict_types=1);

namespace Meandros\Core\Check;

use Meandros\Core\Outside\Lines;
use Meandros\Core\Overflow\Overflow;
use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\Element\Journey;
use Meandros\Core\Plan\Element\Person;
use Meandros\Core\Plan\Element\Team;
use Meandros\Core\Plan\Kind;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Plan\Step;
use Meandros\Core\Plan\Step\RingStep;
use Meandros\Core\Value\Lists;

/** What checks want to know about the rest of a plan: who rings what, for how long, and by which lines calls leave. */
final class Survey
{
    public readonly Lines $lines;
    public readonly Overflow $overflow;
    /** @var array<string, array<string, RingStep>> by journey and pointer */
    private array $ringSteps = [];
    /** @var array<string, list<Rings>> by target */
    private array $steps = [];

    /** @param int|null $now Unix seconds; null where nothing is to be said of what is over */
    public function __construct(public readonly Plan $plan, public readonly ?int $now)
    {
        $this->lines = new Lines($plan);
        $this->overflow = new Overflow($plan);
    }

    /** @return array<string, RingStep> by pointer */
    public function ringStepsOf(Journey $journey): array
    {
        return $this->ringSteps[$journey->id()] ??= array_filter(
            iterator_to_array($journey->steps->everyStep('/steps')),
            static fn(Step $step): bool => $step instanceof RingStep,
        );
    }

    /** @return list<Rings> by steps, in the order in which their journeys are listed */
    public function stepsThatRing(Element $target): array
    {
        if (!isset($this->steps[$target->id()])) {
            $found = [];
            foreach ($this->plan->mentioning($target->id(), Kind::Journey) as $journey) {
                foreach ($journey instanceof Journey ? $this->ringStepsOf($journey) : [] as $step) {
                    if ($step->target?->element === $target->id()) {
                        $found[] = new Rings($journey->name(), $step->length->seconds, $step);
                    }
                }
            }
            $this->steps[$target->id()] = $found;
        }

        return $this->steps[$target->id()];
    }

    /** @return int|null the longest that a step or a stage rings a team before it goes on; null where none does */
    public function longestRingOf(Team $team): ?int
    {
        $seconds = [];
        foreach ($this->stepsThatRing($team) as $rings) {
            $rings->step?->length->handOver || ($seconds[] = $rings->seconds);
        }
        foreach ($this->plan->mentioning($team->id(), Kind::Person) as $person) {
            foreach ($person instanceof Person ? $person->reach->rules : [] as $rule) {
                foreach ($rule->ringing->stages as $stage) {
                    Lists::has($stage->teams, $team->id()) && ($seconds[] = $stage->seconds);
                }
            }
        }

        return [] === $seconds ? null : max($seconds);
    }
}
