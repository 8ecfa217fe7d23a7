<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Time;

use Meandros\Core\Plan\Element\Hours;
use Meandros\Core\Plan\Json\HolidayReader;
use Meandros\Core\Plan\Json\PlanCodec;
use Meandros\Core\Plan\PlanHours;
use Meandros\Core\Reading\Input;
use Meandros\Core\Reading\InvalidData;
use Meandros\Core\Tests\PlanBuilder;
use Meandros\Core\Time\Band;
use Meandros\Core\Time\CivilDate;
use Meandros\Core\Time\DatedDays;
use Meandros\Core\Time\Decision;
use Meandros\Core\Time\ForcedBy;
use Meandros\Core\Time\Holiday\DayPart;
use Meandros\Core\Time\Holiday\Holiday;
use Meandros\Core\Time\Holiday\Holidays;
use Meandros\Core\Time\Holiday\Yearly;
use Meandros\Core\Time\HoursBook;
use Meandros\Core\Time\HoursCompiler;
use Meandros\Core\Time\Moment;
use Meandros\Core\Time\MonthDay;
use Meandros\Core\Time\ObservedCalendar;
use Meandros\Core\Time\Override;
use Meandros\Core\Time\SpecialDay;
use Meandros\Core\Time\Timetable;
use Meandros\Core\Time\Zone;
use Meandros\Core\Wording\ProblemWords;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** What docs/hours-and-holidays.md decides where two things meet: each sentence with its example. */
final class HoursDecisionsTest extends TestCase
{
    private const FRIDAY_NIGHT = [4 => [[79200, 93600, 'open']]];

    /**
     * @param array<int, list<array{int, int, string}>>    $week     by weekday, 0 for Monday
     * @param array<string, list<array{int, int, string}>> $special  by date
     * @param array<string, array{int, int}>               $holidays parts by date of every year
     * @param array<string, string>                        $expected state by local time
     */
    #[DataProvider('meetings')]
    public function testWhereTwoThingsMeet(
        string $zone,
        array $week,
        array $special,
        array $holidays,
        array $expected,
    ): void {
        $bands = static fn(array $rows): array => array_map(static fn(array $row): Band => new Band(...$row), $rows);
        $days = [];
        foreach ($special as $date => $rows) {
            $day = (int) CivilDate::parse($date);
            $days[$day] = new SpecialDay($day, 'special', $bands($rows));
        }
        $entries = [];
        foreach ($holidays as $date => [$from, $to]) {
            $entries[] = new Holiday(
                'day',
                'day',
                new Yearly(MonthDay::parse($date) ?? throw new \LogicException()),
                part: new DayPart($from, $to),
            );
        }
        $book = HoursBook::of(
            new Timetable(
                $zone,
                'closed',
                array_map($bands, $week),
                new DatedDays(
                    calendars: [new ObservedCalendar('cal', 'Cal', new Holidays($entries), 'holiday')],
                    specialDays: $days,
                ),
            ),
        );
        foreach ($expected as $at => $state) {
            self::assertSame($state, $book->read(Moment::parse($at, $zone))->state, $at);
        }
    }

