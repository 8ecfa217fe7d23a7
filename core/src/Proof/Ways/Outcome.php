<?php

declare(strict_types=1);

namespace Meandros\Core\Proof\Ways;

/** Runs of a step by which calls come to the same: one of them, and how long they take. */
final readonly class Outcome
{
    /**
     * @param bool    $afterRounds whether calls may go round at the step before, as often as they like
     * @param Acts    $acts        of the whole call, as far as later steps ask for them
     * @param JustNow $justNow     what phones did in the second in which the step is over
     */
    public function __construct(
        public Run $run,
        public Leg $leg,
        public bool $afterRounds,
        public Acts $acts = new Acts(),
        public JustNow $justNow = new JustNow(),
    ) {}

    public function or(self $other): self
    {
        $afterRounds = $this->afterRounds || $other->afterRounds;

        return new self($this->run, $this->leg->or($other->leg), $afterRounds, $this->acts, $this->justNow);
    }
}
