<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Time;

use Eris\Generators;
use Eris\TestTrait;
use Meandros\Core\Time\Band;
use Meandros\Core\Time\CivilDate;
use Meandros\Core\Time\CompiledHours;
use Meandros\Core\Time\DatedDays;
use Meandros\Core\Time\DateSpan;
use Meandros\Core\Time\Decision;
use Meandros\Core\Time\ForcedBy;
use Meandros\Core\Time\Holiday\DayPart;
use Meandros\Core\Time\Holiday\Holiday;
use Meandros\Core\Time\Holiday\Holidays;
use Meandros\Core\Time\Holiday\OnDates;
use Meandros\Core\Time\HoursBook;
use Meandros\Core\Time\HoursCompiler;
use Meandros\Core\Time\Moment;
use Meandros\Core\Time\ObservedCalendar;
use Meandros\Core\Time\Override;
use Meandros\Core\Time\Reading;
use Meandros\Core\Time\Season;
use Meandros\Core\Time\SpecialDay;
use Meandros\Core\Time\Timetable;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class HoursTest extends TestCase
{
    use TestTrait;

    private const H = 3600;
    private const ZONES = [
        'Europe/London',
        'Europe/Paris',
        'Australia/Lord_Howe',
        'America/St_Johns',
        'Pacific/Chatham',
        'Asia/Kathmandu',
        'America/Santiago',
        'Asia/Beirut',
    ];

    #[DataProvider('momentsOfAWeek')]
    public function testTheStateAtAMoment(string $at, string $state, string $until): void
    {
        $reading = self::read(self::office(), $at);
        self::assertSame($state, $reading->state);
        self::assertSame($until, null === $reading->until ? '' : Moment::format($reading->until, 'Europe/London'));
    }

    /** @return iterable<string, array{string, string, string}> */
    public static function momentsOfAWeek(): iterable
    {
        yield 'the first second of the morning' => ['2026-11-23T09:00:00', 'open', '2026-11-23T12:00:00+00:00'];
        yield 'the last second before lunch' => ['2026-11-23T11:59:59', 'open', '2026-11-23T12:00:00+00:00'];
        yield 'lunch begins to the second' => ['2026-11-23T12:00:00', 'lunch', '2026-11-23T13:00:00+00:00'];
        yield 'the last second of the day' => ['2026-11-23T16:59:59', 'open', '2026-11-23T17:00:00+00:00'];
        yield 'closed from 17:00:00, not from 17:01' => ['2026-11-23T17:00:00', 'closed', '2026-11-24T09:00:00+00:00'];
        yield 'Friday night runs past midnight' => ['2026-11-28T01:59:59', 'open', '2026-11-28T02:00:00+00:00'];
        yield 'and ends there' => ['2026-11-28T02:00:00', 'closed', '2026-11-30T09:00:00+00:00'];
        yield 'a special day with its own band' => ['2026-12-24T12:30:00', 'open', '2026-12-24T13:00:00+00:00'];
        yield 'a special day with no band' => ['2026-12-25T10:00:00', 'closed', '2026-12-28T09:00:00+00:00'];
        yield 'the night before does not run into a special day' => [
            '2026-12-26T00:30:00',
            'closed',
            '2026-12-28T09:00:00+00:00',
        ];
    }

    public function testTheAnswerSaysWhatDecidedIt(): void
    {
        $week = self::read(self::office(), '2026-11-23T12:30')->decision;
        self::assertSame([Decision::WEEK, '2026-11-23'], [$week->by, CivilDate::format($week->day)]);
        $night = self::read(self::office(), '2026-11-28T01:00')->decision;
        self::assertSame(
            '2026-11-27',
            CivilDate::format($night->day),
            'A band past midnight keeps the day it started on.',
        );
        $special = self::read(self::office(), '2026-12-24T10:00')->decision;
        self::assertSame([Decision::SPECIAL_DAY, 'Christmas Eve'], [$special->by, $special->origin->name]);
        self::assertSame(Decision::DEFAULT, self::read(self::office(), '2026-11-29T10:00')->decision->by);
    }

    public function testAnAutumnNightIsOpenForTheHourThatHappensTwice(): void
    {
        $night = new Timetable('Europe/London', 'closed', [6 => [new Band(0, 3 * self::H, 'open')]]);
        $reading = HoursBook::of($night)->read(Moment::parse('2026-10-25T00:30', 'Europe/London'));
        self::assertSame(4 * self::H, (int) $reading->until - (int) $reading->since);
    }

    public function testHoursThatNeverChangeSaySo(): void
    {
        $reading = self::read(new Timetable('Europe/London', 'closed', []), '2026-11-23T10:00');
        self::assertNull($reading->until);
        self::assertNull($reading->since);
    }

    public function testHoursPartitionTime(): void
    {
        $this->forAll(Generators::elements(...self::ZONES), Generators::choose(0, 1_000_000))->then(static function (
            string $zone,
            int $seed,
        ): void {
            $hours = self::random($zone, $seed);
            $from = Moment::parse('2026-01-01T00:00', 'UTC') + $seed * 31;
            $compiled = HoursCompiler::compile($hours, $from, $from + 40 * 86400);
            $starts = $compiled->starts();
            for ($i = 1; $i < \count($starts); ++$i) {
                self::assertGreaterThan($starts[$i - 1], $starts[$i], 'Stretches follow one another.');
                self::assertNotSame($compiled->states()[$i - 1], $compiled->states()[$i], 'A change is a change.');
                self::assertSame(
                    $compiled->states()[$i - 1],
                    $compiled->stateAt($starts[$i] - 1),
                    'The old state holds to the last second.',
                );
                self::assertSame($compiled->states()[$i], $compiled->stateAt($starts[$i]));
            }
            self::assertEquals($compiled, unserialize(serialize($compiled)), 'It is the same when it is handed on.');
            [$first, $last] = [$starts[0] + 1, $starts[\count($starts) - 1]];
            self::assertSame(
                array_values(array_unique(\array_slice($compiled->states(), 0, -1))),
                $compiled->between($first, $last),
                'Of those that are held there, each once.',
            );
        });
    }

    public function testWhatIsHandedOnTakesNoMoreRoom(): void
    {
        $hours = self::random('Europe/London', 7);
        $from = Moment::parse('2026-01-01T00:00', 'UTC');
        $room = static function (\Closure $make): int {
            // What is loaded, and named, the first time is no part of it.
            $kept = [$make()];
            $before = memory_get_usage();
            for ($i = 0; $i < 20; ++$i) {
                $kept[] = $make();
            }

            return memory_get_usage() - $before;
        };
        $compile = static fn(): CompiledHours => HoursCompiler::compile($hours, $from, $from + 16 * 86400);
        $handed = serialize($compile());
        self::assertLessThanOrEqual(
            1.25 * $room($compile),
            $room(static fn(): mixed => unserialize($handed)),
            'Years of hundreds of hours are read back at once.',
        );
    }

    /** Seen from any instant, with every second between the two looked at by another compilation. */
    public function testTheNextChangeIsTheFirstInstantAtWhichTheStateDiffers(): void
    {
        $this->limitTo(30)
            ->forAll(Generators::elements(...self::ZONES), Generators::choose(0, 1_000_000))
            ->then(static function (string $zone, int $seed): void {
                $hours = self::random($zone, $seed);
                $instant = Moment::parse('2026-01-01T00:00', 'UTC') + $seed * 31 + 5 * 86400 + ($seed % 86400);
                $reading = HoursBook::of($hours)->read($instant);
                $until = min($reading->until ?? \PHP_INT_MAX, $instant + 3 * 86400);
                for ($at = $instant; $at < $until; $at += 60) {
                    self::assertSame($reading->state, HoursCompiler::compile($hours, $at, $at + 1)->stateAt($at));
                }
                if (null !== $reading->until) {
                    self::assertSame(
                        $reading->state,
                        HoursCompiler::compile($hours, $reading->until - 1, $reading->until)->stateAt(
                            $reading->until - 1,
                        ),
                    );
                    self::assertNotSame(
                        $reading->state,
                        HoursCompiler::compile($hours, $reading->until, $reading->until + 1)->stateAt($reading->until),
                    );
                }
            });
    }

    public function testCompilingAWiderRangeChangesNothingInside(): void
    {
        $this->forAll(Generators::choose(0, 1_000_000))->then(static function (int $seed): void {
            $hours = self::random('Europe/Paris', $seed);
            $instant = Moment::parse('2026-10-20T00:00', 'UTC') + $seed;
            $told = static fn(int $days): array => [
                ($compiled = HoursCompiler::compile(
                    $hours,
                    $instant - $days * 86400,
                    $instant + $days * 86400,
                ))->stateAt($instant),
                $compiled->decisionAt($instant)->toJson(),
            ];
            self::assertSame($told(1), $told(30));
        });
    }

    private static function random(string $zone, int $seed): Timetable
    {
        mt_srand($seed);
        $week = $specialDays = [];
        for ($day = 0; $day < 7; ++$day) {
            $at = mt_rand(0, 6) * 1800;
            while ($at < 80000) {
                $end = $at + mt_rand(1, 20) * 1800;
                $week[$day][] = new Band($at, min($end, 86400), ['open', 'lunch', 'late'][mt_rand(0, 2)]);
                $at = $end + mt_rand(0, 3) * 1800;
            }
        }
        $first = intdiv(Moment::parse('2026-01-01T00:00', 'UTC') + $seed * 31, 86400);
        for ($i = 0; $i < 5; ++$i) {
            $day = $first + mt_rand(0, 40);
            $specialDays[$day] = new SpecialDay($day, 'special', [
                new Band(mt_rand(0, 40) * 1800, mt_rand(41, 60) * 1800, 'special'),
            ]);
        }

        $season = new Season('winter', DateSpan::dated($first + 8, $first + 15), [
            2 => [new Band(0, 30 * 1800, 'winter'), new Band(40 * 1800, 60 * 1800, 'late')],
            5 => [new Band(7200, 50000, 'winter')],
        ]);
        $holidays = new Holidays([
            new Holiday(
                'part',
                'Half a holiday',
                new OnDates([$first + mt_rand(0, 40)]),
                null,
                new DayPart(mt_rand(0, 20) * 1800, mt_rand(21, 48) * 1800),
            ),
            new Holiday('whole', 'Holiday', new OnDates([$first + mt_rand(0, 20), $first + mt_rand(21, 40)])),
        ]);
        $forced = Moment::parse('2026-01-01T00:00', 'UTC') + $seed * 31 + mt_rand(0, 40 * 86400);

        return new Timetable(
            $zone,
            'closed',
            $week,
            new DatedDays([$season], [new ObservedCalendar('cal', 'Calendar', $holidays, 'holiday')], $specialDays),
            [
                new Override(
                    'one',
                    'hours',
                    'storm',
                    $forced,
                    $forced + mt_rand(1, 100_000),
                    new ForcedBy('Dana', 'Storm'),
                ),
            ],
        );
    }

    private static function office(): Timetable
    {
        $day = [
            new Band(9 * self::H, 12 * self::H, 'open'),
            new Band(12 * self::H, 13 * self::H, 'lunch'),
            new Band(13 * self::H, 17 * self::H, 'open'),
        ];
        $week = array_fill(0, 4, $day) + [4 => [...$day, new Band(22 * self::H, 26 * self::H, 'open')]];
        $special = [];
        foreach (
            [
                '2026-12-24' => ['Christmas Eve', [new Band(9 * self::H, 13 * self::H, 'open')]],
                '2026-12-25' => ['Christmas Day', []],
                '2026-12-26' => ['Boxing Day', []],
            ]
            as $date => [$name, $bands]
        ) {
            $special[(int) CivilDate::parse($date)] = new SpecialDay((int) CivilDate::parse($date), $name, $bands);
        }

        return new Timetable('Europe/London', 'closed', $week, new DatedDays(specialDays: $special));
    }

    private static function read(Timetable $hours, string $at): Reading
    {
        return HoursBook::of($hours)->read(Moment::parse($at, 'Europe/London'));
    }
}
