<?php

declare(strict_types=1);

namespace Meandros\Core\Proof\Ways\Question;

use Meandros\Core\Call\Behaviour;
use Meandros\Core\Call\PhoneAssumption;
use Meandros\Core\Proof\Ways\Acts;
use Meandros\Core\Proof\Ways\Asking;
use Meandros\Core\Proof\Ways\Question;
use Meandros\Core\Proof\Ways\Run;
use Meandros\Core\Proof\Ways\Untried;
use Meandros\Core\Proof\Ways\Usual;
use Meandros\Core\Ringing\RingResult;
use Meandros\Core\Ringing\Rung;
use Meandros\Core\Routing\EndingKind;
use Meandros\Core\Routing\Happening\Ringing;
use Meandros\Core\Value\Lists;

/**
 * What phones do that ring: all alike, and one of them ringing on or answering while the others do something else. What else
 * several phones do differently leads to the same outcomes, at seconds between.
 */
final class PhonesRing implements Question
{
    use Usual;

    private const LATEST = \PHP_INT_MAX;

    public function about(Asking $at): ?string
    {
        \assert($at->what instanceof Ringing);
        [$open, $kept] = [$this->open($at), $this->kept($at)];

        return [] === $open && [] === $kept
            ? null
            : \sprintf(
                'ring %s %s kept %s, %s',
                $at->what->target?->text(),
                implode(' ', array_keys($open)),
                implode(' ', $kept),
                $this->soFar($at, $open),
            );
    }

    /**
     * The exit by which the call would go on, as far as the others are concerned, or who of them takes it; and what those did that may be
     * looked at again in the very second.
     *
     * @param array<string, Rung> $open
     */
    private function soFar(Asking $at, array $open): string
    {
        \assert($at->what instanceof Ringing);
        $others = array_filter(
            $at->what->rung,
            static fn(Rung $one): bool => !isset($open[$one->phone->id]) && Rung::NOT_REACHED !== $one->outcome,
        );
        $rang = array_values(array_filter($others, static fn(Rung $one): bool => $one->isDialled()));

        if ([] === $others || null !== $at->what->why->turn) {
            return '';
        }
        $again = array_filter($others, static fn(Rung $one): bool => $at->later()->rings($one->phone->id));
        $taken = array_filter(
            $others,
            static fn(Rung $one): bool => Lists::has([Rung::ANSWERED, Rung::OWN_MAILBOX, Rung::HEARS], $one->outcome),
        );

        return RingResult::exit($rang, array_values($others)) .
            implode(' ', array_map(static fn(Rung $one): string => ' ' . $one->phone->id, $taken)) .
            (0 === $this->since($at) || (0 === $at->since && [] === $rang)
                ? implode(
                    ' ',
                    array_map(
                        static fn(Rung $one): string => $one->phone->id .
                            ' ' .
                            $one->outcome .
                            ' ' .
                            $at->acts->does($one->phone->id)?->does->value,
                        $again,
                    ),
                )
                : '');
    }

    public function answers(Asking $at): array
    {
        $silent = array_filter($this->open($at), static fn(Rung $one): bool => !self::comesUp($one));
        if ([] === $silent) {
            return $this->whatTheyDo($at);
        }
        // Those that were busy, or out of reach, are so again, or ring by now.
        $phones = array_keys($silent);
        $did = array_filter(array_map($at->acts->does(...), array_combine($phones, $phones)));
        $rings = Acts::ringing(
            array_map(
                static fn(PhoneAssumption $one): PhoneAssumption => new PhoneAssumption($one->who, Behaviour::Rings),
                $did,
            ),
            $at->since,
        );
        $again = self::again($at, $rings);

        return [
            Acts::settling($phones, $at->since)->then(Acts::ringing($did, $at->since)),
            ...array_map(
                static fn(Acts $one): Acts => $rings->then($one),
                null === $again ? [] : $this->whatTheyDo($again),
            ),
        ];
    }

