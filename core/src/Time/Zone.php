<?php

declare(strict_types=1);

namespace Meandros\Core\Time;

/**
 * An IANA time zone over a range of instants, as offsets in force between transitions.
 *
 * Local times are read as RFC 5545 3.3.5 says: one that does not exist is read with the offset before the gap, one
 * that exists twice is the first.
 */
final readonly class Zone
{
    /** How far from any instant a local time in that zone can lie: no offset is larger than a day. */
    private const MARGIN_SECONDS = 172800;

    /**
     * @param non-empty-list<int> $starts  instants from which each offset is in force; the first one is the range's start
     * @param non-empty-list<int> $offsets seconds east of UTC, one per start
     */
    private function __construct(public string $name, private array $starts, private array $offsets)
    {
    }

    /** @throws \InvalidArgumentException when the name is not an IANA zone */
    public static function over(string $name, int $from, int $until): self
    {
        try {
            $zone = new \DateTimeZone($name);
        } catch (\Exception) {
            throw new \InvalidArgumentException(\sprintf('"%s" is not an IANA time zone; the closest is %s.', $name, self::closestTo($name)));
        }
        $transitions = $zone->getTransitions($from - self::MARGIN_SECONDS, $until + self::MARGIN_SECONDS);
        if ([] === $transitions) {
            throw new \InvalidArgumentException(\sprintf('The zone "%s" has no offsets.', $name));
        }
        $starts = $offsets = [];
        foreach ($transitions as $transition) {
            if ([] === $offsets || $transition['offset'] !== $offsets[\count($offsets) - 1]) {
                $starts[] = $transition['ts'];
                $offsets[] = $transition['offset'];
            }
        }

        return new self($name, $starts, $offsets);
    }

    public static function exists(string $name): bool
    {
        return \in_array($name, \DateTimeZone::listIdentifiers(\DateTimeZone::ALL_WITH_BC), true);
    }

    /** The zone name closest to what somebody typed, for an error message. */
    public static function closestTo(string $name): string
    {
        $best = 'Europe/London';
        $distance = \PHP_INT_MAX;
        foreach (\DateTimeZone::listIdentifiers() as $candidate) {
            $now = levenshtein(strtolower($name), strtolower($candidate));
            if ($now < $distance) {
                [$best, $distance] = [$candidate, $now];
            }
        }

        return $best;
    }

    /** @return int seconds east of UTC in force at the instant */
    public function offsetAt(int $instant): int
    {
        $last = \count($this->starts) - 1;
        while ($last > 0 && $this->starts[$last] > $instant) {
            --$last;
        }

        return $this->offsets[$last];
    }

    /** @param int $local wall-clock time as seconds since 1970-01-01T00:00 on the wall clock */
    public function instantOf(int $local): int
    {
        $last = \count($this->starts) - 1;
        for ($i = 0; $i < $last; ++$i) {
            if ($local - $this->offsets[$i] < $this->starts[$i + 1]) {
                break;
            }
        }
        $instant = $local - $this->offsets[$i];

        return $i > 0 && $instant < $this->starts[$i] ? $local - $this->offsets[$i - 1] : $instant;
    }

    /** @return int wall-clock time as seconds since 1970-01-01T00:00 on the wall clock */
    public function localOf(int $instant): int
    {
        return $instant + $this->offsetAt($instant);
    }

    /** @return int the offset that holds throughout, or null when it changes strictly between the two instants */
    public function steadyOffset(int $from, int $until): ?int
    {
        $offset = $this->offsetAt($from);
        foreach ($this->starts as $start) {
            if ($start > $from && $start < $until) {
                return null;
            }
        }

        return $offset;
    }

    /** @return list<array{int, int, int}> instants at which the offset changes, with the offsets before and after */
    public function changes(): array
    {
        $changes = [];
        for ($i = 1; $i < \count($this->starts); ++$i) {
            $changes[] = [$this->starts[$i], $this->offsets[$i - 1], $this->offsets[$i]];
        }

        return $changes;
    }
}
