<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Proof;

use Meandros\Core\Call\Caller;
use Meandros\Core\Call\TrialCall;
use Meandros\Core\Plan\Element\Number;
use Meandros\Core\Plan\Json\PlanCodec;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Plan\PlanHours;
use Meandros\Core\Proof\Branch;
use Meandros\Core\Proof\Branching;
use Meandros\Core\Proof\Course;
use Meandros\Core\Proof\Courses;
use Meandros\Core\Proof\Coverage;
use Meandros\Core\Proof\Impact;
use Meandros\Core\Proof\Intervals;
use Meandros\Core\Proof\LookedUp;
use Meandros\Core\Routing\Happening\HoursRead;
use Meandros\Core\Tests\PlanBuilder;
use Meandros\Core\Time\Moment;
use Meandros\Core\Time\Stretches;
use Meandros\Core\Wording\BranchWords;
use Meandros\Core\Wording\ChangeWords;
use Meandros\Core\Wording\CourseWords;
use Meandros\Core\Wording\ImpactReport;
use PHPUnit\Framework\TestCase;

/** Times that are told by what calls look up then: those at which they find it so, and no others. */
final class BranchingTest extends TestCase
{
    private const ZONE = 'Europe/London';

    public function testTheTimesAtWhichCallsFindAStateAreToldByIt(): void
    {
        $plan = self::plan();
        $coverage = self::coverage($plan);
        foreach ([['open'], ['lunch'], ['closed'], ['open', 'lunch'], ['lunch', 'closed']] as $states) {
            self::assertSame(
                \sprintf('while hrs are %s', implode(' or ', array_map(self::quoted(...), $states))),
                self::during($plan, self::times($coverage, $states), $coverage->courses[0]),
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
        self::assertNull(self::during($plan, \array_slice($open, 1), $course), 'one is missing');
        self::assertNull(self::during($plan, [[$open[0][0], $open[0][0] + 300], ...\array_slice($open, 1)], $course));
        self::assertNull(self::during($plan, [[$open[0][0] - 300, $open[0][1]], ...\array_slice($open, 1)], $course));
        $later = static fn(int $seconds): array => array_map(
            static fn(array $one): array => [$one[0] + $seconds, $one[1] + $seconds],
            $open,
        );
        self::assertSame('while hrs are “Open”', self::during($plan, $later(59), $course));
        self::assertSame('while hrs are “Open”', self::during($plan, $later(-59), $course));
        self::assertNull(self::during($plan, $later(60), $course));
        self::assertNull(self::during($plan, $later(-60), $course));
    }

    /** Wherever nothing changes for ten minutes before and after, calls fare as is told of what they look up. */
    public function testWhatIsToldIsSo(): void
    {
        $demo = PlanCodec::decode((string) file_get_contents(__DIR__ . '/../../../demo/ternwick-ferries.json'));
        $numbers = array_map(static fn(Number $one): array => [$demo, $one], $demo->all(Number::class));
        mt_srand(11);
        for ($i = 0; $i < 60; ++$i) {
            $plan = RandomPlans::one();
            $numbers[] = [$plan, $plan->all(Number::class)[0]];
        }
        [$from, $until] = self::stretch();
        $alone = 0;
        foreach ($numbers as [$plan, $number]) {
            $hours = new PlanHours($plan);
            $calls = new Courses($plan, new TrialCall($number->range->example(), Caller::withheld(), $from));
            $coverage = Coverage::over($calls, $from, $until);
            $places = (new CourseWords($plan))->lines($coverage)[1];
            $tree = (new Branching(new LookedUp($hours, $from, $until)))->over($coverage, $places);
            for ($j = 0; $j < 40; ++$j) {
                $instant = mt_rand($from + 600, $until - 600);
                $leaf = self::leaf($tree, $instant, $hours);
                if (null !== $leaf) {
                    $place = $places[Stretches::search($coverage->starts, $instant)];
                    self::assertContains($place, array_keys($leaf->times));
                    $alone += 1 === \count($leaf->times) ? 1 : 0;
                }
            }
        }
        self::assertGreaterThan(3_000, $alone);
    }

    /** @return Branch|null null within ten minutes of an edge */
    private static function leaf(Branch $branch, int $instant, PlanHours $hours): ?Branch
    {
        if (null === $branch->by) {
            return $branch;
        }
        $answer = $branch->by->at($instant, $hours)->answer;
        foreach ([-600, 600] as $beside) {
            if ($answer !== $branch->by->at($instant + $beside, $hours)->answer) {
                return null;
            }
        }
        foreach ($branch->branches as [$answers, $inner]) {
            if (\in_array($answer, $answers, true)) {
                return self::leaf($inner, $instant, $hours);
            }
        }
        self::fail('Nothing is told of calls that find ' . $answer . '.');
    }

    public function testManyTimesAreOneInWhatAnEditDoes(): void
    {
        self::assertSame(['while hrs are “Open”: takes 5 s longer'], self::said(self::plan(), self::plan(then: 9)));
        self::assertSame(
            ['always: takes 5 s longer', 'always: edges of hours come 5 s sooner'],
            self::said(self::plan(), self::plan(first: 25)),
        );
    }

    public function testTimesOfWhichSomethingWorseIsToldAreLeftOut(): void
    {
        self::assertSame(
            ['Mon–Fri 10:59:32–11:59:40: no longer rings Ben', 'otherwise while shop are “Open”: Ann rings 8 s longer'],
            self::said(self::shop(20, '12:00'), self::shop(28, '11:00')),
        );
        // Seconds that are missing to a state of which something was told are no rest of it.
        self::assertSame(
            [
                'Mon–Fri 12:00–17:00: before: rings Ann; now: nobody: the call ends',
                'while shop are “Open” and while desk are “Open”: no longer rings Ann',
                'Mon–Fri 11:59:40–12:00: before: rings Ann; now: rings Ben',
            ],
            self::said(self::shop(20, '12:00'), self::shop(0, '12:00')),
        );
    }

    /** Ann is rung while the shop is open, and then Ben while the desk is. */
    private static function shop(int $seconds, string $deskCloses): Plan
    {
        $open = static fn(string $to): array => [
            ['days' => ['mo', 'tu', 'we', 'th', 'fr'], 'from' => '09:00', 'to' => $to, 'state' => 'open'],
        ];
        $look = static fn(string $id, string $hours): array => [
            'id' => $id,
            'do' => 'hours',
            'hours' => $hours,
            'exits' => [['on' => 'closed', 'steps' => [['id' => "end_$id", 'do' => 'end']]]],
        ];
        $ring = static fn(string $who, int $seconds): array => [
            'id' => "ring_$who",
            'do' => 'ring',
            'target' => $who,
            'seconds' => $seconds,
        ];

        return (new PlanBuilder())
            ->person('ann')
            ->person('ben')
            ->hours('shop', $open('17:00'))
            ->hours('desk', $open($deskCloses))
            ->journey('jrn_main', [
                $look('shop1', 'shop'),
                ...0 === $seconds ? [] : [$ring('ann', $seconds)],
                $look('desk1', 'desk'),
                $ring('ben', 20),
            ])
            ->plan();
    }

    /** @return list<string> */
    private static function said(Plan $before, Plan $after): array
    {
        $report = ImpactReport::of(
            Impact::between(self::coverage($before), self::coverage($after)),
            new ChangeWords($after, $before),
            ...[...self::stretch(), self::ZONE, new LookedUp(new PlanHours($after), ...self::stretch())],
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

    private static function quoted(string $state): string
    {
        return \sprintf('“%s”', ucfirst($state));
    }

    /** @param list<array{int, int}> $times */
    private static function during(Plan $plan, array $times, Course $course): ?string
    {
        $lookedUp = new LookedUp(new PlanHours($plan), ...self::stretch());

        return (new BranchWords($plan))->during($times, $course, $lookedUp, self::ZONE);
    }
}
