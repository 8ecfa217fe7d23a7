<?php

declare(strict_types=1);

namespace Meandros\Core\Proof\Ways;

/** Runs of a step by which calls come to the same: one of them, and how long they take. */
final class Outcome
{
    /**
     * @param bool       $afterRounds whether calls may go round at the step before, as often as they like
     * @param Acts       $acts        of the whole call, as far as later steps ask for them
     * @param JustNow    $justNow     what phones did in the second in which the step is over
     * @param Stand|null $reached     where calls stand after it that come from where it was taken; null where it ends them
     */
    public function __construct(
        public readonly Run $run,
        public readonly Leg $leg,
        public readonly bool $afterRounds,
        public readonly Acts $acts = new Acts(),
        public readonly JustNow $justNow = new JustNow(),
        public ?Stand $reached = null,
    ) {}

    public function or(self $other): self
    {
        $leg = $this->leg->or($other->leg);
        $afterRounds = $this->afterRounds || $other->afterRounds;

        return $leg === $this->leg && $afterRounds === $this->afterRounds
            ? $this
            : new self($this->run, $leg, $afterRounds, $this->acts, $this->justNow, $this->reached);
    }
}
