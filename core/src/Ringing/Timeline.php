<?php

declare(strict_types=1);

namespace Meandros\Core\Ringing;

/**
 * What is due at which second. Within a second things happen by phase, and within a phase in the order in which phones
 * are listed; what follows from something in the same phase of the same second comes after it.
 */
final class Timeline
{
    private int $second = 0;
    private int $last = 0;
    /** @var array<int, array<int, array<int, list<\Closure(): void>>>> what to do, by second, phase and place in the list */
    private array $due = [];

    public function second(): int
    {
        return $this->second;
    }

    /** @param \Closure(): void $do */
    public function at(int $second, Phase $phase, int $place, \Closure $do): void
    {
        $this->due[$second][$phase->value][$place][] = $do;
        $this->last = max($this->last, $second);
    }

    /**
     * Lets time pass until nothing is due any more, or it is told to stop.
     *
     * @param int|null         $end    a second that is not reached any more; null for none
     * @param \Closure(): bool $isOver asked at first, and after every second in which something was due
     */
    public function play(?int $end, \Closure $isOver): void
    {
        $end ??= \PHP_INT_MAX;
        for ($this->second = 0; $this->second <= $this->last && $this->second < $end; ++$this->second) {
            $isDue = isset($this->due[$this->second]);
            if ($isDue) {
                $this->playSecond();
            }
            if (($isDue || 0 === $this->second) && $isOver()) {
                return;
            }
        }
        $this->second = min($this->second, $end);
    }

    /** Drops what is still due: it refers to those who planned it, which keeps memory from being freed at once. */
    public function clear(): void
    {
        $this->due = [];
    }

    private function playSecond(): void
    {
        $second = $this->second;
        while (isset($this->due[$second])) {
            ksort($this->due[$second]);
            $phase = (int) array_key_first($this->due[$second]);
            $now = $this->due[$second][$phase];
            unset($this->due[$second][$phase]);
            if ([] === $this->due[$second]) {
                unset($this->due[$second]);
            }
            ksort($now);
            foreach ($now as $atPlace) {
                foreach ($atPlace as $do) {
                    $do();
                }
            }
        }
    }
}
