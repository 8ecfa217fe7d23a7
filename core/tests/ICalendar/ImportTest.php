<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\ICalendar;

use Eris\Generators;
use Eris\TestTrait;
use Meandros\Core\ICalendar\CalendarFile;
use Meandros\Core\ICalendar\Event;
use Meandros\Core\ICalendar\Exporter;
use Meandros\Core\ICalendar\FileReader;
use Meandros\Core\ICalendar\HolidayImport;
use Meandros\Core\ICalendar\LeftOut;
use Meandros\Core\ICalendar\SpecialDayImport;
use Meandros\Core\Plan\Element\About;
use Meandros\Core\Plan\Element\HolidayCalendar;
use Meandros\Core\Plan\Element\Hours;
use Meandros\Core\Plan\Json\PlanCodec;
use Meandros\Core\Plan\PlanHours;
use Meandros\Core\Plan\ReadyMadeCalendar;
use Meandros\Core\Reading\InvalidData;
use Meandros\Core\Tests\PlanBuilder;
use Meandros\Core\Time\CivilDate;
use Meandros\Core\Time\Holiday\Holiday;
use Meandros\Core\Time\Holiday\Holidays;
use Meandros\Core\Time\HoursCompiler;
use Meandros\Core\Time\Zone;
use Meandros\Core\Wording\HolidayWords;
use Meandros\Core\Wording\ProblemWords;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class ImportTest extends TestCase
{
    use TestTrait;

    private const NOW = 1_795_000_000;

    /** RFC 5545 3.3.10: "These rule parts MUST be ignored in RECUR value that violate the above requirement". */
    /** RFC 5545, 3.4: "the iCalendar stream can sequentially contain multiple iCalendar objects". */
    public function testCalendarsThatFollowEachOtherAreReadAsOne(): void
    {
        $calendar = static fn(string $event, string ...$more): string => implode("\r\n", [
            'BEGIN:VCALENDAR',
            'VERSION:2.0',
            ...$more,
            'BEGIN:VEVENT',
            'UID:' . $event,
            'DTSTART;VALUE=DATE:20261224',
            'SUMMARY:' . $event,
            'END:VEVENT',
            'END:VCALENDAR',
            '',
        ]);
        $read = static fn(string $text): array => array_map(
            static fn(Event $event): string => $event->name,
            (new FileReader('Europe/London', CivilDate::of(2037, 1, 1)))->read($text)->events,
        );
        self::assertSame(['Eve'], $read("\u{FEFF}" . $calendar('Eve')));
        self::assertSame(
            ['Eve', 'Feast', 'Fair'],
            $read($calendar('Eve') . "\r\n" . $calendar('Feast') . $calendar('Fair')),
        );
        try {
            $read($calendar('Eve') . str_replace('20261224', 'tomorrow', $calendar('Feast')));
            self::fail('The second was passed over.');
        } catch (InvalidData $invalid) {
            self::assertSame(
                ['Feast', 11],
                [$invalid->problems[0]->arguments['name'], $invalid->problems[0]->arguments['line']],
            );
        }
    }

    public function testTimesOfDayAreIgnoredWhereAnEventIsOfADate(): void
    {
        $result = self::import(
            self::event(
                'DTSTART;VALUE=DATE:20261225',
                'SUMMARY:Christmas Day',
                'RRULE:FREQ=YEARLY;BYHOUR=9,10;BYMINUTE=30',
            ),
            self::event('DTSTART;VALUE=DATE:20270510', 'SUMMARY:Refit', 'RRULE:FREQ=DAILY;BYHOUR=9;COUNT=3'),
        );
        self::assertSame(['Christmas Day (every 25 December)', 'Refit (Mon 10 May 2027 to Wed 12 May 2027)'], $result);
    }

    /** A rule of every year is kept as one only where it names the day on which it begins. */
    public function testWhatIsNoPlainRuleBecomesItsDates(): void
    {
        $result = self::import(
            self::event('DTSTART;VALUE=DATE:20261225', 'SUMMARY:Same', 'RRULE:FREQ=YEARLY;BYMONTH=12'),
            self::event('DTSTART;VALUE=DATE:20261225', 'SUMMARY:Another', 'RRULE:FREQ=YEARLY;BYMONTH=11;COUNT=2'),
            self::event('DTSTART;VALUE=DATE:20261225', 'SUMMARY:Two', 'RRULE:FREQ=YEARLY;BYMONTH=11,12;UNTIL=20270101'),
            self::event('DTSTART;VALUE=DATE:20261225', 'SUMMARY:Day', 'RRULE:FREQ=YEARLY;BYMONTH=12;BYMONTHDAY=25'),
        );
        self::assertSame('Same (every 25 December)', $result[0]);
        self::assertSame('Day (every 25 December)', $result[3]);
        self::assertStringNotContainsString('every', $result[1] . $result[2]);
    }

    public function testEventsBecomeHolidays(): void
    {
        $result = self::import(
            self::event('DTSTART;VALUE=DATE:20261225', 'SUMMARY:Christmas Day', 'RRULE:FREQ=YEARLY'),
            self::event('DTSTART;VALUE=DATE:20260504', 'SUMMARY:May holiday', 'RRULE:FREQ=YEARLY;BYMONTH=5;BYDAY=1MO'),
            self::event('DTSTART;VALUE=DATE:20260330', 'SUMMARY:Fifth', 'RRULE:FREQ=YEARLY;BYMONTH=3;BYDAY=5MO'),
            self::event('DTSTART;VALUE=DATE:20260403', 'SUMMARY:Good Friday'),
            self::event('DTSTART;VALUE=DATE:20270326', 'SUMMARY:Good Friday'),
            self::event('DTSTART;VALUE=DATE:20260720', 'DTEND;VALUE=DATE:20260801', 'SUMMARY:Dry dock'),
            self::event(
                'DTSTART;TZID=Europe/Paris:20261224T140000',
                'DTEND;TZID=Europe/Paris:20261224T180000',
                'SUMMARY:Christmas Eve',
            ),
            self::event('DTSTART:20261231T200000Z', 'DURATION:PT6H', 'SUMMARY:New Year party'),
        );
        self::assertSame(
            [
                'Christmas Day (every 25 December)',
                'May holiday (first Monday of May)',
                'Fifth (fifth Monday of March)',
                'Good Friday (Fri 3 Apr 2026, Fri 26 Mar 2027)',
                'Dry dock (Mon 20 Jul 2026 to Fri 31 Jul 2026)',
                'Christmas Eve (Thu 24 Dec 2026, 13:00–17:00)',
                'New Year party (Thu 31 Dec 2026, 20:00–24:00)',
                'New Year party (Fri 1 Jan 2027, 00:00–02:00)',
            ],
            $result,
        );
    }

    /** By RFC 5545 an event with a time has a rule that ends at one; where it ends on a date, that day is meant. */
    public function testARuleThatEndsOnADateEndsWithThatDay(): void
    {
        $drill = ['DTSTART;TZID=Europe/London:20261102T090000', 'DURATION:PT1H', 'SUMMARY:Drill'];
        self::assertSame(
            ['Drill (Mon 2 Nov 2026 to Wed 4 Nov 2026, 09:00–10:00)'],
            self::import(self::event(...[...$drill, 'RRULE:FREQ=DAILY;UNTIL=20261104'])),
        );
        $drill[0] = 'DTSTART;TZID=Europe/London:20261102T000000';
        self::assertSame(
            ['Drill (Mon 2 Nov 2026 to Wed 4 Nov 2026, 00:00–01:00)'],
            self::import(self::event(...[...$drill, 'RRULE:FREQ=DAILY;UNTIL=20261104'])),
            'Midnight is the next day.',
        );
    }

    public function testWhatIsLeftOutSaysWhy(): void
    {
        $file = self::read(
            self::event('DTSTART;VALUE=DATE:20261225', 'SUMMARY:Cancelled party', 'STATUS:CANCELLED'),
            self::event(
                'DTSTART:20261225T100000',
                'DTEND:20261225T110000',
                'SUMMARY:Just a note',
                'TRANSP:TRANSPARENT',
            ),
            self::event('DTSTART;VALUE=DATE:20991225', 'SUMMARY:Far away'),
            "BEGIN:VTODO\r\nUID:t\r\nDTSTAMP:20260101T000000Z\r\nSUMMARY:Order tea\r\nEND:VTODO",
        );
        self::assertSame([], $file->events);
        self::assertSame(
            [
                'Cancelled party: it is cancelled',
                'Just a note: it is marked as free time',
                'Far away: it does not happen before 2037-01-01',
                'Order tea: it is a task, not an event',
            ],
            array_map(static fn(LeftOut $one): string => $one->what . ': ' . $one->why, $file->leftOut),
        );
    }

    /** RFC 5545 3.6.1 (from memory): an RRULE should not occur more than once; together two are not what either says. */
    public function testTwoRulesOfOneEventAreRefused(): void
    {
        $this->expectExceptionMessage('more than one RRULE');
        self::read(
            self::event('DTSTART;VALUE=DATE:20261225', 'SUMMARY:Both', 'RRULE:FREQ=YEARLY', 'RRULE:FREQ=DAILY;COUNT=2'),
        );
    }

    public function testAMovedAndACancelledInstanceOfASeries(): void
    {
        $file = self::read(
            self::event(
                'UID:meet',
                'DTSTART;TZID=Europe/London:20261102T090000',
                'DURATION:PT1H',
                'RRULE:FREQ=WEEKLY;COUNT=4',
                'RDATE;TZID=Europe/London:20261203T090000',
                'EXDATE;TZID=Europe/London:20261109T090000',
                'SUMMARY:Drill',
            ),
            self::event(
                'UID:meet',
                'RECURRENCE-ID;TZID=Europe/London:20261116T090000',
                'DTSTART;TZID=Europe/London:20261117T100000',
                'DURATION:PT1H',
                'SUMMARY:Drill',
            ),
        );
        $starts = array_map(static fn(array $time): string => gmdate('m-d H:i', $time['start']), [
            ...$file->events[0]->times,
            ...$file->events[1]->times,
        ]);
        self::assertSame(['11-02 09:00', '11-23 09:00', '12-03 09:00', '11-17 10:00'], $starts);
    }

    #[DataProvider('badFiles')]
    public function testABadFileIsRefusedWhereItIsBad(string $text, string $words): void
    {
        try {
            (new FileReader('Europe/London', CivilDate::of(2037, 1, 1)))->read($text);
            self::fail('This must be refused.');
        } catch (InvalidData $invalid) {
            self::assertSame('/ics', $invalid->problems[0]->pointer);
            self::assertStringContainsString($words, ProblemWords::message($invalid->problems[0]));
            self::assertNotSame('', ProblemWords::remedy($invalid->problems[0]));
        }
    }

    /** @return iterable<string, array{string, string}> */
    public static function badFiles(): iterable
    {
        yield 'empty' => ['', 'not an iCalendar file'];
        yield 'something else' => [
            '<?xml version="1.0"?><!DOCTYPE l [<!ENTITY a "aa"><!ENTITY b "&a;&a;">]><l>&b;</l>',
            'not an iCalendar file',
        ];
        yield 'cut off' => ["BEGIN:VCALENDAR\r\nBEGIN:VEVENT\r\nSUMMARY:x\r\n", 'cannot be read'];
        yield 'huge' => [
            self::file(str_repeat(self::event('DTSTART;VALUE=DATE:20261225', 'SUMMARY:x'), 12000)),
            'larger than',
        ];
        yield 'nested for ever' => [str_repeat("BEGIN:VCALENDAR\r\n", 5000), 'Line 4 opens a part inside a part'];
        yield 'not UTF-8' => ["BEGIN:VCALENDAR\r\nX:\xff\xfe\r\nEND:VCALENDAR\r\n", 'not UTF-8'];
        yield 'an impossible date' => [
            self::file(self::event('DTSTART;VALUE=DATE:20260230', 'SUMMARY:Leap')),
            'Event 1, “Leap” (line 4): “20260230” is not a date',
        ];
        yield 'an unknown zone' => [
            self::file(self::event('DTSTART;TZID=Mars/Olympus:20260203T090000', 'DURATION:PT1H', 'SUMMARY:Launch')),
            '“Launch” (line 4): its time zone (TZID) “Mars/Olympus” is not known',
        ];
        yield 'a rule of every second' => [
            self::file(self::event('DTSTART:20260203T090000Z', 'DURATION:PT1S', 'RRULE:FREQ=SECONDLY', 'SUMMARY:Tick')),
            'more than 4000 times',
        ];
        yield 'a rule that is none' => [
            self::file(
                self::event('DTSTART:20260203T090000Z', 'DURATION:PT1S', 'RRULE:FREQ=FORTNIGHTLY', 'SUMMARY:Odd'),
            ),
            'no frequency',
        ];
        yield 'a time without an end' => [
            self::file(self::event('DTSTART:20260203T090000Z', 'SUMMARY:When')),
            'no length',
        ];
        yield 'an end before the start' => [
            self::file(self::event('DTSTART;VALUE=DATE:20260203', 'DTEND;VALUE=DATE:20260201', 'SUMMARY:Back')),
            'no length',
        ];
    }

    #[DataProvider('endless')]
    public function testWhatWouldTakeTooLongIsRefused(string $words, string ...$lines): void
    {
        try {
            self::read(self::event(...$lines));
            self::fail('It is refused.');
        } catch (InvalidData $invalid) {
            self::assertStringContainsString($words, ProblemWords::message($invalid->problems[0]));
        }
    }

    /** @return iterable<string, list<string>> what is said, and the event */
    public static function endless(): iterable
    {
        $enough = 'names more times than can be worked out at once';
        yield 'a second position of one' => [
            $enough,
            'DTSTART:20260101T000000',
            'DURATION:PT1S',
            'RRULE:FREQ=SECONDLY;BYSETPOS=2',
        ];
        yield 'years of hours, one after the other' => [
            $enough,
            'DTSTART:20260101T000000',
            'DURATION:P365D',
            'RRULE:FREQ=HOURLY;COUNT=3999',
        ];
        yield 'every second' => [
            'names more than 4000 times',
            'DTSTART:20260101T000000',
            'DURATION:PT1S',
            'RRULE:FREQ=DAILY;BYHOUR=1;BYMINUTE=' .
            implode(',', range(0, 59)) .
            ';BYSECOND=' .
            implode(',', range(0, 59)),
        ];
        yield 'a rule of many days' => [
            'longer than 2000 characters',
            'DTSTART:20260101T000000',
            'DURATION:PT1S',
            'RRULE:FREQ=YEARLY;BYDAY=' . str_repeat('MO,', 700) . 'MO',
        ];
        yield 'ages' => ['is not understood', 'DTSTART:20260101T000000', 'DURATION:P999999999D'];
        yield 'two years' => ['lasts longer than a year', 'DTSTART:20260101T000000', 'DURATION:P800D'];
        yield 'many dates' => [
            'lists more than 4000 times',
            'DTSTART;VALUE=DATE:20260101',
            'RDATE;VALUE=DATE:' . implode(',', array_fill(0, 4001, '20260102')),
        ];
    }

    public function testAnEventLastsAYearAtMost(): void
    {
        $lasting = static fn(string $period): string => self::event(
            'DTSTART:20260101T000000',
            'DURATION:' . $period,
            'SUMMARY:Closed',
        );
        self::assertCount(1, self::read($lasting('P366D'))->events);
        $this->expectException(InvalidData::class);
        self::read($lasting('P366DT1S'));
    }

    public function testMonthsOfAYearlyRuleAreLookedAtAlone(): void
    {
        // Eight hundred birthdays over ten years: each looks at the days of one month a year.
        $events = array_map(
            static fn(int $i): string => self::event(
                'UID:' . $i,
                \sprintf('DTSTART;VALUE=DATE:2026%02d%02d', 1 + ($i % 12), 1 + ($i % 28)),
                'RRULE:FREQ=YEARLY',
                'SUMMARY:Birthday ' . $i,
            ),
            range(1, 800),
        );
        self::assertCount(800, self::read(...$events)->events);
    }

    public function testARuleThatNeverComesStops(): void
    {
        $file = self::read(
            self::event(
                'DTSTART:20260203T090000Z',
                'DURATION:PT1S',
                'RRULE:FREQ=SECONDLY;BYMONTH=2;BYMONTHDAY=30',
                'SUMMARY:Never',
            ),
        );
        self::assertCount(1, $file->events[0]->times, 'The start is all there is.');
    }

    #[DataProvider('calendars')]
    public function testExportingAndImportingAgainChangesNothing(ReadyMadeCalendar $ready): void
    {
        $calendar = new HolidayCalendar(new About('cal_one', $ready->name), $ready->holidays);
        $text = (new Exporter(self::NOW))->holidays($calendar, CivilDate::of(2026, 1, 1), CivilDate::of(2031, 1, 1));
        $file = (new FileReader('Europe/London', CivilDate::of(2037, 1, 1)))->read($text);
        self::assertSame($ready->name, $file->name);
        $again = HolidayImport::preview($calendar, $file);
        self::assertSame([[], [], []], [$again->added, $again->changed, $again->leftOut]);
        self::assertSame($calendar->toJson(), $again->result->toJson());
        $fresh = HolidayImport::preview(
            new HolidayCalendar(new About('cal_one', $ready->name), new Holidays([])),
            $file,
        );
        self::assertSame($calendar->toJson(), $fresh->result->toJson(), 'Into an empty calendar it brings the same.');
    }

    /** @return iterable<string, array{ReadyMadeCalendar}> */
    public static function calendars(): iterable
    {
        foreach (ReadyMadeCalendar::all() as $ready) {
            yield $ready->key => [$ready];
        }
    }

    public function testDatesThatWereMovedInAnotherProgramCount(): void
    {
        $ready = ReadyMadeCalendar::find('england-and-wales');
        self::assertNotNull($ready);
        $calendar = new HolidayCalendar(new About('cal_one', 'Ours'), $ready->holidays);
        $text = (new Exporter(self::NOW))->holidays($calendar, CivilDate::of(2026, 1, 1), CivilDate::of(2029, 1, 1));
        $moved = str_replace('DTSTART;VALUE=DATE:20270326', 'DTSTART;VALUE=DATE:20270325', $text);
        self::assertNotSame($text, $moved);
        $preview = HolidayImport::preview(
            $calendar,
            (new FileReader('Europe/London', CivilDate::of(2037, 1, 1)))->read($moved),
        );
        self::assertSame(
            [
                'Good Friday (Fri 3 Apr 2026, Thu 25 Mar 2027, Fri 14 Apr 2028); it was Good Friday (2 days before Easter)',
            ],
            $preview->changed,
        );
        self::assertSame('The rule of Good Friday', $preview->leftOut[0]->what);
    }

    public function testHoursThatAreExportedAndImportedAgainChangeNothing(): void
    {
        $this->limitTo(25)
            ->forAll(
                Generators::elements(
                    'Europe/London',
                    'America/St_Johns',
                    'Australia/Lord_Howe',
                    'Asia/Kathmandu',
                    'Pacific/Chatham',
                ),
                Generators::choose(0, 100000),
            )
            ->then(static function (string $zone, int $seed): void {
                mt_srand($seed);
                $week = [];
                foreach (['mo', 'tu', 'we', 'th', 'fr', 'sa', 'su'] as $day) {
                    $from = mt_rand(18, 40) * 900;
                    $to = min($from + mt_rand(4, 80) * 900, 28 * 3600);
                    $week[] = [
                        'days' => [$day],
                        'from' => gmdate('H:i', $from),
                        'to' => \sprintf('%02d:%02d', intdiv($to, 3600), intdiv($to, 60) % 60),
                        'state' => 0 === mt_rand(0, 3) ? 'lunch' : 'open',
                    ];
                }
                $plan = (new PlanBuilder())->hours('hrs_one', [])->plan();
                $hours = $plan->get(Hours::class, 'hrs_one');
                self::assertNotNull($hours);
                $hours = PlanCodec::element(
                    [
                        'week' => $week,
                        'zone' => $zone,
                        'specialDays' => [
                            [
                                'date' => '2026-11-05',
                                'name' => 'Drill',
                                'bands' => [['from' => '10:00', 'to' => '26:00', 'state' => 'lunch']],
                            ],
                        ],
                    ] + $hours->toJson(),
                );
                \assert($hours instanceof Hours);
                $running = new PlanHours($plan->with($hours));
                [$first, $last] = [CivilDate::of(2026, 9, 20), CivilDate::of(2026, 11, 20)];
                $clock = Zone::over($zone, $first * 86400, $last * 86400);
                [$from, $until] = [$clock->instantOf($first * 86400), $clock->instantOf($last * 86400)];
                $text = (new Exporter(self::NOW))->hours(
                    $hours,
                    HoursCompiler::compile($running->timetable($hours), $from, $until),
                    $from,
                    $until,
                );
                self::assertStringContainsString("\r\nDTSTAMP:" . gmdate('Ymd\THis\Z', self::NOW), $text);
                $preview = (new SpecialDayImport($running))->preview(
                    $hours,
                    (new FileReader($zone, CivilDate::of(2037, 1, 1)))->read($text),
                    'closed',
                );
                self::assertSame([[], [], []], [$preview->added, $preview->changed, $preview->leftOut]);
                self::assertNotSame([], $preview->unchanged);
            });
    }

    public function testEventsBecomeSpecialDays(): void
    {
        $plan = (new PlanBuilder())
            ->hours('hrs_one', [
                ['days' => ['mo', 'tu', 'we', 'th', 'fr'], 'from' => '09:00', 'to' => '17:00', 'state' => 'open'],
            ])
            ->plan();
        $hours = $plan->get(Hours::class, 'hrs_one');
        self::assertNotNull($hours);
        $file = self::read(
            self::event('DTSTART;VALUE=DATE:20261204', 'SUMMARY:Staff day'),
            self::event(
                'DTSTART:20261205T100000',
                'DTEND:20261205T140000',
                'SUMMARY:Open Saturday',
                'X-MEANDROS-STATE:open',
            ),
            self::event('DTSTART;VALUE=DATE:20261206', 'SUMMARY:Sunday'),
            self::event('DTSTART:20261205T130000', 'DTEND:20261205T150000', 'SUMMARY:Too much'),
            self::event('DTSTART:20261205T080000', 'DTEND:20261205T090000', 'SUMMARY:Early', 'X-MEANDROS-STATE:open'),
        );
        $preview = (new SpecialDayImport(new PlanHours($plan)))->preview($hours, $file, 'closed');
        self::assertSame(['Fri 4 Dec 2026: Staff day', 'Sat 5 Dec 2026: Open Saturday'], $preview->added);
        self::assertSame(['Sun 6 Dec 2026: Sunday'], $preview->unchanged, 'It is closed on Sundays anyway.');
        self::assertSame('it overlaps “Open Saturday”', $preview->leftOut[0]->why);
        $saturday = $preview->result->toJson()['specialDays'][1]['bands'];
        self::assertSame(['08:00', '10:00'], array_column($saturday, 'from'), 'In the order of the day.');
        $samoa = PlanCodec::element(['zone' => 'Pacific/Apia'] + $hours->toJson());
        \assert($samoa instanceof Hours);
        $preview = (new SpecialDayImport(new PlanHours($plan->with($samoa))))->preview(
            $samoa,
            self::read(self::event('DTSTART;VALUE=DATE:20111230', 'SUMMARY:The day that never was')),
            'closed',
        );
        self::assertSame(['Fri 30 Dec 2011: The day that never was'], $preview->unchanged);
    }

    /** @return list<string> */
    private static function import(string ...$events): array
    {
        $preview = HolidayImport::preview(
            new HolidayCalendar(new About('cal_one', 'One'), new Holidays([])),
            self::read(...$events),
        );
        \assert($preview->result instanceof HolidayCalendar);

        return array_map(
            static fn(Holiday $one): string => \sprintf('%s (%s)', $one->name, HolidayWords::rule($one)),
            $preview->result->holidays->entries,
        );
    }

    private static function read(string ...$events): CalendarFile
    {
        return (new FileReader('Europe/London', CivilDate::of(2037, 1, 1)))->read(self::file(implode('', $events)));
    }

    private static function file(string $events): string
    {
        return "BEGIN:VCALENDAR\r\nVERSION:2.0\r\nPRODID:test\r\n$events\r\nEND:VCALENDAR\r\n";
    }

    private static function event(string ...$lines): string
    {
        return implode("\r\n", ['BEGIN:VEVENT', 'DTSTAMP:20260101T000000Z', ...$lines, 'END:VEVENT']) . "\r\n";
    }
}
