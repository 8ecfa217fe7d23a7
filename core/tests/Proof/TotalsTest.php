<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Proof;

use Meandros\Core\Plan\Plan;
use Meandros\Core\Proof\Courses;
use Meandros\Core\Proof\Coverage;
use Meandros\Core\Proof\Totals;
use Meandros\Core\Tests\PlanBuilder;
use Meandros\Core\Tests\PythonReference;
use Meandros\Core\Tests\Soak;
use Meandros\Core\Time\YearPicture;
use PHPUnit\Framework\TestCase;

/** The usual week and the days without anybody, beside python-dateutil. */
final class TotalsTest extends TestCase
{
    private const DAYS = ['mo', 'tu', 'we', 'th', 'fr', 'sa', 'su'];
    private const ZONES = ['Europe/London', 'Europe/Paris', 'America/New_York', 'Asia/Tokyo', 'Australia/Lord_Howe'];

    public function testRandomWeeksAsPythonCountsThem(): void
    {
        mt_srand(Soak::seed());
        $cases = [];
        for ($i = 0, $count = Soak::count(40); $i < $count; ++$i) {
            $cases[] = [
                'zone' => self::ZONES[$i % \count(self::ZONES)],
                'year' => 2025 + ($i % 6),
                'week' => array_map(static fn(): array => self::bands(), self::DAYS),
                'shut' => array_map(
                    static fn(): string => \sprintf('%d-%02d-%02d', 2025 + ($i % 6), mt_rand(1, 12), mt_rand(1, 28)),
                    array_fill(0, mt_rand(0, 40), 0),
                ),
            ];
        }
        $told = [];
        foreach ($cases as $case) {
            [$from, $until] = YearPicture::instants($case['zone'], $case['year']);
            $totals = Totals::of(
                Coverage::over(new Courses(self::plan($case), PlanBuilder::trial('2026-01-01T00:00')), $from, $until),
                $case['zone'],
            );
            $told[] = [(float) $totals->usualWeek, $totals->days, $totals->daysWithout];
        }
        self::assertEquals(PythonReference::ask(__DIR__ . '/totals_reference.py', $cases), $told);
    }

    public function testAsData(): void
    {
        $case = [
            'zone' => 'Europe/London',
            'year' => 2026,
            'week' => [[[36_000, 39_600]], [], [], [], [], [], []],
            'shut' => ['2026-11-23'],
        ];
        [$from] = YearPicture::instants('Europe/London', 2026);
        $calls = new Courses(self::plan($case), PlanBuilder::trial('2026-01-01T00:00'));
        self::assertSame(
            [
                'seconds' => ['message' => 14 * 86_400 - 7200, 'person' => 7200],
                'usualWeek' => 3600,
                'days' => 14,
                'daysWithout' => 12,
            ],
            Totals::of(Coverage::over($calls, $from, $from + 14 * 86_400), 'Europe/London')->toJson(),
        );
    }

    /** @return list<array{int, int}> stretches of a day, in seconds since midnight */
    private static function bands(): array
    {
        $bands = [];
        for ($at = mt_rand(0, 30_000); $at < 80_000 && mt_rand(0, 3) > 0; $at = $to + mt_rand(60, 20_000)) {
            $to = min(86_400, $at + mt_rand(60, 30_000));
            $bands[] = [$at, $to];
        }

        return $bands;
    }

    /** @param array{zone: string, week: list<list<array{int, int}>>, shut: list<string>, ...} $case */
    private static function plan(array $case): Plan
    {
        $clock = static fn(int $second): string => gmdate('H:i:s', $second % 86_400);
        $week = [];
        foreach ($case['week'] as $day => $bands) {
            foreach ($bands as [$from, $to]) {
                $week[] = [
                    'days' => [self::DAYS[$day]],
                    'from' => $clock($from),
                    'to' => 86_400 === $to ? '24:00' : $clock($to),
                    'state' => 'open',
                ];
            }
        }
        $hours = (new PlanBuilder())->hours('hrs', $week)->data()['elements'];
        $special = array_map(
            static fn(string $date): array => ['date' => $date, 'name' => 'Shut', 'bands' => []],
            array_values(array_unique($case['shut'])),
        );

        return (new PlanBuilder())
            ->person('ann')
            ->mailbox('mbx')
            ->with(
                ['zone' => $case['zone'], 'specialDays' => $special] +
                    (array) array_column((array) $hours, null, 'id')['hrs'],
            )
            ->journey('jrn_main', [
                [
                    'id' => 'h1',
                    'do' => 'hours',
                    'hours' => 'hrs',
                    'exits' => [
                        [
                            'on' => 'open',
                            'steps' => [['id' => 'r1', 'do' => 'ring', 'target' => 'ann', 'seconds' => 20]],
                        ],
                    ],
                ],
                ['id' => 'm1', 'do' => 'message', 'mailbox' => 'mbx'],
            ])
            ->plan();
    }
}
