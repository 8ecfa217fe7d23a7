<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\ICalendar;

use Meandros\Core\ICalendar\FileReader;
use Meandros\Core\Time\CivilDate;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** The examples of RFC 5545 3.8.5.3 through the importer: dates as the RFC prints them. */
final class RecurrenceTest extends TestCase
{
    #[DataProvider('days')]
    public function testTheExamplesByDay(string $start, string $rule, string $printed): void
    {
        $expected = self::printed($printed);
        $found = array_map(
            static fn(int $local): string => gmdate('Y-m-d', $local),
            self::starts($start . 'T090000', $rule),
        );
        self::assertSame($expected, \array_slice($found, 0, \count($expected)));
        if (1 === preg_match('/COUNT|UNTIL/', $rule)) {
            self::assertCount(\count($expected), $found, 'The series ends where the RFC ends it.');
        }
    }

    /** @return iterable<string, array{string, string, string}> */
    public static function days(): iterable
    {
        yield 'daily for 10 occurrences' => ['19970902', 'FREQ=DAILY;COUNT=10', '1997 Sep 2-11'];
        yield 'the first Monday of the year, also where that is its first day' => [
            '20010101',
            'FREQ=YEARLY;BYDAY=1MO;COUNT=3',
            '2001 Jan 1 2002 Jan 7 2003 Jan 6',
        ];
        yield 'the last Sunday of the year, also where the next one begins with a Sunday' => [
            '20051225',
            'FREQ=YEARLY;BYDAY=-1SU;COUNT=2',
            '2005 Dec 25 2006 Dec 31',
        ];
        yield 'daily until December 24' => [
            '19970902',
            'FREQ=DAILY;UNTIL=19971224T000000Z',
            '1997 Sep 2-30 Oct 1-31 Nov 1-30 Dec 1-23',
        ];
        yield 'every other day' => [
            '19970902',
            'FREQ=DAILY;INTERVAL=2',
            '1997 Sep 2,4,6,8,10,12,14,16,18,20,22,24,26,28,30 Oct 2,4,6,8,10,12,14,16,18,20,22,24,26,28,30 Nov 1,3,5,7',
        ];
        yield 'every 10 days' => ['19970902', 'FREQ=DAILY;INTERVAL=10;COUNT=5', '1997 Sep 2,12,22 Oct 2,12'];
        yield 'every day in January for 3 years' => [
            '19980101',
            'FREQ=YEARLY;UNTIL=20000131T140000Z;BYMONTH=1;BYDAY=SU,MO,TU,WE,TH,FR,SA',
            '1998 Jan 1-31 1999 Jan 1-31 2000 Jan 1-31',
        ];
        yield 'the same, daily' => [
            '19980101',
            'FREQ=DAILY;UNTIL=20000131T140000Z;BYMONTH=1',
            '1998 Jan 1-31 1999 Jan 1-31 2000 Jan 1-31',
        ];
        yield 'weekly for 10 occurrences' => [
            '19970902',
            'FREQ=WEEKLY;COUNT=10',
            '1997 Sep 2,9,16,23,30 Oct 7,14,21,28 Nov 4',
        ];
        yield 'weekly until December 24' => [
            '19970902',
            'FREQ=WEEKLY;UNTIL=19971224T000000Z',
            '1997 Sep 2,9,16,23,30 Oct 7,14,21,28 Nov 4,11,18,25 Dec 2,9,16,23',
        ];
        yield 'every other week' => [
            '19970902',
            'FREQ=WEEKLY;INTERVAL=2;WKST=SU',
            '1997 Sep 2,16,30 Oct 14,28 Nov 11,25 Dec 9,23 1998 Jan 6,20 Feb 3,17',
        ];
        yield 'Tuesday and Thursday for five weeks' => [
            '19970902',
            'FREQ=WEEKLY;UNTIL=19971007T000000Z;WKST=SU;BYDAY=TU,TH',
            '1997 Sep 2,4,9,11,16,18,23,25,30 Oct 2',
        ];
        yield 'the same, counted' => [
            '19970902',
            'FREQ=WEEKLY;COUNT=10;WKST=SU;BYDAY=TU,TH',
            '1997 Sep 2,4,9,11,16,18,23,25,30 Oct 2',
        ];
        yield 'every other week on three days' => [
            '19970901',
            'FREQ=WEEKLY;INTERVAL=2;UNTIL=19971224T000000Z;WKST=SU;BYDAY=MO,WE,FR',
            '1997 Sep 1,3,5,15,17,19,29 Oct 1,3,13,15,17,27,29,31 Nov 10,12,14,24,26,28 Dec 8,10,12,22',
        ];
        yield 'every other week on two days' => [
            '19970902',
            'FREQ=WEEKLY;INTERVAL=2;COUNT=8;WKST=SU;BYDAY=TU,TH',
            '1997 Sep 2,4,16,18,30 Oct 2,14,16',
        ];
        yield 'the first Friday' => [
            '19970905',
            'FREQ=MONTHLY;COUNT=10;BYDAY=1FR',
            '1997 Sep 5 Oct 3 Nov 7 Dec 5 1998 Jan 2 Feb 6 Mar 6 Apr 3 May 1 Jun 5',
        ];
        yield 'the first Friday until December 24' => [
            '19970905',
            'FREQ=MONTHLY;UNTIL=19971224T000000Z;BYDAY=1FR',
            '1997 Sep 5 Oct 3 Nov 7 Dec 5',
        ];
        yield 'first and last Sunday of every other month' => [
            '19970907',
            'FREQ=MONTHLY;INTERVAL=2;COUNT=10;BYDAY=1SU,-1SU',
            '1997 Sep 7,28 Nov 2,30 1998 Jan 4,25 Mar 1,29 May 3,31',
        ];
        yield 'the second-to-last Monday' => [
            '19970922',
            'FREQ=MONTHLY;COUNT=6;BYDAY=-2MO',
            '1997 Sep 22 Oct 20 Nov 17 Dec 22 1998 Jan 19 Feb 16',
        ];
        yield 'the third-to-last day' => [
            '19970928',
            'FREQ=MONTHLY;BYMONTHDAY=-3',
            '1997 Sep 28 Oct 29 Nov 28 Dec 29 1998 Jan 29 Feb 26',
        ];
        yield 'the 2nd and 15th' => [
            '19970902',
            'FREQ=MONTHLY;COUNT=10;BYMONTHDAY=2,15',
            '1997 Sep 2,15 Oct 2,15 Nov 2,15 Dec 2,15 1998 Jan 2,15',
        ];
        yield 'the first and last day' => [
            '19970930',
            'FREQ=MONTHLY;COUNT=10;BYMONTHDAY=1,-1',
            '1997 Sep 30 Oct 1,31 Nov 1,30 Dec 1,31 1998 Jan 1,31 Feb 1',
        ];
        yield 'every 18 months' => [
            '19970910',
            'FREQ=MONTHLY;INTERVAL=18;COUNT=10;BYMONTHDAY=10,11,12,13,14,15',
            '1997 Sep 10-15 1999 Mar 10-13',
        ];
        yield 'every Tuesday of every other month' => [
            '19970902',
            'FREQ=MONTHLY;INTERVAL=2;BYDAY=TU',
            '1997 Sep 2,9,16,23,30 Nov 4,11,18,25 1998 Jan 6,13,20,27 Mar 3,10,17,24,31',
        ];
        yield 'June and July' => [
            '19970610',
            'FREQ=YEARLY;COUNT=10;BYMONTH=6,7',
            '1997 Jun 10 Jul 10 1998 Jun 10 Jul 10 1999 Jun 10 Jul 10 2000 Jun 10 Jul 10 2001 Jun 10 Jul 10',
        ];
        yield 'every other year in three months' => [
            '19970310',
            'FREQ=YEARLY;INTERVAL=2;COUNT=10;BYMONTH=1,2,3',
            '1997 Mar 10 1999 Jan 10 Feb 10 Mar 10 2001 Jan 10 Feb 10 Mar 10 2003 Jan 10 Feb 10 Mar 10',
        ];
        yield 'days of the year' => [
            '19970101',
            'FREQ=YEARLY;INTERVAL=3;COUNT=10;BYYEARDAY=1,100,200',
            '1997 Jan 1 Apr 10 Jul 19 2000 Jan 1 Apr 9 Jul 18 2003 Jan 1 Apr 10 Jul 19 2006 Jan 1',
        ];
        yield 'the 20th Monday' => ['19970519', 'FREQ=YEARLY;BYDAY=20MO', '1997 May 19 1998 May 18 1999 May 17'];
        yield 'Monday of week 20' => [
            '19970512',
            'FREQ=YEARLY;BYWEEKNO=20;BYDAY=MO',
            '1997 May 12 1998 May 11 1999 May 17',
        ];
        yield 'Monday of the last week, as python-dateutil 2.9 has it' => [
            '19981228',
            'FREQ=YEARLY;BYWEEKNO=-1;BYDAY=MO;COUNT=4',
            '1998 Dec 28 1999 Dec 27 2000 Dec 25 2001 Dec 24',
        ];
        yield 'every Thursday in March' => [
            '19970313',
            'FREQ=YEARLY;BYMONTH=3;BYDAY=TH',
            '1997 Mar 13,20,27 1998 Mar 5,12,19,26 1999 Mar 4,11,18,25',
        ];
        yield 'every Thursday in summer' => [
            '19970605',
            'FREQ=YEARLY;BYDAY=TH;BYMONTH=6,7,8',
            '1997 Jun 5,12,19,26 Jul 3,10,17,24,31 Aug 7,14,21,28 1998 Jun 4,11,18,25 Jul 2,9,16,23,30 Aug 6,13,20,27 1999 Jun 3,10,17,24 Jul 1,8,15,22,29 Aug 5,12,19,26',
        ];
        yield 'every Friday the 13th' => [
            '19970902',
            "FREQ=MONTHLY;BYDAY=FR;BYMONTHDAY=13\r\nEXDATE;TZID=America/New_York:19970902T090000",
            '1998 Feb 13 Mar 13 Nov 13 1999 Aug 13 2000 Oct 13',
        ];
        yield 'the Saturday after the first Sunday' => [
            '19970913',
            'FREQ=MONTHLY;BYDAY=SA;BYMONTHDAY=7,8,9,10,11,12,13',
            '1997 Sep 13 Oct 11 Nov 8 Dec 13 1998 Jan 10 Feb 7 Mar 7 Apr 11 May 9 Jun 13',
        ];
        yield 'election day' => [
            '19961105',
            'FREQ=YEARLY;INTERVAL=4;BYMONTH=11;BYDAY=TU;BYMONTHDAY=2,3,4,5,6,7,8',
            '1996 Nov 5 2000 Nov 7 2004 Nov 2',
        ];
        yield 'the third of Tuesday, Wednesday, Thursday' => [
            '19970904',
            'FREQ=MONTHLY;COUNT=3;BYDAY=TU,WE,TH;BYSETPOS=3',
            '1997 Sep 4 Oct 7 Nov 6',
        ];
        yield 'the second-to-last weekday' => [
            '19970929',
            'FREQ=MONTHLY;BYDAY=MO,TU,WE,TH,FR;BYSETPOS=-2',
            '1997 Sep 29 Oct 30 Nov 27 Dec 30 1998 Jan 29 Feb 26 Mar 30',
        ];
        yield 'weeks from Monday' => [
            '19970805',
            'FREQ=WEEKLY;INTERVAL=2;COUNT=4;BYDAY=TU,SU;WKST=MO',
            '1997 Aug 5,10,19,24',
        ];
        yield 'weeks from Sunday' => [
            '19970805',
            'FREQ=WEEKLY;INTERVAL=2;COUNT=4;BYDAY=TU,SU;WKST=SU',
            '1997 Aug 5,17,19,31',
        ];
        yield 'a day that does not exist is passed over' => [
            '20070115',
            'FREQ=MONTHLY;BYMONTHDAY=15,30;COUNT=5',
            '2007 Jan 15,30 Feb 15 Mar 15,30',
        ];
    }

