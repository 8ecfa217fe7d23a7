<?php

declare(strict_types=1);

namespace Meandros\Core\Time;

/**
 * Hours over a range of instants as sorted transitions, searched by bisection. Neighbouring stretches differ in state;
 * decisions change more often than states, so they have stretches of their own.
 */
final readonly class CompiledHours
{
    /**
     * @param Stretches<string>   $states
     * @param Stretches<Decision> $decisions of a day that they are told of
     * @param non-empty-list<int> $days      how many days later each stretch of these has it
     */
    private function __construct(
        public int $from,
        public int $until,
        private Stretches $states,
        private Stretches $decisions,
        private array $days,
    ) {}

    /** @param non-empty-list<array{int, string, Decision, int}> $pieces first instant, state, what decided it, and how many days after its own that falls */
    public static function of(array $pieces, int $from, int $until): self
    {
        $starts = $which = $states = $decided = $rules = $days = $places = $equal = $decisions = [];
        $state = null;
        foreach ($pieces as [$start, $pieceState, $decision, $later]) {
            $decided[] = $start;
            $days[] = $later;
            // Many are the same, and some are equal.
            $place = $places[spl_object_id($decision)] ??= $equal[serialize($decision)] ??= \count($equal);
            $decisions[$place] ??= $decision;
            $rules[] = $place;
            if ($pieceState !== $state) {
                $starts[] = $start;
                $which[] = $states[$pieceState] ??= \count($states);
                $state = $pieceState;
            }
        }

        return new self(
            $from,
            $until,
            new Stretches($starts, $which, array_map(strval(...), array_keys($states))),
            new Stretches($decided, $rules, array_values($decisions)),
            $days,
        );
    }

    /** @return non-empty-list<int> first instants of stretches */
    public function starts(): array
    {
        return $this->states->starts;
    }

    /** @return non-empty-list<string> what each stretch holds */
    public function states(): array
    {
        return $this->states->all();
    }

    /** @return list<string> each state that is held at some instant of a range */
    public function between(int $from, int $until): array
    {
        return $this->states->between($from, $until);
    }

    public function stateAt(int $instant): string
    {
        return $this->states->in($this->states->at($instant));
    }

    /** @return int the stretch that the instant lies in; an instant outside the range gives the nearest stretch */
    public function stretchAt(int $instant): int
    {
        return $this->states->at($instant);
    }

    /** @return array{string, int|null, int|null} the state at an instant, and its stretch: since and until when, null where that is not within */
    public function heldAt(int $instant): array
    {
        $i = $this->states->at($instant);
        $starts = $this->states->starts;

        return [$this->states->in($i), 0 === $i ? null : $starts[$i] ?? null, $starts[$i + 1] ?? null];
    }

    public function decisionAt(int $instant): Decision
    {
        $decided = $this->decisions->at($instant);

        return $this->decisions->in($decided)->daysLater($this->days[$decided]);
    }

    /** @return int|null the first instant from $at on with another state */
    public function nextOther(string $state, int $at): ?int
    {
        $starts = $this->states->starts;
        for ($i = $this->stretchAt($at); isset($starts[$i]); ++$i) {
            if ($this->states->in($i) !== $state) {
                return max($at, $starts[$i]);
            }
        }

        return null;
    }

    /** @return int|null the first instant after the last one before $at with another state */
    public function lastOther(string $state, int $at): ?int
    {
        for ($i = $this->stretchAt($at - 1); $i >= 0; --$i) {
            if ($this->states->in($i) !== $state) {
                return min($at, $this->states->starts[$i + 1] ?? $this->until);
            }
        }

        return null;
    }

    /** @return array{int, int, Stretches<string>, Stretches<Decision>, string} */
    public function __serialize(): array
    {
        return [$this->from, $this->until, $this->states, $this->decisions, Stretches::packed($this->days)];
    }

    /** @param array{int, int, Stretches<string>, Stretches<Decision>, string} $data */
    public function __unserialize(array $data): void
    {
        [$this->from, $this->until, $this->states, $this->decisions, $days] = $data;
        $this->days = Stretches::unpacked($days);
    }
}
