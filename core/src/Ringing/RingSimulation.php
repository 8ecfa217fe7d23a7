<?php

declare(strict_types=1);

namespace Meandros\Core\Ringing;

use Meandros\Core\Call\Assumptions;
use Meandros\Core\Call\Behaviour;
use Meandros\Core\Plan\Step\RingStep;

/**
 * Phones on a timeline of seconds. The first to take the call wins; when two do in the same second the one listed first
 * does. A phone's own mailbox takes calls like anybody, unless it is asked first. Busy, unreachable and switched-off
 * phones do not ring and take no time.
 */
final class RingSimulation
{
    /** @var array<string, Fate> by phone */
    private array $fates = [];

    public function __construct(private readonly Assumptions $assumptions)
    {
    }

    /**
     * @param list<RingMember> $members
     * @param int              $seconds the limit after which the call goes on
     */
    public function run(array $members, Pattern $pattern, int $seconds): RingResult
    {
        [$ringing, $silent] = $this->able($members);
        if ([] === $ringing) {
            $busy = array_filter($silent, static fn (Rung $rung): bool => Rung::BUSY === $rung->outcome);

            return new RingResult($silent, null, [] === $busy ? RingStep::UNREACHABLE : RingStep::BUSY, 0);
        }
        $alerts = $pattern->alerts($ringing, $seconds, $this->silentAfter(...));
        [$winner, $end] = $this->firstToTake($alerts);
        $ends = array_map(fn (Alert $alert): int => $this->endOf($alert), $alerts);
        $end ??= [] === $ends ? 0 : max($ends);
        $rung = [...$this->outcomes($alerts, $winner, $end), ...$this->neverReached($ringing, $alerts), ...$silent];
        $refused = [] !== $alerts && [] === array_filter($alerts, fn (Alert $alert): bool => Rung::REFUSED !== $this->fate($alert->phone)->outcome);

        return new RingResult($rung, $winner?->phone, match (true) {
            null !== $winner => null,
            $refused => RingStep::REFUSED,
            default => RingStep::NOBODY,
        }, $end);
    }

    /**
     * @param list<RingMember> $members
     *
     * @return array{list<RingMember>, list<Rung>} who can ring, and what became of the other phones
     */
    private function able(array $members): array
    {
        $ringing = $silent = [];
        foreach ($members as $member) {
            $phones = [];
            foreach ($member->phones as $phone) {
                $outcome = $this->silence($phone);
                if (null === $outcome) {
                    $phones[] = $phone;
                } else {
                    $silent[] = new Rung($phone, 0, 0, $outcome);
                }
            }
            if ([] !== $phones) {
                $ringing[] = $member->withPhones($phones);
            }
        }

        return [$ringing, $silent];
    }

    /** Why a phone does not even ring; null when it does. */
    private function silence(RingPhone $phone): ?string
    {
        $does = $this->assumptions->of($phone->names())->does;

        return match (true) {
            !$phone->on => Rung::OFF,
            !$phone->available => Rung::NOT_AVAILABLE,
            Behaviour::Busy === $does => Rung::BUSY,
            // One that is out of reach and has a mailbox of its own "rings": the mailbox picks up.
            Behaviour::Unreachable === $does && (null === $phone->ownMailbox || $phone->askFirst) => Rung::UNREACHABLE,
            default => null,
        };
    }

    private function fate(RingPhone $phone): Fate
    {
        // A phone may be rung by its own rule and be asked first by a team: the two are different fates.
        $key = $phone->askFirst ? $phone->id.'?' : $phone->id;

        return $this->fates[$key] ??= Fate::of($phone, $this->assumptions->of($phone->names()));
    }

    /** Seconds after which all phones of a member have fallen silent by themselves. */
    private function silentAfter(RingMember $member): ?int
    {
        $last = 0;
        foreach ($member->phones as $phone) {
            $silent = $this->fate($phone)->silentAfter;
            if (null === $silent) {
                return null;
            }
            $last = max($last, $silent);
        }

        return $last;
    }

    /** When an alert ends if nobody takes the call. */
    private function endOf(Alert $alert): int
    {
        $silent = $this->fate($alert->phone)->silentAfter;

        return null === $silent ? $alert->until : min($alert->until, $alert->from + $silent);
    }

    /**
     * @param list<Alert> $alerts
     *
     * @return array{Alert|null, int|null} whose phone takes the call, and when
     */
    private function firstToTake(array $alerts): array
    {
        $winner = $second = null;
        foreach ($alerts as $alert) {
            $after = $this->fate($alert->phone)->takesAfter;
            $takes = null === $after ? \PHP_INT_MAX : $alert->from + $after;
            if ($takes < $alert->until && (null === $second || $takes < $second)) {
                [$winner, $second] = [$alert, $takes];
            }
        }

        return [$winner, $second];
    }

    /**
     * @param list<Alert> $alerts
     *
     * @return list<Rung>
     */
    private function outcomes(array $alerts, ?Alert $winner, int $end): array
    {
        $rung = [];
        foreach ($alerts as $alert) {
            if ($alert->from >= $end && $alert !== $winner) {
                $rung[] = new Rung($alert->phone, $end, $end, Rung::NOT_REACHED);
                continue;
            }
            $fate = $this->fate($alert->phone);
            $own = $this->endOf($alert);
            $asked = null === $fate->askedAfter ? null : $alert->from + $fate->askedAfter;
            $rung[] = new Rung($alert->phone, $alert->from, min($own, $end), match (true) {
                $alert === $winner => $fate->outcome,
                $own < $alert->until && $own <= $end => $fate->outcome,
                null !== $winner && $alert->until > $end => Rung::TAKEN_ELSEWHERE,
                default => Rung::NOT_ANSWERED,
            }, null !== $asked && $asked <= min($own, $end) ? $asked : null);
        }

        return $rung;
    }

    /**
     * @param list<RingMember> $members
     * @param list<Alert>      $alerts
     *
     * @return list<Rung>
     */
    private function neverReached(array $members, array $alerts): array
    {
        $alerted = array_flip(array_map(static fn (Alert $alert): string => $alert->phone->id, $alerts));
        $missed = [];
        foreach ($members as $member) {
            foreach ($member->phones as $phone) {
                if (!isset($alerted[$phone->id])) {
                    $missed[] = new Rung($phone, 0, 0, Rung::NOT_REACHED);
                }
            }
        }

        return $missed;
    }
}
