<?php

declare(strict_types=1);

namespace Meandros\Core\ICalendar;

use Meandros\Core\Time\CivilDate;
use Meandros\Core\Value\Lists;

/**
 * Expands an RRULE as RFC 5545 3.3.10 says, on the wall clock of the event's own zone.
 *
 * Period after period: the days of the period that every BY part allows, times the times of day, cut by BYSETPOS.
 * Local times are seconds since 1970-01-01T00:00 on the wall clock.
 */
final readonly class Recurrence
{
    private function __construct(
        private RecurrenceRule $rule,
        private int $start,
        private DayFilter $days,
        private Effort $effort,
    ) {}

    public static function of(RecurrenceRule $rule, int $start, Effort $effort): self
    {
        return new self(
            $rule,
            $start,
            new DayFilter($rule, intdiv($start - self::timeOf($start), CivilDate::SECONDS_PER_DAY)),
            $effort,
        );
    }

    /**
     * @param int|null $last  the last local time that UNTIL allows
     * @param int      $until local time at which to stop looking
     * @param int      $most  occurrences after which to stop
     *
     * @return list<int> local times in order, the start always among them
     *
     * @throws \InvalidArgumentException when it would take too long
     */
    public function occurrences(?int $last, int $until, int $most): array
    {
        $found = [$this->start];
        $most = min($most, $this->rule->end->count ?? $most);
        foreach ($this->candidates(min($until, ($last ?? $until) + 1)) as $local) {
            if (\count($found) >= $most) {
                break;
            }
            if ($local > $this->start) {
                $found[] = $local;
            }
        }

        return $found;
    }

    /** @return iterable<int> */
    private function candidates(int $until): iterable
    {
        $step = $this->rule->frequency->seconds();
        foreach (null === $step ? $this->longPeriods($until) : $this->shortPeriods($step, $until) as $set) {
            $this->effort->spend(1 + \count($set));
            foreach ($this->positions($set) as $local) {
                if ($local >= $until) {
                    return;
                }
                yield $local;
            }
        }
    }

    /** @return iterable<list<int>> the sets of years, months, weeks or days */
    private function longPeriods(int $until): iterable
    {
        $times = $this->times();
        for ($i = 0; ; ++$i) {
            [$first, $last] = $this->days->period($i * $this->rule->interval);
            if ($first * CivilDate::SECONDS_PER_DAY >= $until) {
                return;
            }
            $set = [];
            foreach ($this->days->stretches($first, $last) as [$from, $to]) {
                $this->effort->spend(($to - $from + 1) * $this->days->cost);
                for ($day = $from; $day <= $to; ++$day) {
                    $allowed = $this->days->allows($day) ? $times : [];
                    $this->effort->spend(\count($allowed));
                    foreach ($allowed as $time) {
                        $set[] = $day * CivilDate::SECONDS_PER_DAY + $time;
                    }
                }
            }
            yield $set;
        }
    }

    /** @return iterable<list<int>> the sets of hours, minutes or seconds */
    private function shortPeriods(int $step, int $until): iterable
    {
        $begin = $this->start - ($this->start % $step);
        $jump = $step * $this->rule->interval;
        for ($period = $begin; $period < $until; $period += $jump) {
            $time = self::timeOf($period);
            $day = intdiv($period - $time, CivilDate::SECONDS_PER_DAY);
            if (!$this->days->allows($day)) {
                // The next period that lies on another day.
                $period += intdiv(CivilDate::SECONDS_PER_DAY - $time - 1, $jump) * $jump;
                yield [];
                continue;
            }
            yield $this->within($period, $step, $time);
        }
    }

    /** @return list<int> the times of one hour, minute or second */
    private function within(int $period, int $step, int $time): array
    {
        $by = $this->rule->by;
        [$hour, $minute, $second] = [intdiv($time, 3600), intdiv($time, 60) % 60, $time % 60];
        if (
            ([] !== $by['BYHOUR'] && !Lists::has($by['BYHOUR'], $hour)) ||
            ($step < 3600 && [] !== $by['BYMINUTE'] && !Lists::has($by['BYMINUTE'], $minute)) ||
            ($step < 60 && [] !== $by['BYSECOND'] && !Lists::has($by['BYSECOND'], $second))
        ) {
            return [];
        }
        $minutes = 3600 === $step ? self::either($by['BYMINUTE'], intdiv($this->start, 60) % 60) : [0];
        $seconds = $step >= 60 ? self::either($by['BYSECOND'], $this->start % 60) : [0];
        $set = [];
        foreach ($minutes as $m) {
            foreach ($seconds as $s) {
                $set[] = $period + $m * 60 + $s;
            }
        }

        return $set;
    }

    /** @return list<int> times of day, in order */
    private function times(): array
    {
        $of = self::timeOf($this->start);
        $times = [];
        foreach (self::either($this->rule->by['BYHOUR'], intdiv($of, 3600)) as $hour) {
            foreach (self::either($this->rule->by['BYMINUTE'], intdiv($of, 60) % 60) as $minute) {
                foreach (self::either($this->rule->by['BYSECOND'], $of % 60) as $second) {
                    $times[] = $hour * 3600 + $minute * 60 + $second;
                }
            }
        }

        return $times;
    }

    /**
     * @param list<int> $set in order
     *
     * @return list<int>
     */
    private function positions(array $set): array
    {
        if ([] === $this->rule->by['BYSETPOS']) {
            return $set;
        }
        $chosen = [];
        foreach ($this->rule->by['BYSETPOS'] as $position) {
            $i = $position > 0 ? $position - 1 : \count($set) + $position;
            if (isset($set[$i])) {
                $chosen[$i] = $set[$i];
            }
        }
        ksort($chosen);

        return array_values($chosen);
    }

    /**
     * @param list<int> $given
     *
     * @return list<int> in order
     */
    private static function either(array $given, int $own): array
    {
        sort($given);

        return [] === $given ? [$own] : $given;
    }

    private static function timeOf(int $local): int
    {
        return (($local % CivilDate::SECONDS_PER_DAY) + CivilDate::SECONDS_PER_DAY) % CivilDate::SECONDS_PER_DAY;
    }
}
