<?php

declare(strict_types=1);

namespace Meandros\Core\Ringing;

use Meandros\Core\Outside\Lines;
use Meandros\Core\Plan\Element\AnsweringRule;
use Meandros\Core\Plan\Element\Person;
use Meandros\Core\Plan\Element\Phone;
use Meandros\Core\Plan\Element\RuleStage;
use Meandros\Core\Plan\Element\TeamMember;

/** The phones of a plan as they ring, each made once: the same ones ring in call after call. */
final class Phones
{
    /** @var array<string, array<string, RingPhone>> by person and phone */
    private array $asIs = [];
    /** @var array<string, array<string, RingPhone>> by person and phone: those that are asked whatever the phone itself says */
    private array $asked = [];
    /** @var array<string, array<string, array<int, list<RingStage>>>> by person and rule, and whether all are asked */
    private array $stages = [];

    /** @var \WeakMap<TeamMember, RingMember> who ring with all their phones */
    private \WeakMap $members;
    public readonly Rounds $rounds;

    public function __construct(private readonly Lines $lines)
    {
        $this->members = new \WeakMap();
        $this->rounds = new Rounds($lines);
    }

    /** @return list<RingPhone> all of somebody's */
    public function all(Person $person, bool $askFirst): array
    {
        return array_map(fn(Phone $phone): RingPhone => $this->of($person, $phone, $askFirst), $person->reach->phones);
    }

    /** Somebody in a team, with all their phones. */
    public function member(TeamMember $member, Person $person): RingMember
    {
        return $this->members[$member] ??= RingMember::all(
            $person->id(),
            $this->all($person, $member->askFirst),
            $member->tier,
            $member->seconds,
        );
    }

    public function of(Person $person, Phone $phone, bool $askFirst): RingPhone
    {
        if ($askFirst) {
            return $this->asked[$person->id()][$phone->id] ??= RingPhone::of(
                $person,
                $phone,
                true,
                $this->isMobile($phone),
            );
        }

        return $this->asIs[$person->id()][$phone->id] ??= RingPhone::of(
            $person,
            $phone,
            false,
            $this->isMobile($phone),
        );
    }

    /**
     * The stages of an answering rule, without the teams that ring in them.
     *
     * @return list<RingStage>
     */
    public function stages(Person $person, AnsweringRule $rule, bool $askFirst): array
    {
        return $this->stages[$person->id()][$rule->id][$askFirst ? 1 : 0] ??= array_map(
            fn(RuleStage $stage): RingStage => new RingStage(
                $stage->after,
                $stage->seconds,
                array_map(fn(string $id): RingPhone => $this->named($person, $id, $askFirst), $stage->phones),
            ),
            $rule->ringing->stages,
        );
    }

    private function named(Person $person, string $id, bool $askFirst): RingPhone
    {
        $phone = $person->phone($id);
        \assert(null !== $phone, 'Rules name phones that are there.');

        return $this->of($person, $phone, $askFirst);
    }

    /**
     * A number that belongs to nobody in the plan.
     *
     * @param string|null $site from which the call leaves
     */
    public function number(string $number, bool $askFirst, ?string $site): RingPhone
    {
        return RingPhone::number($number, $askFirst, $site, $this->lines->isMobile($number));
    }

    private function isMobile(Phone $phone): bool
    {
        return null !== $phone->number() && $this->lines->isMobile($phone->number());
    }
}