    /** @return iterable<string, array{string, array<int, list<array{int, int, string}>>, array<string, list<array{int, int, string}>>, array<string, array{int, int}>, array<string, string>}> */
    public static function meetings(): iterable
    {
        $friday = self::FRIDAY_NIGHT;
        yield 'the night of a date that the zone skips is skipped too' => [
            'Pacific/Apia',
            $friday,
            [],
            [],
            ['2011-12-31T00:30' => 'closed', '2012-01-07T00:30' => 'open'],
        ];
        yield 'a night that begins before a skipped date keeps its own edges' => [
            'Pacific/Apia',
            [3 => [[79200, 93600, 'open']]],
            [],
            [],
            ['2011-12-29T23:59' => 'open', '2011-12-31T01:59:59' => 'open', '2011-12-31T02:00' => 'closed'],
        ];
        yield 'a holiday that begins at midnight ends the night before it' => [
            'Europe/London',
            $friday,
            [],
            ['11-28' => [0, 3600]],
            ['2026-11-27T23:59:59' => 'open', '2026-11-28T00:30' => 'holiday', '2026-11-28T01:30' => 'closed'],
        ];
        yield 'one that begins a second later lies over it' => [
            'Europe/London',
            $friday,
            [],
            ['11-28' => [1, 3600]],
            ['2026-11-28T00:00' => 'open', '2026-11-28T00:30' => 'holiday', '2026-11-28T01:30' => 'open'],
        ];
        yield 'a holiday that ends with the day ends its night' => [
            'Europe/London',
            $friday,
            [],
            ['11-27' => [82800, 86400]],
            ['2026-11-27T22:30' => 'open', '2026-11-27T23:30' => 'holiday', '2026-11-28T01:30' => 'closed'],
        ];
        yield 'one that ends a second before it does not' => [
            'Europe/London',
            $friday,
            [],
            ['11-27' => [82800, 86399]],
            ['2026-11-27T23:30' => 'holiday', '2026-11-28T01:30' => 'open'],
        ];
        yield 'a special day that runs on over two midnights ends the night of the second' => [
            'Europe/London',
            [2 => [[79200, 93600, 'open']]],
            ['2026-11-24' => [[72000, 172800, 'special']]],
            [],
            ['2026-11-25T23:00' => 'special', '2026-11-26T00:30' => 'closed'],
        ];
        yield 'one that ends before does not' => [
            'Europe/London',
            [2 => [[79200, 93600, 'open']]],
            ['2026-11-24' => [[72000, 169200, 'special']]],
            [],
            ['2026-11-25T22:30' => 'special', '2026-11-25T23:30' => 'open', '2026-11-26T00:30' => 'open'],
        ];
        yield 'a special day ends the night before it' => [
            'Europe/London',
            $friday,
            ['2026-11-28' => [[36000, 39600, 'special']]],
            [],
            ['2026-11-28T00:30' => 'closed', '2026-11-28T10:30' => 'special'],
        ];
        yield 'in Nuuk a gap pushes edges past midnight' => [
            'America/Nuuk',
            [5 => [[79200, 84600, 'open']]],
            [],
            [],
            ['2026-03-28T22:59:59' => 'open', '2026-03-29T00:29:59' => 'open', '2026-03-29T00:30' => 'closed'],
        ];
        yield 'and whole bands' => [
            'America/Nuuk',
            [5 => [[82800, 85500, 'open']]],
            [],
            [],
            [
                '2026-03-28T22:59:59' => 'closed',
                '2026-03-29T00:00' => 'open',
                '2026-03-29T00:44:59' => 'open',
                '2026-03-29T00:45' => 'closed',
            ],
        ];
        yield 'a midnight inside a gap is the first instant after it' => [
            'America/Toronto',
            [0 => [[0, 3600, 'open']]],
            [],
            [],
            ['1919-03-30T23:29:59' => 'closed', '1919-03-31T00:30' => 'open', '1919-03-31T01:00' => 'closed'],
        ];
        yield 'of bands that a gap makes meet, the later holds' => [
            'Europe/London',
            [6 => [[0, 5400, 'first'], [7200, 10800, 'second']]],
            [],
            [],
            ['2026-03-29T02:00' => 'second', '2026-03-29T02:29:59' => 'second', '2026-03-29T00:59:59' => 'first'],
        ];
        yield 'in whatever order they are listed' => [
            'Europe/London',
            [6 => [[7200, 10800, 'second'], [0, 5400, 'first']]],
            [],
            [],
            ['2026-03-29T02:00' => 'second', '2026-03-29T02:29:59' => 'second', '2026-03-29T00:59:59' => 'first'],
        ];
    }

    public function testTwoSeasonsOfOneNameHaveTheirOwnWeeks(): void
    {
        $season = static fn(string $from, string $to, string $opens): array => [
            'name' => 'Winter',
            'from' => $from,
            'to' => $to,
            'week' => [['days' => ['mo'], 'from' => $opens, 'to' => '17:00', 'state' => 'open']],
        ];
        $plan = (new PlanBuilder())
            ->hours('hrs', [])
            ->with(
                [
                    'seasons' => [
                        $season('2026-11-01', '2027-03-31', '09:00'),
                        $season('2027-11-01', '2028-03-31', '11:00'),
                    ],
                ] + self::office(),
            )
            ->plan();
        $hours = $plan->get(Hours::class, 'hrs');
        self::assertNotNull($hours);
        $running = new PlanHours($plan);
        $read = static fn(string $at): string => $running->read($hours, Moment::parse($at, 'Europe/London'))->state;
        foreach ([1, 2] as $_) {
            self::assertSame(
                ['open', 'closed'],
                [$read('2026-11-02T10:00'), $read('2027-11-08T10:00')],
                'Whatever was asked before.',
            );
        }
    }

