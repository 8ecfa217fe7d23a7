<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Proof;

use Meandros\Core\Call\Assumptions;
use Meandros\Core\Call\Caller;
use Meandros\Core\Call\Status;
use Meandros\Core\Call\TrialCall;
use Meandros\Core\Live\LiveState;
use Meandros\Core\Live\LiveStatus;
use Meandros\Core\Plan\Json\PlanCodec;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Proof\Course;
use Meandros\Core\Proof\Courses;
use Meandros\Core\Proof\Coverage;
use Meandros\Core\Proof\Impact;
use Meandros\Core\Routing\Router;
use Meandros\Core\Tests\PlanBuilder;
use Meandros\Core\Tests\Soak;
use Meandros\Core\Time\ForcedBy;
use Meandros\Core\Time\Moment;
use Meandros\Core\Time\Override;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Coverage and impact are what tracing one call after the other finds; here a call every so often and around every edge. */
final class CoverageTest extends TestCase
{
    private const FROM = '2027-01-01T00:00';
    private const DAY = 86400;
    /** Prime: every minute of the day comes up. MEANDROS_SOAK brings it down to one minute. */
    private const STEP_SECONDS = 40009;

    #[DataProvider('demoNumbers')]
    public function testTheDemoAsIfEveryCallWasTraced(string $number): void
    {
        $call = new TrialCall($number, Caller::parse('', 'GB'), 0);
        self::compare(self::demo(), $call, 365);
        $courses = new Courses(self::demo(), $call);
        $from = Moment::parse(self::FROM, 'Europe/London');
        $intervals = Coverage::over($courses, $from, $from + 365 * self::DAY)->starts;
        self::assertGreaterThan(200, \count($intervals));
        self::assertLessThan(10, \count($courses->all()), 'Each combination of lookups is traced once.');
    }

    /** @return iterable<array{string}> */
    public static function demoNumbers(): iterable
    {
        yield ['+441632960100'];
        yield ['+441632960110'];
        yield ['+33261910100'];
        yield ['+441632960290'];
        yield ['+441632960140'];
    }

    /** What was found for one instant says nothing of those before and after its stretch. */
    #[DataProvider('demoNumbers')]
    public function testInstantsAreLookedAtInAnyOrder(string $number): void
    {
        $call = new TrialCall($number, Caller::parse('', 'GB'), 0);
        $from = Moment::parse(self::FROM, 'Europe/London');
        $instants = range($from, $from + 30 * self::DAY, 47_203);
        mt_srand(Soak::seed());
        shuffle($instants);
        $router = new Router();
        $courses = new Courses(self::demo(), $call);
        foreach ($instants as $instant) {
            $one = $courses->at($instant);
            $alone = (new Courses(self::demo(), $call, router: $router))->at($instant);
            self::assertSame(
                [$alone->course->key, $alone->since, $alone->until],
                [$one->course->key, $one->since, $one->until],
            );
        }
    }

    public function testRandomPlansAsIfEveryCallWasTraced(): void
    {
        mt_srand(Soak::seed());
        for ($i = 0, $count = Soak::count(15); $i < $count; ++$i) {
            self::compare(RandomPlans::one(), PlanBuilder::trial(self::FROM), 60);
        }
    }

    public function testSecondsOfADayByWhatCallsComeTo(): void
    {
        $day = static fn(string $from, string $to): array => [
            'days' => ['mo'],
            'from' => $from,
            'to' => $to,
            'state' => 'open',
        ];
        $plan = (new PlanBuilder())
            ->person('ann')
            ->mailbox('mbx')
            ->hours('hrs', [$day('09:00', '12:00'), $day('13:00', '17:00')])
            ->journey('jrn_main', [
                [
                    'id' => 's1',
                    'do' => 'hours',
                    'hours' => 'hrs',
                    'exits' => [
                        [
                            'on' => 'open',
                            'steps' => [['id' => 's2', 'do' => 'ring', 'target' => 'ann', 'seconds' => 20]],
                        ],
                    ],
                ],
                ['id' => 's3', 'do' => 'message', 'mailbox' => 'mbx'],
            ])
            ->plan();
        $call = PlanBuilder::trial('2026-11-23T00:00');
        $coverage = Coverage::over(new Courses($plan, $call), $call->instant, $call->instant + 86_400);
        self::assertEquals(['person' => 7 * 3600, 'message' => 17 * 3600], $coverage->seconds());
    }

