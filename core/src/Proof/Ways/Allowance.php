<?php

declare(strict_types=1);

namespace Meandros\Core\Proof\Ways;

use Meandros\Core\Routing\Walk;

/** How much of the ways of one call may be tried. */
final class Allowance
{
    /** Runs of steps. */
    private const MOST_RUNS = 20_000;
    /** There are many more places then, and it is said in any case that not all is tried. */
    private const MOST_BY_SECOND = 5_000;
    private const MOST_HAPPENINGS = 150_000;

    private int $runs = 0;
    /** In all runs together. */
    private int $happened = 0;

    /** @param bool $bySecond whether calls that come at other seconds stand at other places */
    public function __construct(private readonly bool $bySecond) {}

    public function ran(Walk $walk): void
    {
        ++$this->runs;
        $this->happened += \count($walk->events()) + $walk->rung->count();
    }

    /** Whether as much was tried as may be. */
    public function isSpent(): bool
    {
        return $this->runs >= ($this->bySecond ? self::MOST_BY_SECOND : self::MOST_RUNS) ||
            $this->happened >= self::MOST_HAPPENINGS;
    }
}
