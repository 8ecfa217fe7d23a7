<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Plan;

use Meandros\Core\Plan\ReadyMadeCalendar;
use Meandros\Core\Time\CivilDate;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * Ready-made calendars beside two independent references, 2020 to 2035: npm's date-holidays and Debian's
 * python3-holidays. Every difference must be in the list of known ones, each with the published rule that decides;
 * docs/holidays.md says the same for readers.
 */
final class ReadyMadeCalendarTest extends TestCase
{
    /** By reference: calendar, whose dates, name of the holiday (a pattern), and why we differ. */
    private const KNOWN = [
        'date-holidays' => [
            [
                'canada',
                'ours',
                '/Victoria|Reconciliation|Thanksgiving|Remembrance|Boxing/',
                'Canada Labour Code, section 166: holidays of federally regulated work; the reference lists them by province',
            ],
            ['canada', 'ours', '/Canada Day \(substitute/', 'Holidays Act, section 2: 2 July when 1 July is a Sunday'],
            [
                'germany',
                'theirs',
                '/Heiliger Abend|Silvester/',
                'No law of any Land; the reference calls them bank days',
            ],
            ['ireland', 'ours', '/Remembrance and Recognition/', 'S.I. 50/2022, one day in 2022'],
            [
                'ireland',
                'theirs',
                '/Good Friday/',
                'Not in the Organisation of Working Time Act 1997, second schedule; banks close',
            ],
            [
                'ireland',
                'theirs',
                '/substitute/',
                'The Act moves no public holiday; section 21 gives a day in lieu that the employer chooses',
            ],
            ['netherlands', 'ours', '/Bevrijdingsdag/', 'Algemene termijnenwet, article 3, names 5 May in every year'],
            [
                'netherlands',
                'theirs',
                '/Oudejaarsavond/',
                'Not in the Algemene termijnenwet; the reference calls it a bank day',
            ],
            [
                'spain',
                'theirs',
                '/Navidad \(/',
                'Real Decreto 2001/1983, article 45.3: the communities decide about a Sunday\'s holiday',
            ],
        ],
        'python3-holidays' => [
            ['belgium', 'theirs', '/^(Pasen|Pinksteren)$/', 'Royal decree of 18 April 1974 names the Mondays only'],
            [
                'canada',
                'ours',
                '/Reconciliation|Remembrance/',
                'Canada Labour Code, section 166; the reference shows Ontario',
            ],
            [
                'canada',
                'ours',
                '/Boxing Day/',
                'On its date by section 166; the reference shows only Ontario\'s observed day when it falls on a weekend',
            ],
            ['canada', 'theirs', '/Family Day|Civic Holiday/', 'Holidays of Ontario, not of the Canada Labour Code'],
            ['canada', 'theirs', '/Observed/', 'Canada Labour Code, section 193: the employer chooses the day in lieu'],
            [
                'england-and-wales',
                'ours',
                '/Jubilee|Funeral|coronation/',
                'Royal proclamations of 2022; the reference is older',
            ],
            ['england-and-wales', 'ours', '/^Spring/', 'Moved to 2 June 2022 by proclamation; the reference is older'],
            ['england-and-wales', 'theirs', '/Spring/', 'Moved to 2 June 2022 by proclamation; the reference is older'],
            [
                'germany',
                'theirs',
                '/Reformationstag/',
                'A holiday of Hamburg, by which the reference was asked, not of all Länder',
            ],
            ['ireland', 'ours', '/Remembrance and Recognition|Brigid/', 'S.I. 50/2022; the reference is older'],
            [
                'ireland',
                'theirs',
                '/Observed/',
                'The Act moves no public holiday; section 21 gives a day in lieu that the employer chooses',
            ],
            [
                'netherlands',
                'ours',
                '/Bevrijdingsdag/',
                'Algemene termijnenwet, article 3, names 5 May in every year; the reference has every fifth',
            ],
            [
                'northern-ireland',
                'ours',
                '/Jubilee|Funeral|coronation/',
                'Royal proclamations of 2022; the reference is older',
            ],
            ['northern-ireland', 'ours', '/^Spring/', 'Moved to 2 June 2022 by proclamation; the reference is older'],
            ['northern-ireland', 'theirs', '/Spring/', 'Moved to 2 June 2022 by proclamation; the reference is older'],
            [
                'northern-ireland',
                'ours',
                '/Boyne.*substitute/',
                'Substitute days are proclaimed every time, as on 13 July 2020; the reference has none',
            ],
            ['scotland', 'ours', '/Jubilee|Funeral|coronation/', 'Royal proclamations of 2022; the reference is older'],
            ['scotland', 'ours', '/^Spring/', 'Moved to 2 June 2022 by proclamation; the reference is older'],
            ['scotland', 'theirs', '/Spring/', 'Moved to 2 June 2022 by proclamation; the reference is older'],
            [
                'scotland',
                'ours',
                '/Andrew.*substitute/',
                'St Andrew\'s Day Bank Holiday (Scotland) Act 2007: the following Monday; the reference has none',
            ],
            ['usa', 'ours', '/Juneteenth/', 'Public Law 117-17 of 2021; the reference is older'],
        ],
    ];

