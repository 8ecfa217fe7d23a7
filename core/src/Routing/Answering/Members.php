<?php

declare(strict_types=1);

namespace Meandros\Core\Routing\Answering;

use Meandros\Core\Call\Behaviour;
use Meandros\Core\Call\Status;
use Meandros\Core\Plan\Element\AnsweringRule;
use Meandros\Core\Plan\Element\Person;
use Meandros\Core\Plan\Element\PickUp;
use Meandros\Core\Plan\Element\RuleStage;
use Meandros\Core\Plan\Element\Team;
use Meandros\Core\Plan\Element\TeamMember;
use Meandros\Core\Ringing\Reach;
use Meandros\Core\Ringing\RingMember;
use Meandros\Core\Ringing\RingPhone;
use Meandros\Core\Ringing\RingStage;
use Meandros\Core\Ringing\Rung;
use Meandros\Core\Ringing\TeamPattern;
use Meandros\Core\Routing\Walk;
use Meandros\Core\Value\Lists;

/** Whose phones are to ring, and what keeps some of them from it. */
final readonly class Members
{
    /** Statuses in which somebody is not rung even where their phones are rung directly. */
    private const NOT_TO_RING = [Status::DoNotDisturb, Status::OnLeave, Status::SignedOut];

    private Answering $answering;

    public function __construct(private Walk $walk)
    {
        $this->answering = new Answering($walk);
    }

    /** @param string|null $site from which the call leaves; null for that of the number dialled */
    public function number(string $number, ?string $site): RingMember
    {
        return RingMember::all($number, [$this->outside($number, false, $site)]);
    }

    /** @param Choice|null $choice of their rules; null for all phones */
    public function person(Person $person, ?Choice $choice): RingMember
    {
        return null === $choice?->rule
            ? RingMember::all($person->id(), $this->walk->phones->all($person, false))
            : new RingMember($person->id(), $this->stages($person, $choice->rule, true));
    }

    /** Whoever is asked for a queue is rung on every phone, whatever their rules say; not where their status says that they are not there. */
    public function agent(Person $person, PickUp $pickUp): RingMember
    {
        $status = $this->walk->statusOf($person->id());
        $phones = $this->walk->phones->all($person, PickUp::AskedFirst === $pickUp);
        $ringing = RingMember::all(
            $person->id(),
            PickUp::ByItself === $pickUp
                ? array_map(static fn(RingPhone $phone): RingPhone => $phone->answeringByItself(), $phones)
                : $phones,
        );

        return Lists::has(self::NOT_TO_RING, $status) ? $ringing->keptBy(self::absent($status)) : $ringing;
    }

    /** Whether somebody is there, and has a phone that can be reached, be it busy or not. */
    public function reaches(Person $person): bool
    {
        $reach = new Reach($this->walk->assumed(), $this->walk->lines->areKnown() ? $this->walk->lines : null);
        $phones = Lists::has(self::NOT_TO_RING, $this->walk->statusOf($person->id()))
            ? []
            : $this->walk->phones->all($person, false);

        return [] !==
            array_filter(
                $phones,
                static fn(RingPhone $phone): bool => Lists::has([null, Rung::BUSY], $reach->silence($phone)),
            );
    }

    /** @return list<RingMember> those who are on, in the team's order */
    public function team(Team $team): array
    {
        $members = [];
        $phones = 0;
        foreach ($team->members as $member) {
            $ringing = $member->on ? $this->member($team, $member) : null;
            if (null !== $ringing) {
                $phones += RingMember::count([$ringing]);
                $this->walk->mayRing($phones);
                $members[] = $this->isPausing($team, $member) ? $ringing->keptBy(Rung::PAUSING) : $ringing;
            }
        }

        return $members;
    }

    private function member(Team $team, TeamMember $member): ?RingMember
    {
        $who = $member->who->text();
        if (null !== $member->who->number) {
            return RingMember::all(
                $who,
                [$this->outside($who, $member->askFirst, null)],
                $member->tier,
                $member->seconds,
            );
        }
        $person = $this->walk->plan->get(Person::class, $member->who->element);
        if (null === $person) {
            return null;
        }
        $kept = $team->manners->skipBusy && $this->isOnACall($person) ? Rung::BUSY : null;
        $stages = null;
        if (null !== $member->who->phone) {
            $only = $person->phone($member->who->phone);
            $stages = [
                new RingStage(
                    0,
                    null,
                    null === $only ? [] : [$this->walk->phones->of($person, $only, $member->askFirst)],
                ),
            ];
        } elseif ($team->manners->followRules) {
            $choice = $this->answering->ofMember($person);
            $stages = null === $choice->rule ? null : $this->stages($person, $choice->rule, false, $member->askFirst);
            $kept ??= $choice->isSilent() ? self::absent($choice->status) : null;
        } else {
            $status = $this->walk->statusOf($person->id());
            $kept ??= Lists::has(self::NOT_TO_RING, $status) ? self::absent($status) : null;
        }
        $ringing =
            null === $stages
                ? $this->walk->phones->member($member, $person)
                : new RingMember($who, $stages, $member->tier, $member->seconds);

        return null === $kept ? $ringing : $ringing->keptBy($kept);
    }

    /** How somebody's phones are told who do not ring for their owner's status. */
    public static function absent(Status $status): string
    {
        return Status::DoNotDisturb === $status ? Rung::DO_NOT_DISTURB : Rung::NOT_AVAILABLE;
    }

    /**
     * @param bool $withTeams whether the call is the person's own: then the teams of a stage ring in it too
     *
     * @return list<RingStage>
     */
    private function stages(Person $person, AnsweringRule $rule, bool $withTeams, bool $askFirst = false): array
    {
        $stages = $this->walk->phones->stages($person, $rule, $askFirst);
        if (!$withTeams) {
            return $stages;
        }
        $all = [];
        foreach ($rule->ringing->stages as $place => $stage) {
            $all[] = $stages[$place];
            foreach ($stage->teams as $id) {
                array_push($all, ...$this->teamStage($stage, $id));
            }
        }

        return $all;
    }

    /** @return list<RingStage> */
    private function teamStage(RuleStage $stage, string $id): array
    {
        $team = $this->walk->plan->get(Team::class, $id);

        return null === $team
            ? []
            : [
                new RingStage(
                    $stage->after,
                    $stage->seconds,
                    [],
                    $this->team($team),
                    TeamPattern::of($team, $this->walk->assumptions->earlier),
                ),
            ];
    }

    private function outside(string $number, bool $askFirst, ?string $site): RingPhone
    {
        return $this->walk->phones->number($number, $askFirst, $site ?? $this->walk->arrival()->at->site);
    }

    private function isPausing(Team $team, TeamMember $member): bool
    {
        // The pause goes on while the call is on its way.
        return $team->manners->pauseSeconds > 0 &&
            !$this->walk->assumptions->earlier->isIdleFor(
                $member->who->text(),
                $team->manners->pauseSeconds - $this->walk->second(),
            );
    }

    private function isOnACall(Person $person): bool
    {
        $assumptions = $this->walk->assumed();
        foreach ($person->phoneIds() as $phone) {
            $does = $assumptions->of([$phone, $person->id()])->does;
            if (Behaviour::Busy === $does || Behaviour::OnACall === $does) {
                return true;
            }
        }

        return false;
    }
}
