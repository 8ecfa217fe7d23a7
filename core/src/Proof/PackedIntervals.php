<?php

declare(strict_types=1);

namespace Meandros\Core\Proof;

/** Stretches of time in order, many of them in little room: sixteen bytes each. */
final readonly class PackedIntervals
{
    private const SIZE = 16;

    /** @param string $packed first instants, and first instants after them; equal for equal ones */
    private function __construct(public string $packed) {}

    /** @param non-empty-list<array{int, int}> $intervals in order */
    public static function of(array $intervals): self
    {
        return new self(pack('q*', ...array_merge(...$intervals)));
    }

    public function count(): int
    {
        return intdiv(\strlen($this->packed), self::SIZE);
    }

    /** The first instant of all. */
    public function since(): int
    {
        return $this->at(0)[0];
    }

    /** @return self|null what lies within a stretch; null where nothing does */
    public function within(int $from, int $until): ?self
    {
        [$first, $last] = [0, $this->count() - 1];
        while ($first <= $last && $this->at($first)[1] <= $from) {
            ++$first;
        }
        while ($first <= $last && $this->at($last)[0] >= $until) {
            --$last;
        }
        if ($first > $last) {
            return null;
        }
        $within = substr($this->packed, $first * self::SIZE, ($last - $first + 1) * self::SIZE);
        $begin = pack('q', max($from, $this->at($first)[0]));
        $end = pack('q', min($until, $this->at($last)[1]));

        return new self($begin . substr($within, \strlen($begin), -\strlen($end)) . $end);
    }

    /** @return non-empty-list<array{int, int}> */
    public function all(): array
    {
        return $this->first($this->count());
    }

    /** @return non-empty-list<array{int, int}> of more than so many, the first ones */
    public function first(int $most): array
    {
        $first = [$this->at(0)];
        for ($i = 1, $count = min($most, $this->count()); $i < $count; ++$i) {
            $first[] = $this->at($i);
        }

        return $first;
    }

    /** @return array{int, int} */
    private function at(int $i): array
    {
        /** @var array{1: int, 2: int} $pair */
        $pair = unpack('q2', $this->packed, $i * self::SIZE);

        return [$pair[1], $pair[2]];
    }
}
