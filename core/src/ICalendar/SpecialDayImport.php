<?php

declare(strict_types=1);

namespace Meandros\Core\ICalendar;

use Meandros\Core\Plan\Element\Hours;
use Meandros\Core\Plan\PlanHours;
use Meandros\Core\Time\Band;
use Meandros\Core\Time\CivilDate;
use Meandros\Core\Time\DatedDays;
use Meandros\Core\Time\HoursCompiler;
use Meandros\Core\Time\SpecialDay;
use Meandros\Core\Time\Timetable;
use Meandros\Core\Time\Zone;
use Meandros\Core\Wording\When;

/**
 * Takes the events of a calendar file over as special days of hours. A date on which the hours do just that already
 * is left alone, so that importing what was exported changes nothing.
 */
final readonly class SpecialDayImport
{
    /** @param PlanHours $usual the hours as the plan has them, with nothing forced */
    public function __construct(private PlanHours $usual) {}

    /** @param string $state of events that name none of these hours */
    public function preview(Hours $hours, CalendarFile $file, string $state): Preview
    {
        $leftOut = $file->leftOut;
        $bands = $names = [];
        foreach ($file->events as $event) {
            $named = $hours->states->find($event->extras[Exporter::STATE] ?? '')->key ?? $state;
            foreach ($event->parts() as $part) {
                $overlap = self::over($bands[$part['day']] ?? [], $part['from'], $part['to']);
                if (null !== $overlap) {
                    $leftOut[] = new LeftOut(
                        \sprintf('%s on %s', $event->name, When::date($part['day'])),
                        \sprintf('it overlaps “%s”', $names[$part['day']]),
                    );
                    continue;
                }
                $bands[$part['day']][] = new Band($part['from'], $part['to'], $named);
                $names[$part['day']] ??= $event->name;
            }
        }
        ksort($bands);
        $timetable = $this->usual->timetable($hours);
        $days = [];
        foreach ($hours->days->specialDays as $special) {
            $days[$special->day] = $special;
        }
        $added = $changed = $unchanged = [];
        foreach ($bands as $day => $ofDay) {
            usort($ofDay, static fn(Band $a, Band $b): int => $a->fromSeconds <=> $b->fromSeconds);
            $words = \sprintf('%s: %s', When::date($day), $names[$day]);
            $special = new SpecialDay($day, $names[$day], $ofDay);
            if (self::sameDay(self::withDays($timetable, $days), $special)) {
                $unchanged[] = $words;
                continue;
            }
            isset($days[$day])
                ? ($changed[] = \sprintf('%s; it was “%s”', $words, $days[$day]->name))
                : ($added[] = $words);
            $days[$day] = $special;
        }
        ksort($days);

        return new Preview(
            $hours->withDays($hours->days->withSpecialDays(array_values($days))),
            $added,
            $changed,
            $unchanged,
            $leftOut,
        );
    }

    /** @param list<Band> $bands */
    private static function over(array $bands, int $from, int $to): ?Band
    {
        foreach ($bands as $band) {
            if ($band->fromSeconds < $to && $from < $band->toSeconds) {
                return $band;
            }
        }

        return null;
    }

    /** Whether the hours would be in the same state at every instant of the day with the special day as without. */
    private static function sameDay(Timetable $timetable, SpecialDay $special): bool
    {
        $near = $special->day * CivilDate::SECONDS_PER_DAY;
        $zone = Zone::over(
            $timetable->zone,
            $near - CivilDate::SECONDS_PER_DAY,
            $near + 2 * CivilDate::SECONDS_PER_DAY,
        );
        [$from, $until] = [$zone->instantOf($near), $zone->instantOf($near + CivilDate::SECONDS_PER_DAY)];
        if ($from >= $until) {
            return true;
        }
        $stretches = static function (Timetable $hours) use ($from, $until): array {
            $compiled = HoursCompiler::compile($hours, $from, $until);

            return [$compiled->starts(), $compiled->states()];
        };

        return $stretches($timetable) ===
            $stretches(self::withDays($timetable, [$special->day => $special] + $timetable->dated->specialDays));
    }

    /** @param array<int, SpecialDay> $days */
    private static function withDays(Timetable $timetable, array $days): Timetable
    {
        return new Timetable(
            $timetable->zone,
            $timetable->defaultState,
            $timetable->week,
            new DatedDays($timetable->dated->seasons, $timetable->dated->calendars, $days),
        );
    }
}
