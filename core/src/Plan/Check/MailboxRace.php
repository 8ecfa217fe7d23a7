<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Check;

use Meandros\Core\Plan\Element\Journey;
use Meandros\Core\Plan\Element\Person;
use Meandros\Core\Plan\Element\Phone;
use Meandros\Core\Plan\Element\RingPattern;
use Meandros\Core\Plan\Element\Team;
use Meandros\Core\Plan\Element\TeamMember;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Plan\Problem;
use Meandros\Core\Plan\Step\RingStep;

/**
 * Finds outside phones whose own mailbox can take a call of the company: it answers while the phone still rings, or at
 * once when the phone is off. Somebody who is asked first cannot be a mailbox.
 */
final class MailboxRace
{
    /** @var array<string, array{Person, int, int, string}> by phone: whose, its index, how long it rings at most, and where */
    private array $longest = [];

    private function __construct(private readonly Plan $plan)
    {
    }

    /** @return list<Finding> */
    public static function in(Plan $plan): array
    {
        $self = new self($plan);
        foreach ($plan->all(Journey::class) as $journey) {
            foreach ($journey->steps->everyStep() as $step) {
                if ($step instanceof RingStep) {
                    $self->ring($step, $journey->name());
                }
            }
        }
        $findings = [];
        foreach ($self->longest as [$person, $i, $seconds, $where]) {
            $phone = $person->phones[$i];
            $message = $seconds > (int) $phone->ownMailbox
                ? \sprintf('The own mailbox of “%s” answers after %d s, and %s rings it for up to %d s: the caller ends up there.', $phone->label, $phone->ownMailbox, $where, $seconds)
                : \sprintf('When “%s” is off, its own mailbox takes the calls of %s at once.', $phone->label, $where);
            $findings[] = new Finding($person, new Problem(\sprintf('/phones/%d', $i), $message, 'Ask before connecting, or do not ring this phone.'), false);
        }

        return $findings;
    }

    private function ring(RingStep $step, string $where): void
    {
        $target = $this->plan->find($step->target);
        if ($target instanceof Person) {
            $this->person($target, null, $step->seconds, $where);
        }
        if ($target instanceof Team) {
            foreach ($target->members as $member) {
                $person = $this->plan->get(Person::class, $member->person());
                if (null !== $person && $member->on && !$member->askFirst) {
                    $this->person($person, $member->phone(), self::turn($target, $member, $step->seconds), $where);
                }
            }
        }
    }

    /** How long a member rings at most. */
    private static function turn(Team $team, TeamMember $member, int $seconds): int
    {
        $left = RingPattern::Widening === $team->pattern ? max(0, $seconds - ($member->tier - 1) * $team->widenSeconds) : $seconds;
        $together = RingPattern::AllAtOnce === $team->pattern || RingPattern::Widening === $team->pattern;

        return min($left, $member->seconds ?? ($together ? $left : $team->memberSeconds));
    }

    private function person(Person $person, ?string $only, int $seconds, string $where): void
    {
        foreach ($person->phones as $i => $phone) {
            if (self::isAtRisk($phone) && (null === $only || $only === $phone->id)) {
                $key = $person->id().'/'.$phone->id;
                if ($seconds > ($this->longest[$key][2] ?? -1)) {
                    $this->longest[$key] = [$person, $i, $seconds, $where];
                }
            }
        }
    }

    private static function isAtRisk(Phone $phone): bool
    {
        return $phone->on && !$phone->askFirst && null !== $phone->ownMailbox;
    }
}