    /** The same ringing where more is done; null where it does not come to that. */
    private static function again(Asking $at, Acts $more): ?Asking
    {
        $run = $at->try($more);
        // What happened before it is the same in both.
        $place = array_search($at->what, array_column($at->run->walk->events(), 'happening'), true);
        $what = ($run->walk->events()[$place] ?? null)?->happening;

        return $what instanceof Ringing ? $at->at($run, $more, $what) : null;
    }

    /** @return list<Acts> whatever those do of which it is open, from when it is asked on */
    public function whatTheyDo(Asking $at): array
    {
        $open = $this->open($at);
        $windows = $like = [];
        $answers = [self::ringOn($at, $open)];
        foreach ($open as $phone => $rung) {
            $windows[$phone] = self::window($at, $at->run, $phone);
            $isLike = Lists::has($like, [self::whose($rung), $windows[$phone]]);
            $like[] = [self::whose($rung), $windows[$phone]];
            $isLike || array_push($answers, ...self::answered($at, $phone, $at->run, $answers[0]));
        }
        array_push(
            $answers,
            ...self::whereNobodyIsPaged($at, $open),
            ...self::handedToMailboxes($at, $open, $windows, $answers[0]),
            ...self::whereOthersRingLonger($at, $open, $windows),
        );
        // Where one busy phone keeps all of somebody's from ringing, others are out of reach; or busy, where that leads to their own mailbox.
        $skipsBusy = OneThingEach::skipsBusy($at);
        $with = [self::others($at, $open) ?? [$skipsBusy ? Behaviour::Unreachable : Behaviour::Busy, 0]];
        $skipsBusy && self::haveMailbox($open) && ($with[] = [Behaviour::Busy, 0]);
        $open = self::whoMatters($at, $open);
        foreach (self::together($at, $open) as $all) {
            $may =
                Behaviour::Unreachable === $all[0] && 0 === $at->since
                    ? array_diff_key($open, $at->stand()->justNow->reached)
                    : $open;
            $alike = self::LATEST === $all[1] ? self::asLateAsTheyCan($at, $may) : self::alike($may, ...$all);
            $answers[] = Acts::ringing($alike, $at->since)->then(self::ringOn($at, array_diff_key($open, $alike)));
            $isAlone = \count($open) > 1 && Lists::has($with, $all) && !self::areApart($at, $open, $windows);
            foreach ($isAlone ? array_keys($open) : [] as $phone) {
                $others = array_diff_key($alike, [$phone => true]);
                $rings = Acts::ringing($others, $at->since)->then(self::ringOn($at, array_diff_key($open, $others)));
                $answers[] = $rings;
                $run = $at->try($rings);
                $window = self::window($at, $run, $phone);
                if ($window !== $windows[$phone]) {
                    array_push($answers, ...self::answered($at, $phone, $run, $rings));
                }
                foreach (array_unique([...self::soonest($at, $open), $window[1] ?? 0]) as $after) {
                    $refuses = [$phone => new PhoneAssumption($phone, Behaviour::Refuses, $after)];
                    $answers[] = $rings->then(Acts::ringing($refuses, $at->since));
                }
            }
        }

        array_push($answers, ...OneThingEach::of($at, $open));
        $kept = Acts::settling($this->kept($at));

        return array_map(static fn(Acts $one): Acts => $kept->then($one), $answers);
    }

    /**
     * Where those are busy, or out of reach, who would hear the caller, others ring longer, or come up at all: it is asked what they do.
     *
     * @param array<string, Rung> $open
     *
     * @return list<Acts>
     */
    private static function whereNobodyIsPaged(Asking $at, array $open): array
    {
        \assert($at->what instanceof Ringing);
        $paged = [];
        foreach ($at->what->rung as $rung) {
            Rung::HEARS === $rung->outcome && ($paged += array_intersect_key($open, [$rung->phone->id => true]));
        }

        return [] === $paged || \count($paged) === \count($open)
            ? []
            : array_map(static fn(Behaviour $does): Acts => Acts::ringing(self::alike($paged, $does, 0), $at->since), [
                Behaviour::Busy,
                Behaviour::Unreachable,
            ]);
    }

