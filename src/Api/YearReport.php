<?php

declare(strict_types=1);

namespace Meandros\Server\Api;

use Meandros\Core\Plan\Element\Hours;
use Meandros\Core\Plan\Element\State;
use Meandros\Core\Plan\PlanHours;
use Meandros\Core\Time\CivilDate;
use Meandros\Core\Time\Comparison;
use Meandros\Core\Time\CompiledHours;
use Meandros\Core\Time\HoursCompiler;
use Meandros\Core\Time\Moment;
use Meandros\Core\Time\Season;
use Meandros\Core\Time\Timetable;
use Meandros\Core\Time\YearPicture;
use Meandros\Core\Wording\Duration;

/** A year of hours as JSON: the picture, and what is marked on it. */
final class YearReport
{
    /**
     * @param Hours|null $second other hours to compare with, drawn on the wall clock of the first
     *
     * @return array<string, mixed>
     */
    public static function of(PlanHours $running, Hours $hours, int $year, ?Hours $second): array
    {
        $timetable = $running->timetable($hours);
        $compiled = self::compile($timetable, $year);
        [$starts, $states] = [$compiled->starts(), $compiled->states()];
        if (null !== $second) {
            $comparison = Comparison::of(
                $compiled,
                self::open($hours),
                self::compile($running->timetable($second), $year),
                self::open($second),
            );
            [$starts, $states] = [$comparison->starts, $comparison->states];
        }
        $picture = YearPicture::draw($starts, $states, $timetable->zone, $year);

        return [
            'year' => $year,
            'zone' => $timetable->zone,
            'days' => $picture->days,
            'clockChanges' => self::clockChanges($picture, $timetable->zone),
            'holidays' => self::holidays($timetable, $year),
            'seasons' => array_merge(
                ...array_map(
                    static fn(Season $season): array => self::season($season, $year),
                    $timetable->dated->seasons,
                ),
            ),
            'specialDays' => self::specialDays($timetable, $year),
        ];
    }

    /** @return list<array{date: string, at: string, text: string}> */
    public static function clockChanges(YearPicture $picture, string $zone): array
    {
        return array_map(
            static fn(array $change): array => [
                'date' => CivilDate::format($change['day']),
                'at' => Moment::format($change['at'], $zone),
                'text' => \sprintf(
                    'Clocks go %s %s',
                    $change['after'] > $change['before'] ? 'forward' : 'back',
                    Duration::words(abs($change['after'] - $change['before'])),
                ),
            ],
            $picture->clockChanges,
        );
    }

    private static function compile(Timetable $timetable, int $year): CompiledHours
    {
        // A day more on either side: the other hours of a comparison may lie in a zone far away.
        return HoursCompiler::compile(
            $timetable,
            (CivilDate::of($year, 1, 1) - 2) * CivilDate::SECONDS_PER_DAY,
            (CivilDate::of($year + 1, 1, 1) + 2) * CivilDate::SECONDS_PER_DAY,
        );
    }

    /** @return list<string> */
    private static function open(Hours $hours): array
    {
        return array_values(
            array_map(
                static fn(State $state): string => $state->key,
                array_filter($hours->states->all, static fn(State $state): bool => $state->open),
            ),
        );
    }

    /** @return list<array<string, mixed>> */
    private static function holidays(Timetable $timetable, int $year): array
    {
        $holidays = [];
        foreach ($timetable->dated->calendars as $calendar) {
            foreach (
                $calendar->holidays->between(CivilDate::of($year, 1, 1), CivilDate::of($year + 1, 1, 1))
                as $occasion
            ) {
                $holidays[] = [
                    'date' => CivilDate::format($occasion->day),
                    'name' => $occasion->name(),
                    'calendar' => $calendar->name,
                    'kept' => null !== $calendar->stateOn($occasion->holiday),
                ];
            }
        }
        usort($holidays, static fn(array $a, array $b): int => $a['date'] <=> $b['date']);

        return $holidays;
    }

    /** @return list<array{name: string, from: string, to: string}> its stretches of the year */
    private static function season(Season $season, int $year): array
    {
        $stretches = [];
        foreach ($season->span->daysIn($year) as $day) {
            $last = array_key_last($stretches);
            if (null !== $last && $stretches[$last][1] === $day - 1) {
                $stretches[$last][1] = $day;
            } else {
                $stretches[] = [$day, $day];
            }
        }

        return array_map(
            static fn(array $stretch): array => [
                'name' => $season->name,
                'from' => CivilDate::format($stretch[0]),
                'to' => CivilDate::format($stretch[1]),
            ],
            $stretches,
        );
    }

    /** @return list<array{date: string, name: string}> */
    private static function specialDays(Timetable $timetable, int $year): array
    {
        $days = [];
        foreach ($timetable->dated->specialDays as $special) {
            if (CivilDate::year($special->day) === $year) {
                $days[] = ['date' => CivilDate::format($special->day), 'name' => $special->name];
            }
        }

        return $days;
    }
}
