<?php

declare(strict_types=1);

namespace Meandros\Core\Ringing;

use Meandros\Core\Plan\Element\RuleStage;

/** Phones that ring together for one member of a team, or for one person. */
final readonly class RingMember
{
    /**
     * @param string               $who     a person's id, a phone ("per_x/desk") or a number in E.164
     * @param list<RingPhone>      $phones
     * @param int                  $tier    1 rings first where a team widens
     * @param int|null             $seconds how long this member rings at most; null for as long as the pattern says
     * @param list<RuleStage>|null $stages  of the rule that holds; null when all phones ring from the start
     */
    public function __construct(public string $who, public array $phones, public int $tier = 1, public ?int $seconds = null, public ?array $stages = null)
    {
    }

    /**
     * A member whose rule says which phones ring, and when: the others take no part.
     *
     * @param list<RingPhone>      $phones
     * @param list<RuleStage>|null $stages
     */
    public static function inStages(string $who, array $phones, ?array $stages, int $tier = 1, ?int $seconds = null): self
    {
        $named = array_merge(...array_map(static fn (RuleStage $stage): array => $stage->phones, $stages ?? []));
        $ringing = null === $stages ? $phones : array_values(array_filter($phones, static fn (RingPhone $phone): bool => \in_array($phone->key(), $named, true)));

        return new self($who, $ringing, $tier, $seconds, $stages);
    }

    /** @param list<RingPhone> $phones */
    public function withPhones(array $phones): self
    {
        return new self($this->who, $phones, $this->tier, $this->seconds, $this->stages);
    }

    /** @return list<Alert> while it is this member's turn */
    public function alerts(int $from, int $until): array
    {
        if (null === $this->stages) {
            return array_map(static fn (RingPhone $phone): Alert => new Alert($phone, $from, $until), $this->phones);
        }
        $alerts = [];
        foreach ($this->stages as $stage) {
            [$start, $end] = [$from + $stage->after, min($until, $from + $stage->after + $stage->seconds)];
            foreach ($start < $end ? $this->phones : [] as $phone) {
                if (\in_array($phone->key(), $stage->phones, true)) {
                    $alerts[] = new Alert($phone, $start, $end);
                }
            }
        }

        return $alerts;
    }

    /** Seconds after which the last stage is over; null without stages. */
    public function stagesEnd(): ?int
    {
        return null === $this->stages ? null : max([0, ...array_map(static fn (RuleStage $stage): int => $stage->after + $stage->seconds, $this->stages)]);
    }
}