    /**
     * A phone that cannot be reached, is busy or is refused may hand the call to its own mailbox, while the others ring on.
     *
     * @param array<string, Rung>                 $open
     * @param array<string, array{int, int}|null> $windows
     *
     * @return list<Acts>
     */
    private static function handedToMailboxes(Asking $at, array $open, array $windows, Acts $others): array
    {
        $ways = [];
        foreach (\count($open) > 1 ? $open : [] as $phone => $rung) {
            if (null === $rung->phone->outside?->mailbox) {
                continue;
            }
            $isReached = 0 === $at->since && isset($at->stand()->justNow->reached[$phone]);
            $does = [
                ...$isReached ? [] : [new PhoneAssumption($phone, Behaviour::Unreachable)],
                new PhoneAssumption($phone, Behaviour::Busy),
                new PhoneAssumption($phone, Behaviour::Refuses, $windows[$phone][1] ?? 0),
            ];
            foreach ($does as $one) {
                $ways[] = $others->then(Acts::ringing([$phone => $one], $at->since));
            }
        }

        return $ways;
    }

    /**
     * Where some refuse, others ring longer than where all ring on, or come up at all.
     *
     * @param array<string, Rung>                 $open
     * @param array<string, array{int, int}|null> $windows
     *
     * @return list<Acts>
     */
    private static function whereOthersRingLonger(Asking $at, array $open, array $windows): array
    {
        $answers = [];
        foreach (RingsLonger::where($at, $open) as $refuse) {
            // What does not ring yet comes up then: it is asked what it does.
            $others = array_filter(array_diff_key($open, $refuse), self::mayBeAnswered(...));
            $rings = Acts::ringing($refuse, $at->since)->then(self::ringOn($at, $others));
            $answers[] = $rings;
            $run = $at->try($rings);
            foreach (array_keys($others) as $phone) {
                self::window($at, $run, $phone) === $windows[$phone] ||
                    array_push($answers, ...self::answered($at, $phone, $run, $rings));
            }
        }

        return $answers;
    }

    /** It is all the same by which of their phones in the company somebody answers, where they ring alike. */
    private static function whose(Rung $rung): string
    {
        $isPaged = Rung::HEARS === $rung->outcome;
        $isAlike = null === $rung->phone->outside && !$rung->phone->manner->askFirst && !$isPaged;

        return $isAlike ? OneThingEach::owner($rung->phone->id) : $rung->phone->id;
    }

    /**
     * Whether it makes no difference to any of the phones what the others do: all ring from the first second to the last one, and
     * where none of them does, or all refuse at once, it is over at once.
     *
     * @param array<string, Rung>                 $open
     * @param array<string, array{int, int}|null> $windows
     */
    private static function areApart(Asking $at, array $open, array $windows): bool
    {
        \assert($at->what instanceof Ringing);
        $began = $at->stand()->walk->second() + $at->since;
        if (self::haveMailbox($open)) {
            return false;
        }
        foreach ($windows as $window) {
            if ($window !== [$began, $at->what->limitSeconds - 1]) {
                return false;
            }
        }
        foreach ([Behaviour::Busy, Behaviour::Refuses] as $does) {
            $over = self::again($at, Acts::ringing(self::alike($open, $does, 0), $at->since));
            if (!($over?->what instanceof Ringing) || $over->what->seconds > 0) {
                return false;
            }
        }

        return true;
    }

    /** @param array<string, Rung> $open of which one that is refused, or cannot be reached, may hand the call to a mailbox of its own */
    private static function haveMailbox(array $open): bool
    {
        return [] !== array_filter($open, static fn(Rung $one): bool => null !== $one->phone->outside?->mailbox);
    }