    public function testTheNightBeforeASeasonIsOfTheWeekThatWasRunning(): void
    {
        $plan = (new PlanBuilder())
            ->hours('hrs', [])
            ->with(
                [
                    'seasons' => [['name' => 'Summer', 'from' => '2026-06-01', 'to' => '2026-06-30', 'week' => []]],
                    'week' => [['days' => ['mo', 'su'], 'from' => '22:00', 'to' => '26:00', 'state' => 'open']],
                ] + self::office(),
            )
            ->plan();
        $hours = $plan->get(Hours::class, 'hrs');
        self::assertNotNull($hours);
        $moment = static fn(string $date): int => Moment::parse($date . 'T00:30', 'Europe/London');
        $compiled = HoursCompiler::compile(
            (new PlanHours($plan))->timetable($hours),
            $moment('2026-05-01'),
            $moment('2026-08-01'),
        );
        $states = array_map(static fn(string $date): string => $compiled->stateAt($moment($date)), [
            '2026-05-25',
            '2026-06-01',
            '2026-06-08',
            '2026-06-15',
            '2026-06-29',
            '2026-06-30',
            '2026-07-06',
            '2026-07-07',
        ]);
        self::assertSame(['open', 'open', 'closed', 'closed', 'closed', 'closed', 'open', 'open'], $states);
    }

    public function testSubstituteDaysOfTheTurnOfTheYearFollowOneAnother(): void
    {
        $entry = static fn(string $id, string $date): array => [
            'id' => $id,
            'name' => $id,
            'rule' => ['on' => 'yearly', 'date' => $date],
            'substitute' => ['on' => ['sa', 'su'], 'to' => 'next working day', 'keep' => false],
        ];
        $holidays = static fn(): Holidays => Input::read(
            [$entry('new_year', '01-01'), $entry('eve', '12-31')],
            HolidayReader::holidays(...),
        );
        $days = static fn(Holidays $of, string $from, string $until): array => array_map(
            static fn($one): string => $one->holiday->id . ' ' . CivilDate::format($one->day),
            $of->between((int) CivilDate::parse($from), (int) CivilDate::parse($until)),
        );
        // 31 December 2022 is a Saturday, 1 January 2023 a Sunday.
        self::assertSame(['eve 2023-01-02', 'new_year 2023-01-03'], $days($holidays(), '2022-12-30', '2023-01-10'));
        self::assertSame(
            ['new_year 2023-01-03'],
            $days($holidays(), '2023-01-03', '2023-01-10'),
            'Whatever is asked for.',
        );
    }

    #[DataProvider('zones')]
    public function testZonesThatAreNoPlaces(string $zone, ?string $remedy): void
    {
        self::assertSame(null === $remedy, Zone::exists($zone));
        if (null === $remedy) {
            self::assertGreaterThan(0, Moment::parse('2026-07-01T12:00', $zone));

            return;
        }
        try {
            PlanCodec::element([
                'id' => 'sit',
                'kind' => 'site',
                'name' => 'Site',
                'zone' => $zone,
                'country' => 'GB',
                'language' => 'en',
            ]);
            self::fail('This must be refused.');
        } catch (InvalidData $invalid) {
            self::assertSame('/zone', $invalid->problems[0]->pointer);
            self::assertStringContainsString($remedy, ProblemWords::remedy($invalid->problems[0]));
        }
    }

