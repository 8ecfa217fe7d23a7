<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Element;

use Meandros\Core\Plan\Kind;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Plan\Step\RingStep;
use Meandros\Core\Plan\Step\StepList;
use Meandros\Core\Plan\TakesCalls;
use Meandros\Core\Plan\Target;
use Meandros\Core\Plan\WithoutParts;
use Meandros\Core\Reading\Input;
use Meandros\Core\Reading\Limits;
use Meandros\Core\Value\Lists;

/** People and phones rung together in a pattern. */
final readonly class Team implements TakesCalls
{
    use Named;
    use WithoutParts;

    /** @param list<TeamMember> $members in ringing order */
    public function __construct(
        private About $about,
        public RingOrder $order,
        public array $members,
        public TeamManners $manners,
    ) {}

    public static function fromJson(Input $in): static
    {
        $in->onlyFields([
            ...About::FIELDS,
            'pattern',
            'members',
            'memberSeconds',
            'widenSeconds',
            'followRules',
            'skipBusy',
            'pauseSeconds',
        ]);
        $order = RingOrder::fromJson($in);
        $members = self::members($in->field('members'));
        if (RingPattern::Widening === $order->pattern) {
            self::refuseGaps($in, $members);
        }

        return new self(About::fromJson($in), $order, $members, TeamManners::fromJson($in));
    }

    /** @return list<TeamMember> */
    private static function members(Input $in): array
    {
        $members = [];
        foreach ($in->items(Limits::MEMBERS) as $item) {
            $member = TeamMember::fromJson($item);
            if (isset($members[$member->who->text()])) {
                $item->complain('team-member-twice');
            }
            $members[$member->who->text()] = $member;
        }

        return array_values($members);
    }

    /** @param list<TeamMember> $members */
    private static function refuseGaps(Input $in, array $members): void
    {
        $tiers = array_unique(array_map(static fn(TeamMember $member): int => $member->tier, $members));
        foreach ($members as $i => $member) {
            for ($tier = 1; $tier < $member->tier; ++$tier) {
                if (!Lists::has($tiers, $tier)) {
                    $in->field('members')
                        ->items(Limits::MEMBERS)
                        [$i]->field('tier')
                        ->complain('tier-waits', ['tier' => $member->tier, 'waits' => $tier]);

                    return;
                }
            }
        }
    }

    /** @return array<int, TeamMember> those who are on, by their place among all */
    public function ringing(): array
    {
        return array_filter($this->members, static fn(TeamMember $member): bool => $member->on);
    }

    /** @return TeamManners|null of the team that a call rings; null where it is none */
    public static function mannersOf(Plan $plan, ?Target $target): ?TeamManners
    {
        return $plan->get(self::class, $target?->element)?->manners;
    }

    public function directSteps(): StepList
    {
        return new StepList([RingStep::direct(Target::element($this->about->id))]);
    }

    public function kind(): Kind
    {
        return Kind::Team;
    }

    public function toJson(): array
    {
        return [
            ...$this->about->toJson($this->kind()),
            'pattern' => $this->order->pattern->value,
            'members' => array_map(static fn(TeamMember $member): array => $member->toJson(), $this->members),
            'memberSeconds' => $this->order->memberSeconds,
            'widenSeconds' => $this->order->widenSeconds,
            'followRules' => $this->manners->followRules,
            'skipBusy' => $this->manners->skipBusy,
            'pauseSeconds' => $this->manners->pauseSeconds,
        ];
    }

    public function references(): array
    {
        $references = [];
        foreach ($this->members as $i => $member) {
            array_push(
                $references,
                ...$member->who->references(\sprintf('/members/%d/who', $i), [Kind::Person], 'rings them as a member'),
            );
        }

        return $references;
    }
}
