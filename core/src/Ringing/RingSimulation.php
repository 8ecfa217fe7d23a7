<?php

declare(strict_types=1);

namespace Meandros\Core\Ringing;

use Meandros\Core\Call\Assumptions;
use Meandros\Core\Call\Behaviour;
use Meandros\Core\Plan\Step\RingStep;

/**
 * Phones on a timeline of seconds. The first to answer wins; when two answer in the same second the one listed first
 * does. Busy and unreachable phones do not ring and take no time.
 */
final readonly class RingSimulation
{
    public function __construct(private Assumptions $assumptions)
    {
    }

    /**
     * @param list<list<RingPhone>> $members phones by member
     * @param int                   $seconds the limit after which the call goes on
     */
    public function run(array $members, Pattern $pattern, int $seconds): RingResult
    {
        $silent = $ringing = [];
        foreach ($members as $phones) {
            $able = [];
            foreach ($phones as $phone) {
                $outcome = match ($this->assumptions->of($phone->names())->does) {
                    Behaviour::Busy => Rung::BUSY,
                    Behaviour::Unreachable => Rung::UNREACHABLE,
                    Behaviour::Rings, Behaviour::Answers => null,
                };
                if (null === $outcome) {
                    $able[] = $phone;
                } else {
                    $silent[] = new Rung($phone, 0, 0, $outcome);
                }
            }
            if ([] !== $able) {
                $ringing[] = $able;
            }
        }
        if ([] === $ringing) {
            $busy = array_filter($silent, static fn (Rung $rung): bool => Rung::BUSY === $rung->outcome);

            return new RingResult($silent, null, [] === $busy ? RingStep::UNREACHABLE : RingStep::BUSY, 0);
        }
        $alerts = $pattern->alerts($ringing, $seconds);
        [$winner, $end] = $this->firstAnswer($alerts);
        $end ??= array_reduce($alerts, static fn (int $last, Alert $alert): int => max($last, $alert->until), 0);
        $rung = [...$this->outcomes($alerts, $winner, $end), ...$this->neverReached($ringing, $alerts), ...$silent];

        return new RingResult($rung, $winner?->phone, null === $winner ? RingStep::NOBODY : null, $end);
    }

    /**
     * @param list<Alert> $alerts
     *
     * @return array{Alert|null, int|null} who answers, and when
     */
    private function firstAnswer(array $alerts): array
    {
        $winner = $second = null;
        foreach ($alerts as $alert) {
            $assumption = $this->assumptions->of($alert->phone->names());
            $answer = $alert->from + $assumption->afterSeconds;
            if (Behaviour::Answers === $assumption->does && $answer < $alert->until && (null === $second || $answer < $second)) {
                [$winner, $second] = [$alert, $answer];
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
            $outcome = match (true) {
                $alert === $winner => Rung::ANSWERED,
                null !== $winner && $alert->until > $end => Rung::TAKEN_ELSEWHERE,
                default => Rung::NOT_ANSWERED,
            };
            $rung[] = new Rung($alert->phone, $alert->from, min($alert->until, $end), $outcome);
        }

        return $rung;
    }

    /**
     * @param list<list<RingPhone>> $members
     * @param list<Alert>           $alerts
     *
     * @return list<Rung>
     */
    private function neverReached(array $members, array $alerts): array
    {
        $alerted = array_flip(array_map(static fn (Alert $alert): string => $alert->phone->id, $alerts));
        $missed = array_filter(array_merge(...$members), static fn (RingPhone $phone): bool => !isset($alerted[$phone->id]));

        return array_map(static fn (RingPhone $phone): Rung => new Rung($phone, 0, 0, Rung::NOT_REACHED), array_values($missed));
    }
}