    /** @return iterable<array{string, string|null}> null where hours can be kept in it */
    public static function zones(): iterable
    {
        foreach (
            [
                'EST' => 'America/Panama',
                'MST' => 'America/Phoenix',
                'HST' => 'Pacific/Honolulu',
                'CET' => 'Europe/Brussels',
                'MET' => 'Europe/Brussels',
                'EET' => 'Europe/Athens',
                'WET' => 'Europe/Lisbon',
                'GMT' => 'Etc/GMT',
                'UCT' => 'Etc/UTC',
                'GMT+0' => 'Etc/GMT',
            ]
            as $zone => $remedy
        ) {
            yield [$zone, $remedy];
            yield [$remedy, null];
        }
        foreach (
            [
                'leapseconds',
                'tzdata.zi',
                'localtime',
                'Factory',
                'posixrules',
                'right/UTC',
                'europe/london',
                ' Europe/London',
                "Europe/London\n",
                str_repeat('Europe/', 9),
            ]
            as $zone
        ) {
            yield [$zone, 'Use'];
        }
        foreach (['Etc/GMT+5', 'EST5EDT', 'UTC', 'Asia/Calcutta', 'GB', 'America/Argentina/Ushuaia'] as $zone) {
            yield [$zone, null];
        }
    }

    public function testTheNextChangeIsFoundHoweverFarItIs(): void
    {
        $leapDay = new ObservedCalendar(
            'cal',
            'Cal',
            new Holidays([
                new Holiday('leap', 'Leap day', new Yearly(MonthDay::parse('02-29') ?? throw new \LogicException())),
            ]),
            'holiday',
        );
        $hours = new Timetable('Europe/London', 'closed', [], new DatedDays(calendars: [$leapDay]));
        $at = Moment::parse('2024-03-10T12:00', 'Europe/London');
        $fresh = HoursBook::of($hours)->read($at);
        self::assertSame(
            ['2024-03-01T00:00:00+00:00', '2028-02-29T00:00:00+00:00'],
            [
                Moment::format((int) $fresh->since, 'Europe/London'),
                Moment::format((int) $fresh->until, 'Europe/London'),
            ],
        );
        $used = HoursBook::of($hours);
        foreach (['2031-01-01T00:00', '2019-05-05T05:00', '2028-02-29T12:00', '2024-02-29T00:00'] as $other) {
            $used->read(Moment::parse($other, 'Europe/London'));
        }
        self::assertEquals($fresh, $used->read($at));
        // 2100 is no leap year: the longest that a change of every fourth year is away.
        self::assertSame(
            '2104-02-29T00:00:00+00:00',
            Moment::format(
                (int) HoursBook::of($hours)->read(Moment::parse('2096-03-01T00:00', 'Europe/London'))->until,
                'Europe/London',
            ),
        );
    }

    public function testAChangeBeyondElevenYearsIsNeverToldWhateverWasAskedBefore(): void
    {
        $day = (int) CivilDate::parse('2040-01-01');
        $hours = new Timetable(
            'UTC',
            'closed',
            [],
            new DatedDays(specialDays: [$day => new SpecialDay($day, 'Far', [new Band(0, 86400, 'open')])]),
        );
        [$within, $beyond] = [Moment::parse('2029-02-01T00:00Z', 'UTC'), Moment::parse('2028-12-01T00:00Z', 'UTC')];
        $book = HoursBook::of($hours);
        self::assertSame($day * 86400, $book->read($within)->until);
        self::assertNull($book->read($beyond)->until);
        self::assertNull(HoursBook::of($hours)->read($beyond)->until);
        self::assertSame(($day + 1) * 86400, $book->read(Moment::parse('2050-12-01T00:00Z', 'UTC'))->since);
        self::assertNull($book->read(Moment::parse('2051-02-01T00:00Z', 'UTC'))->since);
    }

    public function testHoursThatNeverChangeSaySoAtOnce(): void
    {
        $always = new Timetable('Europe/London', 'open', array_fill(0, 7, [new Band(0, 86400, 'open')]));
        $reading = HoursBook::of($always)->read(Moment::parse('2026-11-26T10:00', 'Europe/London'));
        self::assertSame(
            ['open', null, null, Decision::WEEK],
            [$reading->state, $reading->since, $reading->until, $reading->decision->by],
        );
    }

    public function testTheEndOfADayIsTheStartOfTheNext(): void
    {
        self::assertSame(
            Moment::parse('2026-11-24T00:00', 'Europe/London'),
            Moment::parse('2026-11-23T24:00', 'Europe/London'),
        );
        $this->expectExceptionMessage('The time 24:01 does not exist.');
        Moment::parse('2026-11-23T24:01', 'Europe/London');
    }

