<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Proof;

use Meandros\Core\Proof\Times;
use Meandros\Core\Proof\Weekly;
use Meandros\Core\Time\CivilDate;
use Meandros\Core\Time\Moment;
use Meandros\Core\Time\Weekday;
use Meandros\Core\Wording\TimesWords;
use PHPUnit\Framework\TestCase;

/** Intervals of a year as people say them: what is so on most weeks by its weekdays, the rest by days. */
final class TimesTest extends TestCase
{
    private const ZONE = 'Europe/London';
    private const YEAR = ['2027-01-01T00:00', '2028-01-01T00:00'];

    public function testAllTheTime(): void
    {
        self::assertTrue(self::of([self::YEAR])->always);
        self::assertFalse(self::of([['2027-01-01T00:00', '2027-12-31T23:59']])->always);
    }

    public function testOfManyTimesTheFirstAreSaid(): void
    {
        $mornings = [];
        foreach (['08:00', '09:00', '10:00', '11:00'] as $i => $from) {
            foreach (self::days('2027-01-0' . (4 + $i), '2027-12-27', 7) as $day) {
                $mornings[] = [$day . 'T' . $from, $day . 'T12:00'];
            }
        }
        sort($mornings);
        $times = self::of($mornings);
        self::assertSame('Mon 08:00–12:00; Tue 09:00–12:00; and 2 more', TimesWords::of($times, 2));
        self::assertSame(
            'Mon 08:00–12:00; Tue 09:00–12:00; Wed 10:00–12:00; Thu 11:00–12:00',
            TimesWords::of($times, 4),
        );
    }

    public function testNightsEndOnTheDayAfter(): void
    {
        $days = self::days('2027-01-04', '2027-12-27', 7);
        $nights = array_map(static fn(string $day): array => [$day . 'T18:00', self::after($day, 1) . 'T09:00'], $days);
        self::assertSame(['mo 64800 +1 32400, 52 times'], self::told(self::of($nights)));
    }

    public function testWhatEndsAtMidnightEndsOnItsDay(): void
    {
        $days = self::days('2027-01-04', '2027-12-27', 7);
        $evenings = array_map(
            static fn(string $day): array => [$day . 'T18:00', self::after($day, 1) . 'T00:00'],
            $days,
        );
        self::assertSame(['mo 64800 +0 86400, 52 times'], self::told(self::of($evenings)));
        $later = array_map(static fn(array $one): array => [$one[0], $one[1] . ':01'], $evenings);
        self::assertSame(['mo 64800 +1 1, 52 times'], self::told(self::of($later)));
    }

    public function testDaysOfTheWeekAreSaidTogetherAndSeasonsFromTheFirstToTheLast(): void
    {
        $mornings = [];
        foreach (['2027-06-01', '2027-06-02', '2027-06-04'] as $first) {
            foreach (self::days($first, '2027-08-27', 7) as $day) {
                $mornings[] = [$day . 'T09:00', $day . 'T12:00'];
            }
        }
        // Two days on their own, far from the others, are said by their dates.
        $alone = [['2027-02-02T09:00', '2027-02-02T12:00'], ['2027-11-05T09:00', '2027-11-05T12:00']];
        $all = [...$mornings, ...$alone];
        sort($all);
        $times = self::of($all);
        self::assertSame(['tu we fr 32400 +0 43200, 39 times from 2027-06-01 to 2027-08-27'], self::told($times));
        self::assertSame(['2027-02-02', '2027-11-05'], array_map(CivilDate::format(...), $times->days));
        self::assertSame(
            'Tue, Wed, Fri 09:00–12:00 from Tue 1 Jun 2027 to Fri 27 Aug 2027; on 2 other days, the first on Tue 2 Feb 2027',
            TimesWords::of($times),
        );
        self::assertSame(
            'mar., mer., ven. 09:00–12:00 du mar. 1 juin 2027 au ven. 27 août 2027 ; 2 autres jours, le premier le mar. 2 févr. 2027',
            str_replace(["\u{a0}", "\u{202f}"], ' ', TimesWords::of($times, language: 'fr')),
        );
        self::assertStringEndsWith('; on Tue 2 Feb 2027 and Fri 5 Nov 2027', TimesWords::of($times, days: 2));
    }

    public function testSeasonsThatEndFarApartAreToldApart(): void
    {
        $mornings = [];
        foreach ([['2027-06-01', '2027-08-31'], ['2027-06-02', '2027-07-28']] as [$first, $last]) {
            foreach (self::days($first, $last, 7) as $day) {
                $mornings[] = [$day . 'T09:00', $day . 'T12:00'];
            }
        }
        sort($mornings);
        self::assertSame(
            [
                'tu 32400 +0 43200, 14 times from 2027-06-01 to 2027-08-31',
                'we 32400 +0 43200, 9 times from 2027-06-02 to 2027-07-28',
            ],
            self::told(self::of($mornings)),
        );
    }

    /** Three weeks from the end of the year, it is a season; a day later, it goes on to the end. */
    public function testThroughoutIsUpToThreeWeeksFromEitherEnd(): void
    {
        foreach (['2027-12-10' => ' to 2027-12-10', '2027-12-11' => ''] as $last => $ends) {
            $days = self::days('2027-01-0' . (str_ends_with($last, '0') ? '8' : '9'), $last, 7);
            $mornings = array_map(static fn(string $day): array => [$day . 'T09:00', $day . 'T12:00'], $days);
            self::assertStringEndsWith('' === $ends ? ' times' : $ends, self::told(self::of($mornings))[0]);
        }
    }

