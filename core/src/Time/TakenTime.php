<?php

declare(strict_types=1);

namespace Meandros\Core\Time;

/** Stretches of time that do not overlap, in order, each with a name; a new one is let in only where all of it is free. */
final class TakenTime
{
    /** @var list<int> */
    private array $starts = [];
    /** @var list<array{int, string}> end and name of each */
    private array $ends = [];

    /** @return string|null the name of one that overlaps; null when the stretch was free, and is taken now */
    public function claim(int $start, int $end, string $name): ?string
    {
        $next = $this->firstFrom($start);
        if ($next > 0 && $this->ends[$next - 1][0] > $start) {
            return $this->ends[$next - 1][1];
        }
        if (isset($this->starts[$next]) && $this->starts[$next] < $end) {
            return $this->ends[$next][1];
        }
        array_splice($this->starts, $next, 0, [$start]);
        array_splice($this->ends, $next, 0, [[$end, $name]]);

        return null;
    }

    /** Position of the first that starts then or later. */
    private function firstFrom(int $start): int
    {
        [$low, $high] = [0, \count($this->starts)];
        while ($low < $high) {
            $middle = intdiv($low + $high, 2);
            if ($this->starts[$middle] < $start) {
                $low = $middle + 1;
            } else {
                $high = $middle;
            }
        }

        return $low;
    }
}