    public function testDatesThatSomeYearHas(): void
    {
        for ($month = 0; $month <= 13; ++$month) {
            for ($day = 0; $day <= 33; ++$day) {
                // 2024 is a leap year: it has every date that any year has.
                self::assertSame(
                    checkdate($month, $day, 2024),
                    null !== MonthDay::parse(\sprintf('%02d-%02d', $month, $day)),
                    "$month-$day",
                );
            }
        }
        self::assertSame(
            ['02-29', '11-30', null],
            [MonthDay::lastOfMonth('02-30'), MonthDay::lastOfMonth('2026-11-31'), MonthDay::lastOfMonth('13-01')],
        );
    }

    public function testAnOldOverrideNamesTheDayOnWhichItBegan(): void
    {
        // It began in British Summer Time, fourteen minutes into the day there, and is asked for two winters later.
        $from = Moment::parse('2024-07-01T00:14', 'Europe/London');
        $hours = new Timetable(
            'Europe/London',
            'closed',
            [],
            overrides: [new Override('o', 'hrs', 'storm', $from, null, new ForcedBy('Dana', 'Storm'))],
        );
        $reading = HoursBook::of($hours)->read(Moment::parse('2026-01-10T12:00', 'Europe/London'));
        self::assertSame(
            [CivilDate::parse('2024-07-01'), $from, null],
            [$reading->decision->day, $reading->since, $reading->until],
        );
    }

    public function testAnOverrideHoldsFromItsFirstSecondUntilItsEnd(): void
    {
        $ends = new Override('o', 'hrs', 'storm', 100, 200, new ForcedBy('Dana', 'Storm'));
        self::assertSame([false, true, true, false], array_map($ends->holdsAt(...), [99, 100, 199, 200]));
        $stays = new Override('o', 'hrs', 'storm', 100, null, new ForcedBy('Dana', 'Storm'));
        self::assertSame([false, true, true], array_map($stays->holdsAt(...), [99, 100, 1_000_000_000]));
    }

    public function testAnOverrideOnlyCovers(): void
    {
        $from = Moment::parse('2026-11-27T23:00', 'Europe/London');
        $night = [4 => [new Band(79200, 93600, 'open')]];
        $book = HoursBook::of(
            new Timetable(
                'Europe/London',
                'closed',
                $night,
                overrides: [new Override('o', 'hrs', 'storm', $from, $from + 5400, new ForcedBy('Dana', 'Storm'))],
            ),
        );
        self::assertSame(
            ['storm', 'open', 'closed'],
            array_map(static fn(int $after): string => $book->read($from + $after)->state, [5399, 5400, 10800]),
            'The night goes on after it.',
        );
    }

    public function testReadingInAnyOrderCompilesEachStretchOnce(): void
    {
        $hours = new Timetable('Europe/London', 'closed', array_fill(0, 5, [new Band(32400, 61200, 'open')]));
        $instants = array_map(static fn(int $i): int => 1_700_000_000 + $i * 1_000_000, range(0, 299));
        mt_srand(5);
        $shuffled = $instants;
        shuffle($shuffled);
        $book = HoursBook::of($hours);
        $first = array_map($book->read(...), $shuffled);
        self::assertEquals($first, array_map($book->read(...), $shuffled));
        $compiled = HoursCompiler::compile($hours, 1_700_000_000, 2_000_000_000);
        foreach ($shuffled as $i => $at) {
            self::assertSame(
                [$compiled->heldAt($at)[0], $compiled->heldAt($at)[2]],
                [$first[$i]->state, $first[$i]->until],
            );
        }
    }

