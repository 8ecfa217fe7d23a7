<?php

declare(strict_types=1);

namespace Meandros\Core\Ringing;

use Meandros\Core\Call\Behaviour;
use Meandros\Core\Call\PhoneAssumption;

/** What becomes of a phone that is left to ring: who or what picks it up, or when it is refused. */
final readonly class Fate
{
    /** Hearing the question and pressing 1 (common practice: a few seconds). */
    public const ASK_SECONDS = 4;

    /**
     * @param int|null $picksUpAfter seconds of ringing after which somebody, or the phone's own mailbox, picks up
     * @param int|null $refusesAfter seconds of ringing after which somebody declines
     */
    private function __construct(
        public ?int $picksUpAfter,
        public bool $isMailbox = false,
        public ?int $refusesAfter = null,
    ) {}

    /**
     * In the same second somebody is faster than the phone's own mailbox.
     *
     * @param int $rangBefore seconds for which it rang earlier in the call: people answer after so long in all, and decline
     *                        as their phone rings anew
     */
    public static function of(RingPhone $phone, PhoneAssumption $assumption, int $rangBefore = 0): self
    {
        $mailbox = $phone->outside?->mailbox?->after;
        $after = $assumption->afterSeconds ?? 0;
        $inTime = static fn(int $seconds): bool => null === $mailbox || $seconds <= $mailbox;
        $left = max(0, $after - $rangBefore);

        return match ($assumption->does) {
            // A mobile that is off, or busy, hands the call to its own mailbox at once (common practice).
            Behaviour::Busy, Behaviour::Unreachable => self::mailbox(0),
            Behaviour::OnACall => match (true) {
                $phone->manner->calls < 2 => self::mailbox(0),
                null !== $assumption->afterSeconds && $inTime($left) => new self($left),
                default => self::mailbox($mailbox),
            },
            Behaviour::Answers => $inTime($left) ? new self($left) : self::mailbox($mailbox),
            Behaviour::Refuses => match (true) {
                !$inTime($after) => self::mailbox($mailbox),
                true === $phone->outside?->mailbox?->whenBusy => self::mailbox($after),
                default => new self(null, refusesAfter: $after),
            },
            Behaviour::Rings => self::mailbox($mailbox),
        };
    }

    public static function atOnce(): self
    {
        return new self(0);
    }

    private static function mailbox(?int $after): self
    {
        return new self($after, null !== $after);
    }
}
