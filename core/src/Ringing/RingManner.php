<?php

declare(strict_types=1);

namespace Meandros\Core\Ringing;

use Meandros\Core\Value\Copied;

/** How a phone takes a call. */
final readonly class RingManner
{
    use Copied;

    /**
     * @param bool        $askFirst        whether whoever picks up presses a key to take the call
     * @param int         $calls           how many it takes at the same time
     * @param bool        $answersByItself in the second in which it is dialled, without anybody touching it
     * @param string|null $kept            an outcome, when something keeps it from ringing
     */
    public function __construct(
        public bool $askFirst,
        public int $calls,
        public bool $answersByItself = false,
        public ?string $kept = null,
    ) {}

    public function keptBy(string $outcome): self
    {
        return $this->with(kept: $this->kept ?? $outcome);
    }

    public function answeringByItself(): self
    {
        return $this->with(askFirst: false, answersByItself: true);
    }
}
