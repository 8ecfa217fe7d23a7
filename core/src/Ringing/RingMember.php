<?php

declare(strict_types=1);

namespace Meandros\Core\Ringing;

/** What rings for one member of a team, or for one person. */
final readonly class RingMember
{
    /**
     * @param string          $who     a person's id, a phone ("per_x/desk") or a number in E.164
     * @param list<RingStage> $stages
     * @param int             $tier    1 rings first where a team widens
     * @param int|null        $seconds how long this member rings; null for as long as the pattern says
     */
    public function __construct(
        public string $who,
        public array $stages,
        public int $tier = 1,
        public ?int $seconds = null,
    ) {}

    /**
     * Phones that ring from the start to the end.
     *
     * @param list<RingPhone> $phones
     */
    public static function all(string $who, array $phones, int $tier = 1, ?int $seconds = null): self
    {
        return new self($who, [new RingStage(0, null, $phones)], $tier, $seconds);
    }

    /** The same, kept from ringing. */
    public function keptBy(string $outcome): self
    {
        $keep = static fn(RingPhone $phone): RingPhone => $phone->keptBy($outcome);

        return new self(
            $this->who,
            array_map(static fn(RingStage $stage): RingStage => $stage->with($keep), $this->stages),
            $this->tier,
            $this->seconds,
        );
    }

    /**
     * Whether one of their phones is kept from ringing so.
     *
     * @param list<self> $members
     */
    public static function areKeptBy(string $outcome, array $members): bool
    {
        foreach (self::listed($members) as $phone) {
            if ($outcome === $phone->manner->kept) {
                return true;
            }
        }

        return false;
    }

    /**
     * @param list<self> $members
     *
     * @return int how often their phones are to ring
     */
    public static function count(array $members): int
    {
        $count = 0;
        foreach ($members as $member) {
            foreach ($member->stages as $stage) {
                $count += \count($stage->phones) + self::count($stage->team);
            }
        }

        return $count;
    }

    /**
     * @param list<self> $members
     *
     * @return list<RingPhone> phones as they are listed: stage by stage, in each the phones before the team
     */
    public static function listed(array $members): array
    {
        $listed = [];
        foreach ($members as $member) {
            foreach ($member->stages as $stage) {
                array_push($listed, ...$stage->phones, ...[] === $stage->team ? [] : self::listed($stage->team));
            }
        }

        return $listed;
    }
}
