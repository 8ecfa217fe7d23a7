<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Element;

use Meandros\Core\Plan\Kind;
use Meandros\Core\Plan\Step\RingStep;
use Meandros\Core\Plan\Step\StepList;
use Meandros\Core\Plan\TakesCalls;
use Meandros\Core\Plan\Target;
use Meandros\Core\Plan\WithoutParts;
use Meandros\Core\Reading\Input;
use Meandros\Core\Reading\Limits;

/** People and phones rung together in a pattern. */
final readonly class Team implements TakesCalls
{
    use Named;
    use WithoutParts;

    /**
     * @param list<TeamMember> $members       in ringing order
     * @param int              $memberSeconds how long each rings where they ring one after the other
     * @param int              $widenSeconds  after how long the next tier joins where the team widens
     * @param bool             $followRules   whether members' answering rules say which of their phones ring, or all do
     * @param bool             $skipBusy      whether somebody on a call is passed over, also where a phone of theirs takes another
     * @param int              $pauseSeconds  after a call a member is not rung for so long
     */
    public function __construct(
        private string $id,
        private string $name,
        public RingPattern $pattern,
        public array $members,
        public int $memberSeconds = 15,
        public int $widenSeconds = 10,
        public bool $followRules = false,
        public bool $skipBusy = false,
        public int $pauseSeconds = 0,
    ) {}

    public static function fromJson(Input $in): static
    {
        $in->onlyFields([
            'id',
            'kind',
            'name',
            'pattern',
            'members',
            'memberSeconds',
            'widenSeconds',
            'followRules',
            'skipBusy',
            'pauseSeconds',
        ]);
        /** @var RingPattern $pattern */
        $pattern = $in->field('pattern')->oneOf(RingPattern::class, RingPattern::AllAtOnce);
        $members = self::members($in->field('members'));
        if (RingPattern::Widening === $pattern) {
            self::refuseGaps($in, $members);
        }

        return new self(
            $in->field('id')->id(),
            $in->field('name')->text(),
            $pattern,
            $members,
            $in->field('memberSeconds')->whole(1, 300, 'seconds', 15),
            $in->field('widenSeconds')->whole(1, 300, 'seconds', 10),
            $in->field('followRules')->flag(false),
            $in->field('skipBusy')->flag(false),
            $in->field('pauseSeconds')->whole(0, 600, 'seconds', 0),
        );
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
                if (!\in_array($tier, $tiers, true)) {
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

    /** Seconds after which a member begins to ring where all ring at once, or the team widens. */
    public function joinsAfter(TeamMember $member): int
    {
        return RingPattern::Widening === $this->pattern ? ($member->tier - 1) * $this->widenSeconds : 0;
    }

    public function directSteps(): StepList
    {
        return new StepList([new RingStep('ring', Target::element($this->id), RingStep::DIRECT_SECONDS)]);
    }

    public function kind(): Kind
    {
        return Kind::Team;
    }

    public function toJson(): array
    {
        return [
            'id' => $this->id,
            'kind' => 'team',
            'name' => $this->name,
            'pattern' => $this->pattern->value,
            'members' => array_map(static fn(TeamMember $member): array => $member->toJson(), $this->members),
            'memberSeconds' => $this->memberSeconds,
            'widenSeconds' => $this->widenSeconds,
            'followRules' => $this->followRules,
            'skipBusy' => $this->skipBusy,
            'pauseSeconds' => $this->pauseSeconds,
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
