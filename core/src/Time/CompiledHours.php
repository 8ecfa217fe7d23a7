<?php

declare(strict_types=1);

namespace Meandros\Core\Time;

/**
 * Hours over a range of instants as sorted transitions, searched by bisection.
 *
 * Stretch i holds a state from `$starts[i]` until `$starts[i + 1]`; neighbours differ in state. Decisions change more often
 * than states, so they keep a list of their own. Many hours are held over long ranges, and handed from one process to the
 * other: what comes again on every day stands there once, and the stretches are lists of whole numbers.
 */
final readonly class CompiledHours
{
    /**
     * @param non-empty-list<int>      $starts
     * @param non-empty-list<int>      $stretches      which of the states each stretch holds
     * @param non-empty-list<string>   $names          of the states, each once
     * @param non-empty-list<int>      $decisionStarts
     * @param non-empty-list<int>      $days           how many days after its own each decision falls
     * @param non-empty-list<int>      $rules          which of the decisions it is
     * @param non-empty-list<Decision> $decisions      each once
     */
    private function __construct(
        public int $from,
        public int $until,
        public array $starts,
        private array $stretches,
        private array $names,
        private array $decisionStarts,
        private array $days,
        private array $rules,
        private array $decisions,
    ) {}

    /** @param non-empty-list<array{int, string, Decision, int}> $pieces first instant, state, what decided it, and how many days after its own that falls */
    public static function of(array $pieces, int $from, int $until): self
    {
        $starts = $stretches = $names = $decisionStarts = $days = $rules = $places = $equal = $decisions = [];
        $state = null;
        foreach ($pieces as [$start, $pieceState, $decision, $later]) {
            $decisionStarts[] = $start;
            $days[] = $later;
            // Many are the same, and some are equal.
            $place = $places[spl_object_id($decision)] ??= $equal[serialize($decision)] ??= \count($equal);
            $decisions[$place] ??= $decision;
            $rules[] = $place;
            if ($pieceState !== $state) {
                $starts[] = $start;
                $stretches[] = $names[$pieceState] ??= \count($names);
                $state = $pieceState;
            }
        }

        return new self(
            $from,
            $until,
            $starts,
            $stretches,
            array_map(strval(...), array_keys($names)),
            $decisionStarts,
            $days,
            $rules,
            array_values($decisions),
        );
    }

    /**
     * Whole numbers as bytes: lists that PHP reads back by itself take four times the memory, and longer.
     *
     * @return array{int, int, list<string>, list<string>, list<Decision>}
     */
    public function __serialize(): array
    {
        $lists = [$this->starts, $this->stretches, $this->decisionStarts, $this->days, $this->rules];

        return [
            $this->from,
            $this->until,
            array_map(static fn(array $list): string => pack('q*', ...$list), $lists),
            $this->names,
            $this->decisions,
        ];
    }

    /** @param array{int, int, list<string>, non-empty-list<string>, non-empty-list<Decision>} $data */
    public function __unserialize(array $data): void
    {
        [$this->from, $this->until, $lists, $this->names, $this->decisions] = $data;
        /** @var list<non-empty-list<int>> $read */
        $read = array_map(static fn(string $list): array => array_values((array) unpack('q*', $list)), $lists);
        [$this->starts, $this->stretches, $this->decisionStarts, $this->days, $this->rules] = $read;
    }

    /** @return non-empty-list<string> what each stretch holds */
    public function states(): array
    {
        return array_map(fn(int $stretch): string => $this->names[$stretch], $this->stretches);
    }

    /** @return list<string> each state that is held at some instant of the range */
    public function between(int $from, int $until): array
    {
        $held = [];
        for ($i = $this->stretchAt($from); isset($this->starts[$i]) && $this->starts[$i] < $until; ++$i) {
            $held[$this->stretches[$i]] = true;
        }

        return array_map(fn(int $stretch): string => $this->names[$stretch], array_keys($held));
    }

    public function stateAt(int $instant): string
    {
        return $this->names[$this->stretches[$this->stretchAt($instant)]];
    }

    /** @return int the stretch that the instant lies in; an instant outside the range gives the nearest stretch */
    public function stretchAt(int $instant): int
    {
        return self::search($this->starts, $instant);
    }

    public function readingAt(int $instant): Reading
    {
        $i = self::search($this->starts, $instant);

        $decided = self::search($this->decisionStarts, $instant);

        return new Reading(
            $this->names[$this->stretches[$i]],
            $this->decisions[$this->rules[$decided]]->daysLater($this->days[$decided]),
            0 === $i ? null : $this->starts[$i] ?? null,
            $this->starts[$i + 1] ?? null,
        );
    }

    /** @return int|null the first instant from $at on with another state */
    public function nextOther(string $state, int $at): ?int
    {
        for ($i = $this->stretchAt($at); isset($this->starts[$i]); ++$i) {
            if ($this->names[$this->stretches[$i]] !== $state) {
                return max($at, $this->starts[$i]);
            }
        }

        return null;
    }

    /** @return int|null the first instant after the last one before $at with another state */
    public function lastOther(string $state, int $at): ?int
    {
        for ($i = $this->stretchAt($at - 1); $i >= 0; --$i) {
            if ($this->names[$this->stretches[$i]] !== $state) {
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
