<?php

declare(strict_types=1);

namespace Meandros\Core\Proof\Ways\Question;

use Meandros\Core\Call\Behaviour;
use Meandros\Core\Call\PhoneAssumption;
use Meandros\Core\Proof\Ways\Acts;
use Meandros\Core\Proof\Ways\Asking;
use Meandros\Core\Ringing\Rung;
use Meandros\Core\Routing\Happening\Ringing;

/** All phones do one thing: they ring on, are busy, out of reach, or refuse as soon or as late as they can. */
final class OneThingAll
{
    public const LATEST = \PHP_INT_MAX;

    /**
     * What all of them do, and after how many seconds of ringing: those that refuse do so at once, as late as they can, and a second
     * later where it may matter whether it is another second than that in which calls came here, or go on.
     *
     * @param array<string, Rung> $open
     *
     * @return list<array{Behaviour, int}>
     */
    public static function together(Asking $at, array $open): array
    {
        $refuses = array_map(static fn(int $after): array => [Behaviour::Refuses, $after], [
            ...self::soonest($at, $open),
            self::LATEST,
        ]);

        return [] === $open ? [] : [[Behaviour::Busy, 0], [Behaviour::Unreachable, 0], ...$refuses];
    }

    /**
     * @param array<string, Rung> $open
     *
     * @return non-empty-list<int> seconds of ringing after which they are refused first: at once, and in another second, where that may matter
     */
    public static function soonest(Asking $at, array $open): array
    {
        $ringAgain = array_filter(array_keys($open), $at->later()->rings(...));

        return [] !== $ringAgain || \count($at->soonest(0, 1)) > 1 ? [0, 1] : [0];
    }

    /**
     * All of them do one thing.
     *
     * @param array<string, Rung> $open
     * @param int                 $seconds for which phones ring that refuse
     *
     * @return array<string, PhoneAssumption>
     */
    public static function alike(array $open, Behaviour $does, int $seconds): array
    {
        $alike = [];
        foreach ($open as $phone => $rung) {
            $after = Behaviour::Refuses === $does ? min($seconds, RingWindow::last($rung)) : null;
            $alike[$phone] = new PhoneAssumption($phone, $does, $after);
        }

        return $alike;
    }

    /**
     * All of them refuse. Where one rings after another, it has the longer the sooner those before it refuse.
     *
     * @param array<string, Rung>            $open
     * @param array<string, PhoneAssumption> $others what others do meanwhile
     *
     * @return array<string, PhoneAssumption> with them
     */
    public static function asLateAsTheyCan(Asking $at, array $open, array $others = []): array
    {
        uasort($open, static fn(Rung $one, Rung $other): int => $one->times->from <=> $other->times->from);
        $alike = $others;
        $first = reset($open) ?: null;
        foreach ($open as $phone => $rung) {
            $last =
                [] === $others && $rung->times->from === $first?->times->from
                    ? RingWindow::last($rung)
                    : RingWindow::window($at, $at->try(Acts::ringing($alike, $at->since)), $phone)[1] ?? 0;
            $alike[$phone] = new PhoneAssumption($phone, Behaviour::Refuses, $last);
        }

        return $alike;
    }

    /**
     * They ring on, whatever they did before.
     *
     * @param array<string, Rung> $open
     */
    public static function ringOn(Asking $at, array $open): Acts
    {
        $phones = array_keys($open);
        $rings = [];
        foreach ($phones as $phone) {
            null === $at->acts->does($phone) || ($rings[$phone] = new PhoneAssumption($phone, Behaviour::Rings));
        }

        return Acts::settling($phones, $at->since)->then(Acts::ringing($rings, $at->since));
    }
}
