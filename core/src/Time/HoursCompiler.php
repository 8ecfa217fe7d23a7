<?php

declare(strict_types=1);

namespace Meandros\Core\Time;

use Meandros\Core\Time\Layer\HolidayLayer;
use Meandros\Core\Time\Layer\Layer;
use Meandros\Core\Time\Layer\Span;
use Meandros\Core\Time\Layer\SpecialDayLayer;
use Meandros\Core\Time\Layer\WeekLayer;

/**
 * Compiles a timetable to transitions over a range of instants.
 *
 * Each local day is cut into pieces; a piece takes the state of the strongest span that covers it: special days over
 * holidays over the week; a day's own bands over those that run in from the day before. Overrides, which know
 * instants and no days, are laid over the result.
 */
final class HoursCompiler
{
    /** @var array<string, list<array{int, string, Decision}>> pieces of ordinary days, in seconds since midnight */
    private array $ordinaryDays = [];
    private readonly WeekLayer $week;
    /** @var list<Layer> the weakest first */
    private readonly array $layers;

    private function __construct(private readonly Timetable $hours, private readonly Zone $zone)
    {
        $this->week = new WeekLayer($hours);
        $this->layers = [new HolidayLayer($hours->calendars), new SpecialDayLayer($hours->specialDays, $hours->defaultState)];
    }

    public static function compile(Timetable $hours, int $from, int $until): CompiledHours
    {
        return (new self($hours, Zone::over($hours->zone, $from, $until)))->over($from, $until);
    }

    private function over(int $from, int $until): CompiledHours
    {
        $first = CivilDate::ofLocalSecond($this->zone->localOf($from));
        $last = CivilDate::ofLocalSecond($this->zone->localOf($until - 1));
        $dayStart = $begin = $this->zone->instantOf($first * CivilDate::SECONDS_PER_DAY);
        $pieces = [];
        for ($day = $first; $day <= $last; ++$day) {
            $dayEnd = $this->zone->instantOf(($day + 1) * CivilDate::SECONDS_PER_DAY);
            // Where a zone skips a whole date, that date has no pieces.
            if ($dayStart < $dayEnd) {
                array_push($pieces, ...$this->pieces($day, $dayStart, $dayEnd));
            }
            $dayStart = $dayEnd;
        }
        foreach ($this->hours->overrides as $override) {
            $pieces = $this->overridden($pieces, $override, $begin, $dayStart);
        }

        return $this->joined($pieces, $begin, $dayStart);
    }

    /** @param list<array{int, string, Decision}> $pieces */
    private function joined(array $pieces, int $begin, int $end): CompiledHours
    {
        if ([] === $pieces) {
            throw new \InvalidArgumentException('The range to compile is empty.');
        }
        $starts = $states = $decisionStarts = $decisions = [];
        $state = null;
        foreach ($pieces as [$start, $pieceState, $decision]) {
            $decisionStarts[] = $start;
            $decisions[] = $decision;
            if ($pieceState !== $state) {
                $starts[] = $start;
                $states[] = $state = $pieceState;
            }
        }

        return new CompiledHours($begin, $end, $starts, $states, $decisionStarts, $decisions);
    }

    /** @return list<array{int, string, Decision}> pieces of the local day: first instant, state, decision */
    private function pieces(int $day, int $dayStart, int $dayEnd): array
    {
        $over = [];
        $spills = true;
        foreach ($this->layers as $layer) {
            array_push($over, ...$layer->spansOn($day));
            $spills = $spills && !$layer->holdsMidnightAfter($day - 1);
        }
        if ([] !== $over || null === $this->zone->steadyOffset($dayStart - 1, $dayEnd + 1)) {
            $midnight = $day * CivilDate::SECONDS_PER_DAY;

            return self::cut([...$this->week->spansOn($day, $spills), ...$over], $dayStart, $dayEnd, fn (int $second): int => $this->zone->instantOf($midnight + $second));
        }
        $pattern = $this->week->pattern($day).($spills ? '' : ' cut off');
        $this->ordinaryDays[$pattern] ??= $this->ordinaryDay($day, $spills);
        $pieces = [];
        foreach ($this->ordinaryDays[$pattern] as [$second, $state, $decision]) {
            $pieces[] = [$dayStart + $second, $state, $decision->daysLater($day)];
        }

        return $pieces;
    }

    /** @return list<array{int, string, Decision}> as if the day were day 0 */
    private function ordinaryDay(int $day, bool $spills): array
    {
        return array_map(
            static fn (array $piece): array => [$piece[0], $piece[1], $piece[2]->daysLater(-$day)],
            self::cut($this->week->spansOn($day, $spills), 0, CivilDate::SECONDS_PER_DAY, static fn (int $second): int => $second),
        );
    }

    /**
     * @param list<Span>         $spans   the weakest first, the first one over the whole day
     * @param \Closure(int): int $instant of a second since the day's midnight
     *
     * @return list<array{int, string, Decision}>
     */
    private static function cut(array $spans, int $start, int $end, \Closure $instant): array
    {
        $edges = $placed = [];
        foreach ($spans as $span) {
            $from = 0 === $span->fromSeconds ? $start : max($start, $instant($span->fromSeconds));
            $to = $span->toSeconds >= TimeOfDay::DAY ? $end : min($end, $instant($span->toSeconds));
            if ($from < $to) {
                $placed[] = [$from, $to, $span];
                $edges[$from] = true;
                if ($to < $end) {
                    $edges[$to] = true;
                }
            }
        }
        ksort($edges);
        $placed = array_reverse($placed);
        $pieces = [];
        foreach (array_keys($edges) as $edge) {
            foreach ($placed as [$from, $to, $span]) {
                if ($from <= $edge && $edge < $to) {
                    $pieces[] = [$edge, $span->state, $span->decision];
                    break;
                }
            }
        }

        return $pieces;
    }

    /**
     * @param list<array{int, string, Decision}> $pieces
     *
     * @return list<array{int, string, Decision}>
     */
    private function overridden(array $pieces, Override $override, int $begin, int $end): array
    {
        $from = max($begin, $override->from);
        $until = min($end, $override->until ?? $end);
        if ($from >= $until) {
            return $pieces;
        }
        $day = CivilDate::ofLocalSecond($this->zone->localOf($override->from));
        $before = $after = [];
        $resumed = null;
        foreach ($pieces as $piece) {
            if ($piece[0] < $from) {
                $before[] = $piece;
            } elseif ($piece[0] > $until) {
                $after[] = $piece;
            }
            if ($piece[0] <= $until) {
                $resumed = $piece;
            }
        }
        $forced = [$from, $override->state, new Decision(Decision::OVERRIDE, $day, null, $override->reason, $override->id, $override->who)];

        return [...$before, $forced, ...($until < $end && null !== $resumed ? [[$until, $resumed[1], $resumed[2]]] : []), ...$after];
    }
}
