<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Step;

use Meandros\Core\Reading\Input;

/** For how long somebody is rung. */
final readonly class RingLength
{
    /** Seconds. */
    public const LONGEST = 600;
    public const USUAL = 20;
    /** Of a call that is sent straight to somebody. */
    public const DIRECT = 25;
    public const MOST_MINUTES = 60;

    /**
     * @param bool $handOver     for good: the rules of the person decide how the call ends, and the seconds do not count
     * @param int  $againMinutes the caller is kept, and the ringing begins anew, for up to so long; 0 to ring once
     */
    public function __construct(public int $seconds, public bool $handOver = false, public int $againMinutes = 0) {}

    /** @param Input $in the step */
    public static function fromJson(Input $in): self
    {
        return new self(
            $in->field('seconds')->whole(1, self::LONGEST, 'seconds', self::USUAL),
            $in->field('handOver')->flag(false),
            $in->field('againMinutes')->whole(0, self::MOST_MINUTES, 'minutes', 0),
        );
    }

    /** Seconds for which it may ring in all. */
    public function longest(): int
    {
        return $this->againMinutes > 0 ? 60 * $this->againMinutes : $this->seconds;
    }
}
