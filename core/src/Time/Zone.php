<?php

declare(strict_types=1);

namespace Meandros\Core\Time;

use Meandros\Core\Value\Lists;

/**
 * An IANA time zone over a range of instants, as offsets in force between transitions.
 *
 * Local times are read as RFC 5545 3.3.5 says: one that does not exist is read with the offset before the gap, one
 * that exists twice is the first.
 */
final readonly class Zone
{
    /** Abbreviations that the IANA database keeps as links, by the zone that its file "backward" (2024b) links them to. */
    private const USUAL = [
        'EST' => 'America/Panama',
        'MST' => 'America/Phoenix',
        'HST' => 'Pacific/Honolulu',
        'CET' => 'Europe/Brussels',
        'MET' => 'Europe/Brussels',
        'EET' => 'Europe/Athens',
        'WET' => 'Europe/Lisbon',
        'GMT' => 'Etc/GMT',
        'GMT+0' => 'Etc/GMT',
        'GMT-0' => 'Etc/GMT',
        'GMT0' => 'Etc/GMT',
        'Greenwich' => 'Etc/GMT',
        'UCT' => 'Etc/UTC',
        'Universal' => 'Etc/UTC',
        'Zulu' => 'Etc/UTC',
    ];
    /** Names that stand in the database's folder and mean no place: this machine's own zone, and one that was never set. */
    private const NO_PLACE = ['localtime', 'Factory'];
    private const LONGEST_NAME = 64;
    /** How far from any instant a local time in that zone can lie: no offset is larger than a day. */
    private const MARGIN_SECONDS = 172800;
    /** What is known around instants is known for so long before and after: calls of a year ask for few. */
    private const BLOCK_SECONDS = 1024 * 86400;
    private const MOST_KNOWN = 200;

    /**
     * @param non-empty-list<int> $starts  instants from which each offset is in force; the first one is the range's start
     * @param non-empty-list<int> $offsets seconds east of UTC, one per start
     */
    private function __construct(public string $name, private array $starts, private array $offsets) {}

    /** @throws \InvalidArgumentException when the name is not an IANA zone */
    public static function over(string $name, int $from, int $until): self
    {
        $transitions = self::transitions($name, $from - self::MARGIN_SECONDS, $until + self::MARGIN_SECONDS);
        if ([] === $transitions) {
            throw new \InvalidArgumentException(
                \sprintf('"%s" is not an IANA time zone; the closest is %s.', $name, self::closestTo($name)),
            );
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

    /**
     * Over some time before and after an instant, or a local time; known once it was asked for, as it is asked for again and again.
     *
     * @throws \InvalidArgumentException when the name is not an IANA zone
     */
    public static function around(string $name, int $instant): self
    {
        /** @var array<string, self> $known */
        static $known = [];
        if (\count($known) > self::MOST_KNOWN) {
            $known = [];
        }
        $block = (int) floor($instant / self::BLOCK_SECONDS);

        return $known[$name . ' ' . $block] ??= self::over(
            $name,
            $block * self::BLOCK_SECONDS,
            ($block + 1) * self::BLOCK_SECONDS,
        );
    }

    /** @return list<array{ts: int, offset: int}> none where PHP knows no such zone, or takes the name for a mere abbreviation */
    private static function transitions(string $name, int $from, int $until): array
    {
        try {
            // False for mere abbreviations, whatever its signature says.
            $transitions = (new \DateTimeZone($name))->getTransitions($from, $until) ?: [];
        } catch (\Exception) {
            return [];
        }

        return array_map(
            static fn(array $one): array => ['ts' => $one['ts'], 'offset' => $one['offset']],
            $transitions,
        );
    }

    /** @return list<string> zones that the IANA database (zone.tab) has in a country, ISO 3166-1 alpha-2 */
    public static function ofCountry(string $country): array
    {
        return 1 === preg_match('/^[A-Z]{2}$/D', $country)
            ? \DateTimeZone::listIdentifiers(\DateTimeZone::PER_COUNTRY, $country)
            : [];
    }

    /** Whether clocks show the same in another zone, over the same range. */
    public function isLike(self $other): bool
    {
        return [$this->starts, $this->offsets] === [$other->starts, $other->offsets];
    }

    /** Whether the name is one of the IANA database, and hours can be kept in it. */
    public static function exists(string $name): bool
    {
        return !Lists::has(self::NO_PLACE, $name) &&
            Lists::has(\DateTimeZone::listIdentifiers(\DateTimeZone::ALL_WITH_BC), $name) &&
            [] !== self::transitions($name, 0, 0);
    }

    /**
     * What to say of a name that is no zone.
     *
     * @return array{zone: string, usual: string, closest: string} the usual name for it, or "none"
     */
    public static function unknown(string $name): array
    {
        return [
            'zone' => mb_substr($name, 0, self::LONGEST_NAME),
            'usual' => self::USUAL[$name] ?? 'none',
            'closest' => self::closestTo($name),
        ];
    }

    /** The zone name closest to what somebody typed, for an error message. */
    public static function closestTo(string $name): string
    {
        $name = substr($name, 0, self::LONGEST_NAME);
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
        return $this->offsets[$this->stretchAt($instant)];
    }

    /** @return int which of the offsets is in force */
    private function stretchAt(int $instant): int
    {
        $last = \count($this->starts) - 1;
        while ($last > 0 && $this->starts[$last] > $instant) {
            --$last;
        }

        return $last;
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

    /** @return int the first instant of a local day; one that the zone skips has no length, and starts where the next one does */
    public function midnightOf(int $day): int
    {
        $local = $day * CivilDate::SECONDS_PER_DAY;
        $instant = $this->instantOf($local);
        // A midnight that does not exist: the RFC's reading lies beyond the gap by as much as the midnight lies in it.
        while ($this->localOf($instant) > $local && $instant > ($start = $this->starts[$this->stretchAt($instant)])) {
            $instant = $start;
        }

        return $instant;
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
