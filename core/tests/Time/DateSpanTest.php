<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Time;

use Meandros\Core\Time\CivilDate;
use Meandros\Core\Time\DateSpan;
use Meandros\Core\Time\MonthDay;
use PHPUnit\Framework\TestCase;

final class DateSpanTest extends TestCase
{
    public function testItsDaysAreThoseThatItContains(): void
    {
        mt_srand(3);
        for ($i = 0; $i < 500; ++$i) {
            $span = self::random($i);
            foreach ([2023, 2024] as $year) {
                $days = range(CivilDate::of($year, 1, 1), CivilDate::of($year, 12, 31));
                self::assertSame(
                    array_values(array_filter($days, $span->contains(...))),
                    $span->daysIn($year),
                    json_encode($span->toJson()) . $year,
                );
            }
        }
    }

    public function testTwoMeetOnTheFirstDayThatBothHold(): void
    {
        mt_srand(4);
        for ($i = 0; $i < 500; ++$i) {
            [$one, $other] = [
                DateSpan::yearly(self::monthDay($i), self::monthDay($i + 1)),
                DateSpan::yearly(self::monthDay($i + 2), self::monthDay($i + 3)),
            ];
            $both = array_values(array_filter($one->daysIn(2024), $other->contains(...)));
            self::assertSame($both[0] ?? null, $one->meets($other));
        }
        $summer = DateSpan::dated(CivilDate::of(2025, 6, 1), CivilDate::of(2027, 8, 31));
        self::assertSame(
            CivilDate::of(2026, 1, 1),
            $summer->meets(DateSpan::yearly(self::date('01-01'), self::date('01-05'))),
        );
        self::assertSame(
            CivilDate::of(2025, 12, 24),
            $summer->meets(DateSpan::yearly(self::date('12-24'), self::date('01-05'))),
        );
        self::assertNull($summer->meets(DateSpan::dated(CivilDate::of(2027, 9, 1), CivilDate::of(2028, 1, 1))));
    }

    private static function random(int $i): DateSpan
    {
        $from = CivilDate::of(2021, 1, 1) + mt_rand(0, 2000);

        return 0 === $i % 3
            ? DateSpan::dated($from, $from + mt_rand(0, 800))
            : DateSpan::yearly(self::monthDay($i), self::monthDay($i + 1));
    }

    private static function monthDay(int $i): MonthDay
    {
        return self::date(0 === $i % 7 ? '02-29' : \sprintf('%02d-%02d', mt_rand(1, 12), mt_rand(1, 28)));
    }

    private static function date(string $text): MonthDay
    {
        return MonthDay::parse($text) ?? throw new \LogicException($text);
    }
}
