<?php

declare(strict_types=1);

namespace Meandros\Core\Routing\Answering;

use Meandros\Core\Call\Assumptions;
use Meandros\Core\Ringing\Pattern;
use Meandros\Core\Ringing\RingMember;
use Meandros\Core\Ringing\RingResult;

/** Phones that ring once, and what becomes of it: the same as before where nothing has changed. */
final class Round
{
    public ?RingResult $result = null;

    /**
     * @param list<RingMember> $members
     * @param int              $seconds the limit after which the call goes on
     * @param int              $left    seconds after which the caller is gone
     */
    public function __construct(
        public readonly array $members,
        public readonly Pattern $pattern,
        public readonly int $seconds,
        public readonly Assumptions $assumed,
        public readonly int $left,
    ) {}

    /** What becomes of the next round; null where it may be something else than of this one. */
    public function again(self $next): ?RingResult
    {
        $isSame =
            null !== $this->result &&
            $this->seconds === $next->seconds &&
            $this->assumed === $next->assumed &&
            min($this->left, $next->left) > $this->result->seconds &&
            !$next->assumed->somebodyAnswers() &&
            $this->pattern == $next->pattern &&
            $this->members == $next->members;

        return $isSame ? $this->result : null;
    }
}
