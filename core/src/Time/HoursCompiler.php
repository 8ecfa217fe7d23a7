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
 * holidays over the week; within a layer a date's own spans over those that run in from the date before, and both over
 * what holds on the whole date. Overrides, which know instants and no days, are laid over the result.
 *
 * What was found of ordinary days and of the holidays of a year is kept: whoever compiles one range after the other keeps the compiler.
 */
final class HoursCompiler
{
    /** Over the range that is compiled. */
    private Zone $zone;
    /** @var array<string, list<array{int, string, Decision, int}>> pieces of ordinary days, in seconds since midnight, as if they were day 0 */
    private array $ordinaryDays = [];
    private readonly WeekLayer $week;
    /** @var list<Layer> the weakest first; the week before them all */
    private readonly array $stronger;

    public function __construct(private readonly Timetable $hours)
    {
        $this->week = new WeekLayer($hours);
        $this->stronger = [
            new HolidayLayer($hours->dated->calendars),
            new SpecialDayLayer($hours->dated->specialDays, $hours->defaultState),
        ];
    }

    public static function compile(Timetable $hours, int $from, int $until): CompiledHours
    {
        return (new self($hours))->over($from, $until);
    }

    public function over(int $from, int $until): CompiledHours
    {
        $this->zone = Zone::over($this->hours->zone, $from, $until);
        $first = CivilDate::ofLocalSecond($this->zone->localOf($from));
        $last = CivilDate::ofLocalSecond($this->zone->localOf($until - 1));
        $begin = $this->zone->midnightOf($first);
        $end = $this->zone->midnightOf($last + 1);
        $pieces = $this->isForced($begin, $end) ? [] : $this->timetable($first, $last);
        foreach ($this->hours->overrides as $override) {
            $pieces = $this->overridden($pieces, $override, $begin, $end);
        }

        return $this->joined($pieces, $begin, $end);
    }

    /** Whether one override holds throughout, so that nothing else has a say. */
    private function isForced(int $begin, int $end): bool
    {
        foreach ($this->hours->overrides as $override) {
            if ($override->from <= $begin && (null === $override->until || $override->until >= $end)) {
                return true;
            }
        }

        return false;
    }

    /** @return list<array{int, string, Decision, int}> pieces as nobody forced them, as CompiledHours takes them */
    private function timetable(int $first, int $last): array
    {
        $pieces = [];
        // Where a zone skips a whole date, that date has no pieces, and nothing of it runs on into the next.
        [$before, $beforeStart] = $this->dateBefore($first);
        $start = $this->zone->midnightOf($first);
        for ($day = $first; $day <= $last; ++$day) {
            $end = $this->zone->midnightOf($day + 1);
            if ($start < $end) {
                array_push($pieces, ...$this->pieces($before, $day, $beforeStart, $start, $end));
                [$before, $beforeStart] = [$day, $start];
            }
            $start = $end;
        }

        return $pieces;
    }

    /** @return array{int, int} the last date before a day that the zone has, and its first instant */
    private function dateBefore(int $day): array
    {
        $end = $this->zone->midnightOf($day);
        do {
            $start = $this->zone->midnightOf(--$day);
        } while ($start === $end);

        return [$day, $start];
    }

    /** @param list<array{int, string, Decision, int}> $pieces */
    private function joined(array $pieces, int $begin, int $end): CompiledHours
    {
        if ([] === $pieces) {
            throw new \InvalidArgumentException('The range to compile is empty.');
        }

        return CompiledHours::of($pieces, $begin, $end);
    }

    /** @return list<array{int, string, Decision, int}> pieces of the local day, which begins at $start and ends at $end */
    private function pieces(int $before, int $day, int $beforeStart, int $start, int $end): array
    {
        $isOrdinary = $before === $day - 1 && null !== $this->zone->steadyOffset($beforeStart - 1, $end + 1);
        $runsOn = true;
        foreach ($this->stronger as $layer) {
            $isOrdinary =
                $isOrdinary &&
                null === $layer->ground($day) &&
                [] === $layer->spans($day) &&
                [] === $layer->spans($before);
            $runsOn = $runsOn && !$layer->holdsMidnight($before, $day);
        }
        if (!$isOrdinary) {
            return self::cut(
                $this->placed($before, $day, $this->zone->instantOf(...), $this->zone->midnightOf(...)),
                $start,
                $end,
            );
        }
        $pattern = $this->week->pattern($day) . ($runsOn ? '' : ' cut off');
        $this->ordinaryDays[$pattern] ??= $this->ordinaryDay($day, $runsOn);
        $pieces = [];
        foreach ($this->ordinaryDays[$pattern] as [$second, $state, $decision]) {
            $pieces[] = [$start + $second, $state, $decision, $day];
        }

        return $pieces;
    }

