<?php

declare(strict_types=1);

namespace Meandros\Core\Time;

/**
 * What holds when, of few things that come again and again: each of them stands there once, and the stretches are lists of
 * whole numbers. Those of many hours over long ranges are held at once, and handed from one process to the other.
 *
 * @template T of string|Decision
 */
final readonly class Stretches
{
    /**
     * @param non-empty-list<int> $starts first instants
     * @param non-empty-list<int> $which  of the things holds in each stretch
     * @param non-empty-list<T>   $things
     */
    public function __construct(public array $starts, private array $which, private array $things) {}

    /** @return int the stretch that the instant lies in; an instant outside the range gives the nearest stretch */
    public function at(int $instant): int
    {
        return self::search($this->starts, $instant);
    }

    /**
     * @param list<int> $starts first instants, one after the other
     *
     * @return int which of them begins the stretch that an instant lies in
     */
    public static function search(array $starts, int $instant): int
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

    /** @return T what holds in a stretch */
    public function in(int $stretch): mixed
    {
        return $this->things[$this->which[$stretch]];
    }

    /** @return non-empty-list<T> what holds in each stretch */
    public function all(): array
    {
        return array_map(fn(int $which): string|Decision => $this->things[$which], $this->which);
    }

    /** @return list<T> each that holds at some instant of a range */
    public function between(int $from, int $until): array
    {
        $held = [];
        for ($i = $this->at($from); isset($this->starts[$i]) && $this->starts[$i] < $until; ++$i) {
            $held[$this->which[$i]] = $this->in($i);
        }

        return array_values($held);
    }

    /**
     * Whole numbers as bytes: lists that PHP reads back by itself take four times the memory, and longer.
     *
     * @return array{string, string, list<T>}
     */
    public function __serialize(): array
    {
        return [self::packed($this->starts), self::packed($this->which), $this->things];
    }

    /** @param array{string, string, non-empty-list<T>} $data */
    public function __unserialize(array $data): void
    {
        [$starts, $which, $this->things] = $data;
        [$this->starts, $this->which] = [self::unpacked($starts), self::unpacked($which)];
    }

    /** @param non-empty-list<int> $list */
    public static function packed(array $list): string
    {
        return pack('q*', ...$list);
    }

    /** @return non-empty-list<int> */
    public static function unpacked(string $list): array
    {
        /** @var non-empty-list<int> $numbers */
        $numbers = array_values((array) unpack('q*', $list));

        return $numbers;
    }
}
