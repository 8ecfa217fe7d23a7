<?php

declare(strict_types=1);

namespace Meandros\Core\Proof\Ways\Question;

use Meandros\Core\Call\Behaviour;
use Meandros\Core\Plan\Element\RuleOutcome;
use Meandros\Core\Plan\Step\RingStep;
use Meandros\Core\Proof\Ways\Acts;
use Meandros\Core\Proof\Ways\Asking;
use Meandros\Core\Proof\Ways\Run;
use Meandros\Core\Ringing\Rung;
use Meandros\Core\Routing\Happening\Ringing;
use Meandros\Core\Value\Lists;

/**
 * Where calls that nobody takes go on alike whatever phones did, it matters only how soon they do, and how late: whether that is known
 * from all of them being busy, and from all of them ringing on.
 */
final readonly class OneWayOn
{
    /** Of ringing that nobody took. */
    public const EXITS = [RingStep::NOBODY, RingStep::BUSY, RingStep::UNREACHABLE, RingStep::REFUSED];

    private function __construct(public bool $knowsSoonest, public bool $knowsLatest) {}

    /** @param array<string, Rung> $open of which it is open what they do */
    public static function of(Asking $at, array $open): self
    {
        \assert($at->what instanceof Ringing);
        $lose = array_filter($open, static fn(Rung $one): bool => $one->phone->mayLoseCalls());
        $isOne = [] === $lose && self::goOnAlike($at);
        $busy = $isOne ? $at->try(Acts::ringing(OneThingAll::alike($open, Behaviour::Busy, 0), $at->since)) : null;
        $last = $at->since + $at->what->limitSeconds;
        $isAsked = [] !== array_filter($open, static fn(Rung $one): bool => $one->phone->manner->askFirst);

        return new self(
            null !== $busy && self::goesOn($busy) && $busy->seconds === $at->since + self::least($at, $open),
            $isOne && self::goesOn($at->run) && $at->run->seconds === $last && !$isAsked,
        );
    }

    /** Whether nothing is sooner or later where all phones do one thing, and refuse after so many seconds. */
    public function knows(Behaviour $does, int $after): bool
    {
        return match (true) {
            Behaviour::Busy === $does => false,
            OneThingAll::LATEST === $after => $this->knowsLatest,
            default => $this->knowsSoonest,
        };
    }

    /** Whether the ringing ends the step, and what phones did in it is no matter any more. */
    private static function goOnAlike(Asking $at): bool
    {
        \assert($at->what instanceof Ringing);
        $events = $at->run->walk->events();
        $step = $at->stand()->way->next()[1] ?? null;
        $handOver = $step instanceof RingStep && $step->length->handOver;
        $passedOn = array_filter(
            $handOver ? $at->what->why->choice->rule->then ?? [] : [],
            static fn(RuleOutcome $one): bool => null !== $one->to,
        );
        $matter = array_filter(
            $at->what->rung,
            static fn(Rung $one): bool => Rung::NOT_REACHED === $one->outcome || $at->later()->rings($one->phone->id),
        );

        // Others may do something else a second later than in the very second in which calls came here.
        return $at->later()->isOneWayOn &&
            [] === $at->stand()->justNow->did &&
            null === $at->what->why->turn &&
            [] === $passedOn &&
            [] === $matter &&
            ($events[\count($events) - 1]->happening ?? null) === $at->what &&
            [] === $at->run->walk->keys->heeded() &&
            null === $at->run->walk->kept() &&
            !$at->what->isAnnouncement() &&
            !OneThingEach::skipsBusy($at);
    }

    private static function goesOn(Run $run): bool
    {
        return null === $run->ending && Lists::has(self::EXITS, $run->onward->exit);
    }

    /**
     * Seconds that it takes at least: the own mailbox of a phone that is dialled first is asked for a key, unless somebody refuses for
     * all of theirs.
     *
     * @param array<string, Rung> $open
     */
    private static function least(Asking $at, array $open): int
    {
        $began = $at->stand()->walk->second() + $at->since;
        $least = 0;
        foreach ($open as $rung) {
            $isAsked = true === $rung->phone->outside?->mailbox?->whenBusy && $rung->times->from === $began;
            if ($isAsked && !$rung->phone->owner->refusesForAll) {
                $least = max($least, $rung->phone->outside->setUp + $rung->phone->outside->confirm);
            }
        }

        return $least;
    }
}