    /** @return list<array{int, string, Decision, int}> as if the day were day 0 */
    private function ordinaryDay(int $day, bool $runsOn): array
    {
        $spans = [
            $this->week->ground($day),
            ...$runsOn ? self::later($this->week->spans($day - 1), -TimeOfDay::DAY) : [],
            ...$this->week->spans($day),
        ];
        $placed = array_map(static fn(Span $span): array => [$span->fromSeconds, $span->toSeconds, $span], $spans);

        return array_map(
            static fn(array $piece): array => [$piece[0], $piece[1], $piece[2]->daysLater(-$day), 0],
            self::cut($placed, 0, TimeOfDay::DAY),
        );
    }

    /**
     * @param list<Span> $spans
     *
     * @return list<Span>
     */
    private static function later(array $spans, int $seconds): array
    {
        return array_map(
            static fn(Span $span): Span => new Span(
                $span->fromSeconds + $seconds,
                $span->toSeconds + $seconds,
                $span->state,
                $span->decision,
            ),
            $spans,
        );
    }

    /**
     * @param \Closure(int): int $instant  of a local second
     * @param \Closure(int): int $midnight of a day
     *
     * @return list<array{int, int, Span}> what has a say on a day, with first instant and first one after it, the weakest first
     */
    private function placed(int $before, int $day, \Closure $instant, \Closure $midnight): array
    {
        $at = static fn(int $date, int $second): int => 0 === $second % TimeOfDay::DAY
            ? $midnight($date + intdiv($second, TimeOfDay::DAY))
            : $instant($date * TimeOfDay::DAY + $second);
        $placed = [];
        $layers = [$this->week, ...$this->stronger];
        foreach ($layers as $i => $layer) {
            $ground = $layer->ground($day);
            if (null !== $ground) {
                $placed[] = [$midnight($day), $midnight($day + 1), $ground];
            }
            $over = \array_slice($layers, $i + 1);
            $ends =
                [] === array_filter($over, static fn(Layer $stronger): bool => $stronger->holdsMidnight($before, $day))
                    ? \PHP_INT_MAX
                    : $midnight($day);
            foreach ([[$before, $ends], [$day, \PHP_INT_MAX]] as [$date, $latest]) {
                foreach ($layer->spans($date) as $span) {
                    $placed[] = [$at($date, $span->fromSeconds), min($at($date, $span->toSeconds), $latest), $span];
                }
            }
        }

        return $placed;
    }

    /**
     * @param list<array{int, int, Span}> $placed from, to, and what it is, the weakest first; the first one over the whole day
     *
     * @return list<array{int, string, Decision, int}>
     */
    private static function cut(array $placed, int $start, int $end): array
    {
        $edges = [];
        foreach ($placed as $i => [$from, $to]) {
            [$from, $to] = [max($start, $from), min($end, $to)];
            if ($from < $to) {
                $edges[$from] = true;
                if ($to < $end) {
                    $edges[$to] = true;
                }
            } else {
                unset($placed[$i]);
            }
        }
        ksort($edges);
        $placed = array_reverse($placed);
        $pieces = [];
        foreach (array_keys($edges) as $edge) {
            foreach ($placed as [$from, $to, $span]) {
                if ($from <= $edge && $edge < $to) {
                    $pieces[] = [$edge, $span->state, $span->decision, 0];
                    break;
                }
            }
        }

        return $pieces;
    }

    /**
     * @param list<array{int, string, Decision, int}> $pieces
     *
     * @return list<array{int, string, Decision, int}>
     */
    private function overridden(array $pieces, Override $override, int $begin, int $end): array
    {
        $from = max($begin, $override->from);
        $until = min($end, $override->until ?? $end);
        if ($from >= $until) {
            return $pieces;
        }
        // It may have begun long before the range, where the zone had another offset.
        $day = CivilDate::ofLocalSecond(Zone::around($this->hours->zone, $override->from)->localOf($override->from));
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
        $forced = [
            $from,
            $override->state,
            new Decision(
                Decision::OVERRIDE,
                $day,
                null,
                new Origin($override->by->reason, $override->id, $override->by->who, $override->until),
            ),
            0,
        ];

        return [
            ...$before,
            $forced,
            ...$until < $end && null !== $resumed ? [[$until, $resumed[1], $resumed[2], $resumed[3]]] : [],
            ...$after,
        ];
    }
}
