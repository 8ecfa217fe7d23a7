<?php

declare(strict_types=1);

namespace Meandros\Core\Proof\Ways;

use Meandros\Core\Routing\Ending;
use Meandros\Core\Routing\Onward;
use Meandros\Core\Routing\Walk;

/** One step, taken in one way. */
final readonly class Run
{
    /**
     * @param Acts        $acts   with as many presses as the step asked for
     * @param Walk        $walk   after it
     * @param Onward      $onward where it goes from the step, if that did not end it
     * @param Ending|null $ending where the step ended the call
     * @param int         $there  seconds for which callers are there who may give up
     * @param Run|null    $like   the run that was tried, where this is the same at another second
     */
    public function __construct(
        public Acts $acts,
        public Walk $walk,
        public Onward $onward,
        public int $seconds,
        public ?Ending $ending,
        public int $there,
        public ?self $like = null,
    ) {}

    /** The same where a key that leads on was pressed so many seconds later. */
    public function later(int $seconds, Acts $acts): self
    {
        return new self(
            $acts,
            $this->walk,
            $this->onward,
            $this->seconds + $seconds,
            $this->ending,
            $this->there + $seconds,
            $this,
        );
    }
}
