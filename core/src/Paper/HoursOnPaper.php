<?php

declare(strict_types=1);

namespace Meandros\Core\Paper;

use Meandros\Core\Plan\Element\Hours;
use Meandros\Core\Plan\Element\WeekBand;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Plan\PlanHours;
use Meandros\Core\Time\Band;
use Meandros\Core\Time\MonthDay;
use Meandros\Core\Time\SpecialDay;
use Meandros\Core\Time\TimeOfDay;
use Meandros\Core\Time\Timetable;
use Meandros\Core\Time\Weekday;
use Meandros\Core\Value\Lists;

/** Hours as tables: the weeks with their bands, and what is otherwise in the year that follows a day. */
final readonly class HoursOnPaper
{
    private const DAYS_AHEAD = 366;

    /** @param int $day days since 1970 */
    public function __construct(private Plan $plan, private PaperWords $words, private int $day) {}

    public function chapter(Hours $hours): Chapter
    {
        $timetable = (new PlanHours($this->plan))->timetable($hours);
        $tables = [$this->week($hours, $hours->days->week, $this->words->say('hours.week'))];
        foreach ($hours->days->seasons as $season) {
            $dates = $season->span->toJson();
            $tables[] = $this->week(
                $hours,
                $season->week,
                $this->words->say('hours.season', [
                    'name' => $season->name,
                    'from' => $this->dateOrDay($dates['from']),
                    'to' => $this->dateOrDay($dates['to']),
                ]),
            );
        }
        $ahead = $this->ahead($hours, $timetable);
        if ([] !== $ahead) {
            $tables[] = new Table($this->words->head('date', 'day', 'state'), $ahead);
        }

        return new Chapter(
            new Heading($hours->name(), 3),
            [
                $this->words->say('hours.zone', [
                    'zone' => $timetable->zone,
                    'state' => $hours->states->nameOf($hours->states->default),
                ]),
            ],
            tables: $tables,
        );
    }

    /** @param list<WeekBand> $week */
    private function week(Hours $hours, array $week, string $title): Table
    {
        $rows = [];
        foreach (Weekday::cases() as $day) {
            $bands = array_values(
                array_filter($week, static fn(WeekBand $band): bool => Lists::has($band->days, $day)),
            );
            $rows[] = [
                $this->words->weekday($day),
                $this->bands($hours, array_map(static fn(WeekBand $one): Band => $one->band, $bands)),
            ];
        }

        return new Table([$title, $this->words->say('head.bands')], $rows);
    }

    /** @param list<Band> $bands */
    private function bands(Hours $hours, array $bands): string
    {
        usort($bands, static fn(Band $a, Band $b): int => $a->fromSeconds <=> $b->fromSeconds);

        return $this->words->list(
            array_map(
                static fn(Band $band): string => \sprintf(
                    '%s–%s %s',
                    TimeOfDay::format($band->fromSeconds),
                    TimeOfDay::format($band->toSeconds),
                    $hours->states->nameOf($band->state),
                ),
                $bands,
            ),
        );
    }

    /** @return list<list<string>> special days and holidays of the year ahead, by date */
    private function ahead(Hours $hours, Timetable $timetable): array
    {
        $rows = [];
        foreach ($timetable->dated->calendars as $calendar) {
            foreach ($calendar->holidays->between($this->day, $this->day + self::DAYS_AHEAD) as $occasion) {
                $state = $calendar->stateOn($occasion->holiday);
                $rows[] = [
                    $occasion->day,
                    $occasion->holiday->name .
                    (null === $occasion->insteadOf ? '' : ' ' . $this->words->say('hours.substitute')),
                    null === $state ? $this->words->say('hours.not-kept') : $hours->states->nameOf($state),
                ];
            }
        }
        foreach ($timetable->dated->specialDays as $special) {
            if ($this->isAhead($special)) {
                $rows[] = [$special->day, $special->name, $this->bands($hours, $special->bands)];
            }
        }
        usort($rows, static fn(array $a, array $b): int => $a[0] <=> $b[0]);

        return array_map(fn(array $row): array => [$this->words->date($row[0]), $row[1], $row[2]], $rows);
    }

    private function isAhead(SpecialDay $special): bool
    {
        return $special->day >= $this->day && $special->day < $this->day + self::DAYS_AHEAD;
    }

    private function dateOrDay(string $text): string
    {
        return null === MonthDay::parse($text) ? $text : $this->words->monthDay($text);
    }
}
