<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\ICalendar;

use Eris\Generators;
use Eris\TestTrait;
use Meandros\Core\ICalendar\Exporter;
use Meandros\Core\ICalendar\FileReader;
use Meandros\Core\ICalendar\HolidayImport;
use Meandros\Core\Plan\Element\HolidayCalendar;
use Meandros\Core\Plan\Json\PlanCodec;
use Meandros\Core\Time\CivilDate;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Exporting a calendar and importing it again is the identity, whatever its rules are. */
final class RoundTripTest extends TestCase
{
    use TestTrait;

    private const DAYS = ['mo', 'tu', 'we', 'th', 'fr', 'sa', 'su'];

    public function testExportThenImportIsIdentity(): void
    {
        $this->limitTo(30)
            ->forAll(Generators::choose(0, 1_000_000))
            ->then(static function (int $seed): void {
                mt_srand($seed);
                $holidays = [];
                for ($i = 0, $count = mt_rand(1, 12); $i < $count; ++$i) {
                    $holidays[] =
                        [
                            'id' => 'day_' . $i,
                            'name' => [
                                'Quay day',
                                'Jour de fête, à midi; "oui"',
                                "Saint's\\day",
                                'Long ' . str_repeat('é', 80),
                            ][mt_rand(0, 3)],
                        ] + self::holiday();
                }
                $calendar = PlanCodec::element([
                    'id' => 'cal_one',
                    'kind' => 'calendar',
                    'name' => 'One, two; three',
                    'holidays' => $holidays,
                ]);
                \assert($calendar instanceof HolidayCalendar);
                $text = (new Exporter(1_795_000_000))->holidays(
                    $calendar,
                    CivilDate::of(2026, 1, 1),
                    CivilDate::of(2031, 1, 1),
                );
                foreach (explode("\r\n", $text) as $line) {
                    self::assertLessThanOrEqual(75, \strlen($line), 'Lines are folded at 75 octets (RFC 5545 3.1).');
                }
                $preview = HolidayImport::preview(
                    $calendar,
                    (new FileReader('Europe/Paris', CivilDate::of(2037, 1, 1)))->read($text),
                );
                self::assertSame([[], [], []], [$preview->added, $preview->changed, $preview->leftOut]);
                self::assertSame($calendar->toJson(), $preview->result->toJson());
            });
    }

    #[DataProvider('yearly')]
    public function testADayOfEveryYearRecursUnlessSomeYearsHaveNone(string $date, bool $recurs): void
    {
        $calendar = PlanCodec::element([
            'id' => 'cal_one',
            'kind' => 'calendar',
            'name' => 'One',
            'holidays' => [['id' => 'day_1', 'name' => 'Day', 'rule' => ['on' => 'yearly', 'date' => $date]]],
        ]);
        \assert($calendar instanceof HolidayCalendar);
        $text = (new Exporter(1_795_000_000))->holidays(
            $calendar,
            CivilDate::of(2026, 1, 1),
            CivilDate::of(2031, 1, 1),
        );
        self::assertSame($recurs, str_contains($text, "\r\nRRULE:FREQ=YEARLY\r\n"));
    }

    /** @return iterable<array{string, bool}> */
    public static function yearly(): iterable
    {
        yield ['02-28', true];
        yield ['02-29', false];
        yield ['03-29', true];
    }

    /** @return array<string, mixed> */
    private static function holiday(): array
    {
        $date = static fn(): string => gmdate(
            'Y-m-d',
            mt_rand(CivilDate::of(2020, 1, 1), CivilDate::of(2036, 1, 1)) * 86400,
        );
        $day = self::DAYS[mt_rand(0, 6)];
        $from = mt_rand(0, 40) * 1800;

        $kind = mt_rand(0, 6);

        return [
            'rule' => match ($kind) {
                0 => ['on' => 'dates', 'dates' => [$date(), $date()]],
                1 => [
                    'on' => 'range',
                    'from' => ($start = $date()),
                    'to' => gmdate('Y-m-d', (int) strtotime($start . ' UTC') + mt_rand(0, 20) * 86400),
                ],
                2 => ['on' => 'range', 'from' => '12-24', 'to' => '01-02'],
                3 => ['on' => 'yearly', 'date' => gmdate('m-d', mt_rand(0, 365) * 86400 + 63072000)],
                4 => [
                    'on' => 'nth weekday',
                    'nth' => [1, 2, 4, -1, -2][mt_rand(0, 4)],
                    'weekday' => $day,
                    'month' => mt_rand(1, 12),
                ],
                5 => ['on' => 'weekday near', 'weekday' => $day, 'side' => 'on or before', 'date' => '05-24'],
                default => [
                    'on' => 'easter',
                    'days' => mt_rand(-60, 60),
                    'church' => ['western', 'orthodox'][mt_rand(0, 1)],
                ],
            },
            'substitute' =>
                0 === mt_rand(0, 2)
                    ? [
                        'on' => ['sa', 'su'],
                        'to' => ['next working day', 'nearest weekday', 'day before'][mt_rand(0, 2)],
                        'keep' => 0 === mt_rand(0, 1),
                    ]
                    : null,
            'part' =>
                0 === mt_rand(0, 2)
                    ? [
                        'from' => gmdate('H:i', $from),
                        'to' => \sprintf('%02d:%02d', intdiv($from + 7200, 3600), intdiv($from, 60) % 60),
                    ]
                    : null,
            // Dates must lie in the years; 29 February may not, in a few.
            'years' =>
                $kind < 2
                    ? ['from' => 2020, 'to' => 2036, 'except' => []]
                    : [
                        'from' => 0 === mt_rand(0, 3) ? 2024 : null,
                        'to' => 0 === mt_rand(0, 3) ? 2029 : null,
                        'except' => 0 === mt_rand(0, 3) ? [2027] : [],
                    ],
        ];
    }
}
