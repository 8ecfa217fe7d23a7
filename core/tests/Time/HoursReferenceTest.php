<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Time;

use Meandros\Core\Tests\PythonReference;
use Meandros\Core\Tests\Soak;
use Meandros\Core\Time\Band;
use Meandros\Core\Time\CivilDate;
use Meandros\Core\Time\DatedDays;
use Meandros\Core\Time\DateSpan;
use Meandros\Core\Time\ForcedBy;
use Meandros\Core\Time\Holiday\Church;
use Meandros\Core\Time\Holiday\DayPart;
use Meandros\Core\Time\Holiday\FromEaster;
use Meandros\Core\Time\Holiday\Holiday;
use Meandros\Core\Time\Holiday\Holidays;
use Meandros\Core\Time\Holiday\OnDates;
use Meandros\Core\Time\Holiday\Substitute;
use Meandros\Core\Time\Holiday\SubstituteDay;
use Meandros\Core\Time\Holiday\Yearly;
use Meandros\Core\Time\HoursBook;
use Meandros\Core\Time\Moment;
use Meandros\Core\Time\MonthDay;
use Meandros\Core\Time\ObservedCalendar;
use Meandros\Core\Time\Override;
use Meandros\Core\Time\Season;
use Meandros\Core\Time\SpecialDay;
use Meandros\Core\Time\Timetable;
use Meandros\Core\Time\Weekday;
use PHPUnit\Framework\TestCase;

/**
 * Random hours beside a reference written with Python's zoneinfo (PEP 615) and Debian's python3-dateutil: weeks, seasons of one name,
 * holidays with parts and substitute days over the turn of the year, special days that run on, overrides; in zones that
 * change by half an hour, at midnight, by two hours, backwards in winter, or skip a date. Every change that we name is
 * tried on both of its sides.
 */
final class HoursReferenceTest extends TestCase
{
    private const ZONES = [
        'Europe/London',
        'Europe/Paris',
        'America/New_York',
        'America/St_Johns',
        'America/Santiago',
        'Australia/Lord_Howe',
        'Pacific/Chatham',
        'Asia/Kathmandu',
        'Asia/Beirut',
        'Atlantic/Azores',
        'America/Nuuk',
        'Africa/Casablanca',
        'Antarctica/Troll',
        'Pacific/Apia',
        'America/Asuncion',
        'Africa/Cairo',
    ];
    private const YEARS = ['Pacific/Apia' => 2011, 'America/St_Johns' => 2010];

    public function testRandomHoursAgree(): void
    {
        mt_srand(Soak::seed());
        $cases = $ours = [];
        for ($i = 0, $count = Soak::count(40); $i < $count; ++$i) {
            [$case, $hours] = self::random(self::ZONES[$i % \count(self::ZONES)], $i);
            $book = HoursBook::of($hours);
            $case['instants'] = self::instants($book, $hours->zone, self::YEARS[$hours->zone] ?? 2022);
            $cases[] = $case;
            $ours[] = array_map(static fn(int $at): string => $book->read($at)->state, $case['instants']);
        }
        $theirs = PythonReference::ask(__DIR__ . '/hours_reference.py', $cases);
        $compared = 0;
        foreach ($cases as $i => $case) {
            foreach ($case['instants'] as $j => $at) {
                self::assertSame(
                    $theirs[$i][$j],
                    $ours[$i][$j],
                    \sprintf(
                        "%s in %s\n%s",
                        Moment::format($at, $case['zone']),
                        $case['zone'],
                        json_encode(array_diff_key($case, ['instants' => 0]), \JSON_THROW_ON_ERROR),
                    ),
                );
                ++$compared;
            }
        }
        self::assertGreaterThan(Soak::count(2000), $compared);
    }

    /** @return list<int> at random over two years, near the new year and clock changes, and both sides of the changes found there */
    private static function instants(HoursBook $book, string $zone, int $year): array
    {
        $start = (int) gmmktime(0, 0, 0, 1, 1, $year);
        $near = [];
        for ($i = 0; $i < 12; ++$i) {
            $near[] = $start + mt_rand(0, 730 * 86400);
        }
        for ($i = 0; $i < 6; ++$i) {
            $near[] = (int) gmmktime(0, 0, 0, 12, 24, $year) + mt_rand(0, 14 * 86400);
        }
        foreach ((new \DateTimeZone($zone))->getTransitions($start, $start + 730 * 86400) ?: [] as $transition) {
            foreach ([-86400, -7200, -1801, -1, 0, 1799, 5400, 86400] as $shift) {
                $near[] = $transition['ts'] + $shift;
            }
        }
        $instants = [];
        foreach ($near as $at) {
            $reading = $book->read($at);
            $sides = [$at];
            foreach ([$reading->since, $reading->until] as $edge) {
                if (null !== $edge && abs($edge - $at) < 40 * 86400) {
                    array_push($sides, $edge - 1, $edge);
                }
            }
            array_push($instants, ...$sides);
        }

        return $instants;
    }