    public function testSingleDaysAreInOrderWhateverTheirTimes(): void
    {
        $times = self::of([
            ['2027-02-01T09:00', '2027-02-01T12:00'],
            ['2027-03-01T08:00', '2027-03-01T12:00'],
            ['2027-04-01T09:00', '2027-04-01T12:00'],
        ]);
        self::assertSame(['2027-02-01', '2027-03-01', '2027-04-01'], array_map(CivilDate::format(...), $times->days));
    }

    public function testWhatTheStretchCutsOffIsOneOfThem(): void
    {
        // The year begins on a Friday and ends on one.
        $nights = [['2027-01-01T00:00', '2027-01-01T09:00']];
        foreach (self::days('2027-01-07', '2027-12-23', 7) as $day) {
            $nights[] = [$day . 'T18:00', self::after($day, 1) . 'T09:00'];
            $nights[] = [self::after($day, 1) . 'T18:00', self::after($day, 2) . 'T09:00'];
        }
        $nights[] = ['2027-12-30T18:00', '2027-12-31T09:00'];
        $nights[] = ['2027-12-31T18:00', '2028-01-01T00:00'];
        $times = self::of($nights);
        self::assertSame(['th fr 64800 +1 32400, 105 times'], self::told($times));
        self::assertSame([], $times->days);
        // What ends at another time is none of them.
        $nights[0] = ['2027-01-01T00:00', '2027-01-01T08:00'];
        self::assertSame(['2027-01-01'], array_map(CivilDate::format(...), self::of($nights)->days));
    }

    public function testWhatTheStretchCutsOffIsNoneOfThoseThatBeginLater(): void
    {
        // Fridays from nine to noon; on the first one, since midnight at least.
        $mornings = array_map(
            static fn(string $day): array => [$day . 'T09:00', $day . 'T12:00'],
            self::days('2027-01-08', '2027-12-31', 7),
        );
        $times = self::of([['2027-01-01T00:00', '2027-01-01T12:00'], ...$mornings]);
        self::assertSame(['2027-01-01'], array_map(CivilDate::format(...), $times->days));
        self::assertCount(1, $times->weekly);
    }

    public function testTwoSeasonsAreToldInTheirOrderAndADayIsToldOnce(): void
    {
        $intervals = [];
        foreach ([...self::days('2027-09-06', '2027-10-25', 7), ...self::days('2027-03-01', '2027-04-26', 7)] as $day) {
            $intervals[] = [$day . 'T09:00', $day . 'T12:00'];
        }
        array_push($intervals, ['2027-12-24T08:00', '2027-12-24T09:00'], ['2027-12-24T10:00', '2027-12-24T11:00']);
        sort($intervals);
        $times = self::of($intervals);
        self::assertSame(
            [
                'mo 32400 +0 43200, 9 times from 2027-03-01 to 2027-04-26',
                'mo 32400 +0 43200, 8 times from 2027-09-06 to 2027-10-25',
            ],
            self::told($times),
        );
        self::assertSame(['2027-12-24'], array_map(CivilDate::format(...), $times->days));
    }

    public function testThreeOfFourWeeksAreMostAndTwoOfFourAreNot(): void
    {
        $mondays = self::days('2027-01-04', '2027-12-27', 7);
        $some = static fn(int $without): array => array_map(
            static fn(string $day): array => [$day . 'T09:00', $day . 'T12:00'],
            array_values(array_filter($mondays, static fn(int $i): bool => $i % 4 >= $without, \ARRAY_FILTER_USE_KEY)),
        );
        self::assertSame(['mo 32400 +0 43200, 39 times'], self::told(self::of($some(1))));
        self::assertSame([], self::told(self::of($some(2))));
        self::assertCount(26, self::of($some(2))->days);
    }

    /** @param non-empty-list<array{string, string}> $intervals local times */
    private static function of(array $intervals): Times
    {
        $instant = static fn(string $local): int => Moment::parse($local, self::ZONE);

        return Times::of(
            array_map(static fn(array $one): array => [$instant($one[0]), $instant($one[1])], $intervals),
            $instant(self::YEAR[0]),
            $instant(self::YEAR[1]),
            self::ZONE,
        );
    }

    /** @return list<string> */
    private static function told(Times $times): array
    {
        return array_map(
            static fn(Weekly $one): string => \sprintf(
                '%s %d +%d %d, %d times%s',
                implode(' ', array_map(static fn(Weekday $day): string => $day->value, $one->days)),
                $one->from,
                $one->later,
                $one->to,
                $one->times,
                null === $one->season
                    ? ''
                    : \sprintf(' from %s to %s', ...array_map(CivilDate::format(...), $one->season)),
            ),
            $times->weekly,
        );
    }

    /** @return non-empty-list<string> */
    private static function days(string $first, string $last, int $step): array
    {
        $days = [$first];
        for ($day = self::after($first, $step); $day <= $last; $day = self::after($day, $step)) {
            $days[] = $day;
        }

        return $days;
    }

    private static function after(string $day, int $days): string
    {
        return CivilDate::format((int) CivilDate::parse($day) + $days);
    }
}
