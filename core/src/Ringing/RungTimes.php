<?php

declare(strict_types=1);

namespace Meandros\Core\Ringing;

/** When a phone was dialled, rang and fell silent: half-open seconds since the call began. */
final readonly class RungTimes
{
    /**
     * @param int|null $rings   when it began to ring, after it was dialled; null where it did not come to that
     * @param int|null $askedAt when whoever picked up was asked to press 1
     */
    public function __construct(
        public int $from,
        public int $until,
        public ?int $rings = null,
        public ?int $askedAt = null,
    ) {}

    public function later(int $seconds): self
    {
        return new self(
            $this->from + $seconds,
            $this->until + $seconds,
            null === $this->rings ? null : $this->rings + $seconds,
            null === $this->askedAt ? null : $this->askedAt + $seconds,
        );
    }

    /** Seconds of ringing, being asked among them. */
    public function seconds(): int
    {
        return null === $this->rings ? 0 : $this->until - $this->rings;
    }
}
