<?php

declare(strict_types=1);

namespace Meandros\Core\Ringing;

use Meandros\Core\Plan\Element\RuleStage;

/** A stage of the rule that holds: phones of the person, or a team that rings in its own pattern meanwhile. */
final readonly class RingStage
{
    /**
     * @param list<string>     $phones  ids ("per_x/desk")
     * @param list<RingMember> $team    members of the team, where it is one
     * @param Pattern|null     $pattern of the team
     */
    private function __construct(public int $after, public int $seconds, private array $phones, private array $team = [], private ?Pattern $pattern = null)
    {
    }

    public static function ofPhones(RuleStage $stage, string $person): self
    {
        $phones = [];
        foreach ($stage->phones as $phone) {
            $phones[] = $person.'/'.$phone;
        }

        return new self($stage->after, $stage->seconds, $phones);
    }

    /** @param list<RingMember> $members */
    public static function ofTeam(RuleStage $stage, array $members, Pattern $pattern): self
    {
        return new self($stage->after, $stage->seconds, [], $members, $pattern);
    }

    public function end(): int
    {
        return $this->after + $this->seconds;
    }

    /**
     * Adds the phones that ring in it to those found before.
     *
     * @param array<string, RingPhone> $found by id
     * @param array<string, RingPhone> $own   the person's, by id
     *
     * @return array<string, RingPhone>
     */
    public function phones(array $found, array $own): array
    {
        foreach ($this->phones as $id) {
            if (isset($own[$id])) {
                $found[$id] = $own[$id];
            }
        }
        foreach ($this->team as $member) {
            foreach ($member->phones as $phone) {
                $found[$phone->id] ??= $phone;
            }
        }

        return $found;
    }

    /**
     * @param list<RingPhone>            $able        phones that can ring
     * @param \Closure(RingMember): ?int $silentAfter as a pattern wants it
     *
     * @return list<Alert>
     */
    public function alerts(int $from, int $until, array $able, \Closure $silentAfter): array
    {
        $start = $from + $this->after;
        $end = min($until, $from + $this->end());
        if ($start >= $end) {
            return [];
        }
        if (null !== $this->pattern) {
            return array_map(static fn (Alert $alert): Alert => new Alert($alert->phone, $start + $alert->from, $start + $alert->until), $this->pattern->alerts($this->members($able), $end - $start, $silentAfter));
        }

        $alerts = [];
        foreach ($able as $phone) {
            if (\in_array($phone->id, $this->phones, true)) {
                $alerts[] = new Alert($phone, $start, $end);
            }
        }

        return $alerts;
    }

    /**
     * @param list<RingPhone> $able
     *
     * @return list<RingMember> those with a phone that can ring
     */
    private function members(array $able): array
    {
        $ids = array_flip(array_map(static fn (RingPhone $phone): string => $phone->id, $able));
        $members = array_map(static fn (RingMember $member): RingMember => $member->withPhones(array_values(array_filter($member->phones, static fn (RingPhone $phone): bool => isset($ids[$phone->id])))), $this->team);

        return array_values(array_filter($members, static fn (RingMember $member): bool => [] !== $member->phones));
    }
}
