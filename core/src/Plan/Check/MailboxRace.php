<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Check;

use Meandros\Core\Outside\Lines;
use Meandros\Core\Plan\Element\Journey;
use Meandros\Core\Plan\Element\Person;
use Meandros\Core\Plan\Element\Phone;
use Meandros\Core\Plan\Element\RingPattern;
use Meandros\Core\Plan\Element\Team;
use Meandros\Core\Plan\Element\TeamMember;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Plan\Step\RingStep;
use Meandros\Core\Ringing\OutsidePhone;

/**
 * Finds outside phones whose own mailbox can take a call of the company: it answers while the phone still rings, before
 * the step's greeting does, or at once when the phone is off. Somebody who is asked first cannot be a mailbox.
 */
final class MailboxRace
{
    /** @var array<string, array{Person, int, int, string}> by phone: whose, its index, how long it rings at most, and where */
    private array $longest = [];
    /** @var array<string, array{int, string}> by phone: the latest greeting that comes while it rings, and where */
    private array $greeted = [];

    /** @var array<string, array{seconds?: array{RingStep, string}, greeting?: array{RingStep, string}}> by target: the step that rings it longest, and the one that greets last, each with where */
    private array $steps = [];
    /** @var array<string, array<string, int>> by person: positions of the phones that may answer by themselves, by their ids */
    private array $atRisk = [];

    private readonly Lines $lines;

    private function __construct(private readonly Plan $plan)
    {
        $this->lines = new Lines($plan);
    }

    /** @return list<Finding> */
    public static function in(Plan $plan): array
    {
        $self = new self($plan);
        foreach ($plan->all(Journey::class) as $journey) {
            foreach ($journey->steps->everyStep('/steps') as $step) {
                if ($step instanceof RingStep && null !== $step->target?->element) {
                    $self->remember($step, $journey->name());
                }
            }
        }
        foreach ($self->steps as $ofTarget) {
            foreach ($ofTarget as [$step, $where]) {
                $self->step($step, $where);
            }
        }
        foreach ($plan->all(Person::class) as $person) {
            foreach ([] === $self->atRisk($person) ? [] : $person->rules as $rule) {
                foreach ($rule->on ? $rule->stages : [] as $stage) {
                    foreach ($stage->phones as $phone) {
                        $self->person($person, $phone, $stage->seconds, \sprintf('the rule “%s”', $rule->name));
                    }
                }
            }
        }

        return array_map($self->finding(...), array_keys($self->longest), $self->longest);
    }

    /** @param array{Person, int, int, string} $longest */
    private function finding(string $key, array $longest): Finding
    {
        [$person, $i, $seconds, $where] = $longest;
        $phone = $person->phones[$i];
        [$greetAfter, $greetsIn] = $this->greeted[$key] ?? [-1, ''];
        $outside = OutsidePhone::of($phone, (string) $phone->number, $this->lines->isMobile((string) $phone->number));
        $answers = $outside->setUp + (int) $outside->mailbox;
        $message = match (true) {
            $greetAfter >= $answers => \sprintf('The own mailbox of “%s” answers after %d s, before %s greets after %d s: the caller ends up there.', $phone->label, $answers, $greetsIn, $greetAfter),
            $seconds > $answers => \sprintf('The own mailbox of “%s” answers after %d s, and %s rings it for up to %d s: the caller ends up there.', $phone->label, $answers, $where, $seconds),
            $outside->mailboxWhenBusy => \sprintf('When “%s” is off or busy, or the call is declined, its own mailbox takes the calls of %s at once.', $phone->label, $where),
            default => \sprintf('When “%s” is off, its own mailbox takes the calls of %s at once.', $phone->label, $where),
        };
        $fix = Fix::replace('Ask before connecting', $person->id(), \sprintf('/phones/%d/askFirst', $i), true);

        return Finding::warning($person, \sprintf('/phones/%d', $i), $message, 'Ask before connecting, or do not ring this phone.', $fix);
    }

    /** Of all the steps that ring one target, two can matter. */
    private function remember(RingStep $step, string $where): void
    {
        $known = &$this->steps[(string) $step->target?->text()];
        if ($step->seconds > ($known['seconds'][0]->seconds ?? -1)) {
            $known['seconds'] = [$step, $where];
        }
        if (null !== $step->greeting && $step->greetAfter > ($known['greeting'][0]->greetAfter ?? -1)) {
            $known['greeting'] = [$step, $where];
        }
    }

    private function step(RingStep $step, string $where): void
    {
        $target = $this->plan->find($step->target?->element);
        if ($target instanceof Person) {
            $this->person($target, null, $step->seconds, $where, $step);
        }
        if ($target instanceof Team) {
            foreach ($target->members as $member) {
                $person = $this->plan->get(Person::class, $member->who->element);
                if (null !== $person && $member->on && !$member->askFirst) {
                    $this->person($person, $member->who->phone, self::turn($target, $member, $step->seconds), $where, $step);
                }
            }
        }
    }

    /** How long a member rings at most. */
    private static function turn(Team $team, TeamMember $member, int $seconds): int
    {
        $left = RingPattern::Widening === $team->pattern ? max(0, $seconds - ($member->tier - 1) * $team->widenSeconds) : $seconds;

        return min($left, $member->seconds ?? ($team->pattern->isInTurn() ? $team->memberSeconds : $left));
    }

    private function person(Person $person, ?string $only, int $seconds, string $where, ?RingStep $step = null): void
    {
        $phones = $this->atRisk($person);
        foreach (null === $only ? $phones : array_intersect_key($phones, [$only => true]) as $id => $i) {
            $key = $person->id().'/'.$id;
            if ($seconds > ($this->longest[$key][2] ?? -1)) {
                $this->longest[$key] = [$person, $i, $seconds, $where];
            }
            if (null !== $step?->greeting && $step->greetAfter > ($this->greeted[$key][0] ?? -1)) {
                $this->greeted[$key] = [$step->greetAfter, $where];
            }
        }
    }

    /** @return array<string, int> */
    private function atRisk(Person $person): array
    {
        if (!isset($this->atRisk[$person->id()])) {
            $positions = [];
            foreach (array_filter($person->phones, self::isAtRisk(...)) as $i => $phone) {
                $positions[$phone->id] = $i;
            }
            $this->atRisk[$person->id()] = $positions;
        }

        return $this->atRisk[$person->id()];
    }

    private static function isAtRisk(Phone $phone): bool
    {
        return $phone->on && !$phone->askFirst && null !== $phone->ownMailbox;
    }
}
