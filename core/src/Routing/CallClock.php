<?php

declare(strict_types=1);

namespace Meandros\Core\Routing;

use Meandros\Core\Call\TrialCall;

/** The time of a call, in seconds since it began: how late it is, and what ends when. */
final class CallClock
{
    private int $second = 0;
    private bool $isAnswered = false;
    private bool $isHungUp = false;
    /** @var list<int|null> the second at which each call within the call is given up; null once it is answered */
    private array $legs = [];
    /** The second from which on a greeting is heard while it rings. */
    private ?int $hearsFrom = null;
    /** The second at which the caller presses a key that the step heeds. */
    private ?int $interruptAt = null;

    /** @param int|null $patience the second at which the caller gives up; null for never */
    public function __construct(private readonly ?int $patience) {}

    /** Goes on from where another is, with nothing going on. */
    public function goOnFrom(self $other): void
    {
        $this->second = $other->second;
        $this->isAnswered = $other->isAnswered;
        $this->isHungUp = $other->isHungUp;
    }

    public function second(): int
    {
        return $this->second;
    }

    /** Whether the call was answered: something was heard in it. */
    public function isAnswered(): bool
    {
        return $this->isAnswered;
    }

    /** The caller hears something: whoever called one of our numbers is through. */
    public function answer(): void
    {
        $this->isAnswered = true;
        $this->legs = array_map(static fn(): ?int => null, $this->legs);
    }

    /** The caller is gone; what goes on now has all the time. */
    public function hangUp(): void
    {
        [$this->isHungUp, $this->legs] = [true, []];
    }

    /** Something is heard from a second on, if it comes to that: what would be given up later is not. */
    public function willHear(?int $second): void
    {
        $this->hearsFrom = $second;
    }

    /** A key is pressed at that second, if it comes to that; null for none. */
    public function willInterrupt(?int $second): void
    {
        $this->interruptAt = $second;
    }

    /**
     * A call within the call, in which keys are for what is heard there.
     *
     * @param int|null           $seconds after which it is given up if nothing has answered it; null for never
     * @param \Closure(): Onward $call
     *
     * @return array{Onward|null, bool} null where it was given up; and whether it was answered in time
     *
     * @throws CallOver
     * @throws TimeUp   of a call that this one is within
     */
    public function within(?int $seconds, \Closure $call): array
    {
        $leg = \count($this->legs);
        $this->legs[] = null === $seconds ? null : $this->second + $seconds;
        [$interrupt, $this->interruptAt] = [$this->interruptAt, null];
        try {
            $onward = $call();
        } catch (TimeUp $up) {
            $onward = $up->leg === $leg ? null : throw $up;
        }
        $this->interruptAt = $interrupt;
        $wasAnswered = null === $this->legs[$leg] && null !== $seconds;
        $this->legs = \array_slice($this->legs, 0, $leg);

        return [$onward, $wasAnswered];
    }

    /**
     * @throws CallOver    when the caller gives up, or the call has lasted too long
     * @throws TimeUp      when a call to one of our own numbers is given up
     * @throws Interrupted when the caller presses a key that the step heeds
     */
    public function pass(int $seconds): void
    {
        $until = $this->second + $seconds;
        $patience = $this->patience();
        $leg = $this->firstLeg();
        $legEnds = null === $leg ? \PHP_INT_MAX : (int) $this->legs[$leg];
        $interrupt = $this->interruptAt ?? \PHP_INT_MAX;
        $this->second = min($until, $patience, $legEnds, $interrupt, TrialCall::MOST_SECONDS);
        // Whoever gives up in the second in which something happens is gone before it does.
        if ($patience === $this->second) {
            throw CallOver::givenUp();
        }
        if (TrialCall::MOST_SECONDS === $this->second) {
            throw CallOver::stopped(Stop::Seconds);
        }
        if (null !== $leg && $legEnds === $this->second) {
            throw new TimeUp($leg);
        }
        if ($interrupt === $this->second) {
            throw new Interrupted();
        }
    }

    /** @return int seconds until the caller gives up, or something else ends what goes on */
    public function left(): int
    {
        $leg = $this->firstLeg();

        return max(
            0,
            min(
                $this->patience(),
                null === $leg ? \PHP_INT_MAX : (int) $this->legs[$leg],
                $this->interruptAt ?? \PHP_INT_MAX,
                TrialCall::MOST_SECONDS,
            ) - $this->second,
        );
    }

    /** The second at which the caller gives up; nobody does who has hung up already. */
    private function patience(): int
    {
        return $this->isHungUp ? \PHP_INT_MAX : $this->patience ?? \PHP_INT_MAX;
    }

    /** Which of the calls within the call is given up first; the outer one where two are at the same second. */
    private function firstLeg(): ?int
    {
        if ([] === $this->legs) {
            return null;
        }
        $ends = array_filter(
            $this->legs,
            fn(?int $end): bool => null !== $end && $end <= ($this->hearsFrom ?? \PHP_INT_MAX),
        );
        asort($ends);

        return array_key_first($ends);
    }
}
