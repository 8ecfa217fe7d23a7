<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Time;

use Meandros\Core\Plan\Element\Hours;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Plan\PlanHours;
use Meandros\Core\Reading\InvalidData;
use Meandros\Core\Tests\PlanBuilder;
use Meandros\Core\Time\Band;
use Meandros\Core\Time\ForcedBy;
use Meandros\Core\Time\HoursCompiler;
use Meandros\Core\Time\Moment;
use Meandros\Core\Time\Override;
use Meandros\Core\Time\Timetable;
use Meandros\Core\Wording\ProblemWords;
use Meandros\Core\Wording\StateReason;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What decides the state: override, special day, holiday, season, week, default; in a harbour office in London. */
final class LayersTest extends TestCase
{
    /** @param list<Override> $overrides */
    #[DataProvider('moments')]
    public function testWhatDecides(string $at, string $state, string $reason, array $overrides = []): void
    {
        $plan = self::office();
        $hours = $plan->get(Hours::class, 'hrs_desk');
        self::assertNotNull($hours);
        $reading = (new PlanHours($plan, $overrides))->read($hours, Moment::parse($at, 'Europe/London'));
        self::assertSame($state, $reading->state);
        self::assertSame($reason, StateReason::words($reading, 'Europe/London'));
    }

    /** @return iterable<string, array{0: string, 1: string, 2: string, 3?: list<Override>}> */
    public static function moments(): iterable
    {
        yield 'the base week in summer' => [
            '2026-07-06T17:30',
            'open',
            'the week has it on Monday 09:00–18:00, until 18:00.',
        ];
        yield 'the winter week from its first day' => [
            '2026-11-02T09:30',
            'closed',
            'no band of the season “Winter timetable” covers this time, so the default state holds, until 10:00.',
        ];
        yield 'the winter week has its own bands' => [
            '2026-11-02T10:00',
            'open',
            'the season “Winter timetable” has it on Monday 10:00–16:00, until 16:00.',
        ];
        yield 'winter over the turn of the year' => [
            '2027-03-31T10:00',
            'open',
            'the season “Winter timetable” has it on Wednesday 10:00–16:00, until 16:00.',
        ];
        yield 'winter is over on 1 April' => [
            '2027-04-01T09:00',
            'open',
            'the week has it on Thursday 09:00–18:00, until 18:00.',
        ];
        yield 'a movable holiday' => [
            '2027-03-26T10:30',
            'holiday',
            'Good Friday (Fri 26 Mar 2027) is a holiday of Bank holidays, until Sat 27 Mar 00:00.',
        ];
        yield 'a holiday with a state of its own' => [
            '2026-12-25T10:30',
            'closed',
            'Christmas Day (Fri 25 Dec 2026) is a holiday of Bank holidays, until Mon 28 Dec 00:00.',
        ];
        yield 'a substitute day' => [
            '2026-12-28T10:30',
            'holiday',
            'Boxing Day (substitute day) (Mon 28 Dec 2026) is a holiday of Bank holidays, until Tue 29 Dec 00:00.',
        ];
        yield 'a holiday these hours do not keep' => [
            '2026-08-31T10:30',
            'open',
            'the week has it on Monday 09:00–18:00, until 18:00.',
        ];
        yield 'half a holiday leaves the morning alone' => [
            '2026-12-24T12:59:59',
            'open',
            'the season “Winter timetable” has it on Thursday 10:00–16:00, until 13:00.',
        ];
        yield 'and takes the afternoon' => [
            '2026-12-24T13:00',
            'holiday',
            'Christmas Eve (Thu 24 Dec 2026) is a holiday of House rules from 13:00 to 24:00, until Fri 25 Dec 00:00.',
        ];
        yield 'a holiday of eight hours' => [
            '2027-02-01T11:00',
            'holiday',
            'Stocktaking (Mon 1 Feb 2027) is a holiday of House rules from 08:00 to 16:00, until 16:00.',
        ];
        yield 'a special day over a holiday' => [
            '2027-01-01T11:00',
            'open',
            'the special day “First sailing” (Fri 1 Jan 2027) has it 10:00–12:00, until 12:00.',
        ];
        $storm = new Override(
            'ovr',
            'hrs_desk',
            'storm',
            Moment::parse('2026-11-23T08:00', 'Europe/London'),
            Moment::parse('2026-11-24T10:00', 'Europe/London'),
            new ForcedBy('Dana', 'Force 10'),
        );
        yield 'an override over everything' => [
            '2026-11-23T11:00',
            'storm',
            'Dana forced it (“Force 10”), until Tue 24 Nov 10:00.',
            [$storm],
        ];
        yield 'ends to the second' => [
            '2026-11-24T10:00',
            'open',
            'the season “Winter timetable” has it on Tuesday 10:00–16:00, until 16:00.',
            [$storm],
        ];
        yield 'and began to the second' => [
            '2026-11-23T07:59:59',
            'closed',
            'no band of the season “Winter timetable” covers this time, so the default state holds, until 08:00.',
            [$storm],
        ];
        $early = new Override(
            'ovr',
            'hrs_desk',
            'closed',
            $storm->from,
            Moment::parse('2026-11-24T08:00', 'Europe/London'),
            new ForcedBy('Dana', 'Strike'),
        );
        yield 'the state goes on after it' => [
            '2026-11-23T11:00',
            'closed',
            'Dana forced it (“Strike”) until Tue 24 Nov 08:00, and it stays so until Tue 24 Nov 10:00.',
            [$early],
        ];
        yield 'until lifted' => [
            '2026-11-23T11:00',
            'storm',
            'Dana forced it (“Force 10”), with no change in sight.',
            [new Override('ovr', 'hrs_desk', 'storm', $storm->from, null, new ForcedBy('Dana', 'Force 10'))],
        ];
    }

