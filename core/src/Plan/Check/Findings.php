<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Check;

use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\Element\HolidayCalendar;
use Meandros\Core\Plan\Element\Hours;
use Meandros\Core\Plan\Element\Journey;
use Meandros\Core\Plan\Element\Number;
use Meandros\Core\Plan\Element\Person;
use Meandros\Core\Plan\Element\Phone;
use Meandros\Core\Plan\Element\PhoneType;
use Meandros\Core\Plan\Element\Prompt;
use Meandros\Core\Plan\Element\Team;
use Meandros\Core\Plan\Element\TeamMember;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Plan\Problem;
use Meandros\Core\Plan\Step;
use Meandros\Core\Plan\Step\HoursStep;
use Meandros\Core\Plan\Step\MenuStep;
use Meandros\Core\Plan\Step\StepList;

/** Looks through a plan for what is unfinished or would surprise callers. */
final class Findings
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
        foreach ($plan->elements() as $element) {
            match (true) {
                $element instanceof Journey => $self->journey($element),
                $element instanceof Number => $self->number($element),
                $element instanceof HolidayCalendar => [] === $element->holidays->entries ? $self->warn($element, '/holidays', 'This calendar has no holiday.', 'Add one, or delete the calendar.') : null,
                $element instanceof Person => $self->person($element),
                $element instanceof Team => $self->team($element),
                $element instanceof Prompt => '' === implode('', $element->scripts) ? $self->warn($element, '/scripts', 'This prompt has no words.', 'Write a script.') : null,
                default => null,
            };
        }

        return [...$self->findings, ...MailboxRace::in($plan), ...AnsweringRules::in($plan), ...AlertTimes::in($plan), ...Forwards::in($plan), ...OwnNumbers::in($plan), ...SetUpTimes::in($plan)];
    }

    private function number(Number $number): void
    {
        if (null === $number->target) {
            $this->block($number, '/target', 'Calls to this number lead nowhere.', 'Choose a target.');
        }
    }

    private function person(Person $person): void
    {
        if ([] === $person->phones) {
            $desk = new Phone('desk', PhoneType::Desk, 'Desk phone');
            $this->findings[] = Finding::warning($person, '/phones', 'This person has no phone, so nothing rings.', 'Add a phone.', Fix::add('Add a desk phone', $person->id(), '/phones/-', $desk->toJson()));
        }
    }

    private function team(Team $team): void
    {
        if ([] === $team->members) {
            $this->warn($team, '/members', 'Nobody is in this team.', 'Add a member.');
        } elseif ([] === array_filter($team->members, static fn (TeamMember $member): bool => $member->on)) {
            $paths = array_map(static fn (int $i): string => \sprintf('/members/%d/on', $i), array_keys($team->members));
            $this->findings[] = Finding::warning($team, '/members', 'Everybody in this team is off, so nothing rings.', 'Switch somebody on.', Fix::replaceAll('Switch everybody on', $team->id(), $paths, true));
        }
    }

    private function journey(Journey $journey): void
    {
        $this->list($journey, $journey->steps, '/steps');
    }

    private function list(Journey $journey, StepList $list, string $pointer): void
    {
        $over = false;
        foreach ($list->steps as $i => $step) {
            $place = $pointer.'/'.$i;
            if ($over) {
                $this->warn($journey, $place, 'No call can come here: the step before it ends or leaves.', 'Move or remove it.');
            }
            $over = $step->isLast();
            $this->step($journey, $step, $place);
            foreach ($step->exits()->items as $j => $exit) {
                $this->list($journey, $exit->steps, \sprintf('%s/exits/%d/steps', $place, $j));
            }
        }
    }

    private function step(Journey $journey, Step $step, string $place): void
    {
        $unfinished = $step->unfinished();
        if (null !== $unfinished) {
            $this->block($journey, $place.'/'.$unfinished->field, \sprintf('This step has no %s yet.', $unfinished->what), 'Choose one, or remove the step.');
        }
        if ($step instanceof HoursStep) {
            $this->unknownStates($journey, $step, $place);
        }
        if ($step instanceof MenuStep && [] === $step->exits()->items) {
            $this->warn($journey, $place.'/exits', 'This menu has no key that leads anywhere.', 'Add a key.');
        }
    }

    private function unknownStates(Journey $journey, HoursStep $step, string $place): void
    {
        $hours = $this->plan->get(Hours::class, $step->hours);
        foreach ($step->exits()->items as $j => $exit) {
            if (null !== $hours && null === $hours->state($exit->on)) {
                $this->block($journey, \sprintf('%s/exits/%d', $place, $j), \sprintf('%s has no state “%s”, so this exit is never taken.', $hours->name(), $exit->on), 'Remove the exit, or add the state to the hours.');
            }
        }
    }

    private function warn(Element $element, string $pointer, string $message, string $remedy): void
    {
        $this->findings[] = Finding::warning($element, $pointer, $message, $remedy);
    }

    private function block(Element $element, string $pointer, string $message, string $remedy): void
    {
        $this->findings[] = new Finding($element, new Problem($pointer, $message, $remedy), true);
    }
}
