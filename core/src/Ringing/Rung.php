<?php

declare(strict_types=1);

namespace Meandros\Core\Ringing;

use Meandros\Core\Value\Lists;

/** What became of one phone: when it rang, and how that ended. */
final class Rung
{
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

    /** @var array{int, self}|null the same so many seconds later, as it was asked for last */
    private ?array $later = null;

    public function __construct(
        public readonly RingPhone $phone,
        public readonly RungTimes $times,
        public readonly string $outcome,
        public readonly Carried $carried = new Carried(),
    ) {}

    /** Whether it was to ring, be it that it was refused in the same second. */
    public function isDialled(): bool
    {
        return Lists::has(
            [
                self::ANSWERED,
                self::NOT_ANSWERED,
                self::TAKEN_ELSEWHERE,
                self::REFUSED,
                self::OWN_MAILBOX,
                self::MAILBOX_TURNED_AWAY,
            ],
            $this->outcome,
        );
    }

    public function later(int $seconds): self
    {
        if (0 === $seconds) {
            return $this;
        }
        if ($seconds !== ($this->later[0] ?? 0)) {
            $this->later = [
                $seconds,
                new self($this->phone, $this->times->later($seconds), $this->outcome, $this->carried),
            ];
        }

        return $this->later[1];
    }

    /** @return array<string, mixed> */
    public function toJson(): array
    {
        return [
            'phone' => $this->phone->id,
            'person' => $this->phone->owner->person,
            'label' => $this->phone->label,
            'type' => $this->phone->type->value,
            'from' => $this->times->from,
            'rings' => $this->times->rings,
            'until' => $this->times->until,
            'outcome' => $this->outcome,
            'askedAt' => $this->times->askedAt,
            'ownMailbox' => $this->phone->outside?->mailbox?->after,
            'line' => $this->carried->line,
            'dials' => $this->carried->dials,
            'shows' => $this->phone->outside?->shows,
        ];
    }
}
