<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Check;

use Meandros\Core\Plan\Element\AnsweringRule;
use Meandros\Core\Plan\Element\Hours;
use Meandros\Core\Plan\Element\Journey;
use Meandros\Core\Plan\Element\Person;
use Meandros\Core\Plan\Element\Status;
use Meandros\Core\Plan\Element\Via;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Plan\Step\RingStep;

/** Finds answering rules that never hold, stages that a step leaves no time for, and people who pass calls round in a ring. */
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
            foreach ($journey->steps->everyStep('/steps') as $place => $step) {
                if ($step instanceof RingStep && !$step->handOver) {
                    $self->step($journey, $place, $step);
                }
            }
        }

        return $self->findings;
    }

    private function rule(Person $person, int $i, AnsweringRule $rule): void
    {
        $place = '/rules/'.$i;
        foreach (\array_slice($person->rules, 0, $i) as $j => $earlier) {
            if ($rule->on && $earlier->on && null === $earlier->until && self::covers($earlier, $rule)) {
                $fix = Fix::move(\sprintf('Move it before “%s”', $earlier->name), $person->id(), $place, '/rules/'.$j);
                $this->findings[] = Finding::warning($person, $place, \sprintf('“%s” never holds: “%s” before it holds whenever it would.', $rule->name, $earlier->name), 'Move it up, or narrow the one before.', $fix);
                break;
            }
        }
        $hours = $this->plan->get(Hours::class, $rule->when->hours);
        foreach ($rule->when->states as $state) {
            if (null !== $hours && null === $hours->state($state)) {
                $this->findings[] = Finding::warning($person, $place, \sprintf('%s has no state “%s” any more.', $hours->name(), $state), 'Choose its states again.');
            }
        }
        foreach ($rule->on ? $rule->then : [] as $name => $outcome) {
            if (null !== $outcome->to?->element && $this->comesBack($person->id(), $outcome->to->element)) {
                $fix = Fix::replace('Let them go back to where they came from', $person->id(), \sprintf('%s/next/%s', $place, $name), null);
                $this->findings[] = Finding::warning($person, $place, \sprintf('Calls that %s passes on come back to %s.', $person->name(), $person->name()), 'Pass them on to somebody else, or to a mailbox.', $fix);
                break;
            }
        }
    }

    private static function covers(AnsweringRule $wideRule, AnsweringRule $narrowRule): bool
    {
        [$wide, $narrow] = [$wideRule->when, $narrowRule->when];

        return (null === $wide->hours || ($wide->hours === $narrow->hours && [] === array_diff($narrow->states, $wide->states)))
            && ([] === $wide->windows || $wide->windows == $narrow->windows)
            && [] === array_filter($narrow->statusesMeant(), static fn (Status $status): bool => !\in_array($status, $wide->statusesMeant(), true))
            && (Via::Any === $wide->via || $wide->via === $narrow->via)
            && ([] === $wide->callers || ([] !== $narrow->callers && [] === array_diff($narrow->callers, $wide->callers)));
    }

    /** @param array<string, true> $seen people who were looked at: none is looked at twice */
    private function comesBack(string $start, string $id, array &$seen = []): bool
    {
        if ($id === $start) {
            return true;
        }
        $person = isset($seen[$id]) ? null : $this->plan->get(Person::class, $id);
        $seen[$id] = true;
        foreach ($person->rules ?? [] as $rule) {
            foreach ($rule->on ? $rule->then : [] as $outcome) {
                if (null !== $outcome->to?->element && $this->comesBack($start, $outcome->to->element, $seen)) {
                    return true;
                }
            }
        }

        return false;
    }

    private function step(Journey $journey, string $place, RingStep $step): void
    {
        $person = $this->plan->get(Person::class, $step->target?->element);
        if (null === $person) {
            return;
        }
        foreach ($person->rules as $rule) {
            foreach ($rule->on ? $rule->stages : [] as $i => $stage) {
                // A first stage that is cut is only what the step's limit is for.
                if ($stage->after > 0 && $stage->end() > $step->seconds) {
                    $message = $stage->after >= $step->seconds
                        ? \sprintf('Step “ring %s” is over after %d s, before stage %d of the rule “%s” starts.', $person->name(), $step->seconds, $i + 1, $rule->name)
                        : \sprintf('Step “ring %s” is over after %d s, before stage %d of the rule “%s” has rung for its %d s.', $person->name(), $step->seconds, $i + 1, $rule->name, $stage->seconds);
                    $fix = Fix::replace(\sprintf('Ring for %d s', $rule->seconds()), $journey->id(), $place.'/seconds', min(600, $rule->seconds()));
                    $this->findings[] = Finding::warning($journey, $place, $message, 'Ring longer, or hand the call over for good.', $fix);
                    break;
                }
            }
        }
    }
}
