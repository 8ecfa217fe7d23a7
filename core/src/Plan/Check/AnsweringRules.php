<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Check;

use Meandros\Core\Plan\Element\AnsweringRule;
use Meandros\Core\Plan\Element\Hours;
use Meandros\Core\Plan\Element\Journey;
use Meandros\Core\Plan\Element\Person;
use Meandros\Core\Plan\Element\RuleStage;
use Meandros\Core\Plan\Element\Status;
use Meandros\Core\Plan\Element\Via;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Plan\Problem;
use Meandros\Core\Plan\Step\RingStep;

/** Finds answering rules that never hold, stages that never start, and people who pass calls round in a ring. */
final class AnsweringRules
{
    /** @var list<Finding> */
    private array $findings = [];

    private function __construct(private readonly Plan $plan)
    {
    }

    /** @return list<Finding> */
    public static function in(Plan $plan): array
    {
        $self = new self($plan);
        foreach ($plan->all(Person::class) as $person) {
            foreach ($person->rules as $i => $rule) {
                $self->rule($person, $i, $rule);
            }
        }
        foreach ($plan->all(Journey::class) as $journey) {
            foreach ($journey->steps->everyStep() as $step) {
                if ($step instanceof RingStep && !$step->handOver) {
                    $self->step($journey, $step);
                }
            }
        }

        return $self->findings;
    }

    private function rule(Person $person, int $i, AnsweringRule $rule): void
    {
        $place = '/rules/'.$i;
        foreach (\array_slice($person->rules, 0, $i) as $earlier) {
            if ($rule->on && $earlier->on && self::covers($earlier, $rule)) {
                $this->warn($person, $place, \sprintf('“%s” never holds: “%s” before it holds whenever it would.', $rule->name, $earlier->name), 'Move it up, or narrow the one before.');
                break;
            }
        }
        $hours = $this->plan->get(Hours::class, $rule->hours);
        foreach ($rule->states as $state) {
            if (null !== $hours && null === $hours->state($state)) {
                $this->warn($person, $place, \sprintf('%s has no state “%s” any more.', $hours->name(), $state), 'Choose its states again.');
            }
        }
        foreach (array_unique(array_filter($rule->then)) as $next) {
            if ($this->comesBack($person->id(), $next, [])) {
                $this->warn($person, $place, \sprintf('Calls that %s passes on come back to %s.', $person->name(), $person->name()), 'Pass them on to somebody else, or to a mailbox.');
                break;
            }
        }
    }

    private static function covers(AnsweringRule $wide, AnsweringRule $narrow): bool
    {
        $statuses = static fn (AnsweringRule $rule): array => array_map(static fn (Status $status): string => $status->value, [] === $rule->statuses ? [Status::Available] : $rule->statuses);

        return (null === $wide->hours || ($wide->hours === $narrow->hours && [] === array_diff($narrow->states, $wide->states)))
            && [] === array_diff($statuses($narrow), $statuses($wide))
            && (Via::Any === $wide->via || $wide->via === $narrow->via)
            && ([] === $wide->callers || ([] !== $narrow->callers && [] === array_diff($narrow->callers, $wide->callers)));
    }

    /** @param array<string, true> $seen */
    private function comesBack(string $start, string $id, array $seen): bool
    {
        if ($id === $start) {
            return true;
        }
        $person = isset($seen[$id]) ? null : $this->plan->get(Person::class, $id);
        foreach ($person->rules ?? [] as $rule) {
            foreach ($rule->on ? array_filter($rule->then) : [] as $next) {
                if ($this->comesBack($start, $next, [$id => true] + $seen)) {
                    return true;
                }
            }
        }

        return false;
    }

    private function step(Journey $journey, RingStep $step): void
    {
        $person = $this->plan->get(Person::class, $step->target);
        foreach ($person->rules ?? [] as $rule) {
            $late = array_filter($rule->stages, static fn (RuleStage $stage): bool => $stage->after >= $step->seconds);
            if ($rule->on && [] !== $late && null !== $person) {
                $this->warn($journey, '/steps', \sprintf('Step “ring %s” is over after %d s, before a stage of the rule “%s” starts.', $person->name(), $step->seconds, $rule->name), 'Ring longer, or hand the call over for good.');
            }
        }
    }

    private function warn(Person|Journey $element, string $pointer, string $message, string $remedy): void
    {
        $this->findings[] = new Finding($element, new Problem($pointer, $message, $remedy), false);
    }
}
