<?php

declare(strict_types=1);

namespace Meandros\Core\Routing\Answering;

use Meandros\Core\Plan\Element\Person;
use Meandros\Core\Plan\Element\Status;
use Meandros\Core\Plan\Element\Team;
use Meandros\Core\Plan\Element\TeamMember;
use Meandros\Core\Plan\Element\Via;
use Meandros\Core\Plan\Step\RingStep;
use Meandros\Core\Ringing\AllAtOnce;
use Meandros\Core\Ringing\RingMember;
use Meandros\Core\Ringing\RingPhone;
use Meandros\Core\Ringing\RingSimulation;
use Meandros\Core\Ringing\Rung;
use Meandros\Core\Ringing\TeamPattern;
use Meandros\Core\Routing\CallOver;
use Meandros\Core\Routing\Ending;
use Meandros\Core\Routing\EndingKind;
use Meandros\Core\Routing\Happening\Ringing;
use Meandros\Core\Routing\Onward;
use Meandros\Core\Routing\Walk;

/** Rings a person, a team or a number outside, and tells what became of it. */
final readonly class Ringer
{
    /** Statuses in which somebody is not rung even where their phones are rung directly. */
    private const NOT_TO_RING = [Status::DoNotDisturb, Status::OnLeave, Status::SignedOut];

    public function __construct(private Walk $walk)
    {
    }

    /**
     * @param Choice|null $choice of the person's rules, when the target is a person
     *
     * @throws CallOver when the caller gives up meanwhile
     */
    public function ring(?string $target, int $seconds, ?Choice $choice = null): Onward
    {
        $walk = $this->walk;
        $start = $walk->second();
        $left = $walk->secondsLeft();
        $element = $walk->plan->find($target);
        if (null !== $choice && $choice->isSilent()) {
            $exit = Status::DoNotDisturb === $choice->status ? RingStep::BUSY : RingStep::UNREACHABLE;
            $walk->note(new Ringing($target, [], 0, $seconds, $exit, $choice));

            return Onward::by($exit);
        }
        $result = (new RingSimulation($walk->assumptions))->run(
            $this->members($target, $choice),
            $element instanceof Team ? TeamPattern::of($element, $walk->assumptions->earlier) : new AllAtOnce(),
            null === $left ? $seconds : min($seconds, $left),
        );
        $rung = array_map(static fn (Rung $rung): Rung => $rung->later($start), $result->rung);
        $walk->rang($rung);
        $walk->note(new Ringing($target, $rung, $result->seconds, $seconds, $result->exit, $choice), $start);
        $walk->pass($result->seconds);
        if (null !== $result->answeredBy) {
            return Onward::end(new Ending($result->byOwnMailbox() ? EndingKind::OwnMailbox : EndingKind::Answered, $result->answeredBy->person, $result->answeredBy->id));
        }

        return Onward::by((string) $result->exit);
    }

    /** @return list<RingMember> */
    private function members(?string $target, ?Choice $choice): array
    {
        if (null !== $target && str_starts_with($target, '+')) {
            return [new RingMember($target, [RingPhone::outside($target)])];
        }
        $element = $this->walk->plan->find($target);
        if ($element instanceof Person) {
            return [RingMember::inStages($element->id(), RingPhone::of($element), $choice?->rule?->stages)];
        }
        $members = [];
        foreach ($element instanceof Team ? $element->members : [] as $member) {
            $ringing = $element instanceof Team && $member->on ? $this->member($element, $member) : null;
            if (null !== $ringing) {
                $members[] = $ringing;
            }
        }

        return $members;
    }

    private function member(Team $team, TeamMember $member): ?RingMember
    {
        if ($member->isOutside()) {
            return new RingMember($member->who, [RingPhone::outside($member->who, $member->askFirst)], $member->tier, $member->seconds);
        }
        $person = $this->walk->plan->get(Person::class, $member->person());
        if (null === $person) {
            return null;
        }
        $phones = RingPhone::of($person, $member->askFirst);
        $stages = null;
        if (null !== $member->phone()) {
            $phones = array_values(array_filter($phones, static fn (RingPhone $phone): bool => $phone->id === $member->who));
        } elseif ($team->followRules) {
            $choice = (new Answering($this->walk))->of($person, Via::Team);
            $stages = $choice->rule?->stages;
            $phones = $choice->isSilent() ? self::silenced($phones) : $phones;
        } elseif (\in_array($this->walk->statusOf($person->id()), self::NOT_TO_RING, true)) {
            $phones = self::silenced($phones);
        }

        return RingMember::inStages($member->who, $phones, $stages, $member->tier, $member->seconds);
    }

    /**
     * @param list<RingPhone> $phones
     *
     * @return list<RingPhone>
     */
    private static function silenced(array $phones): array
    {
        return array_map(static fn (RingPhone $phone): RingPhone => $phone->silenced(), $phones);
    }
}