    /** @param list<string> $expected */
    #[DataProvider('times')]
    public function testTheExamplesByTime(string $rule, array $expected): void
    {
        $found = array_map(
            static fn(int $local): string => gmdate('H:i', $local),
            self::starts('19970902T090000', $rule, '19970904'),
        );
        self::assertSame($expected, \array_slice($found, 0, \count($expected)));
    }

    /** @return iterable<string, array{string, list<string>}> */
    public static function times(): iterable
    {
        // The RFC prints UNTIL=19970902T170000Z, which is 13:00 in New York; its erratum (3883, from memory) says 21:00 UTC.
        yield 'every 3 hours' => ['FREQ=HOURLY;INTERVAL=3;UNTIL=19970902T210000Z', ['09:00', '12:00', '15:00']];
        yield 'every 15 minutes' => [
            'FREQ=MINUTELY;INTERVAL=15;COUNT=6',
            ['09:00', '09:15', '09:30', '09:45', '10:00', '10:15'],
        ];
        yield 'every hour and a half' => ['FREQ=MINUTELY;INTERVAL=90;COUNT=4', ['09:00', '10:30', '12:00', '13:30']];
        yield 'by hand: half a minute past' => ['FREQ=DAILY;BYMINUTE=10;BYSECOND=30;COUNT=2', ['09:00', '09:10']];
        $day = [];
        for ($minute = 9 * 60; $minute <= 16 * 60 + 40; $minute += 20) {
            $day[] = \sprintf('%02d:%02d', intdiv($minute, 60), $minute % 60);
        }
        yield 'every 20 minutes of the day' => [
            'FREQ=DAILY;BYHOUR=9,10,11,12,13,14,15,16;BYMINUTE=0,20,40',
            [...$day, ...$day],
        ];
        yield 'the second of the day' => [
            'FREQ=DAILY;BYHOUR=17,9;BYMINUTE=30,0;BYSETPOS=2',
            ['09:00', '09:30', '09:30'],
        ];
        yield 'the same, minutely' => ['FREQ=MINUTELY;INTERVAL=20;BYHOUR=9,10,11,12,13,14,15,16', [...$day, ...$day]];
    }

