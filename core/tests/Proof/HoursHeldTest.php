<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Proof;

use Meandros\Core\Plan\Plan;
use Meandros\Core\Plan\PlanHours;
use Meandros\Core\Proof\Course;
use Meandros\Core\Proof\Courses;
use Meandros\Core\Proof\Coverage;
use Meandros\Core\Proof\HoursHeld;
use Meandros\Core\Proof\Impact;
use Meandros\Core\Proof\Intervals;
use Meandros\Core\Routing\Happening\HoursRead;
use Meandros\Core\Tests\PlanBuilder;
use Meandros\Core\Time\Moment;
use Meandros\Core\Wording\ChangeWords;
use Meandros\Core\Wording\ImpactReport;
use PHPUnit\Framework\TestCase;

/** Times that are told by the states that hours are in then: those at which calls find them so, and no others. */
final class HoursHeldTest extends TestCase
{
    private const ZONE = 'Europe/London';

    public function testTheTimesAtWhichCallsFindAStateAreToldByIt(): void
    {
        $plan = self::plan();
        $coverage = self::coverage($plan);
        foreach ([['open'], ['lunch'], ['closed'], ['open', 'lunch'], ['lunch', 'closed']] as $states) {
            self::assertSame(
                ['hrs', $states],
                self::held($plan, self::times($coverage, $states), $coverage->courses[0]),
                implode(' ', $states),
            );
        }
    }

    public function testOthersAreNot(): void
    {
        $plan = self::plan();
        $coverage = self::coverage($plan);
        $open = self::times($coverage, ['open']);
        $course = $coverage->courses[0];
        self::assertNull(self::held($plan, \array_slice($open, 1), $course), 'one is missing');
        self::assertNull(self::held($plan, [[$open[0][0], $open[0][0] + 300], ...\array_slice($open, 1)], $course));
        self::assertNull(self::held($plan, [[$open[0][0] - 300, $open[0][1]], ...\array_slice($open, 1)], $course));
        $later = static fn(int $seconds): array => array_map(
            static fn(array $one): array => [$one[0] + $seconds, $one[1] + $seconds],
            $open,
        );
        self::assertSame(['hrs', ['open']], self::held($plan, $later(59), $course));
        self::assertSame(['hrs', ['open']], self::held($plan, $later(-59), $course));
        self::assertNull(self::held($plan, $later(60), $course));
        self::assertNull(self::held($plan, $later(-60), $course));
    }

    public function testManyTimesAreOneInWhatAnEditDoes(): void
    {
        self::assertSame(['while hrs are “Open”: takes 5 s longer'], self::said(self::plan(), self::plan(then: 9)));
        self::assertSame(
            ['always: takes 5 s longer', 'always: edges of hours come 5 s sooner'],
            self::said(self::plan(), self::plan(first: 25)),
        );
    }

    /** @return list<string> */
    private static function said(Plan $before, Plan $after): array
    {
        $report = ImpactReport::of(
            Impact::between(self::coverage($before), self::coverage($after)),
            new ChangeWords($after, $before),
            ...[...self::stretch(), self::ZONE, new HoursHeld($after, new PlanHours($after), ...self::stretch())],
        );

        return array_map(static fn(array $one): string => $one['when'] . ': ' . $one['what'], $report);
    }

    /** Open on weekdays, with lunch, and on Saturdays; a prompt is heard first, and another where it is not closed. */
    private static function plan(int $first = 20, int $then = 4): Plan
    {
        $band = static fn(array $days, string $from, string $to, string $state): array => [
            'days' => $days,
            'from' => $from,
            'to' => $to,
            'state' => $state,
        ];
        $week = ['mo', 'tu', 'we', 'th', 'fr'];
        $say = static fn(string $id, string $prompt): array => ['id' => $id, 'do' => 'say', 'prompt' => $prompt];
        $end = static fn(string $id): array => ['id' => $id, 'do' => 'end'];

        return (new PlanBuilder())
            ->prompt('prm_first', $first)
            ->prompt('prm_then', $then)
            ->prompt('prm_closed', 3)
            ->prompt('prm_lunch', 2)
            ->hours('hrs', [
                $band($week, '08:30', '12:15', 'open'),
                $band($week, '12:15', '13:30', 'lunch'),
                $band($week, '13:30', '18:00', 'open'),
                $band(['sa'], '09:00', '12:00', 'open'),
            ])
            ->journey('jrn_main', [
                $say('s1', 'prm_first'),
                [
                    'id' => 's2',
                    'do' => 'hours',
                    'hours' => 'hrs',
                    'exits' => [
                        ['on' => 'closed', 'steps' => [$say('s3', 'prm_closed'), $end('s4')]],
                        ['on' => 'lunch', 'steps' => [$say('s5', 'prm_lunch'), $end('s6')]],
                    ],
                ],
                $say('s7', 'prm_then'),
                ['id' => 's8', 'do' => 'hours', 'hours' => 'hrs', 'exits' => []],
                $end('s9'),
            ])
            ->plan();
    }

    private static function coverage(Plan $plan): Coverage
    {
        return Coverage::over(new Courses($plan, PlanBuilder::trial('2027-01-01T00:00')), ...self::stretch());
    }

    /** @return array{int, int} */
    private static function stretch(): array
    {
        return [Moment::parse('2027-01-01T00:00', self::ZONE), Moment::parse('2027-07-01T00:00', self::ZONE)];
    }

    /**
     * @param list<string> $states
     *
     * @return list<array{int, int}> in which calls find the hours so when they look first
     */
    private static function times(Coverage $coverage, array $states): array
    {
        $times = [];
        foreach ($coverage->courses as $i => $course) {
            if (\in_array(self::state($course), $states, true)) {
                $times[] = [$coverage->starts[$i], $coverage->starts[$i + 1] ?? $coverage->until];
            }
        }

        return Intervals::union($times);
    }

    private static function state(Course $course): ?string
    {
        foreach ($course->trace->passage->events as $event) {
            if ($event->happening instanceof HoursRead) {
                return $event->happening->reading?->state;
            }
        }

        return null;
    }

    /** @return array{string, list<string>}|null */
    private static function held(Plan $plan, array $times, Course $course): ?array
    {
        return (new HoursHeld($plan, new PlanHours($plan), ...self::stretch()))->during($times, $course);
    }
}
