<?php

declare(strict_types=1);

namespace Meandros\Core\Proof\Ways\Question;

use Meandros\Core\Proof\Ways\Asking;
use Meandros\Core\Proof\Ways\Run;
use Meandros\Core\Ringing\Rung;
use Meandros\Core\Routing\EndingKind;
use Meandros\Core\Routing\Happening\Ringing;
use Meandros\Core\Value\Lists;

/** When a phone rings, and whether something may be done there. */
final class RingWindow
{
    /**
     * @return array{int, int}|null the second at which it begins to ring, from when it is asked on, and the last second of its ringing
     *                              in all at which something may be done; null where it does not
     */
    public static function window(Asking $at, Run $run, string $phone): ?array
    {
        $first = null;
        $rang = $last = 0;
        $since = $at->stand()->walk->second() + $at->since;
        foreach ($run->walk->rung->of($phone, $since) as [$rung, $times]) {
            if (!self::mayBeAnswered($rung) && !self::ringsAsItIsOver($rung)) {
                continue;
            }
            $first ??= $rung->times->rings ?? $rung->times->until;
            // Of many that are the same, those between the first and the last do but ring.
            foreach ($times > 1 ? [0, $times - 2] : [0] as $between) {
                $rang += $between * $rung->times->seconds();
                $last = 0 < $rang && Rung::HEARS === $rung->outcome ? $last : $rang + self::last($rung);
                $rang += $rung->times->seconds();
            }
        }

        return null === $first ? null : [$first, $last];
    }

    /**
     * The last second of its ringing at which something may be done, and the very one in which another phone's own mailbox, or phones
     * that are paged, would take the call; where it takes whoever answers some seconds to be connected, also so many before.
     *
     * @return non-empty-list<int>
     */
    public static function lasts(Asking $at, Run $run, string $phone): array
    {
        [$rings, $last] = self::window($at, $run, $phone) ?? [0, 0];
        $isTaken = Lists::has([EndingKind::OwnMailbox, EndingKind::Announced], $run->ending?->kind);
        if (!$isTaken || $phone === $run->ending?->phone) {
            return [$last];
        }
        $connects = 0;
        foreach ($run->walk->rung->all() as $rung) {
            $connects = $rung->phone->id === $phone ? $rung->phone->connectSeconds() : $connects;
        }
        $inTime = $run->walk->second() - $rings - $connects;
        $sooner = array_filter([$inTime - 1, $inTime], static fn(int $after): bool => $after >= 0 && $after < $last);

        return [$last, $last + 1, ...0 < $connects ? $sooner : []];
    }

    /** The last second of its ringing at which something may be done: the one in which its own mailbox picks up, be it asked or not. */
    public static function last(Rung $rung): int
    {
        $mailbox = $rung->phone->outside?->mailbox->after ?? \PHP_INT_MAX;
        $rang = $rung->times->seconds();

        return Rung::OWN_MAILBOX === $rung->outcome ? $rang : min($mailbox, max(0, $rang - 1));
    }

    /** Whether it rings, is called and does not ring yet, or answers by itself as it is paged: it might have been busy, or out of reach. */
    public static function comesUp(Rung $rung): bool
    {
        return self::mayBeAnswered($rung) || ($rung->isDialled() && $rung->times->from < $rung->times->until);
    }

    /** Whether it rings, or may be in the second in which it is paged. */
    public static function mayBeAnswered(Rung $rung): bool
    {
        return null !== $rung->times->rings || Rung::HEARS === $rung->outcome;
    }

    /** Whether its first ring would be in the very second in which another takes the call: it may be answered in it. */
    private static function ringsAsItIsOver(Rung $rung): bool
    {
        $setUp = $rung->phone->outside->setUp ?? 0;

        return $rung->isDialled() &&
            null === $rung->times->rings &&
            $setUp > 0 &&
            $rung->times->from + $setUp === $rung->times->until;
    }

    /**
     * @param array<string, Rung> $open
     *
     * @return array<string, Rung> those whose turn comes after that of others
     */
    public static function later(array $open): array
    {
        $first = min([\PHP_INT_MAX, ...array_map(static fn(Rung $one): int => $one->times->from, array_values($open))]);

        return array_filter($open, static fn(Rung $one): bool => $one->times->from > $first);
    }
}
