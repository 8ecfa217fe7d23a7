<?php

declare(strict_types=1);

namespace Meandros\Core\Proof\Ways\Question;

use Meandros\Core\Call\Behaviour;
use Meandros\Core\Call\PhoneAssumption;
use Meandros\Core\Proof\Ways\Acts;
use Meandros\Core\Proof\Ways\Asking;
use Meandros\Core\Proof\Ways\Run;
use Meandros\Core\Ringing\Rung;
use Meandros\Core\Routing\Event;
use Meandros\Core\Routing\Happening\Ringing;
use Meandros\Core\Routing\Happening\TriesAgain;

/** What some phones do so that others ring on, ring longer, or come up at all. */
final class OthersRing
{
    /** Whether phones ring round after round: the second in which one is over tells when the next begins. */
    private static function areRounds(Asking $at): bool
    {
        return [] !==
            array_filter(
                $at->run->walk->events(),
                static fn(Event $one): bool => $one->happening instanceof TriesAgain,
            );
    }

    /**
     * Where those are busy, or out of reach, who would hear the caller, others ring longer, or come up at all: it is asked what they do.
     *
     * @param array<string, Rung> $open
     *
     * @return list<Acts>
     */
    public static function whereNobodyIsPaged(Asking $at, array $open): array
    {
        \assert($at->what instanceof Ringing);
        $paged = [];
        foreach ($at->what->rung as $rung) {
            Rung::HEARS === $rung->outcome && ($paged += array_intersect_key($open, [$rung->phone->id => true]));
        }

        return [] === $paged || \count($paged) === \count($open)
            ? []
            : array_map(
                static fn(Behaviour $does): Acts => Acts::ringing(OneThingAll::alike($paged, $does, 0), $at->since),
                [Behaviour::Busy, Behaviour::Unreachable],
            );
    }

    /**
     * A phone that cannot be reached, is busy or is refused may hand the call to its own mailbox, while the others ring on, or those
     * are busy that hand nothing on: then its turn comes sooner.
     *
     * @param array<string, Rung> $open
     *
     * @return list<Acts>
     */
    public static function handedToMailboxes(Asking $at, array $open): array
    {
        $have = array_filter($open, static fn(Rung $one): bool => null !== $one->phone->outside?->mailbox);
        $later = RingWindow::later($open);
        // Where whoever picks up is asked for a key, the mailbox does not take the call: it is over the later, the later it is handed on.
        $isOverLater = !OneThingEach::skipsBusy($at) && !self::areRounds($at);
        $ways = [];
        foreach (\count($open) > 1 ? $have : [] as $phone => $rung) {
            $isReached = 0 === $at->since && isset($at->stand()->justNow->reached[$phone]);
            $atOnce = match (true) {
                $isOverLater && $rung->phone->manner->askFirst && true === $rung->phone->outside?->mailbox?->whenBusy
                    => [],
                $isReached => [Behaviour::Busy],
                default => [Behaviour::Unreachable, Behaviour::Busy],
            };
            $does = [
                ...array_map(static fn(Behaviour $one): PhoneAssumption => new PhoneAssumption($phone, $one), $atOnce),
                ...array_map(
                    static fn(int $after): PhoneAssumption => new PhoneAssumption($phone, Behaviour::Refuses, $after),
                    RingWindow::lasts($at, $at->run, $phone),
                ),
            ];
            $busy = isset($later[$phone]) ? array_diff_key(self::handNothingOn($open), [$phone => true]) : [];
            foreach ([] === $busy ? [[]] : [[], $busy] as $some) {
                $meanwhile = Acts::ringing(OneThingAll::alike($some, Behaviour::Busy, 0), $at->since)->then(
                    OneThingAll::ringOn($at, array_diff_key($open, $some)),
                );
                foreach ($does as $one) {
                    $ways[] = $meanwhile->then(Acts::ringing([$phone => $one], $at->since));
                }
            }
        }

        return $ways;
    }

    /**
     * Those are busy that hand nothing on, and the others ring until their time is up, so that it is over as soon as it can be without
     * a mailbox of theirs.
     *
     * @param array<string, Rung> $open
     *
     * @return list<Acts>
     */
    public static function withoutMailboxes(Asking $at, array $open): array
    {
        $busy = self::handNothingOn($open);
        $others = array_diff_key($open, $busy);

        return [] === $busy || [] === $others
            ? []
            : [
                OneThingAll::ringOn($at, $others)->then(
                    Acts::ringing(OneThingAll::alike($busy, Behaviour::Busy, 0), $at->since),
                ),
            ];
    }

    /**
     * Where one busy phone keeps all of somebody's from ringing: all but one are on a call, who declines on all phones.
     *
     * @param array<string, Rung> $open
     *
     * @return list<Acts>
     */
    public static function allButOneAreOnACall(Asking $at, array $open): array
    {
        $owners = array_unique(array_map(OneThingEach::owner(...), array_keys($open)));
        $ways = [];
        foreach (\count($owners) > 1 && OneThingEach::skipsBusy($at) ? $owners : [] as $owner) {
            $theirs = OneThingEach::theirs($open, $owner);
            $busy = OneThingAll::alike(array_diff_key($open, $theirs), Behaviour::Busy, 0);
            foreach (OneThingAll::soonest($at, $theirs) as $after) {
                $ways[] = $busy + OneThingAll::alike($theirs, Behaviour::Refuses, $after);
            }
            $ways[] = OneThingAll::asLateAsTheyCan($at, $theirs, $busy);
            $run = $at->try(Acts::ringing($busy, $at->since));
            foreach ($theirs as $phone => $rung) {
                foreach ($rung->phone->owner->refusesForAll ? RingWindow::lasts($at, $run, $phone) : [] as $after) {
                    $ways[] = $busy + [$phone => new PhoneAssumption($phone, Behaviour::Refuses, $after)];
                }
            }
        }

        return array_map(static fn(array $way): Acts => Acts::ringing($way, $at->since), $ways);
    }

