<?php

declare(strict_types=1);

namespace Meandros\Core\Ringing;

use Meandros\Core\Value\Copied;

/** What became of one phone: when it rang, in half-open seconds since the call began, and how that ended. */
final readonly class Rung
{
    use Copied;

    public const ANSWERED = 'answered';
    public const NOT_ANSWERED = 'not answered';
    /** It rang, and stopped because another phone answered. */
    public const TAKEN_ELSEWHERE = 'taken elsewhere';
    public const BUSY = 'busy';
    public const UNREACHABLE = 'unreachable';
    public const REFUSED = 'refused';
    /** The phone's own mailbox took the call: the caller is lost to it. */
    public const OWN_MAILBOX = 'own mailbox';
    /** The phone's own mailbox picked up, was asked, and pressed nothing. */
    public const MAILBOX_TURNED_AWAY = 'own mailbox turned away';
    /** Its owner is not to be disturbed. */
    public const DO_NOT_DISTURB = 'do not disturb';
    /** Its owner is away, on leave or signed out. */
    public const NOT_AVAILABLE = 'not available';
    /** Switched off in the plan. */
    public const OFF = 'off';
    /** The time was up, or somebody answered, before its turn came. */
    public const NOT_REACHED = 'not reached';

    /** In the pause that its team leaves after a call. */
    public const PAUSING = 'pausing after a call';
    /** No outside line may carry the call. */
    public const NO_LINE = 'no line may carry it';
    /** Every channel of the lines that may carry the call is in use. */
    public const NO_CHANNEL = 'all lines in use';
    /** Hears an announcement, having answered by itself. */
    public const HEARS = 'hears it';
    /** Announcements are for phones inside. */
    public const NOT_PAGED = 'cannot be paged';

    /**
     * @param int|null    $askedAt when whoever picked up was asked to press 1
     * @param string|null $line    the outside line that carried the call, by id
     * @param string      $dials   the digits that went out on it
     * @param int|null    $rings   when it began to ring, after it was dialled; null where it did not come to that
     */
    public function __construct(
        public RingPhone $phone,
        public int $from,
        public int $until,
        public string $outcome,
        public ?int $askedAt = null,
        public ?string $line = null,
        public string $dials = '',
        public ?int $rings = null,
    ) {}

    public function later(int $seconds): self
    {
        $later = static fn(?int $second): ?int => null === $second ? null : $second + $seconds;

        return $this->with(
            from: $this->from + $seconds,
            until: $this->until + $seconds,
            askedAt: $later($this->askedAt),
            rings: $later($this->rings),
        );
    }

    /** Seconds of ringing, being asked among them. */
    public function seconds(): int
    {
        return null === $this->rings ? 0 : $this->until - $this->rings;
    }

    /** @return array<string, mixed> */
    public function toJson(): array
    {
        return [
            'phone' => $this->phone->id,
            'person' => $this->phone->person,
            'label' => $this->phone->label,
            'type' => $this->phone->type->value,
            'from' => $this->from,
            'rings' => $this->rings,
            'until' => $this->until,
            'outcome' => $this->outcome,
            'askedAt' => $this->askedAt,
            'ownMailbox' => $this->phone->outside?->mailbox,
            'line' => $this->line,
            'dials' => $this->dials,
            'shows' => $this->phone->outside?->shows,
        ];
    }
}