    public function testANightThatAHolidayCutsOffDoesNotComeBackAfterIt(): void
    {
        $plan = self::office([
            'week' => [['days' => ['fr'], 'from' => '20:00', 'to' => '28:00', 'state' => 'open']],
            'seasons' => [],
            'specialDays' => [],
        ]);
        $state = static fn(string $at): string => self::read($plan, $at);
        self::assertSame(
            ['open', 'open', 'closed'],
            [$state('2026-11-27T23:00'), $state('2026-11-28T03:59:59'), $state('2026-11-28T04:00')],
        );
        // Good Friday: the evening of the holiday does not run on after its midnight.
        self::assertSame(['holiday', 'closed'], [$state('2027-03-26T23:00'), $state('2027-03-27T01:00')]);
        // Christmas Day 2026 is a Friday, and cut likewise; the night before Boxing Day stays closed.
        self::assertSame('holiday', $state('2026-12-28T01:00'));
    }

    public function testWhereADateDoesNotExistTheHoursGoOn(): void
    {
        // Samoa had no 30 December 2011 (IANA tz database, Pacific/Apia).
        $hours = new Timetable('Pacific/Apia', 'closed', array_fill(0, 7, [new Band(0, 43200, 'open')]));
        $from = Moment::parse('2011-12-29T00:00', 'Pacific/Apia');
        $compiled = HoursCompiler::compile($hours, $from, $from + 3 * 86400);
        self::assertSame(['open', 'closed', 'open', 'closed'], \array_slice($compiled->states(), 0, 4));
        self::assertSame(
            [43200, 43200, 43200],
            [
                $compiled->starts()[1] - $compiled->starts()[0],
                $compiled->starts()[2] - $compiled->starts()[1],
                $compiled->starts()[3] - $compiled->starts()[2],
            ],
        );
    }

    public function testAMidnightThatDoesNotExistIsTheFirstInstantAfterIt(): void
    {
        // Beirut puts clocks forward at 00:00 on the last Sunday of March (IANA tz database).
        $hours = new Timetable('Asia/Beirut', 'closed', [6 => [new Band(0, 7200, 'open')]]);
        $instant = Moment::parse('2026-03-29T01:00', 'Asia/Beirut');
        $compiled = HoursCompiler::compile($hours, $instant - 86400, $instant + 86400);
        self::assertSame(['closed', 'open', 'closed'], $compiled->states());
        self::assertSame([$instant, $instant + 3600], \array_slice($compiled->starts(), 1));
    }

    /** @param array<string, mixed> $changes */
    #[DataProvider('badHours')]
    public function testBadHoursAreRefusedAtTheField(array $changes, string $pointer, string $words): void
    {
        try {
            self::office($changes);
            self::fail('This must be refused.');
        } catch (InvalidData $invalid) {
            self::assertStringEndsWith($pointer, $invalid->problems[0]->pointer);
            self::assertStringContainsString(
                $words,
                ProblemWords::message($invalid->problems[0]) . ' ' . ProblemWords::remedy($invalid->problems[0]),
            );
        }
    }

    /** @return iterable<string, array{array<string, mixed>, string, string}> */
    public static function badHours(): iterable
    {
        $season = static fn(string $name, string $from, string $to): array => [
            'name' => $name,
            'from' => $from,
            'to' => $to,
            'week' => [],
        ];
        yield 'seasons that overlap' => [
            ['seasons' => [$season('Winter', '11-01', '03-31'), $season('Spring', '03-15', '05-31')]],
            '/seasons/1/from',
            '“Spring” overlaps “Winter”: both hold 15 March.',
        ];
        yield 'a season of one year over one of every year' => [
            ['seasons' => [$season('Winter', '11-01', '03-31'), $season('Refit', '2027-03-30', '2027-04-09')]],
            '/seasons/1/from',
            'both hold 30 March 2027',
        ];
        yield 'a season inside out' => [
            ['seasons' => [$season('Refit', '2027-04-09', '2027-03-30')]],
            '/seasons/0/to',
            'It ends on 2027-03-30, before it starts on 2027-04-09.',
        ];
        yield '30 February' => [
            ['seasons' => [$season('Winter', '11-01', '02-30')]],
            '/seasons/0/to',
            'The date "02-30" does not exist in any year. Write month and day as MM-DD; the last of that month is 02-29.',
        ];
        yield '31 April' => [
            ['specialDays' => [['date' => '2026-04-31', 'name' => 'x', 'bands' => []]]],
            '/specialDays/0/date',
            'The date "2026-04-31" does not exist.',
        ];
        yield 'one date with a year, one without' => [
            ['seasons' => [$season('Winter', '11-01', '2027-03-31')]],
            '/seasons/0/to',
            'One of the two dates has a year',
        ];
        yield 'an unknown zone' => [['zone' => 'Europe/Lundon'], '/zone', 'the closest is Europe/London'];
        yield 'a calendar that is not there' => [
            ['calendars' => [['calendar' => 'cal_none', 'state' => 'holiday', 'exceptions' => []]]],
            '/calendars/0/calendar',
            'is not in the plan',
        ];
        yield 'a calendar kept twice' => [
            [
                'calendars' => [
                    ['calendar' => 'cal_house', 'state' => 'holiday'],
                    ['calendar' => 'cal_house', 'state' => 'closed'],
                ],
            ],
            '/calendars/1/calendar',
            'kept twice',
        ];
        yield 'a code that is none' => [
            ['codes' => [['code' => '21', 'state' => null]]],
            '/codes/0/code',
            'Start with * or #',
        ];
    }

