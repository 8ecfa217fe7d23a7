<?php

declare(strict_types=1);

namespace Meandros\Core\Time;

/**
 * Hours over a range of instants as sorted transitions, searched by bisection.
 *
 * Stretch i holds state `$states[i]` from `$starts[i]` until `$starts[i + 1]`; neighbours differ in state. Decisions
 * change more often than states, so they keep a list of their own.
 */
final readonly class CompiledHours
{
    /**
     * @param non-empty-list<int>      $starts
     * @param non-empty-list<string>   $states
     * @param non-empty-list<int>      $decisionStarts
     * @param non-empty-list<Decision> $decisions
     */
    public function __construct(
        public int $from,
        public int $until,
        public array $starts,
        public array $states,
        private array $decisionStarts,
        private array $decisions,
    ) {}

    /** @return int the stretch that the instant lies in; an instant outside the range gives the nearest stretch */
    public function stretchAt(int $instant): int
    {
        return self::search($this->starts, $instant);
    }

    public function readingAt(int $instant): Reading
    {
        $i = self::search($this->starts, $instant);

        return new Reading(
            $this->states[$i],
            $this->decisions[self::search($this->decisionStarts, $instant)],
            0 === $i ? null : $this->starts[$i] ?? null,
            $this->starts[$i + 1] ?? null,
        );
    }

    /** @return int|null the first instant from $at on with another state */
    public function nextOther(string $state, int $at): ?int
    {
        for ($i = $this->stretchAt($at); isset($this->starts[$i]); ++$i) {
            if ($this->states[$i] !== $state) {
                return max($at, $this->starts[$i]);
            }
        }

        return null;
    }

    /** @return int|null the first instant after the last one before $at with another state */
    public function lastOther(string $state, int $at): ?int
    {
        for ($i = $this->stretchAt($at - 1); $i >= 0; --$i) {
            if ($this->states[$i] !== $state) {
                return min($at, $this->starts[$i + 1] ?? $this->until);
            }
        }

        return null;
    }

    /** @param non-empty-list<int> $starts */
    private static function search(array $starts, int $instant): int
    {
        $low = 0;
        $high = \count($starts) - 1;
        while ($low < $high) {
            $middle = ($low + $high + 1) >> 1;
            if ($starts[$middle] <= $instant) {
                $low = $middle;
            } else {
                $high = $middle - 1;
            }
        }

        return $low;
    }
}
