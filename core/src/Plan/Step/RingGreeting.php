<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Step;

use Meandros\Core\Reading\Input;

/** What callers hear once phones have rung for a while, and ring on. */
final readonly class RingGreeting
{
    private const USUALLY_AFTER = 10;

    /**
     * @param string|null $prompt null for none
     * @param int         $after  seconds of ringing
     */
    public function __construct(public ?string $prompt = null, public int $after = self::USUALLY_AFTER) {}

    /** @param Input $in the step */
    public static function fromJson(Input $in): self
    {
        return new self(
            $in->field('greeting')->reference(),
            $in->field('greetAfter')->whole(0, RingLength::LONGEST, 'seconds', self::USUALLY_AFTER),
        );
    }

    /** Seconds of ringing after which it is heard; null where there is none. */
    public function begins(): ?int
    {
        return null === $this->prompt ? null : $this->after;
    }
}
