<?php

declare(strict_types=1);

namespace Meandros\Core\Proof\Ways\Question;

use Meandros\Core\Call\Behaviour;
use Meandros\Core\Call\PhoneAssumption;
use Meandros\Core\Plan\Element\Person;
use Meandros\Core\Proof\Ways\Asking;
use Meandros\Core\Ringing\Rung;
use Meandros\Core\Routing\Happening\Ringing;
use Meandros\Core\Value\Lists;

/** Which phones have to refuse for others to ring longer than where all ring on, or to come up at all. */
final class RingsLonger
{
    /**
     * @param array<string, Rung> $open phones of which it is open what they do
     *
     * @return list<non-empty-array<string, PhoneAssumption>> what those do that refuse
     */
    public static function where(Asking $at, array $open): array
    {
        \assert($at->what instanceof Ringing);

        return [
            ...\count($open) > 1 ? self::mailboxesAreRefused($at, $open) : [],
            ...\count($open) > 2 ? self::othersAreBusy($open) : [],
            ...self::turnsComeSooner($at, $at->what, $open),
            ...\count($open) > 1 ? self::oneRefusesForAll($open) : [],
            ...OneThingEach::skipsBusy($at) ? self::othersAreOnACall($open) : [],
        ];
    }

    /**
     * The turn of somebody who refuses by one phone for all of theirs is over at once.
     *
     * @param array<string, Rung> $open
     *
     * @return list<non-empty-array<string, PhoneAssumption>>
     */
    private static function oneRefusesForAll(array $open): array
    {
        $first = $many = [];
        foreach (
            array_filter($open, static fn(Rung $one): bool => $one->phone->owner->refusesForAll)
            as $phone => $rung
        ) {
            $owner = OneThingEach::owner($phone);
            isset($first[$owner]) && ($many[$owner] = true);
            null === $rung->times->rings || ($first[$owner] ??= $phone);
        }
        $ways = [];
        foreach (array_intersect_key($first, $many) as $phone) {
            $ways[] = [$phone => new PhoneAssumption($phone, Behaviour::Refuses, 0)];
        }

        return $ways;
    }

    /**
     * One busy phone keeps all of somebody's from ringing, and their mailbox from taking the call: all but one are on a call.
     *
     * @param array<string, Rung> $open
     *
     * @return list<non-empty-array<string, PhoneAssumption>>
     */
    private static function othersAreOnACall(array $open): array
    {
        $ways = [];
        foreach (array_unique(array_map(OneThingEach::owner(...), array_keys($open))) as $owner) {
            $others = array_diff_key($open, OneThingEach::theirs($open, $owner));
            $ways[] = OneThingAll::alike($others, Behaviour::Busy, 0);
        }

        return array_values(array_filter($ways));
    }

    /**
     * Ringing is over when a phone's own mailbox takes the call, unless it is refused: all of those that would, or all but one.
     *
     * @param array<string, Rung> $open
     *
     * @return list<non-empty-array<string, PhoneAssumption>>
     */
    private static function mailboxesAreRefused(Asking $at, array $open): array
    {
        $lose = array_filter($open, static fn(Rung $one): bool => $one->phone->mayLoseCalls());
        $owners = array_map(static fn(Rung $one): ?string => $one->phone->owner->person, $lose);
        $ways = [];
        foreach ([null, ...array_keys($lose)] as $but) {
            // Others may refuse for a mobile that hands on what it refuses itself.
            $refuse = array_filter(
                $open,
                static fn(Rung $one): bool => $one->phone->id !== $but &&
                    (isset($lose[$one->phone->id]) ||
                        ($one->phone->owner->refusesForAll &&
                            Lists::has(array_diff_key($owners, [$but => true]), $one->phone->owner->person))),
            );
            if ([] !== $refuse) {
                $atOnce = OneThingAll::alike($refuse, Behaviour::Refuses, 0);
                $ways[] = $atOnce;
                $ways[] = OneThingAll::asLateAsTheyCan($at, $refuse);
                $ways[] = OneThingAll::asLateAsTheyCan($at, array_diff_key($open, $refuse), $atOnce);
            }
        }

        return array_values(array_filter($ways));
    }