    public function untried(Asking $at): ?Untried
    {
        \assert($at->what instanceof Ringing);
        // Somebody who rings may be on a call by a phone that does not, and then is not paged.
        $isLeft =
            OneThingEach::areTooMany($at, $this->open($at)) ||
            ($at->what->isAnnouncement() && OneThingEach::skipsBusy($at));

        return $isLeft ? Untried::TooManyWays : null;
    }

    /** Of phones that ring one after the other, the first of those of which it is open what they do. */
    public function since(Asking $at): int
    {
        $dialled = array_map(static fn(Rung $rung): int => $rung->times->from, array_values($this->open($at)));

        return [] === $dialled ? $at->since : min($dialled) - $at->stand()->walk->second();
    }

    /**
     * In a queue it is all the same why an agent does not take a call, unless the phone's own mailbox does.
     *
     * @param array<string, Rung> $open
     *
     * @return array<string, Rung>
     */
    private static function whoMatters(Asking $at, array $open): array
    {
        \assert($at->what instanceof Ringing);

        return null === $at->what->why->turn
            ? $open
            : array_filter($open, static fn(Rung $rung): bool => null !== $rung->phone->outside?->mailbox);
    }

    /**
     * What all of them do, and after how many seconds of ringing: those that refuse do so at once, as late as they can, and a second
     * later where it may matter whether it is another second than that in which calls came here, or go on.
     *
     * @param array<string, Rung> $open
     *
     * @return list<array{Behaviour, int}>
     */
    private static function together(Asking $at, array $open): array
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
    private static function soonest(Asking $at, array $open): array
    {
        $ringAgain = array_filter(array_keys($open), $at->later()->rings(...));

        return [] !== $ringAgain || \count($at->soonest(0, 1)) > 1 ? [0, 1] : [0];
    }

    /**
     * What other phones do that these come up for.
     *
     * @param array<string, Rung> $open
     *
     * @return array{Behaviour, int}|null null where they come up whatever others do
     */
    private static function others(Asking $at, array $open): ?array
    {
        \assert($at->what instanceof Ringing);
        foreach ($at->what->rung as $rung) {
            $does = isset($open[$rung->phone->id]) ? null : $at->acts->does($rung->phone->id);
            if (null !== $does && Behaviour::Answers !== $does->does) {
                return [$does->does, 0 === ($does->afterSeconds ?? 0) ? 0 : self::LATEST];
            }
        }

        return null;
    }

    /** @return array<string, Rung> phones that rang or were paged, and of which it is open what they do */
    private function open(Asking $at): array
    {
        \assert($at->what instanceof Ringing);
        $open = [];
        // Then it is told by those whose turn never came whether they are busy.
        $nobodyRang = !$at->what->isDialled();
        foreach ($at->what->rung as $rung) {
            $phone = $rung->phone->id;
            $mayDoElse = null === $at->what->why->turn && $at->acts->mayDoElse($phone, $at->since);
            $isOpen =
                $mayDoElse ||
                ((self::comesUp($rung) || ($nobodyRang && Rung::NOT_REACHED === $rung->outcome)) &&
                    !$at->acts->says($phone));
            // One that rang before it is paged is asked about its ringing.
            $rang = Rung::HEARS === $rung->outcome && isset($open[$phone]);
            $isOpen && !$rang && !self::isKept($at, $phone) && ($open[$phone] = $rung);
        }

        return $open;
    }

    /** Whether it rings, is called and does not ring yet, or answers by itself as it is paged: it might have been busy, or out of reach. */
    private static function comesUp(Rung $rung): bool
    {
        return self::mayBeAnswered($rung) || ($rung->isDialled() && $rung->times->from < $rung->times->until);
    }