    /** @param array<string, mixed> $changes */
    private static function office(array $changes = []): Plan
    {
        $builder = (new PlanBuilder())->hours('hrs_desk', []);
        $rule = static fn(string $id, string $name, array $rule, array $more = []): array => [
            'id' => $id,
            'name' => $name,
            'rule' => $rule,
        ] + $more;
        $builder->with([
            'id' => 'cal_bank',
            'kind' => 'calendar',
            'name' => 'Bank holidays',
            'holidays' => [
                $rule('good_friday', 'Good Friday', ['on' => 'easter', 'days' => -2, 'church' => 'western']),
                $rule('christmas', 'Christmas Day', ['on' => 'yearly', 'date' => '12-25']),
                $rule(
                    'boxing',
                    'Boxing Day',
                    ['on' => 'yearly', 'date' => '12-26'],
                    ['substitute' => ['on' => ['sa', 'su'], 'to' => 'next working day', 'keep' => false]],
                ),
                $rule('summer', 'Summer bank holiday', [
                    'on' => 'nth weekday',
                    'nth' => -1,
                    'weekday' => 'mo',
                    'month' => 8,
                ]),
                $rule('new_year', 'New Year', ['on' => 'yearly', 'date' => '01-01']),
            ],
        ]);
        $builder->with([
            'id' => 'cal_house',
            'kind' => 'calendar',
            'name' => 'House rules',
            'holidays' => [
                $rule(
                    'eve',
                    'Christmas Eve',
                    ['on' => 'yearly', 'date' => '12-24'],
                    ['part' => ['from' => '13:00', 'to' => '24:00']],
                ),
                $rule(
                    'count',
                    'Stocktaking',
                    ['on' => 'yearly', 'date' => '02-01'],
                    ['part' => ['from' => '08:00', 'to' => '16:00']],
                ),
            ],
        ]);
        $weekdays = ['mo', 'tu', 'we', 'th', 'fr'];

        return $builder
            ->with(
                $changes + [
                    'id' => 'hrs_desk',
                    'kind' => 'hours',
                    'name' => 'Desk',
                    'site' => 'sit_harbour',
                    'default' => 'closed',
                    'states' => array_map(
                        static fn(string $key): array => [
                            'key' => $key,
                            'name' => ucfirst($key),
                            'open' => 'open' === $key,
                        ],
                        ['open', 'closed', 'holiday', 'storm'],
                    ),
                    'week' => [['days' => $weekdays, 'from' => '09:00', 'to' => '18:00', 'state' => 'open']],
                    'seasons' => [
                        [
                            'name' => 'Winter timetable',
                            'from' => '11-01',
                            'to' => '03-31',
                            'week' => [['days' => $weekdays, 'from' => '10:00', 'to' => '16:00', 'state' => 'open']],
                        ],
                    ],
                    'calendars' => [
                        [
                            'calendar' => 'cal_bank',
                            'state' => 'holiday',
                            'exceptions' => [
                                ['holiday' => 'christmas', 'state' => 'closed'],
                                ['holiday' => 'summer', 'state' => null],
                            ],
                        ],
                        ['calendar' => 'cal_house', 'state' => 'holiday', 'exceptions' => []],
                    ],
                    'specialDays' => [
                        [
                            'date' => '2027-01-01',
                            'name' => 'First sailing',
                            'bands' => [['from' => '10:00', 'to' => '12:00', 'state' => 'open']],
                        ],
                    ],
                    'codes' => [
                        ['code' => '*21', 'state' => 'storm', 'ends' => 'next change'],
                        ['code' => '*20', 'state' => null, 'ends' => 'until lifted'],
                    ],
                ],
            )
            ->plan();
    }

    private static function read(Plan $plan, string $at): string
    {
        $hours = $plan->get(Hours::class, 'hrs_desk');
        self::assertNotNull($hours);

        return (new PlanHours($plan))->read($hours, Moment::parse($at, 'Europe/London'))->state;
    }
}
