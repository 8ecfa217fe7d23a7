<?php

declare(strict_types=1);

namespace Meandros\Core\Time;

/**
 * Dates from one to another, both included: either of particular years, or recurring every year. A span that recurs
 * may run over the turn of the year (1 November – 31 March).
 */
final readonly class DateSpan
{
    private function __construct(private int|MonthDay $from, private int|MonthDay $to) {}

    public static function dated(int $from, int $to): self
    {
        if ($to < $from) {
            throw new \InvalidArgumentException('The span ends before it starts.');
        }

        return new self($from, $to);
    }

    public static function yearly(MonthDay $from, MonthDay $to): self
    {
        return new self($from, $to);
    }

    public function recurs(): bool
    {
        return $this->from instanceof MonthDay;
    }

    public function contains(int $day): bool
    {
        if (!($this->from instanceof MonthDay) || !($this->to instanceof MonthDay)) {
            return $this->from <= $day && $day <= $this->to;
        }
        [$from, $to, $on] = [$this->from->order(), $this->to->order(), CivilDate::monthDay($day)];

        return $from <= $to ? $from <= $on && $on <= $to : $from <= $on || $on <= $to;
    }

    /** @return list<int> the days of the span that lie in the year */
    public function daysIn(int $year): array
    {
        $days = [];
        foreach ($this->stretchesIn($year) as [$from, $to]) {
            array_push($days, ...range($from, $to));
        }

        return $days;
    }

    /** @return int|null the first day that both hold; spans that recur are compared over a leap year */
    public function meets(self $other): ?int
    {
        foreach ($this->yearsWith($other) as $year) {
            foreach ($this->stretchesIn($year) as [$from, $to]) {
                foreach ($other->stretchesIn($year) as [$otherFrom, $otherTo]) {
                    if (max($from, $otherFrom) <= min($to, $otherTo)) {
                        return max($from, $otherFrom);
                    }
                }
            }
        }

        return null;
    }

    /** @return list<int> */
    private function yearsWith(self $other): array
    {
        foreach ([$this, $other] as $span) {
            if (\is_int($span->from) && \is_int($span->to)) {
                return range(CivilDate::year($span->from), CivilDate::year($span->to));
            }
        }

        return [2024];
    }

    /** @return list<array{int, int}> first and last days of its parts that lie in the year, in order */
    private function stretchesIn(int $year): array
    {
        [$first, $last] = [CivilDate::of($year, 1, 1), CivilDate::of($year, 12, 31)];
        if (\is_int($this->from) && \is_int($this->to)) {
            return $this->from > $last || $this->to < $first ? [] : [[max($first, $this->from), min($last, $this->to)]];
        }
        \assert($this->from instanceof MonthDay && $this->to instanceof MonthDay);
        // What begins or ends on 29 February does so next to it in other years.
        $from = $this->from->in($year) ?? CivilDate::of($year, 3, 1);
        $to = $this->to->in($year) ?? CivilDate::of($year, 2, 28);
        if ($this->from->order() > $this->to->order()) {
            return [[$first, $to], [$from, $last]];
        }

        return $from <= $to ? [[$from, $to]] : [];
    }

    /** @return int|null its last day; null when it recurs */
    public function lastDay(): ?int
    {
        return \is_int($this->to) ? $this->to : null;
    }

    /** @return array{from: string, to: string} */
    public function toJson(): array
    {
        return ['from' => self::text($this->from), 'to' => self::text($this->to)];
    }

    private static function text(int|MonthDay $date): string
    {
        return \is_int($date) ? CivilDate::format($date) : $date->format();
    }
}
