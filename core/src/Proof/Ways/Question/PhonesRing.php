<?php

declare(strict_types=1);

namespace Meandros\Core\Proof\Ways\Question;

use Meandros\Core\Call\Behaviour;
use Meandros\Core\Call\PhoneAssumption;
use Meandros\Core\Proof\Ways\Acts;
use Meandros\Core\Proof\Ways\Asking;
use Meandros\Core\Proof\Ways\Question;
use Meandros\Core\Proof\Ways\Untried;
use Meandros\Core\Proof\Ways\Usual;
use Meandros\Core\Ringing\RingResult;
use Meandros\Core\Ringing\Rung;
use Meandros\Core\Routing\Happening\Ringing;
use Meandros\Core\Value\Lists;

/**
 * What phones do that ring: all alike, and one of them ringing on or answering while the others do something else. What else
 * several phones do differently leads to the same outcomes, at seconds between.
 */
final class PhonesRing implements Question
{
    use Usual;

    /** @var array{Asking, array<string, Rung>}|null what was asked about last, and phones of which it is open what they do */
    private ?array $last = null;

    public function about(Asking $at): ?string
    {
        \assert($at->what instanceof Ringing);
        [$open, $kept] = [$this->open($at), $this->kept($at)];

        return [] === $open && [] === $kept
            ? null
            : \sprintf(
                'ring %s %s kept %s, %s',
                $at->what->target?->text(),
                implode(' ', [...array_keys($open), ...array_keys(array_filter($open, self::isCut(...)))]),
                implode(' ', $kept),
                $this->soFar($at, $open),
            );
    }

    /** Whether its turn comes too late for it to ring: it does where others are done sooner. */
    private static function isCut(Rung $rung): bool
    {
        return $rung->isDialled() && !RingWindow::mayBeAnswered($rung);
    }

    /**
     * The exit by which the call would go on, as far as the others are concerned, or who of them takes it, and when, where it is later,
     * or when they refuse then; and what those did that may be looked at again in the very second.
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
        $since = $at->stand()->walk->second() + $this->since($at);
        $done = array_filter(
            $others,
            static fn(Rung $one): bool => Lists::has([Rung::ANSWERED, Rung::OWN_MAILBOX, Rung::HEARS], $one->outcome) ||
                (Rung::REFUSED === $one->outcome && $one->times->until > $since),
        );
        $when = static fn(Rung $one): string => $one->times->until > $since ? ' ' . $one->times->until : '';
        // Where their turn comes later, it is over before it if they are busy.
        $over = max(array_map(static fn(Rung $one): int => $one->times->until, array_values($others)));

        return RingResult::exit($rang, array_values($others)) .
            ($over < $since ? ' over ' . $over : '') .
            implode(' ', array_map(static fn(Rung $one): string => ' ' . $one->phone->id . $when($one), $done)) .
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
        $silent = array_filter($this->open($at), static fn(Rung $one): bool => !RingWindow::comesUp($one));
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
        $answers = [OneThingAll::ringOn($at, $open)];
        foreach ($open as $phone => $rung) {
            $windows[$phone] = RingWindow::window($at, $at->run, $phone);
            $isLike = Lists::has($like, [self::whose($rung), $windows[$phone]]);
            $like[] = [self::whose($rung), $windows[$phone]];
            $isLike || array_push($answers, ...Answered::answered($at, $phone, $at->run, $answers[0]));
        }
        array_push(
            $answers,
            ...OthersRing::whereNobodyIsPaged($at, $open),
            ...OthersRing::handedToMailboxes($at, $open),
            ...OthersRing::withoutMailboxes($at, $open),
            ...OthersRing::allButOneAreOnACall($at, $open),
            ...OthersRing::oneRefusesForAll($at, $open),
            ...OthersRing::whereOthersRingLonger($at, $open, $windows),
            ...OthersRing::refuseWhereNoneRingsOn($at, $open),
        );
        // Where one busy phone keeps all of somebody's from ringing, others are out of reach; or busy, where that leads to their own mailbox.
        $skipsBusy = OneThingEach::skipsBusy($at);
        $with = [self::others($at, $open) ?? [$skipsBusy ? Behaviour::Unreachable : Behaviour::Busy, 0]];
        $skipsBusy && self::haveMailbox($open) && ($with[] = [Behaviour::Busy, 0]);
        $open = self::whoMatters($at, $open);
        $on = OneWayOn::of($at, $open);
        foreach (OneThingAll::together($at, $open) as $all) {
            if ($on->knows(...$all) && !Lists::has($with, $all)) {
                continue;
            }
            $may =
                Behaviour::Unreachable === $all[0] && 0 === $at->since
                    ? array_diff_key($open, $at->stand()->justNow->reached)
                    : $open;
            $alike =
                OneThingAll::LATEST === $all[1]
                    ? OneThingAll::asLateAsTheyCan($at, $may)
                    : OneThingAll::alike($may, ...$all);
            $answers[] = Acts::ringing($alike, $at->since)->then(
                OneThingAll::ringOn($at, array_diff_key($open, $alike)),
            );
            $isAlone = \count($open) > 1 && Lists::has($with, $all) && !self::areApart($at, $open, $windows);
            $isAlone && array_push($answers, ...OneAlone::of($at, $open, $windows, $alike, $on));
        }

        array_push($answers, ...OneThingEach::of($at, $open));
        $kept = Acts::settling($this->kept($at));

        return array_map(static fn(Acts $one): Acts => $kept->then($one), $answers);
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
            $over = self::again($at, Acts::ringing(OneThingAll::alike($open, $does, 0), $at->since));
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
                return [$does->does, 0 === ($does->afterSeconds ?? 0) ? 0 : OneThingAll::LATEST];
            }
        }

        return null;
    }

    /** @return array<string, Rung> phones that rang or were paged, and of which it is open what they do */
    private function open(Asking $at): array
    {
        if ($at !== ($this->last[0] ?? null)) {
            $this->last = [$at, self::ofWhichItIsOpen($at)];
        }

        return $this->last[1];
    }

    /** @return array<string, Rung> */
    private static function ofWhichItIsOpen(Asking $at): array
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
                ((RingWindow::comesUp($rung) || ($nobodyRang && Rung::NOT_REACHED === $rung->outcome)) &&
                    !$at->acts->says($phone));
            // One that rang before it is paged is asked about its ringing.
            $rang = Rung::HEARS === $rung->outcome && isset($open[$phone]);
            $isOpen && !$rang && !self::isKept($at, $phone) && ($open[$phone] = $rung);
        }

        return $open;
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
        if ([] === $at->did()) {
            return [];
        }
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
        return isset($at->did()[$phone]);
    }
}
