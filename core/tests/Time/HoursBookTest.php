<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Time;

use Meandros\Core\Time\Band;
use Meandros\Core\Time\CivilDate;
use Meandros\Core\Time\DatedDays;
use Meandros\Core\Time\HoursBook;
use Meandros\Core\Time\Moment;
use Meandros\Core\Time\SpecialDay;
use Meandros\Core\Time\TimeOfDay;
use Meandros\Core\Time\Timetable;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class HoursBookTest extends TestCase
{
    public function testAChangeFarAwayIsFoundInBothDirections(): void
    {
        $day = (int) CivilDate::parse('2027-06-01');
        $hours = new Timetable(
            'Europe/Paris',
            'closed',
            [],
            new DatedDays(specialDays: [$day => new SpecialDay($day, 'Centenary', [new Band(36000, 43200, 'open')])]),
        );
        $book = HoursBook::of($hours);
        $before = $book->read(Moment::parse('2026-01-10T12:00', 'Europe/Paris'));
        self::assertSame('2027-06-01T10:00:00+02:00', Moment::format((int) $before->until, 'Europe/Paris'));
        self::assertNull($before->since);
        $after = $book->read(Moment::parse('2028-09-10T12:00', 'Europe/Paris'));
        self::assertSame('2027-06-01T12:00:00+02:00', Moment::format((int) $after->since, 'Europe/Paris'));
        self::assertNull($after->until);
    }

    public function testReadingsDoNotDependOnWhatWasReadBefore(): void
    {
        $hours = new Timetable('Europe/London', 'closed', array_fill(0, 5, [new Band(32400, 61200, 'open')]));
        $used = HoursBook::of($hours);
        mt_srand(3);
        for ($i = 0; $i < 200; ++$i) {
            $instant = 1_700_000_000 + mt_rand(0, 200_000_000);
            self::assertEquals(HoursBook::of($hours)->read($instant), $used->read($instant));
        }
    }

    public function testASpecialDaysNightRunsIntoTheNextDayAndWinsThere(): void
    {
        $day = (int) CivilDate::parse('2026-12-31');
        $hours = new Timetable(
            'Europe/London',
            'closed',
            [4 => [new Band(0, 86400, 'open')]],
            new DatedDays(
                specialDays: [
                    $day => new SpecialDay($day, 'New Year\'s Eve', [new Band(18 * 3600, 26 * 3600, 'party')]),
                ],
            ),
        );
        $state = static fn(string $at): string => HoursBook::of($hours)->read(Moment::parse($at, 'Europe/London'))
            ->state;
        // 2027-01-01 is a Friday, open all day by the week.
        self::assertSame(
            ['party', 'party', 'open'],
            [$state('2026-12-31T23:59:59'), $state('2027-01-01T01:59:59'), $state('2027-01-01T02:00:00')],
        );
    }

    #[DataProvider('times')]
    public function testTimesOfDay(string $text, ?int $seconds): void
    {
        self::assertSame($seconds, TimeOfDay::parse($text));
        if (null !== $seconds && \strlen($text) >= 5) {
            self::assertSame($text, TimeOfDay::format($seconds));
        }
    }

    /** @return iterable<array{string, int|null}> */
    public static function times(): iterable
    {
        yield ['00:00', 0];
        yield ['9:30', 34200];
        yield ['24:00', 86400];
        yield ['30:00', 108000];
        yield ['48:00', 172800];
        yield ['48:01', null];
        yield ['12:60', null];
        yield ['12:00:60', null];
        yield ['23:59:59', 86399];
        yield ['noon', null];
        yield ["12:00\n", null];
    }

    #[DataProvider('dates')]
    public function testDates(string $text, ?int $weekday): void
    {
        $day = CivilDate::parse($text);
        self::assertSame($weekday, null === $day ? null : CivilDate::weekday($day));
        if (null !== $day) {
            self::assertSame($text, CivilDate::format($day));
        }
    }

    /** @return iterable<array{string, int|null}> 0 for Monday; the weekdays are those of a printed calendar, from memory */
    public static function dates(): iterable
    {
        yield ['1970-01-01', 3];
        yield ['1969-12-31', 2];
        yield ['2000-02-29', 1];
        yield ['2026-11-23', 0];
        yield ['2100-02-28', 6];
        yield ['2100-02-29', null];
        yield ['1900-01-01', 0];
        yield ['2500-12-31', 4];
        yield ['1899-12-31', null];
        yield ['2501-01-01', null];
        yield ['2026-04-31', null];
        yield ['2026-13-01', null];
        yield ['26-01-01', null];
    }
}