    /**
     * Where whoever is busy hands the call to a mailbox of their own, others come up soonest where those ring on and the rest is busy.
     *
     * @param array<string, Rung> $open
     *
     * @return list<non-empty-array<string, PhoneAssumption>>
     */
    private static function othersAreBusy(array $open): array
    {
        $rest = OthersRing::handNothingOn($open);
        $ways = [];
        foreach (\count($rest) < \count($open) ? array_keys(RingWindow::later($open)) : [] as $phone) {
            $ways[] = OneThingAll::alike(array_diff_key($rest, [$phone => true]), Behaviour::Busy, 0);
        }

        return array_values(array_filter($ways));
    }

    /**
     * Whose turn is cut short while their phone outside is not ringing yet, or before its own mailbox picks up, or by their rules would
     * ring only after the time is up, comes up where those before refuse some seconds sooner.
     *
     * @param array<string, Rung> $open
     *
     * @return list<non-empty-array<string, PhoneAssumption>>
     */
    private static function turnsComeSooner(Asking $at, Ringing $what, array $open): array
    {
        $limit = $at->stand()->walk->second() + $at->since + $what->limitSeconds;
        $ways = [];
        foreach ($what->rung as $rung) {
            $isCut = $rung->isDialled() && (null === $rung->times->rings || $rung->times->until === $limit);
            $delays = match (true) {
                $isCut && $rung->times->from < $rung->times->until => self::untilItRings($rung, 0),
                Rung::NOT_REACHED === $rung->outcome && $what->isDialled() => self::delays($at, $rung),
                default => [],
            };
            $isReached = Rung::NOT_REACHED !== $rung->outcome;
            // Of those whose turn never came it is not told when it would have begun: once that of others is over.
            $overs = $isReached
                ? [$rung->times->from]
                : [
                    $rung->times->from,
                    ...array_map(static fn(Rung $one): int => $one->times->until, array_values($open)),
                ];
            foreach (array_unique($overs) as $over) {
                foreach ($delays as $after) {
                    $sooner = $over + $after - ($isReached ? $rung->times->until : $limit);
                    $way = $sooner < 0 ? [] : self::overSooner($open, $over, $sooner);
                    [] === $way || ($ways[] = $way);
                }
            }
        }

        return $ways;
    }

    /**
     * Those whose turn is over at a second refuse so many seconds before the last; where they do not ring by then they are busy, and
     * those before them do.
     *
     * @param array<string, Rung> $open
     *
     * @return array<string, PhoneAssumption>
     */
    private static function overSooner(array $open, int $over, int $sooner): array
    {
        $way = [];
        $left = [];
        foreach ($open as $phone => $one) {
            if ($one->times->until !== $over || $one->times->from >= $over) {
                continue;
            }
            $after = RingWindow::last($one) - $sooner;
            $way[$phone] =
                $after < 0
                    ? new PhoneAssumption($phone, Behaviour::Busy)
                    : new PhoneAssumption($phone, Behaviour::Refuses, $after);
            $after < 0 && ($left[$one->times->from] = $sooner - ($over - $one->times->from));
        }
        $began = [] === $left ? null : min(array_keys($left));

        return null === $began || $left[$began] < 0 ? $way : $way + self::overSooner($open, $began, $left[$began]);
    }

    /** @return list<int> seconds after which it may be called by its owner's rules, rings, or its own mailbox picks up */
    private static function delays(Asking $at, Rung $rung): array
    {
        $delays = [0];
        foreach ($at->plan()->get(Person::class, $rung->phone->owner->person)->reach->rules ?? [] as $rule) {
            foreach ($rule->ringing->stages as $stage) {
                $delays[] = $stage->after;
            }
        }
        $rings = array_map(static fn(int $after): array => self::untilItRings($rung, $after), $delays);

        return array_values(array_filter(array_unique(array_merge($delays, ...$rings))));
    }

    /** @return list<int> seconds after which it rings, and after which its own mailbox picks up, where it has one */
    private static function untilItRings(Rung $rung, int $called): array
    {
        $rings = $called + ($rung->phone->outside->setUp ?? 0);
        $mailbox = $rung->phone->outside?->mailbox?->after;

        return [$rings, ...null === $mailbox ? [] : [$rings + $mailbox]];
    }
}