    /** Whether it rings, or may be in the second in which it is paged. */
    private static function mayBeAnswered(Rung $rung): bool
    {
        return null !== $rung->times->rings || Rung::HEARS === $rung->outcome;
    }

    /**
     * Phones of which it is known what they did in this very second: that is asked too, so that calls that come here at other seconds
     * have come by as many questions.
     *
     * @return list<string>
     */
    private function kept(Asking $at): array
    {
        \assert($at->what instanceof Ringing);
        $phones = array_map(static fn(Rung $rung): string => $rung->phone->id, $at->what->rung);

        return array_values(
            array_filter(
                $phones,
                static fn(string $phone): bool => self::isKept($at, $phone) && !$at->acts->says($phone),
            ),
        );
    }

    private static function isKept(Asking $at, string $phone): bool
    {
        return 0 === $at->since && isset($at->stand()->justNow->did[$phone]);
    }

    /**
     * @return array{int, int}|null the second at which it begins to ring, from when it is asked on, and the last second of its ringing
     *                              in all at which something may be done; null where it does not
     */
    private static function window(Asking $at, Run $run, string $phone): ?array
    {
        $first = null;
        $rang = $last = 0;
        $since = $at->stand()->walk->second() + $at->since;
        foreach ($run->walk->rung->all() as $rung) {
            if ($rung->phone->id === $phone && self::mayBeAnswered($rung) && $rung->times->from >= $since) {
                $first ??= $rung->times->rings ?? $rung->times->from;
                $last = 0 < $rang && Rung::HEARS === $rung->outcome ? $last : $rang + self::last($rung);
                $rang += $rung->times->seconds();
            }
        }

        return null === $first ? null : [$first, $last];
    }

    /** The last second of its ringing at which something may be done: the one in which its own mailbox picks up, be it asked or not. */
    public static function last(Rung $rung): int
    {
        $mailbox = $rung->phone->outside?->mailbox->after ?? \PHP_INT_MAX;

        return min($mailbox, max(0, $rung->times->seconds() - 1));
    }

    /**
     * It is answered, at once and in the last second: or in the very one in which another phone's own mailbox, or phones that are paged,
     * would take the call.
     *
     * @param Run $run in which it is not
     *
     * @return list<Acts>
     */
    private static function answered(Asking $at, string $phone, Run $run, Acts $others): array
    {
        $window = self::window($at, $run, $phone);
        $last = $window[1] ?? 0;
        $isTaken = Lists::has([EndingKind::OwnMailbox, EndingKind::Announced], $run->ending?->kind);
        $tie = $isTaken ? [$last + 1] : [];
        $answers = [];
        $seconds = [...$at->isSoonest ? [0] : [], ...$at->isLatest ? [$last, ...$tie] : []];
        foreach (null === $window ? [] : array_unique($seconds) as $after) {
            $answers[] = $others->then(
                Acts::ringing([$phone => new PhoneAssumption($phone, Behaviour::Answers, $after)], $at->since),
            );
        }

        return $answers;
    }

    /**
     * They ring on, whatever they did before.
     *
     * @param array<string, Rung> $open
     */
    private static function ringOn(Asking $at, array $open): Acts
    {
        $phones = array_keys($open);
        $rings = [];
        foreach ($phones as $phone) {
            null === $at->acts->does($phone) || ($rings[$phone] = new PhoneAssumption($phone, Behaviour::Rings));
        }

        return Acts::settling($phones, $at->since)->then(Acts::ringing($rings, $at->since));
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
                    ? self::last($rung)
                    : self::window($at, $at->try(Acts::ringing($alike, $at->since)), $phone)[1] ?? 0;
            $alike[$phone] = new PhoneAssumption($phone, Behaviour::Refuses, $last);
        }

        return $alike;
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
            $after = Behaviour::Refuses === $does ? min($seconds, self::last($rung)) : null;
            $alike[$phone] = new PhoneAssumption($phone, $does, $after);
        }

        return $alike;
    }
}
