<?php

declare(strict_types=1);

namespace Meandros\Core\Ringing;

use Meandros\Core\Call\Assumptions;
use Meandros\Core\Call\Behaviour;
use Meandros\Core\Call\PhoneAssumption;
use Meandros\Core\Outside\Lines;
use Meandros\Core\Plan\Step\RingStep;

/**
 * Phones on a timeline of seconds. The first to take the call wins; when two do in the same second the one listed first
 * does. A phone's own mailbox takes calls like anybody, unless it is asked first. Busy, unreachable and switched-off
 * phones do not ring and take no time.
 */
final class RingSimulation
{
    private const FREE_AGAIN_SOON = [Rung::BUSY, Rung::PAUSING, Rung::NO_CHANNEL];

    /** @var array<string, PhoneAssumption> by phone */
    private array $assumed = [];
    /** @var array<string, Fate> of phones of which nothing is assumed, by what they are */
    private array $fates = [];

    /** @param array<string, int> $rangBefore seconds for which phones rang earlier in the call */
    public function __construct(private readonly Assumptions $assumptions, private readonly ?Lines $lines = null, private readonly array $rangBefore = [])
    {
    }

    /**
     * @param list<RingMember> $members
     * @param int              $seconds the limit after which the call goes on
     */
    public function run(array $members, Pattern $pattern, int $seconds): RingResult
    {
        [$ringing, $silent] = $this->able($members);
        [$alerts, $blocked] = $this->onLines(Alert::merged($pattern->alerts($ringing, $seconds, $this->silentAfter(...))));
        $silent = [...$blocked, ...$silent];
        if ([] === $alerts && ([] === $ringing || [] !== $blocked)) {
            $busy = array_filter($silent, static fn (Rung $rung): bool => \in_array($rung->outcome, self::FREE_AGAIN_SOON, true));

            return new RingResult($silent, null, [] === $busy ? RingStep::UNREACHABLE : RingStep::BUSY, 0);
        }
        $fates = $this->fates($alerts);
        [$winner, $end] = self::firstToTake($alerts, $fates);
        $ends = array_map(self::endOf(...), $alerts, $fates);
        $end ??= [] === $ends ? 0 : max($ends);
        $rung = [...self::outcomes($alerts, $fates, $winner, $end), ...self::neverReached($ringing, [...$alerts, ...$blocked]), ...$silent];
        $refused = [] !== $fates && [] === array_filter($fates, static fn (Fate $fate): bool => Rung::REFUSED !== $fate->outcome);

        return new RingResult($rung, null === $winner ? null : $alerts[$winner]->phone, match (true) {
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
        $does = $this->assumed($phone)->does;

        return match (true) {
            null !== $phone->kept => $phone->kept,
            Behaviour::Busy === $does, Behaviour::OnACall === $does && $phone->calls < 2 => Rung::BUSY,
            // One that is out of reach and has a mailbox of its own "rings": the mailbox picks up.
            Behaviour::Unreachable === $does && (null === $phone->ownMailbox || $phone->askFirst) => Rung::UNREACHABLE,
            $this->lines?->areKnown() && null !== $phone->number && [] === $this->lines->carriers($phone->number, $phone->site) => Rung::NO_LINE,
            default => null,
        };
    }

    /**
     * @param list<Alert> $alerts
     *
     * @return array{list<Alert>, list<Rung>} those that ring, and those for which no channel is free
     */
    private function onLines(array $alerts): array
    {
        if (null === $this->lines || !$this->lines->areKnown()) {
            return [$alerts, []];
        }
        $channels = new Channels($this->lines, $this->assumptions->channelsTaken);
        $blocked = [];
        foreach (self::inOrder(array_filter($alerts, static fn (Alert $alert): bool => null !== $alert->phone->number)) as $i) {
            $alert = $alerts[$i];
            $line = $channels->take($alert->phone, $alert->from, $alert->until);
            if (null === $line) {
                $blocked[$i] = new Rung($alert->phone, 0, 0, Rung::NO_CHANNEL);
            } else {
                $alerts[$i] = $alert->on($line->id(), $this->lines->dialled((string) $alert->phone->number, $line));
            }
        }
        ksort($blocked);

        return [array_values(array_diff_key($alerts, $blocked)), array_values($blocked)];
    }

    /**
     * @param list<Alert> $alerts
     *
     * @return list<Fate> of each
     */
    private function fates(array $alerts): array
    {
        $rang = $this->rangBefore;
        $fates = [];
        // Alerts of the same phone stand in the order of time: Alert::merged() sees to that.
        foreach ($alerts as $alert) {
            $id = $alert->phone->id;
            $before = $rang[$id] ?? 0;
            $fates[] = $this->fate($alert->phone, $before);
            $rang[$id] = $before + $alert->until - $alert->from;
        }

        return $fates;
    }

    /**
     * @param array<int, Alert> $alerts
     *
     * @return list<int> their keys in the order in which they begin
     */
    private static function inOrder(array $alerts): array
    {
        $from = array_map(static fn (Alert $alert): int => $alert->from, $alerts);
        asort($from);

        return array_keys($from);
    }

    private function fate(RingPhone $phone, int $rangBefore): Fate
    {
        if ([] !== $this->assumptions->phones) {
            return Fate::of($phone, $this->assumed($phone), $rangBefore);
        }

        return $this->fates[$phone->ownMailbox.' '.$phone->askFirst] ??= Fate::of($phone, $this->assumed($phone));
    }

    private function assumed(RingPhone $phone): PhoneAssumption
    {
        return $this->assumed[[] === $this->assumptions->phones ? '' : $phone->id] ??= $this->assumptions->of($phone->names());
    }

    /** Seconds after which all phones of a member have fallen silent by themselves. */
    private function silentAfter(RingMember $member): ?int
    {
        $last = 0;
        foreach ($member->phones as $phone) {
            $silent = $this->fate($phone, $this->rangBefore[$phone->id] ?? 0)->silentAfter;
            if (null === $silent) {
                return null;
            }
            $last = max($last, $silent);
        }

        return $last;
    }

    /** When an alert ends if nobody takes the call. */
    private static function endOf(Alert $alert, Fate $fate): int
    {
        return null === $fate->silentAfter ? $alert->until : min($alert->until, $alert->from + $fate->silentAfter);
    }

    /**
     * @param list<Alert> $alerts
     * @param list<Fate>  $fates
     *
     * @return array{int|null, int|null} which takes the call, and when
     */
    private static function firstToTake(array $alerts, array $fates): array
    {
        $winner = $second = null;
        foreach ($alerts as $i => $alert) {
            $after = $fates[$i]->takesAfter;
            $takes = null === $after ? \PHP_INT_MAX : $alert->from + $after;
            if ($takes < $alert->until && (null === $second || $takes < $second)) {
                [$winner, $second] = [$i, $takes];
            }
        }

        return [$winner, $second];
    }

    /**
     * @param list<Alert> $alerts
     * @param list<Fate>  $fates
     *
     * @return list<Rung>
     */
    private static function outcomes(array $alerts, array $fates, ?int $winner, int $end): array
    {
        $rung = [];
        foreach ($alerts as $i => $alert) {
            if ($alert->from >= $end && $i !== $winner) {
                $rung[] = new Rung($alert->phone, $end, $end, Rung::NOT_REACHED);
                continue;
            }
            $fate = $fates[$i];
            $own = self::endOf($alert, $fate);
            $asked = null === $fate->askedAfter ? null : $alert->from + $fate->askedAfter;
            $rung[] = new Rung($alert->phone, $alert->from, min($own, $end), match (true) {
                $i === $winner => $fate->outcome,
                $own < $alert->until && $own <= $end => $fate->outcome,
                null !== $winner && $alert->until > $end => Rung::TAKEN_ELSEWHERE,
                default => Rung::NOT_ANSWERED,
            }, null !== $asked && $asked < min($own, $end) ? $asked : null, $alert->line, $alert->dials);
        }

        return $rung;
    }

    /**
     * @param list<RingMember> $members
     * @param list<Alert|Rung> $seen
     *
     * @return list<Rung>
     */
    private static function neverReached(array $members, array $seen): array
    {
        $told = array_flip(array_map(static fn (Alert|Rung $one): string => $one->phone->id, $seen));
        $missed = [];
        foreach ($members as $member) {
            foreach ($member->phones as $phone) {
                if (!isset($told[$phone->id])) {
                    $missed[] = new Rung($phone, 0, 0, Rung::NOT_REACHED);
                }
            }
        }

        return $missed;
    }
}