    public function testTheyStandInOrderOfName(): void
    {
        $names = array_map(static fn(ReadyMadeCalendar $one): string => $one->name, ReadyMadeCalendar::all());
        $sorted = $names;
        sort($sorted);
        self::assertSame($sorted, $names);
    }

    #[DataProvider('references')]
    public function testEveryDifferenceFromAReferenceIsKnown(string $name, string $command): void
    {
        $theirs = self::ask($command);
        $used = [];
        foreach (ReadyMadeCalendar::all() as $calendar) {
            self::assertArrayHasKey($calendar->key, $theirs);
            $ours = self::dates($calendar);
            foreach (
                [
                    'ours' => array_diff_key($ours, $theirs[$calendar->key]),
                    'theirs' => array_diff_key($theirs[$calendar->key], $ours),
                ]
                as $whose => $only
            ) {
                foreach ($only as $date => $holiday) {
                    $why = self::known($name, $calendar->key, $whose, $holiday);
                    self::assertNotNull(
                        $why,
                        \sprintf('%s has %s (%s) in %s only.', $calendar->key, $date, $holiday, $whose),
                    );
                    $used[$why] = true;
                }
            }
        }
        self::assertCount(\count(self::KNOWN[$name]), $used, 'A known difference that is none any more must go.');
    }

    /** @return iterable<string, array{string, string}> */
    public static function references(): iterable
    {
        yield 'date-holidays' => ['date-holidays', 'node ' . __DIR__ . '/holidays_reference.cjs'];
        yield 'python3-holidays' => ['python3-holidays', '/usr/bin/python3 ' . __DIR__ . '/holidays_reference.py'];
    }

    /** Values as gov.uk/bank-holidays and opm.gov/federal-holidays print them, from memory. */
    #[DataProvider('printed')]
    public function testDatesAsTheyArePrinted(string $key, string $date, string $name): void
    {
        $calendar = ReadyMadeCalendar::find($key);
        self::assertNotNull($calendar);
        self::assertSame($name, self::dates($calendar)[$date] ?? null);
    }

    /** @return iterable<array{string, string, string}> */
    public static function printed(): iterable
    {
        yield ['england-and-wales', '2021-12-27', 'Christmas Day (substitute day)'];
        yield ['england-and-wales', '2021-12-28', 'Boxing Day (substitute day)'];
        yield ['england-and-wales', '2022-12-27', 'Christmas Day (substitute day)'];
        yield ['england-and-wales', '2026-12-28', 'Boxing Day (substitute day)'];
        yield ['scotland', '2022-01-03', 'New Year’s Day (substitute day)'];
        yield ['scotland', '2022-01-04', '2nd January (substitute day)'];
        yield ['usa', '2021-12-31', 'New Year’s Day (substitute day)'];
        yield ['ireland', '2024-02-05', 'St Brigid’s Day (substitute day)'];
        yield ['ireland', '2030-02-01', 'St Brigid’s Day'];
        yield ['netherlands', '2025-04-26', 'Koningsdag (substitute day)'];
    }

    /** @return array<string, string> name by date */
    private static function dates(ReadyMadeCalendar $calendar): array
    {
        $dates = [];
        foreach ($calendar->holidays->between(CivilDate::of(2020, 1, 1), CivilDate::of(2036, 1, 1)) as $occasion) {
            $dates[CivilDate::format($occasion->day)] ??= $occasion->name();
        }

        return $dates;
    }

    private static function known(string $reference, string $key, string $whose, string $holiday): ?int
    {
        foreach (self::KNOWN[$reference] as $i => [$calendar, $side, $pattern]) {
            if ($calendar === $key && $side === $whose && 1 === preg_match($pattern, $holiday)) {
                return $i;
            }
        }

        return null;
    }

    /** @return array<string, array<string, string>> name by calendar and date */
    private static function ask(string $command): array
    {
        exec($command, $lines, $status);
        self::assertSame(0, $status, 'The reference must be installed; bin/test does that.');
        /** @var array<string, array<string, string>> $dates */
        $dates = json_decode(implode("\n", $lines), true, 8, \JSON_THROW_ON_ERROR);

        return $dates;
    }
}
