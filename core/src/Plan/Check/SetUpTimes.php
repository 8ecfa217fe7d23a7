<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Check;

use Meandros\Core\Call\PhoneNumber;
use Meandros\Core\Outside\Lines;
use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\Element\Journey;
use Meandros\Core\Plan\Element\Person;
use Meandros\Core\Plan\Element\Team;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Plan\Step\RingStep;
use Meandros\Core\Ringing\OutsidePhone;

/** Finds phones outside that are given up before their first ring: dialling them takes longer than their turn. */
final class SetUpTimes
{
    /** What is enough to be answered. */
    private const USUAL_RINGING = 15;

    /** @var list<Finding> */
    private array $findings = [];
    private readonly Lines $lines;

    private function __construct(private readonly Plan $plan)
    {
        $this->lines = new Lines($plan);
    }

    /** @return list<Finding> */
    public static function in(Plan $plan): array
    {
        $self = new self($plan);
        foreach ($plan->all(Person::class) as $person) {
            $self->person($person);
        }
        foreach ($plan->all(Team::class) as $team) {
            $self->team($team);
        }
        foreach ($plan->all(Journey::class) as $journey) {
            foreach ($journey->steps->everyStep('/steps') as $place => $step) {
                if ($step instanceof RingStep && null !== $step->target?->number && !$self->lines->isOwn($step->target->number)) {
                    $self->found($journey, $place.'/seconds', PhoneNumber::international($step->target->number), $self->ofNumber($step->target->number), $step->seconds);
                }
            }
        }

        return $self->findings;
    }

    private function person(Person $person): void
    {
        foreach ($person->rules as $i => $rule) {
            foreach ($rule->stages as $j => $stage) {
                foreach ($stage->phones as $id) {
                    $phone = $person->phone($id);
                    if (null !== $phone?->number && $rule->on && $phone->on) {
                        $setUp = OutsidePhone::of($phone, $phone->number, $this->lines->isMobile($phone->number))->setUp;
                        $this->found($person, \sprintf('/rules/%d/stages/%d/seconds', $i, $j), $phone->label, $setUp, $stage->seconds);
                    }
                }
            }
        }
    }

    private function team(Team $team): void
    {
        foreach ($team->members as $i => $member) {
            $turn = $member->seconds ?? ($team->pattern->isInTurn() ? $team->memberSeconds : null);
            $person = $this->plan->get(Person::class, $member->who->element);
            $phone = null === $member->who->phone ? null : $person?->phone($member->who->phone);
            $number = $member->who->number ?? $phone?->number;
            if (null !== $turn && null !== $number && $member->on) {
                $setUp = null === $phone ? $this->ofNumber($number) : OutsidePhone::of($phone, $number, $this->lines->isMobile($number))->setUp;
                $this->found($team, null === $member->seconds ? '/memberSeconds' : \sprintf('/members/%d/seconds', $i), $phone->label ?? PhoneNumber::international($number), $setUp, $turn);
            }
        }
    }

    private function ofNumber(string $number): int
    {
        return OutsidePhone::unknown($number, $this->lines->isMobile($number))->setUp;
    }

    private function found(Element $element, string $pointer, string $what, int $setUp, int $seconds): void
    {
        if ($seconds > $setUp) {
            return;
        }
        $enough = $setUp + self::USUAL_RINGING;
        $this->findings[] = Finding::warning(
            $element,
            $pointer,
            \sprintf('“%s” never rings: it takes %d s until its first ring, and is given up after %d s.', $what, $setUp, $seconds),
            'Ring it longer.',
            Fix::replace(\sprintf('Ring it for %d s', $enough), $element->id(), $pointer, $enough),
        );
    }
}
