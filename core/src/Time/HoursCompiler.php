<?php

declare(strict_types=1);

namespace Meandros\Core\Time;

/**
 * Compiles a timetable to transitions over a range of instants.
 *
 * Each local day is cut into pieces; a piece takes the state of the strongest band that covers it. Stronger is: a
 * special day over the week; the day's own bands over those that run in from the day before; a later start over an
 * earlier one (which matters only where a daylight-saving gap pushes one band's end past another's start).
 */
final class HoursCompiler
{
    /** @var array<int, list<array{int, string, Decision}>> pieces of plain weekdays, in seconds since midnight */
    private array $plainDays = [];

    private function __construct(private readonly Timetable $hours, private readonly Zone $zone)
    {
    }

    public static function compile(Timetable $hours, int $from, int $until): CompiledHours
    {
        return (new self($hours, Zone::over($hours->zone, $from, $until)))->over($from, $until);
    }

    private function over(int $from, int $until): CompiledHours
    {
        $first = CivilDate::ofLocalSecond($this->zone->localOf($from));
        $last = CivilDate::ofLocalSecond($this->zone->localOf($until - 1));
        $starts = $states = $decisionStarts = $decisions = [];
        $state = null;
        $dayStart = $this->zone->instantOf($first * CivilDate::SECONDS_PER_DAY);
        $begin = $dayStart;
        for ($day = $first; $day <= $last; ++$day) {
            $dayEnd = $this->zone->instantOf(($day + 1) * CivilDate::SECONDS_PER_DAY);
            foreach ($this->pieces($day, $dayStart, $dayEnd) as [$start, $pieceState, $decision]) {
                $decisionStarts[] = $start;
                $decisions[] = $decision;
                if ($pieceState !== $state) {
                    $starts[] = $start;
                    $states[] = $state = $pieceState;
                }
            }
            $dayStart = $dayEnd;
        }

        if ([] === $starts || [] === $states || [] === $decisionStarts || [] === $decisions) {
            throw new \InvalidArgumentException('The range to compile is empty.');
        }

        return new CompiledHours($begin, $dayStart, $starts, $states, $decisionStarts, $decisions);
    }

    /** @return list<array{int, string, Decision}> pieces of the local day: first instant, state, decision */
    private function pieces(int $day, int $dayStart, int $dayEnd): array
    {
        $special = $this->hours->specialDays[$day] ?? null;
        $plain = null === $special && !isset($this->hours->specialDays[$day - 1]);
        $offset = $this->zone->steadyOffset($dayStart - 1, $dayEnd + 1);
        if (!$plain || null === $offset) {
            return $this->cut($this->bandsOn($day), $day, $dayStart, $dayEnd, fn (int $second): int => $this->zone->instantOf($day * CivilDate::SECONDS_PER_DAY + $second));
        }
        $weekday = CivilDate::weekday($day);
        $this->plainDays[$weekday] ??= $this->plainDay($day);
        $pieces = [];
        foreach ($this->plainDays[$weekday] as [$second, $state, $decision]) {
            $pieces[] = [$dayStart + $second, $state, $decision->daysLater($day)];
        }

        return $pieces;
    }

    /** @return list<array{int, string, Decision}> as if the day were day 0 */
    private function plainDay(int $day): array
    {
        return array_map(
            static fn (array $piece): array => [$piece[0], $piece[1], $piece[2]->daysLater(-$day)],
            $this->cut($this->bandsOn($day), $day, 0, CivilDate::SECONDS_PER_DAY, static fn (int $second): int => $second),
        );
    }

    /**
     * Bands that can hold on a local day, weakest first: from the day before (shifted by a day), then the day's own.
     *
     * @return list<array{int, int, Decision}> from, to (seconds since the day's midnight), decision
     */
    private function bandsOn(int $day): array
    {
        $bands = [];
        $special = $this->hours->specialDays[$day] ?? null;
        $specialBefore = $this->hours->specialDays[$day - 1] ?? null;
        if (null === $special || null !== $specialBefore) {
            foreach (null === $specialBefore ? $this->hours->week[CivilDate::weekday($day - 1)] ?? [] : $specialBefore->bands as $band) {
                if ($band->runsPastMidnight()) {
                    $bands[] = [0, $band->toSeconds - TimeOfDay::DAY, $this->decision($day - 1, $band, $specialBefore)];
                }
            }
        }
        $own = [];
        foreach (null === $special ? $this->hours->week[CivilDate::weekday($day)] ?? [] : $special->bands as $band) {
            $own[] = [$band->fromSeconds, $band->toSeconds, $this->decision($day, $band, $special)];
        }
        usort($own, static fn (array $a, array $b): int => $a[0] <=> $b[0]);

        return null === $special && null !== $specialBefore ? [...$own, ...$bands] : [...$bands, ...$own];
    }

    private function decision(int $day, Band $band, ?SpecialDay $special): Decision
    {
        return null === $special ? new Decision(Decision::WEEK, $day, $band) : new Decision(Decision::SPECIAL_DAY, $day, $band, $special->name);
    }

    /**
     * @param list<array{int, int, Decision}> $bands   weakest first
     * @param \Closure(int): int              $instant of a second since the day's midnight
     *
     * @return list<array{int, string, Decision}>
     */
    private function cut(array $bands, int $day, int $start, int $end, \Closure $instant): array
    {
        $edges = [$start => true];
        $spans = [];
        foreach ($bands as [$from, $to, $decision]) {
            $from = max($start, 0 === $from ? $start : $instant($from));
            $to = min($end, $to >= TimeOfDay::DAY ? $end : $instant($to));
            if ($from < $to) {
                $spans[] = [$from, $to, $decision];
                $edges[$from] = true;
                if ($to < $end) {
                    $edges[$to] = true;
                }
            }
        }
        ksort($edges);
        $special = $this->hours->specialDays[$day] ?? null;
        $default = new Decision(null === $special ? Decision::DEFAULT : Decision::SPECIAL_DAY, $day, null, $special?->name);
        $pieces = [];
        foreach (array_keys($edges) as $edge) {
            $decision = $default;
            foreach ($spans as [$from, $to, $candidate]) {
                if ($from <= $edge && $edge < $to) {
                    $decision = $candidate;
                }
            }
            $pieces[] = [$edge, $decision->band->state ?? $this->hours->defaultState, $decision];
        }

        return $pieces;
    }
}
