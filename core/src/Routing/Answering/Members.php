<?php

declare(strict_types=1);

namespace Meandros\Core\Routing\Answering;

use Meandros\Core\Call\Behaviour;
use Meandros\Core\Plan\Element\AnsweringRule;
use Meandros\Core\Plan\Element\Person;
use Meandros\Core\Plan\Element\Status;
use Meandros\Core\Plan\Element\Team;
use Meandros\Core\Plan\Element\TeamMember;
use Meandros\Core\Ringing\RingMember;
use Meandros\Core\Ringing\RingPhone;
use Meandros\Core\Ringing\RingStage;
use Meandros\Core\Ringing\Rung;
use Meandros\Core\Ringing\TeamPattern;
use Meandros\Core\Routing\Walk;

/** Whose phones are to ring, and what keeps some of them from it. */
final readonly class Members
{
    /** Statuses in which somebody is not rung even where their phones are rung directly. */
    private const NOT_TO_RING = [Status::DoNotDisturb, Status::OnLeave, Status::SignedOut];

    public function __construct(private Walk $walk)
    {
    }

    /**
     * @param string|null $target an element's id, or a number in E.164
     * @param Choice|null $choice of the person's rules, when the target is a person
     * @param string|null $site   from which a call to a number leaves, where it is somebody's forward
     *
     * @return list<RingMember>
     */
    public function of(?string $target, ?Choice $choice, ?string $site = null): array
    {
        if (null !== $target && str_starts_with($target, '+')) {
            return [new RingMember($target, [RingPhone::outside($target, site: $site)])];
        }
        $element = $this->walk->plan->find($target);
        if ($element instanceof Person) {
            return [RingMember::inStages($element->id(), RingPhone::of($element), null === $choice?->rule ? null : $this->stages($element, $choice->rule))];
        }

        return $element instanceof Team ? $this->team($element) : [];
    }

    /** @return list<RingMember> */
    private function team(Team $team): array
    {
        $members = [];
        foreach ($team->members as $member) {
            $ringing = $member->on ? $this->member($team, $member) : null;
            if (null !== $ringing) {
                $members[] = $this->isPausing($team, $member) ? $ringing->keptBy(Rung::PAUSING) : $ringing;
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
        $kept = $team->skipBusy && $this->isBusy($phones) ? Rung::BUSY : null;
        $stages = null;
        if (null !== $member->phone()) {
            $phones = array_values(array_filter($phones, static fn (RingPhone $phone): bool => $phone->id === $member->who));
        } elseif ($team->followRules) {
            $choice = (new Answering($this->walk))->ofMember($person);
            $stages = null === $choice->rule ? null : self::phoneStages($person, $choice->rule);
            $kept ??= $choice->isSilent() ? Rung::NOT_AVAILABLE : null;
        } elseif (\in_array($this->walk->statusOf($person->id()), self::NOT_TO_RING, true)) {
            $kept ??= Rung::NOT_AVAILABLE;
        }
        $ringing = RingMember::inStages($member->who, $phones, $stages, $member->tier, $member->seconds);

        return null === $kept ? $ringing : $ringing->keptBy($kept);
    }

    /** @return list<RingStage> of a person's own call, teams among them */
    private function stages(Person $person, AnsweringRule $rule): array
    {
        $stages = self::phoneStages($person, $rule);
        foreach ($rule->stages as $stage) {
            foreach ($stage->teams as $id) {
                $team = $this->walk->plan->get(Team::class, $id);
                if (null !== $team) {
                    $stages[] = RingStage::ofTeam($stage, $this->team($team), TeamPattern::of($team, $this->walk->assumptions->earlier));
                }
            }
        }

        return $stages;
    }

    /** @return list<RingStage> */
    private static function phoneStages(Person $person, AnsweringRule $rule): array
    {
        [$id, $stages] = [$person->id(), []];
        foreach ($rule->stages as $stage) {
            $stages[] = RingStage::ofPhones($stage, $id);
        }

        return $stages;
    }

    private function isPausing(Team $team, TeamMember $member): bool
    {
        // The pause goes on while the call is on its way.
        return $team->pauseSeconds > 0 && !$this->walk->assumptions->earlier->isIdleFor($member->who, $team->pauseSeconds - $this->walk->second());
    }

    /** @param list<RingPhone> $phones */
    private function isBusy(array $phones): bool
    {
        foreach ($phones as $phone) {
            if (\in_array($this->walk->assumptions->of($phone->names())->does, [Behaviour::Busy, Behaviour::OnACall], true)) {
                return true;
            }
        }

        return false;
    }
}