    /** @param array<string, mixed> $change */
    #[DataProvider('senseless')]
    public function testWhatMakesNoSenseIsRefused(array $change, string $pointer): void
    {
        try {
            PlanCodec::element($change + self::office());
            self::fail('This must be refused.');
        } catch (InvalidData $invalid) {
            self::assertSame($pointer, $invalid->problems[0]->pointer);
        }
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function senseless(): iterable
    {
        yield 'two states of one name' => [
            [
                'states' => [
                    ['key' => 'open', 'name' => 'Open', 'open' => true],
                    ['key' => 'closed', 'name' => ' open', 'open' => false],
                ],
            ],
            '/states/1/name',
        ];
        yield 'an empty zone' => [['zone' => ''], '/zone'];
        yield 'a year below 100' => [
            ['specialDays' => [['date' => '0026-11-23', 'name' => 'Long ago', 'bands' => []]]],
            '/specialDays/0/date',
        ];
        yield 'a space before a date' => [
            ['specialDays' => [['date' => ' 2026-11-3', 'name' => 'Day', 'bands' => []]]],
            '/specialDays/0/date',
        ];
        yield 'a line break after a date' => [
            ['specialDays' => [['date' => "2026-11-23\n", 'name' => 'Day', 'bands' => []]]],
            '/specialDays/0/date',
        ];
        yield 'a space before a time' => [
            ['week' => [['days' => ['mo'], 'from' => ' 09:00', 'to' => '17:00', 'state' => 'open']]],
            '/week/0/from',
        ];
        yield 'a line break after a code' => [['codes' => [['code' => "*21\n", 'state' => null]]], '/codes/0/code'];
        yield 'null where a list belongs' => [['week' => null], '/week'];
    }

    /** @param array<string, mixed> $holiday */
    #[DataProvider('senselessHolidays')]
    public function testAHolidayThatMakesNoSenseIsRefused(array $holiday, string $pointer): void
    {
        try {
            Input::read(
                [$holiday + ['id' => 'day', 'name' => 'Day', 'rule' => ['on' => 'yearly', 'date' => '12-25']]],
                HolidayReader::holidays(...),
            );
            self::fail('This must be refused.');
        } catch (InvalidData $invalid) {
            self::assertSame('/0' . $pointer, $invalid->problems[0]->pointer);
        }
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function senselessHolidays(): iterable
    {
        yield 'a weekday to the nearest weekday' => [
            ['substitute' => ['on' => ['fr', 'sa'], 'to' => 'nearest weekday', 'keep' => false]],
            '/substitute/on',
        ];
        yield 'dates of which none lies in the years' => [
            [
                'rule' => ['on' => 'dates', 'dates' => ['2026-05-01']],
                'years' => ['from' => 2027, 'to' => null, 'except' => []],
            ],
            '/years',
        ];
        yield 'years that are all left out' => [
            ['years' => ['from' => 2026, 'to' => 2027, 'except' => [2026, 2027]]],
            '/years',
        ];
        yield '29 February of years that have none' => [
            [
                'rule' => ['on' => 'yearly', 'date' => '02-29'],
                'years' => ['from' => 2025, 'to' => 2027, 'except' => []],
            ],
            '/years',
        ];
        yield 'a range before the first year' => [
            [
                'rule' => ['on' => 'range', 'from' => '2026-05-01', 'to' => '2026-05-09'],
                'years' => ['from' => 2027, 'to' => null, 'except' => []],
            ],
            '/years',
        ];
    }

    #[TestWith([86_400, 90_000])]
    #[TestWith([-1, 3600])]
    #[TestWith([3600, 3600])]
    #[TestWith([3600, 172_801])]
    public function testABandStartsWithinItsDayAndEnds(int $from, int $to): void
    {
        self::assertSame(86_399, (new Band(86_399, 172_800, 'open'))->fromSeconds);
        $this->expectException(\InvalidArgumentException::class);
        new Band($from, $to, 'open');
    }

    #[DataProvider('moments')]
    public function testMomentsThatMakeNoSense(string $text): void
    {
        $this->expectException(\InvalidArgumentException::class);
        Moment::parse($text, 'Europe/London');
    }

    /** @return iterable<array{string}> */
    public static function moments(): iterable
    {
        foreach (
            [
                '2026-11-23T10:30+25:00',
                '2026-11-23T10:30+24:00',
                '2026-11-23T10:30+01:60',
                '0026-11-23T10:30',
                '1899-12-31T10:30',
                '2501-01-01T10:30',
                ' 2026-11-23T10:30',
                "2026-11-23T10:30\n",
                '2026-11-23T10:30 ',
            ]
            as $text
        ) {
            yield [$text];
        }
    }

    /** @return array<string, mixed> */
    private static function office(): array
    {
        return [
            'id' => 'hrs',
            'kind' => 'hours',
            'name' => 'Desk',
            'site' => 'sit_harbour',
            'default' => 'closed',
            'states' => [
                ['key' => 'open', 'name' => 'Open', 'open' => true],
                ['key' => 'closed', 'name' => 'Closed', 'open' => false],
            ],
            'week' => [],
        ];
    }
}
