<?php

declare(strict_types=1);

namespace Meandros\Core\Ringing;

/** Phones that ring together for one member of a team, or for one person. */
final readonly class RingMember
{
    /**
     * @param string               $who     a person's id, a phone ("per_x/desk") or a number in E.164
     * @param list<RingPhone>      $phones
     * @param int                  $tier    1 rings first where a team widens
     * @param int|null             $seconds how long this member rings at most; null for as long as the pattern says
     * @param list<RingStage>|null $stages  of the rule that holds; null when all phones ring from the start
     */
    public function __construct(public string $who, public array $phones, public int $tier = 1, public ?int $seconds = null, public ?array $stages = null)
    {
    }

    /**
     * A member whose rule says which phones ring, and when: the others take no part.
     *
     * @param list<RingPhone>      $phones
     * @param list<RingStage>|null $stages
     */
    public static function inStages(string $who, array $phones, ?array $stages, int $tier = 1, ?int $seconds = null): self
    {
        if (null === $stages) {
            return new self($who, $phones, $tier, $seconds);
        }
        $own = $ringing = [];
        foreach ($phones as $phone) {
            $own[$phone->id] = $phone;
        }
        foreach ($stages as $stage) {
            $ringing = $stage->phones($ringing, $own);
        }

        return new self($who, array_values($ringing), $tier, $seconds, $stages);
    }

    /** @param list<RingPhone> $phones */
    public function withPhones(array $phones): self
    {
        return new self($this->who, $phones, $this->tier, $this->seconds, $this->stages);
    }

    /** The same, kept from ringing. */
    public function keptBy(string $outcome): self
    {
        return $this->withPhones(array_map(static fn (RingPhone $phone): RingPhone => $phone->keptBy($outcome), $this->phones));
    }

    /**
     * @param \Closure(RingMember): ?int $silentAfter as a pattern wants it
     *
     * @return list<Alert> while it is this member's turn
     */
    public function alerts(int $from, int $until, \Closure $silentAfter): array
    {
        if (null === $this->stages) {
            return array_map(static fn (RingPhone $phone): Alert => new Alert($phone, $from, $until), $this->phones);
        }

        $alerts = [];
        foreach ($this->stages as $stage) {
            array_push($alerts, ...$stage->alerts($from, $until, $this->phones, $silentAfter));
        }

        return $alerts;
    }

    /** Seconds after which the last stage is over; null without stages. */
    public function stagesEnd(): ?int
    {
        return null === $this->stages ? null : max([0, ...array_map(static fn (RingStage $stage): int => $stage->end(), $this->stages)]);
    }
}
