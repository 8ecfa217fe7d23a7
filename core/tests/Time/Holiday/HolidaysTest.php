<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Time\Holiday;

use Meandros\Core\Plan\Json\HolidayReader;
use Meandros\Core\Reading\Input;
use Meandros\Core\Reading\InvalidData;
use Meandros\Core\Time\CivilDate;
use Meandros\Core\Time\Holiday\Holiday;
use Meandros\Core\Time\Holiday\Holidays;
use Meandros\Core\Wording\HolidayWords;
use Meandros\Core\Wording\ProblemWords;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class HolidaysTest extends TestCase
{
    /**
     * @param array<string, mixed> $holiday
     * @param list<string>         $dates   of 2026 to 2028
     */
    #[DataProvider('rules')]
    public function testEachRuleNamesItsDays(array $holiday, string $words, array $dates): void
    {
        $holidays = self::calendar([$holiday]);
        $found = array_map(
            static fn($occasion): string => CivilDate::format($occasion->day),
            $holidays->between(CivilDate::of(2026, 1, 1), CivilDate::of(2029, 1, 1)),
        );
        self::assertSame($dates, $found);
        self::assertSame($words, HolidayWords::rule($holidays->entries[0]));
        $json = $holidays->entries[0]->toJson();
        self::assertSame(
            $json,
            self::calendar([$json])->entries[0]->toJson(),
            'Writing and reading again changes nothing.',
        );
    }

    /** @return iterable<string, array{array<string, mixed>, string, list<string>}> */
    public static function rules(): iterable
    {
        yield 'a date' => [['rule' => ['on' => 'dates', 'dates' => ['2027-06-02']]], 'Wed 2 Jun 2027', ['2027-06-02']];
        yield 'a range' => [
            ['rule' => ['on' => 'range', 'from' => '2027-12-30', 'to' => '2028-01-02']],
            'Thu 30 Dec 2027 to Sun 2 Jan 2028',
            ['2027-12-30', '2027-12-31', '2028-01-01', '2028-01-02'],
        ];
        yield 'a range of every year' => [
            [
                'rule' => ['on' => 'range', 'from' => '12-31', 'to' => '01-01'],
                'years' => ['from' => 2027, 'to' => 2027],
            ],
            'every 31 December to 1 January',
            ['2027-01-01', '2027-12-31'],
        ];
        yield 'the fourth Thursday' => [
            ['rule' => ['on' => 'nth weekday', 'nth' => 4, 'weekday' => 'th', 'month' => 11]],
            'fourth Thursday of November',
            ['2026-11-26', '2027-11-25', '2028-11-23'],
        ];
        yield 'every year' => [
            ['rule' => ['on' => 'yearly', 'date' => '07-14']],
            'every 14 July',
            ['2026-07-14', '2027-07-14', '2028-07-14'],
        ];
        yield '29 February in leap years only' => [
            ['rule' => ['on' => 'yearly', 'date' => '02-29']],
            'every 29 February',
            ['2028-02-29'],
        ];
        yield 'a fifth Monday' => [
            ['rule' => ['on' => 'nth weekday', 'nth' => 5, 'weekday' => 'mo', 'month' => 5]],
            'fifth Monday of May',
            ['2027-05-31', '2028-05-29'],
        ];
        yield 'the last Friday' => [
            ['rule' => ['on' => 'nth weekday', 'nth' => -1, 'weekday' => 'fr', 'month' => 12]],
            'last Friday of December',
            ['2026-12-25', '2027-12-31', '2028-12-29'],
        ];
        yield 'the second to last Friday' => [
            ['rule' => ['on' => 'nth weekday', 'nth' => -2, 'weekday' => 'fr', 'month' => 12]],
            'second to last Friday of December',
            ['2026-12-18', '2027-12-24', '2028-12-22'],
        ];
        yield 'on or before' => [
            ['rule' => ['on' => 'weekday near', 'weekday' => 'mo', 'side' => 'on or before', 'date' => '05-24']],
            'the Monday on or before 24 May',
            ['2026-05-18', '2027-05-24', '2028-05-22'],
        ];
        yield 'on or after, over the turn of the year' => [
            ['rule' => ['on' => 'weekday near', 'weekday' => 'we', 'side' => 'on or after', 'date' => '12-31']],
            'the Wednesday on or after 31 December',
            ['2027-01-06', '2028-01-05'],
        ];
        yield 'Ascension' => [
            ['rule' => ['on' => 'easter', 'days' => 39, 'church' => 'western']],
            '39 days after Easter',
            ['2026-05-14', '2027-05-06', '2028-05-25'],
        ];
        yield 'Easter Monday' => [
            ['rule' => ['on' => 'easter', 'days' => 1, 'church' => 'western']],
            'the day after Easter',
            ['2026-04-06', '2027-03-29', '2028-04-17'],
        ];
        yield 'Orthodox Easter' => [
            ['rule' => ['on' => 'easter', 'days' => 0, 'church' => 'orthodox']],
            'Orthodox Easter Sunday',
            ['2026-04-12', '2027-05-02', '2028-04-16'],
        ];
        yield 'not in some years' => [
            [
                'rule' => ['on' => 'yearly', 'date' => '07-14'],
                'years' => ['from' => 2026, 'to' => null, 'except' => [2027]],
            ],
            'every 14 July',
            ['2026-07-14', '2028-07-14'],
        ];
        yield 'part of a day' => [
            [
                'rule' => ['on' => 'yearly', 'date' => '12-24'],
                'part' => ['from' => '13:00', 'to' => '24:00'],
                'years' => ['to' => 2026],
            ],
            'every 24 December, 13:00–24:00',
            ['2026-12-24'],
        ];
        $moved = static fn(string $date, string $to, bool $keep): array => [
            'rule' => ['on' => 'dates', 'dates' => [$date]],
            'substitute' => ['on' => ['sa', 'su'], 'to' => $to, 'keep' => $keep],
        ];
        yield 'a Saturday to the next Monday' => [
            $moved('2026-08-15', 'next monday', false),
            'Sat 15 Aug 2026',
            ['2026-08-17'],
        ];
        yield 'a Saturday to Friday' => [
            $moved('2026-08-15', 'nearest weekday', true),
            'Sat 15 Aug 2026',
            ['2026-08-14', '2026-08-15'],
        ];
        yield 'a Sunday to Monday' => [
            $moved('2026-08-16', 'nearest weekday', true),
            'Sun 16 Aug 2026',
            ['2026-08-16', '2026-08-17'],
        ];
        yield 'the day before' => [$moved('2026-08-16', 'day before', false), 'Sun 16 Aug 2026', ['2026-08-15']];
        yield 'the day after' => [$moved('2026-08-15', 'day after', false), 'Sat 15 Aug 2026', ['2026-08-16']];
        yield 'a Sunday to the next Monday' => [
            $moved('2026-08-16', 'next monday', false),
            'Sun 16 Aug 2026',
            ['2026-08-17'],
        ];
        yield 'the next working day after a weekend' => [
            $moved('2026-08-15', 'next working day', false),
            'Sat 15 Aug 2026',
            ['2026-08-17'],
        ];
        yield 'a weekday stays' => [$moved('2026-08-14', 'next monday', false), 'Fri 14 Aug 2026', ['2026-08-14']];
    }

    public function testSubstituteDaysDoNotFallOnHolidays(): void
    {
        $substitute = ['on' => ['sa', 'su'], 'to' => 'next working day', 'keep' => true];
        $holidays = self::calendar([
            ['name' => 'Christmas Day', 'rule' => ['on' => 'yearly', 'date' => '12-25'], 'substitute' => $substitute],
            ['name' => 'Boxing Day', 'rule' => ['on' => 'yearly', 'date' => '12-26'], 'substitute' => $substitute],
        ]);
        $names = [];
        foreach ($holidays->between(CivilDate::of(2027, 12, 24), CivilDate::of(2028, 1, 1)) as $occasion) {
            $names[CivilDate::format($occasion->day)] = $occasion->name();
        }
        // 25 December 2027 is a Saturday.
        self::assertSame(
            [
                '2027-12-25' => 'Christmas Day',
                '2027-12-26' => 'Boxing Day',
                '2027-12-27' => 'Christmas Day (substitute day)',
                '2027-12-28' => 'Boxing Day (substitute day)',
            ],
            $names,
        );
    }

    public function testSubstitutesAreGivenOutInTheOrderOfTheirDays(): void
    {
        $moves = ['substitute' => ['on' => ['sa', 'su'], 'to' => 'next working day', 'keep' => false]];
        // 25 December 2027 is a Saturday; it stands last in the calendar.
        $holidays = self::calendar([
            ['id' => 'boxing', 'rule' => ['on' => 'yearly', 'date' => '12-26']] + $moves,
            ['id' => 'christmas', 'rule' => ['on' => 'yearly', 'date' => '12-25']] + $moves,
        ]);
        $days = array_map(
            static fn($one): string => $one->holiday->id . ' ' . CivilDate::format($one->day),
            $holidays->between(CivilDate::of(2027, 12, 20), CivilDate::of(2027, 12, 31)),
        );
        self::assertSame(['christmas 2027-12-27', 'boxing 2027-12-28'], $days);
    }

    public function testOfTwoOnOneDayTheEarlierEntryComesFirst(): void
    {
        $holidays = self::calendar([
            ['id' => 'bb', 'rule' => ['on' => 'yearly', 'date' => '05-01']],
            ['id' => 'aa', 'rule' => ['on' => 'dates', 'dates' => ['2026-05-01', '2026-04-01']]],
        ]);
        self::assertSame(
            ['aa', 'bb', 'aa'],
            array_map(
                static fn($one): string => $one->holiday->id,
                $holidays->between(CivilDate::of(2026, 4, 1), CivilDate::of(2026, 5, 2)),
            ),
        );
        self::assertSame(
            ['bb'],
            array_map(
                static fn($one): string => $one->holiday->id,
                $holidays->between(CivilDate::of(2027, 1, 1), CivilDate::of(2028, 1, 1)),
            ),
        );
        self::assertSame(
            [],
            $holidays->between(CivilDate::of(2026, 4, 2), CivilDate::of(2026, 5, 1)),
            'From a day, and until another that is not among them.',
        );
    }

    public function testAHolidayIsOverToTheDay(): void
    {
        $day = CivilDate::of(2026, 11, 30);
        $holiday = static fn(array $holiday): Holiday => self::calendar([$holiday])->entries[0];
        $dated = $holiday(['rule' => ['on' => 'dates', 'dates' => ['2026-04-01', '2026-11-30']]]);
        self::assertSame(
            [false, false, true],
            [$dated->isOver($day - 1), $dated->isOver($day), $dated->isOver($day + 1)],
        );
        $ends = $holiday(['rule' => ['on' => 'yearly', 'date' => '03-01'], 'years' => ['to' => 2026]]);
        self::assertSame(
            [false, true],
            [$ends->isOver(CivilDate::of(2026, 12, 31)), $ends->isOver(CivilDate::of(2027, 1, 1))],
        );
        self::assertFalse(
            $holiday(['rule' => ['on' => 'yearly', 'date' => '03-01']])->isOver(CivilDate::of(2400, 1, 1)),
        );
    }

    public function testWhatIsOverAndWhatComes(): void
    {
        $holidays = self::calendar([
            ['name' => 'Jubilee', 'rule' => ['on' => 'dates', 'dates' => ['2022-06-02', '2022-06-03']]],
            ['name' => 'Harbour day', 'rule' => ['on' => 'dates', 'dates' => ['2026-11-30', '2027-05-01']]],
            ['name' => 'Old custom', 'rule' => ['on' => 'yearly', 'date' => '03-01'], 'years' => ['to' => 2025]],
        ]);
        $today = CivilDate::of(2026, 11, 23);
        $over = array_filter($holidays->entries, static fn(Holiday $one): bool => $one->isOver($today));
        self::assertSame(['Jubilee', 'Old custom'], array_column($over, 'name'));
        self::assertCount(2, $holidays->between($today, CivilDate::of(2028, 11, 23)));
    }

    /** @param array<string, mixed> $holiday */
    #[DataProvider('badHolidays')]
    public function testBadHolidaysAreRefusedAtTheField(array $holiday, string $pointer, string $words): void
    {
        try {
            self::calendar([$holiday]);
            self::fail('This must be refused.');
        } catch (InvalidData $invalid) {
            self::assertSame($pointer, $invalid->problems[0]->pointer);
            self::assertStringContainsString($words, ProblemWords::message($invalid->problems[0]));
        }
    }

    /** @return iterable<array{array<string, mixed>, string, string}> */
    public static function badHolidays(): iterable
    {
        yield [['rule' => ['on' => 'full moon']], '/holidays/0/rule/on', 'not a rule'];
        yield [
            ['rule' => ['on' => 'yearly', 'date' => '02-30']],
            '/holidays/0/rule/date',
            'does not exist in any year',
        ];
        yield [['rule' => ['on' => 'dates', 'dates' => []]], '/holidays/0/rule/dates', 'no date'];
        yield [['rule' => ['on' => 'dates', 'dates' => ['2027-02-29']]], '/holidays/0/rule/dates/0', 'does not exist'];
        yield [
            ['rule' => ['on' => 'nth weekday', 'nth' => 0, 'weekday' => 'mo', 'month' => 5]],
            '/holidays/0/rule/nth',
            'number 0',
        ];
        yield [
            ['rule' => ['on' => 'nth weekday', 'nth' => 1, 'weekday' => 'mo', 'month' => 13]],
            '/holidays/0/rule/month',
            '1 to 12',
        ];
        yield [
            ['rule' => ['on' => 'yearly', 'date' => '12-24'], 'part' => ['from' => '13:00', 'to' => '12:00']],
            '/holidays/0/part/to',
            'before it starts',
        ];
        yield [
            ['rule' => ['on' => 'yearly', 'date' => '12-24'], 'part' => ['from' => '13:00', 'to' => '13:00']],
            '/holidays/0/part/to',
            'before it starts',
        ];
        yield [
            ['rule' => ['on' => 'yearly', 'date' => '12-24'], 'years' => ['from' => 2027, 'to' => 2026]],
            '/holidays/0/years/to',
            'comes before',
        ];
        yield [
            ['rule' => ['on' => 'yearly', 'date' => '12-24'], 'substitute' => ['on' => [], 'to' => 'next monday']],
            '/holidays/0/substitute/on',
            'No day',
        ];
    }

    /** @param list<array<string, mixed>> $holidays */
    private static function calendar(array $holidays): Holidays
    {
        foreach ($holidays as $i => $holiday) {
            $holidays[$i] += ['id' => 'one_' . $i, 'name' => 'One'];
        }

        return Input::read(
            ['holidays' => $holidays],
            static fn(Input $in): Holidays => HolidayReader::holidays($in->field('holidays')),
        );
    }
}
