<?php

declare(strict_types=1);

namespace Meandros\Core\Proof\Ways;

use Meandros\Core\Routing\Ending;
use Meandros\Core\Routing\Onward;
use Meandros\Core\Routing\Walk;

/** One step, taken in one way. */
final class Run
{
    /** The run that was tried, where this is the same at another second. */
    public ?self $like = null;

    /**
     * @param Acts        $acts   with as many presses as the step asked for
     * @param Walk        $walk   after it
     * @param Onward      $onward where it goes from the step, if that did not end it
     * @param Ending|null $ending where the step ended the call
     * @param int         $there  seconds for which callers are there who may give up
     */
    public function __construct(
        public readonly Acts $acts,
        public readonly Walk $walk,
        public readonly Onward $onward,
        public readonly int $seconds,
        public readonly ?Ending $ending,
        public readonly int $there,
    ) {}

    /** The same where a key that leads on was pressed so many seconds later. */
    public function later(int $seconds, Acts $acts): self
    {
        $later = new self(
            $acts,
            $this->walk,
            $this->onward,
            $this->seconds + $seconds,
            $this->ending,
            $this->there + $seconds,
        );
        $later->like = $this;

        return $later;
    }
}
