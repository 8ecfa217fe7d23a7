<?php

declare(strict_types=1);

namespace Meandros\Core\Proof\Promised;

use Meandros\Core\Plan\Element\Expectation;

/** A promise, held against the calls that it names. */
final readonly class Held
{
    /**
     * @param list<Breach> $breaches   the soonest first
     * @param bool         $applies    whether it names any call at all
     * @param bool         $isComplete whether all of them were looked at
     * @param int          $left       numbers that could not be looked at
     * @param bool         $whatever   whether it was also looked at where phones do something else than ring on
     */
    public function __construct(
        public Expectation $expectation,
        public array $breaches,
        public bool $applies,
        public bool $isComplete,
        public int $left,
        public bool $whatever,
    ) {}

    public function isKept(): bool
    {
        return [] === $this->breaches;
    }

    /**
     * With what was found of further numbers.
     *
     * @param list<Breach> $breaches
     */
    public function with(array $breaches, bool $applies, bool $isAll): self
    {
        return new self(
            $this->expectation,
            [...$this->breaches, ...$breaches],
            $this->applies || $applies,
            $this->isComplete && $isAll,
            $this->left,
            $this->whatever,
        );
    }

    /** @param int $numbers that could not be looked at either */
    public function leaving(int $numbers): self
    {
        return new self(
            $this->expectation,
            $this->breaches,
            $this->applies,
            $this->isComplete,
            $this->left + $numbers,
            $this->whatever,
        );
    }

    public function inOrder(): self
    {
        $breaches = $this->breaches;
        usort(
            $breaches,
            static fn(Breach $a, Breach $b): int => [$a->times->since(), \count($a->keys)] <=> [
                $b->times->since(),
                \count($b->keys),
            ],
        );

        return new self($this->expectation, $breaches, $this->applies, $this->isComplete, $this->left, $this->whatever);
    }
}
