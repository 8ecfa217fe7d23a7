<?php

declare(strict_types=1);

namespace Meandros\Core\Proof\Ways;

use Meandros\Core\Call\Assumptions;
use Meandros\Core\Call\PhoneAssumption;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Routing\Happening\Happening;
use Meandros\Core\Routing\Heeded;
use Meandros\Core\Routing\HungUp;

/** Something that happened in a run of one step, at which it may be open what is done. */
final class Asking
{
    /** What it is that is open; null where nothing is. */
    public ?string $about = null;
    /** Whether it is the soonest, and the latest, of those that came alike: keys are pressed as soon as can be after the one, and as late after the other. */
    public bool $isSoonest = true;
    public bool $isLatest = true;
    /** The soonest of those that came alike, where this one comes later. */
    public ?self $soonest = null;

    /**
     * @param Acts                    $acts  by which the run came here, since the step began
     * @param Happening|Heeded|HungUp $what  happened
     * @param int                     $since seconds since the step began
     * @param int                     $place how many times the same was asked for before, at this step
     */
    public function __construct(
        private readonly Choices $choices,
        public readonly Run $run,
        public readonly Acts $acts,
        public readonly Happening|Heeded|HungUp $what,
        public readonly int $since,
        public readonly int $place,
    ) {}

    /** How the step is taken where more is done. */
    public function try(Acts $more): Run
    {
        return $this->choices->try($this->acts->then($more));
    }

    /** The same in another run, where more is done. */
    public function at(Run $run, Acts $more, Happening $what, ?int $since = null): self
    {
        $at = new self($this->choices, $run, $this->acts->then($more), $what, $since ?? $this->since, $this->place);
        [$at->isSoonest, $at->isLatest] = [$this->isSoonest, $this->isLatest];

        return $at;
    }

    public function stand(): Stand
    {
        return $this->choices->stand;
    }

    public function plan(): Plan
    {
        return $this->choices->stand->walk->plan;
    }

    /**
     * The soonest that something may be done, and the second after it where that is the one in which calls came here: then phones may
     * do something else than they did in that one.
     *
     * @param int $first seconds after what is asked
     *
     * @return non-empty-list<int>
     */
    public function soonest(int $first, int $last): array
    {
        return 0 === $this->since + $first && 1 <= $last && [] !== $this->stand()->justNow->did ? [0, 1] : [$first];
    }

    public function later(): Later
    {
        return $this->choices->later;
    }

    /** What the company and earlier calls do. */
    public function given(): Assumptions
    {
        return $this->choices->given;
    }

    /** @return array<string, PhoneAssumption> by phone: what is known already that they did, where this is in the very second in which calls came here */
    public function did(): array
    {
        return 0 === $this->since ? $this->stand()->justNow->did : [];
    }

    /** Whether it was settled before what is done there. */
    public function isSettled(string $what): bool
    {
        return isset($this->acts->settled[$what]);
    }
}
