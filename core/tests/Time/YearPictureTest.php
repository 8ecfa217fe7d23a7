<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Time;

use Meandros\Core\Time\Band;
use Meandros\Core\Time\CivilDate;
use Meandros\Core\Time\Comparison;
use Meandros\Core\Time\CompiledHours;
use Meandros\Core\Time\HoursCompiler;
use Meandros\Core\Time\Timetable;
use Meandros\Core\Time\YearPicture;
use PHPUnit\Framework\TestCase;

final class YearPictureTest extends TestCase
{
    public function testEveryDateHasItsStretchesOnTheWallClock(): void
    {
        $compiled = self::compile(
            new Timetable('Europe/London', 'closed', [0 => [new Band(22 * 3600, 26 * 3600, 'open')]]),
            2026,
        );
        $picture = YearPicture::draw($compiled->starts(), $compiled->states(), 'Europe/London', 2026);
        self::assertCount(365, $picture->days);
        // 5 January 2026 is a Monday.
        self::assertSame(
            [['from' => 0, 'to' => 79200, 'state' => 'closed'], ['from' => 79200, 'to' => 86400, 'state' => 'open']],
            $picture->days[4],
        );
        self::assertSame(
            [['from' => 0, 'to' => 7200, 'state' => 'open'], ['from' => 7200, 'to' => 86400, 'state' => 'closed']],
            $picture->days[5],
        );
    }

    public function testDaysOnWhichClocksChangeAreMarked(): void
    {
        $compiled = self::compile(new Timetable('Australia/Lord_Howe', 'closed', []), 2026);
        $picture = YearPicture::draw($compiled->starts(), $compiled->states(), 'Australia/Lord_Howe', 2026);
        // Half an hour, on the first Sundays of April and October (IANA tz database).
        self::assertSame(
            [['2026-04-05', -1800], ['2026-10-04', 1800]],
            array_map(
                static fn(array $change): array => [
                    CivilDate::format($change['day']),
                    $change['after'] - $change['before'],
                ],
                $picture->clockChanges,
            ),
        );
    }

    public function testTwoHoursAreComparedAtInstants(): void
    {
        $nine = [new Band(9 * 3600, 17 * 3600, 'open')];
        $london = self::compile(new Timetable('Europe/London', 'closed', [0 => $nine]), 2026);
        $paris = self::compile(
            new Timetable('Europe/Paris', 'shut', [0 => [new Band(9 * 3600, 17 * 3600, 'ouvert')]]),
            2026,
        );
        $both = Comparison::of($london, ['open'], $paris, ['ouvert']);
        $picture = YearPicture::draw($both->starts, $both->states, 'Europe/London', 2026);
        $words = array_map(
            static fn(array $one): string => gmdate('H:i', $one['from']) . ' ' . $one['state'],
            $picture->days[4],
        );
        self::assertSame(['00:00 neither', '08:00 second', '09:00 both', '16:00 first', '17:00 neither'], $words);
    }

    private static function compile(Timetable $hours, int $year): CompiledHours
    {
        return HoursCompiler::compile(
            $hours,
            CivilDate::of($year, 1, 1) * 86400 - 86400,
            CivilDate::of($year + 1, 1, 1) * 86400 + 86400,
        );
    }
}