    /** @return array{array<string, mixed>, Timetable} the same hours for the reference and for us */
    private static function random(string $zone, int $number): array
    {
        $year = self::YEARS[$zone] ?? 2022;
        [$week, $rows] = self::week();
        $seasons = $seasonRows = [];
        foreach (
            0 === mt_rand(0, 1)
                ? [['11-01', '01-31'], ['03-15', '04-20']]
                : [[$year . '-10-20', $year + 1 . '-01-04'], [$year + 1 . '-10-20', $year + 2 . '-01-04']]
            as [$from, $to]
        ) {
            [$own, $ownRows] = self::week();
            // Next winter has the name of this one, and another week.
            $seasons[] = new Season(
                'Winter',
                5 === \strlen($from)
                    ? DateSpan::yearly(
                        MonthDay::parse($from) ?? throw new \LogicException(),
                        MonthDay::parse($to) ?? throw new \LogicException(),
                    )
                    : DateSpan::dated((int) CivilDate::parse($from), (int) CivilDate::parse($to)),
                $own,
            );
            $seasonRows[] = ['from' => $from, 'to' => $to, 'week' => $ownRows];
        }
        [$calendars, $calendarRows] = self::calendars($year);
        $special = $specialRows = [];
        for ($i = 0; $i < 30; ++$i) {
            $day = CivilDate::of($year, 1, 1) + mt_rand(0, 730);
            $from = mt_rand(0, 95) * 900;
            $to = 0 === mt_rand(0, 3) ? 172800 : min(172800, $from + mt_rand(1, 90) * 900);
            $special[$day] = new SpecialDay($day, 'special', [new Band($from, $to, 'special')]);
            $specialRows[CivilDate::format($day)] = [[$from, $to, 'special']];
        }
        $overrides = $overrideRows = [];
        for ($i = 0; $i < 3; ++$i) {
            $from = CivilDate::of($year, 1, 1) * 86400 + mt_rand(0, 730 * 86400);
            $until = $from + mt_rand(60, 400000);
            $overrides[] = new Override('o' . $i, 'hrs', 'forced', $from, $until, new ForcedBy(''));
            $overrideRows[] = ['from' => $from, 'until' => $until, 'state' => 'forced'];
        }

        return [
            [
                'number' => $number,
                'zone' => $zone,
                'default' => 'closed',
                'week' => $rows,
                'seasons' => $seasonRows,
                'calendars' => $calendarRows,
                'special' => (object) $specialRows,
                'overrides' => $overrideRows,
            ],
            new Timetable($zone, 'closed', $week, new DatedDays($seasons, $calendars, $special), $overrides),
        ];
    }

    /** @return array{array<int, list<Band>>, list<list<array{int, int, string}>>} bands by weekday, some of them nights, edges on quarters of an hour */
    private static function week(): array
    {
        $week = $rows = [];
        $free = 0;
        for ($day = 0; $day < 7; ++$day) {
            $rows[$day] = [];
            $last = 6 === $day ? 96 : 112;
            $at = max($free - 96, mt_rand(0, 8));
            $free = 0;
            while ($at < 95) {
                $end = min($at + mt_rand(1, 40), $last);
                $state = ['open', 'lunch', 'late'][mt_rand(0, 2)];
                $week[$day][] = new Band($at * 900, $end * 900, $state);
                $rows[$day][] = [$at * 900, $end * 900, $state];
                $free = $end;
                $at = $end + mt_rand(0, 6);
            }
        }

        return [$week, $rows];
    }

    /** @return array{list<ObservedCalendar>, list<array<string, mixed>>} */
    private static function calendars(int $year): array
    {
        $calendars = $rows = [];
        foreach (['first', 'second'] as $name) {
            $entries = $entryRows = [];
            foreach (['12-25', '12-26', '12-31', '01-01', '02-29', '05-01', 'easter', 'dates'] as $i => $what) {
                if (0 === mt_rand(0, 2)) {
                    continue;
                }
                $days = mt_rand(-50, 50);
                $dates = array_map(
                    static fn(): string => CivilDate::format(CivilDate::of($year, 1, 1) + mt_rand(0, 730)),
                    range(0, 5),
                );
                sort($dates);
                $rule = match ($what) {
                    'easter' => new FromEaster($days, Church::Western),
                    'dates' => new OnDates(
                        array_map(static fn(string $date): int => (int) CivilDate::parse($date), $dates),
                    ),
                    default => new Yearly(MonthDay::parse($what) ?? throw new \LogicException()),
                };
                $moves = 0 === mt_rand(0, 1);
                $keep = 0 === mt_rand(0, 1);
                $part =
                    0 === mt_rand(0, 2)
                        ? [[0, 3600], [43200, 86400], [81000, 84600], [0, 43200]][mt_rand(0, 3)]
                        : [0, 86400];
                $entries[] = new Holiday(
                    'day_' . $i,
                    $what,
                    $rule,
                    $moves
                        ? new Substitute([Weekday::Saturday, Weekday::Sunday], SubstituteDay::NextWorkingDay, $keep)
                        : null,
                    new DayPart($part[0], $part[1]),
                );
                $entryRows[] = [
                    'rule' => [
                        'on' => 'easter' === $what || 'dates' === $what ? $what : 'yearly',
                        'date' => $what,
                        'days' => $days,
                        'dates' => $dates,
                    ],
                    'substitute' => $moves ? ['on' => [5, 6], 'keep' => $keep] : null,
                    'part' => $part,
                ];
            }
            $calendars[] = new ObservedCalendar('cal_' . $name, $name, new Holidays($entries), 'holiday ' . $name);
            $rows[] = ['state' => 'holiday ' . $name, 'entries' => $entryRows, 'years' => [$year - 1, $year + 3]];
        }

        return [$calendars, $rows];
    }
}