    public function testWhatIsLiveCountsUntilItEnds(): void
    {
        $plan = (new PlanBuilder())
            ->hours('hrs', [['days' => ['mo', 'tu'], 'from' => '09:00', 'to' => '17:00', 'state' => 'open']])
            ->person('ann')
            ->journey('jrn_main', [
                [
                    'id' => 's1',
                    'do' => 'hours',
                    'hours' => 'hrs',
                    'exits' => [['on' => 'open', 'steps' => [['id' => 's2', 'do' => 'ring', 'target' => 'ann']]]],
                ],
            ])
            ->plan();
        $at = static fn(string $text): int => Moment::parse($text, 'Europe/London');
        $live = new LiveState(
            [
                new Override(
                    'ovr',
                    'hrs',
                    'closed',
                    $at('2026-11-23T12:00'),
                    $at('2026-11-23T15:00'),
                    new ForcedBy('Ann', ''),
                ),
            ],
            ['ann' => new LiveStatus(Status::Away, $at('2026-11-24T10:30'))],
        );
        $coverage = Coverage::over(
            new Courses($plan, PlanBuilder::trial('2026-11-23T00:00'), new Assumptions(), $live),
            $at('2026-11-23T08:00'),
            $at('2026-11-25T08:00'),
        );
        $told = array_map(
            static fn(int $start, Course $course): string => Moment::format($start, 'Europe/London') .
                ' ' .
                $course->reach->value,
            $coverage->starts,
            $coverage->courses,
        );
        self::assertSame(
            [
                '2026-11-23T08:00:00+00:00 nobody',
                '2026-11-23T09:00:00+00:00 nobody',
                '2026-11-23T12:00:00+00:00 nobody',
                '2026-11-23T15:00:00+00:00 nobody',
                '2026-11-23T17:00:00+00:00 nobody',
                '2026-11-24T09:00:00+00:00 nobody',
                '2026-11-24T10:30:00+00:00 person',
                '2026-11-24T17:00:00+00:00 nobody',
            ],
            $told,
        );
    }

    public function testImpactAsIfEveryCallWasTraced(): void
    {
        mt_srand(Soak::seed());
        $router = new Router();
        $differ = 0;
        for ($i = 0, $count = Soak::count(12); $i < $count; ++$i) {
            [$before, $after] = RandomPlans::pair();
            $call = PlanBuilder::trial(self::FROM);
            [$from, $until] = [$call->instant, $call->instant + 40 * self::DAY];
            $changes = Impact::between(
                Coverage::over(new Courses($before, $call), $from, $until),
                Coverage::over(new Courses($after, $call), $from, $until),
            );
            $edges = [];
            foreach ($changes as $change) {
                foreach ($change->intervals as [$since, $ends]) {
                    array_push($edges, $since - 1, $since, $ends - 1, $ends);
                }
            }
            foreach ([...$edges, ...range($from, $until - 1, self::STEP_SECONDS)] as $instant) {
                if ($instant < $from || $instant >= $until) {
                    continue;
                }
                $was = new Course($router->trace($before, $call->at($instant), new Assumptions()));
                $is = new Course((new Router())->trace($after, $call->at($instant), new Assumptions()));
                $found = array_values(
                    array_filter(
                        $changes,
                        static fn($one): bool => [] !==
                            array_filter(
                                $one->intervals,
                                static fn($in): bool => $instant >= $in[0] && $instant < $in[1],
                            ),
                    ),
                );
                $pair = $was->key === $is->key ? [] : [[$was->key, $is->key]];
                self::assertSame(
                    $pair,
                    array_map(static fn($one): array => [$one->before->key, $one->after->key], $found),
                );
                $differ += \count($pair);
            }
        }
        self::assertGreaterThan(100, $differ, 'Some calls do fare differently.');
    }

    private static function compare(Plan $plan, TrialCall $call, int $days): void
    {
        $from = Moment::parse(self::FROM, 'Europe/London');
        $until = $from + $days * self::DAY;
        $coverage = Coverage::over(new Courses($plan, $call), $from, $until);
        $router = new Router();
        $instants = range($from, $until - 1, max(60, intdiv(self::STEP_SECONDS, Soak::count(1))));
        foreach ($coverage->starts as $i => $start) {
            array_push($instants, ...$start > $from ? [$start - 1, $start] : [$start]);
            self::assertNotSame($coverage->courses[$i], $coverage->courses[$i + 1] ?? null);
        }
        foreach ($instants as $instant) {
            $trace = $router->trace($plan, $call->at($instant), new Assumptions());
            if ((new Course($trace))->key !== $coverage->at($instant)->key) {
                self::fail(Moment::format($instant, 'Europe/London') . ' ' . PlanCodec::encode($plan));
            }
        }
    }

    private static function demo(): Plan
    {
        return PlanCodec::decode((string) file_get_contents(__DIR__ . '/../../../demo/ternwick-ferries.json'));
    }
}