    /**
     * Somebody refuses by one phone for all of theirs, as late as can be, and as late as another of theirs still rings, while the
     * others ring on.
     *
     * @param array<string, Rung> $open
     *
     * @return list<Acts>
     */
    public static function oneRefusesForAll(Asking $at, array $open): array
    {
        $ways = [];
        $phones = array_count_values(array_map(OneThingEach::owner(...), array_keys($open)));
        foreach ($open as $phone => $rung) {
            $isOneOfMany = $rung->phone->owner->refusesForAll && $phones[OneThingEach::owner($phone)] > 1;
            $lasts = $isOneOfMany
                ? [...RingWindow::lasts($at, $at->run, $phone), ...self::whileTheirsRing($at, $open, $phone)]
                : [];
            foreach (array_unique($lasts) as $after) {
                $refuses = [$phone => new PhoneAssumption($phone, Behaviour::Refuses, $after)];
                $ways[] = OneThingAll::ringOn($at, $open)->then(Acts::ringing($refuses, $at->since));
            }
        }

        return $ways;
    }

    /**
     * @param array<string, Rung> $open
     *
     * @return list<int> seconds of its ringing after which others of theirs fall silent by themselves, or hand the call to their mailbox
     */
    private static function whileTheirsRing(Asking $at, array $open, string $phone): array
    {
        [$rings, $last] = RingWindow::window($at, $at->run, $phone) ?? [0, -1];
        $ends = [];
        foreach (array_keys(OneThingEach::theirs($open, OneThingEach::owner($phone))) as $other) {
            $window = RingWindow::window($at, $at->run, $other);
            null === $window || ($ends[] = array_sum($window) - $rings);
        }

        return array_values(array_filter($ends, static fn(int $after): bool => 0 <= $after && $after < $last));
    }

    /**
     * @param array<string, Rung> $open
     *
     * @return array<string, Rung> phones that, where they are busy, do not hand the call to a mailbox of their own
     */
    public static function handNothingOn(array $open): array
    {
        return array_filter($open, static fn(Rung $one): bool => true !== $one->phone->outside?->mailbox?->whenBusy);
    }

    /**
     * Where some refuse, others ring longer than where all ring on, or come up at all.
     *
     * @param array<string, Rung>                 $open
     * @param array<string, array{int, int}|null> $windows
     *
     * @return list<Acts>
     */
    public static function whereOthersRingLonger(Asking $at, array $open, array $windows): array
    {
        $answers = [];
        foreach (RingsLonger::where($at, $open) as $refuse) {
            // What does not ring yet comes up then: it is asked what it does.
            $others = array_filter(array_diff_key($open, $refuse), RingWindow::mayBeAnswered(...));
            $rings = Acts::ringing($refuse, $at->since)->then(OneThingAll::ringOn($at, $others));
            $answers[] = $rings;
            $run = $at->try($rings);
            foreach (array_keys($others) as $phone) {
                if (RingWindow::window($at, $run, $phone) !== $windows[$phone]) {
                    array_push($answers, ...Answered::answered($at, $phone, $run, $rings));
                    array_push($answers, ...self::handsOnOrRefusesForAll($at, $open, $phone, $run, $rings));
                }
            }
        }

        return $answers;
    }

    /**
     * One that rings longer, or sooner, hands the call to its own mailbox, or somebody refuses by it for all of theirs.
     *
     * @param array<string, Rung> $open
     *
     * @return list<Acts>
     */
    private static function handsOnOrRefusesForAll(Asking $at, array $open, string $phone, Run $run, Acts $rings): array
    {
        $mayLose = $open[$phone]->phone->mayLoseCalls();
        $does = $mayLose ? [new PhoneAssumption($phone, Behaviour::Unreachable)] : [];
        $theirs = OneThingEach::theirs($open, OneThingEach::owner($phone));
        if ($mayLose || ($open[$phone]->phone->owner->refusesForAll && \count($theirs) > 1)) {
            foreach (RingWindow::lasts($at, $run, $phone) as $after) {
                $does[] = new PhoneAssumption($phone, Behaviour::Refuses, $after);
            }
        }

        return array_map(
            static fn(PhoneAssumption $one): Acts => $rings->then(Acts::ringing([$phone => $one], $at->since)),
            $does,
        );
    }

    /**
     * Those that are called and do not ring are busy, or out of reach, and the others refuse as late as they can: none rang on.
     *
     * @param array<string, Rung> $open
     *
     * @return list<Acts>
     */
    public static function refuseWhereNoneRingsOn(Asking $at, array $open): array
    {
        $ring = array_filter($open, RingWindow::mayBeAnswered(...));
        // One busy phone may keep all of somebody's from ringing.
        $does = OneThingEach::skipsBusy($at) ? Behaviour::Unreachable : Behaviour::Busy;
        $silent = OneThingAll::alike(array_diff_key($open, $ring), $does, 0);

        return [] === $ring || [] === $silent || self::areRounds($at)
            ? []
            : [Acts::ringing(OneThingAll::asLateAsTheyCan($at, $ring, $silent), $at->since)];
    }
}