    /** @return list<int> local times in New York */
    private static function starts(string $start, string $rule, string $until = '20080101'): array
    {
        $text = "BEGIN:VCALENDAR\r\nVERSION:2.0\r\nPRODID:test\r\nBEGIN:VEVENT\r\nUID:1\r\nDTSTAMP:19970101T000000Z\r\nDTSTART;TZID=America/New_York:$start\r\nDURATION:PT1M\r\nRRULE:$rule\r\nSUMMARY:Example\r\nEND:VEVENT\r\nEND:VCALENDAR\r\n";
        $day = CivilDate::parse(substr($until, 0, 4) . '-' . substr($until, 4, 2) . '-' . substr($until, 6));

        return array_column((new FileReader('America/New_York', (int) $day))->read($text)->events[0]->times, 'start');
    }

    /** @return list<string> of "1997 Sep 2-5 Oct 1,3" */
    private static function printed(string $text): array
    {
        $dates = [];
        [$year, $month] = ['', ''];
        foreach (explode(' ', $text) as $word) {
            if (4 === \strlen($word) && ctype_digit($word)) {
                $year = $word;
            } elseif (ctype_alpha($word)) {
                $month = $word;
            } else {
                foreach (explode(',', $word) as $days) {
                    [$first, $last] = explode('-', $days) + [1 => $days];
                    foreach (range((int) $first, (int) $last) as $day) {
                        $dates[] = gmdate('Y-m-d', (int) strtotime("$day $month $year UTC"));
                    }
                }
            }
        }

        return $dates;
    }
}
