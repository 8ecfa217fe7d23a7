<?php

declare(strict_types=1);

namespace Meandros\Core\Ringing;

use Meandros\Core\Call\Behaviour;
use Meandros\Core\Call\PhoneAssumption;

/** What a phone does once it rings, by itself: whether it takes the call, and when it falls silent. */
final readonly class Fate
{
    /** Hearing the question and pressing 1 (common practice: a few seconds). */
    public const ASK_SECONDS = 4;

    /**
     * @param int|null $takesAfter  seconds of ringing after which somebody, or something, has the call
     * @param int|null $silentAfter seconds of ringing after which it stops by itself
     * @param string   $outcome     how the taking, or the silence, is told
     * @param int|null $askedAfter  seconds of ringing after which the question is asked
     */
    private function __construct(public ?int $takesAfter, public ?int $silentAfter, public string $outcome, public ?int $askedAfter = null)
    {
    }

    /** @param int $rangBefore seconds for which it rang earlier in the call: people answer after so long in all */
    public static function of(RingPhone $phone, PhoneAssumption $assumption, int $rangBefore = 0): self
    {
        $after = max(0, $assumption->afterSeconds - $rangBefore);
        // A mobile that is off hands the call to its own mailbox at once (common practice).
        $mailbox = Behaviour::Unreachable === $assumption->does ? 0 : $phone->ownMailbox;
        $beforeMailbox = null === $phone->ownMailbox || $after <= $phone->ownMailbox;
        $connected = $after + $phone->digitSeconds();

        return match (true) {
            Behaviour::Answers === $assumption->does && $beforeMailbox => $phone->askFirst
                ? new self($connected + self::ASK_SECONDS, null, Rung::ANSWERED, $connected)
                : new self($connected, null, Rung::ANSWERED),
            Behaviour::Refuses === $assumption->does && $beforeMailbox => new self(null, $after, Rung::REFUSED),
            null === $phone->ownMailbox => new self(null, null, Rung::NOT_ANSWERED),
            $phone->askFirst => new self(null, $mailbox + self::ASK_SECONDS, Rung::MAILBOX_TURNED_AWAY, $mailbox),
            default => new self($mailbox, null, Rung::OWN_MAILBOX),
        };
    }
}
