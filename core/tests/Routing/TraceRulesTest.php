<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Routing;

use Meandros\Core\Call\Assumptions;
use Meandros\Core\Call\Status;
use Meandros\Core\Live\LiveState;
use Meandros\Core\Live\LiveStatus;
use Meandros\Core\Reading\InvalidData;
use Meandros\Core\Reading\Problem;
use Meandros\Core\Routing\AnswerChange;
use Meandros\Core\Routing\AssumptionCheck;
use Meandros\Core\Routing\Router;
use Meandros\Core\Routing\TooMuchWork;
use Meandros\Core\Tests\PlanBuilder;
use Meandros\Core\Time\Moment;
use Meandros\Core\Wording\TraceReport;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Limits, what nobody notices, statuses that end, and assumptions that would try nothing. */
final class TraceRulesTest extends TestCase
{
    public function testAStraightPlanIsNoLoopHoweverLong(): void
    {
        $steps = array_map(
            static fn(int $i): array => ['id' => 's' . $i, 'do' => 'say', 'prompt' => null],
            range(1, 600),
        );
        $trace = (new PlanBuilder())->journey('jrn_main', $steps)->call();
        self::assertSame(['ran out of steps', 600], [$trace->ending->kind->value, \count($trace->passage->visits)]);
    }

    public function testACallThatRingsFarTooMuchIsNotTried(): void
    {
        $builder = new PlanBuilder();
        $people = array_map(static fn(int $i): string => 'per_' . $i, range(1, 100));
        foreach ($people as $id) {
            $builder->person($id, array_map(static fn(int $i): string => 'p' . $i, range(1, 30)));
        }
        $rings = static fn(int $times): array => array_map(
            static fn(int $i): array => ['id' => 's' . $i, 'do' => 'ring', 'target' => 'team_all', 'seconds' => 1],
            range(1, $times),
        );
        $builder->team('team_all', $people);
        self::assertSame(
            4,
            $builder->journey('jrn_main', $rings(4))->call()->seconds,
            'Three thousand phones four times are tried.',
        );
        $this->expectException(TooMuchWork::class);
        $builder->journey('jrn_main', $rings(5))->call();
    }

    public function testHowFarWasLookedIsSaid(): void
    {
        // Every step reads hours that change twice a day, and nothing ever comes of it.
        $week = [
            [
                'days' => ['mo', 'tu', 'we', 'th', 'fr', 'sa', 'su'],
                'from' => '09:00',
                'to' => '17:00',
                'state' => 'open',
            ],
        ];
        $steps = array_map(
            static fn(int $i): array => ['id' => 's' . $i, 'do' => 'hours', 'hours' => 'hrs', 'exits' => []],
            range(1, 480),
        );
        $plan = (new PlanBuilder())->hours('hrs', $week)->journey('jrn_main', $steps)->plan();
        $changes = new AnswerChange(new Router());
        try {
            $changes->next($plan, PlanBuilder::trial('2026-11-23T10:00'), new Assumptions());
            self::fail('It is a large call.');
        } catch (TooMuchWork $enough) {
            self::assertStringStartsWith('No change was found so far', $enough->getMessage());
            self::assertSame(
                '2027-04-22T09:00:00+01:00',
                Moment::format((int) $enough->instant, 'Europe/London'),
                '150,000 over 500 a stretch, less the first call: the 300th change, 150 days on.',
            );
        }
    }

    public function testStepsThatComeAgainAreCounted(): void
    {
        $builder = (new PlanBuilder())->journey('jrn_main', [
            ['id' => 'ask', 'do' => 'menu', 'prompt' => null, 'wait' => 1, 'tries' => 1],
            ['id' => 'again', 'do' => 'go', 'journey' => 'jrn_main'],
        ]);
        $trace = $builder->call();
        self::assertSame(
            ['loop stopped', 51],
            [$trace->ending->kind->value, $trace->seconds],
            'Two steps for the first time, and 100 times one of them again: the last is not taken.',
        );
        self::assertContains(
            'It came to steps that it had been through 100 times.',
            array_column(TraceReport::of($trace, $builder->plan(), 'UTC')['events'], 'reason'),
        );
    }

    #[DataProvider('long')]
    public function testFourHoursEndToTheSecond(int $prompt, int $ring): void
    {
        $trace = (new PlanBuilder())
            ->person('ann')
            ->prompt('prm_long', $prompt)
            ->journey('jrn_main', [
                ['id' => 'ring', 'do' => 'ring', 'target' => 'ann', 'seconds' => $ring],
                ['id' => 'ask', 'do' => 'menu', 'prompt' => 'prm_long', 'wait' => 5, 'tries' => 1],
                ['id' => 'again', 'do' => 'go', 'journey' => 'jrn_main'],
            ])
            ->call();
        self::assertSame(['loop stopped', 14400], [$trace->ending->kind->value, $trace->seconds]);
        self::assertLessThanOrEqual(
            14400,
            max(array_map(static fn($rung): int => $rung->times->until, $trace->passage->rung)),
        );
    }

    /** @return iterable<array{int, int}> */
    public static function long(): iterable
    {
        yield [60, 600];
        yield [250, 500];
        yield [300, 237];
    }

    public function testAnExitWithoutStepsIsNoChange(): void
    {
        $plan = (new PlanBuilder())
            ->hours('hrs', [
                ['days' => ['mo'], 'from' => '09:00', 'to' => '12:00', 'state' => 'open'],
                ['days' => ['mo'], 'from' => '12:00', 'to' => '13:00', 'state' => 'lunch'],
            ])
            ->prompt('prm_hello', 4)
            ->journey('jrn_main', [
                [
                    'id' => 'look',
                    'do' => 'hours',
                    'hours' => 'hrs',
                    'exits' => [
                        ['on' => 'open', 'label' => '', 'steps' => []],
                        [
                            'on' => 'closed',
                            'label' => '',
                            'steps' => [['id' => 'say', 'do' => 'say', 'prompt' => 'prm_hello']],
                        ],
                    ],
                ],
            ])
            ->plan();
        $next = (new AnswerChange(new Router()))->next(
            $plan,
            PlanBuilder::trial('2026-11-23T10:00'),
            new Assumptions(),
        );
        self::assertSame(
            '2026-11-23T13:00:00+00:00',
            Moment::format((int) $next, 'Europe/London'),
            'At 12:00 another exit is taken, and nobody notices.',
        );
    }

    public function testASecondOfWordsIsNoticed(): void
    {
        $plan = (new PlanBuilder())
            ->hours('hrs', [['days' => ['mo'], 'from' => '09:00', 'to' => '12:00', 'state' => 'open']])
            ->with(['id' => 'prm_short', 'kind' => 'prompt', 'name' => 'Short', 'scripts' => ['en' => 'Closed']])
            ->journey('jrn_main', [
                [
                    'id' => 'look',
                    'do' => 'hours',
                    'hours' => 'hrs',
                    'exits' => [
                        [
                            'on' => 'closed',
                            'label' => '',
                            'steps' => [['id' => 'say', 'do' => 'say', 'prompt' => 'prm_short']],
                        ],
                    ],
                ],
                ['id' => 'none', 'do' => 'say', 'prompt' => null],
            ])
            ->plan();
        self::assertSame(
            '2026-11-23T12:00:00+00:00',
            Moment::format(
                (int) (new AnswerChange(new Router()))->next(
                    $plan,
                    PlanBuilder::trial('2026-11-23T10:00'),
                    new Assumptions(),
                ),
                'Europe/London',
            ),
        );
    }

    public function testOtherWordsOfTheSameLengthAreNoticedAndSilenceIsNot(): void
    {
        $say = static fn(string $state, string $prompt): array => [
            'on' => $state,
            'label' => '',
            'steps' => [['id' => $state, 'do' => 'say', 'prompt' => $prompt]],
        ];
        $builder = (new PlanBuilder())
            ->hours('hrs', [
                ['days' => ['mo'], 'from' => '09:00', 'to' => '12:00', 'state' => 'open'],
                ['days' => ['mo'], 'from' => '12:00', 'to' => '13:00', 'state' => 'lunch'],
            ])
            ->prompt('prm_one', 4)
            ->prompt('prm_two', 4)
            ->with(['id' => 'prm_silent', 'kind' => 'prompt', 'name' => 'Silent', 'scripts' => []]);
        $next = static fn(array ...$exits): string => Moment::format(
            (int) (new AnswerChange(new Router()))->next(
                $builder
                    ->journey('jrn_main', [['id' => 'look', 'do' => 'hours', 'hours' => 'hrs', 'exits' => $exits]])
                    ->plan(),
                PlanBuilder::trial('2026-11-23T10:00'),
                Assumptions::fromData(['keys' => ['1']]),
            ),
            'Europe/London',
        );
        self::assertSame('2026-11-23T12:00:00+00:00', $next($say('open', 'prm_one'), $say('lunch', 'prm_two')));
        self::assertSame('2026-11-23T13:00:00+00:00', $next($say('lunch', 'prm_silent'), $say('closed', 'prm_one')));
        $menu = static fn(string $state, int $wait): array => [
            'on' => $state,
            'label' => '',
            'steps' => [
                [
                    'id' => $state,
                    'do' => 'menu',
                    'prompt' => 'prm_one',
                    'wait' => $wait,
                    'exits' => [['on' => '1', 'steps' => []]],
                ],
            ],
        ];
        self::assertSame(
            '2026-11-23T13:00:00+00:00',
            $next($menu('open', 5), $menu('lunch', 9)),
            'Whoever presses at once does not notice how long they might have waited.',
        );
    }

    public function testAnotherRuleThatRingsTheSameIsNoChange(): void
    {
        $rule = static fn(string $id, array $more): array => $more + [
            'id' => $id,
            'name' => $id,
            'stages' => [['phones' => ['desk'], 'after' => 0, 'seconds' => 20]],
        ];
        $plan = (new PlanBuilder())
            ->with([
                'id' => 'ann',
                'kind' => 'person',
                'name' => 'Ann',
                'extension' => '',
                'site' => 'sit_harbour',
                'phones' => [['id' => 'desk', 'type' => 'desk', 'label' => 'Desk']],
                'rules' => [$rule('until_ten', ['until' => '2026-11-23T10:00']), $rule('ever', [])],
            ])
            ->journey('jrn_main', [['id' => 'ring', 'do' => 'ring', 'target' => 'ann', 'seconds' => 20]])
            ->plan();
        self::assertNull(
            (new AnswerChange(new Router()))->next($plan, PlanBuilder::trial('2026-11-23T09:00'), new Assumptions()),
        );
    }

    public function testAStatusThatEndsIsOverForALaterCall(): void
    {
        $plan = (new PlanBuilder())
            ->person('ann')
            ->journey('jrn_main', [['id' => 'ring', 'do' => 'ring', 'target' => 'ann', 'seconds' => 20]])
            ->plan();
        $ends = Moment::parse('2026-11-23T12:00', 'Europe/London');
        $live = new LiveState([], ['ann' => new LiveStatus(Status::OnLeave, $ends)]);
        $exit = static fn(string $at, array $assume = []): ?string => (new Router())->trace(
            $plan,
            PlanBuilder::trial($at),
            Assumptions::fromData($assume),
            $live,
        )->passage->visits[0]->exit;
        self::assertSame(
            ['unreachable', 'unreachable', 'nobody'],
            [$exit('2026-11-23T09:00'), $exit('2026-11-23T11:59:59'), $exit('2026-11-23T12:00')],
        );
        self::assertSame(
            'busy',
            $exit('2026-11-23T13:00', ['statuses' => [['who' => 'ann', 'status' => 'do not disturb']]]),
        );
        $changes = new AnswerChange(new Router());
        self::assertSame(
            $ends,
            $changes->next($plan, PlanBuilder::trial('2026-11-23T09:00'), new Assumptions(), $live),
        );
        self::assertSame(
            $ends,
            $changes->previous($plan, PlanBuilder::trial('2026-11-23T15:00'), new Assumptions(), $live),
        );
        self::assertNull($changes->next($plan, PlanBuilder::trial('2026-11-23T12:00'), new Assumptions(), $live));
    }

    public function testAStatusWithoutAnEndGoesOn(): void
    {
        $plan = (new PlanBuilder())
            ->person('ann')
            ->journey('jrn_main', [['id' => 'ring', 'do' => 'ring', 'target' => 'ann', 'seconds' => 20]])
            ->plan();
        self::assertNull(
            (new AnswerChange(new Router()))->next(
                $plan,
                PlanBuilder::trial('2026-11-23T09:00'),
                new Assumptions(),
                new LiveState([], ['ann' => new LiveStatus(Status::Away)]),
            ),
        );
    }

    public function testARuleThatPassesADirectCallBackPassesItOnToTheMailbox(): void
    {
        $trace = (new PlanBuilder())
            ->mailbox('mbx_ann')
            ->with([
                'id' => 'ann',
                'kind' => 'person',
                'name' => 'Ann',
                'extension' => '201',
                'site' => 'sit_harbour',
                'phones' => [['id' => 'desk', 'type' => 'desk', 'label' => 'Desk']],
                'mailbox' => 'mbx_ann',
                'rules' => [
                    [
                        'id' => 'one',
                        'name' => 'One',
                        'stages' => [['phones' => ['desk'], 'after' => 0, 'seconds' => 20]],
                        'next' => ['nobody' => null],
                    ],
                ],
            ])
            ->call(to: '201');
        self::assertSame(
            ['message', 'mbx_ann', 20],
            [$trace->ending->kind->value, $trace->ending->who, $trace->seconds],
        );
    }

    /**
     * @param array<string, mixed> $assume
     * @param list<string>         $pointers
     */
    #[DataProvider('idle')]
    public function testAssumptionsThatWouldTryNothingAreRefused(array $assume, array $pointers): void
    {
        $plan = (new PlanBuilder())
            ->person('ann')
            ->person('ben')
            ->team('pair', ['ann', '+447700900101'])
            ->with(['id' => 'line_quay', 'kind' => 'line', 'name' => 'Quay', 'site' => 'sit_harbour'])
            ->plan();
        $found = [];
        try {
            AssumptionCheck::check($plan, Assumptions::fromData($assume), PlanBuilder::trial('2026-11-23T10:30'));
        } catch (InvalidData $invalid) {
            $found = array_map(static fn(Problem $problem): string => $problem->pointer, $invalid->problems);
        }
        self::assertSame($pointers, $found);
    }

    /** @return iterable<string, array{array<string, mixed>, list<string>}> */
    public static function idle(): iterable
    {
        yield 'somebody who is named like a number' => [
            ['earlier' => ['members' => [['who' => '1', 'idle' => 5, 'calls' => 1]]]],
            ['/earlier/members/0/who'],
        ];
        $phones = static fn(string ...$who): array => [
            'phones' => array_map(static fn(string $one): array => ['who' => $one, 'does' => 'busy'], $who),
        ];
        yield 'all that is there' => [
            $phones('*', 'ann', 'ann/desk', '+447700900101') + [
                'statuses' => [['who' => 'ben', 'status' => 'away']],
                'lines' => [['line' => 'line_quay', 'taken' => 1]],
                'earlier' => [
                    'last' => [['team' => 'pair', 'who' => 'ann']],
                    'members' => [['who' => 'ann', 'idle' => 5]],
                ],
            ],
            [],
        ];
        yield 'nobody' => [$phones('anne'), ['/phones/0/who']];
        yield 'a phone that she does not have' => [$phones('ann', 'ann/dask'), ['/phones/1/who']];
        yield 'a number that nothing calls' => [$phones('+447700900102'), ['/phones/0/who']];
        yield 'something else' => [
            $phones('pair', 'num_main', 'a/b/c'),
            ['/phones/0/who', '/phones/1/who', '/phones/2/who'],
        ];
        yield 'a status of nobody' => [['statuses' => [['who' => 'anne', 'status' => 'away']]], ['/statuses/0/who']];
        yield 'no such line' => [['lines' => [['line' => 'line_key', 'taken' => 1]]], ['/lines/0/line']];
        yield 'no such team, and nobody of it' => [
            ['earlier' => ['last' => [['team' => 'pear', 'who' => 'ann'], ['team' => 'pair', 'who' => 'ben']]]],
            ['/earlier/last/0/team', '/earlier/last/1/who'],
        ];
        yield 'no such member' => [
            ['earlier' => ['members' => [['who' => 'cid', 'calls' => 2]]]],
            ['/earlier/members/0/who'],
        ];
        yield 'one twice' => [$phones('ann', 'ben', 'ann'), ['/phones/2/who']];
        yield 'a status twice' => [
            ['statuses' => [['who' => 'ann', 'status' => 'away'], ['who' => 'ann', 'status' => 'away']]],
            ['/statuses/1/who'],
        ];
        yield 'a line twice' => [
            ['lines' => [['line' => 'line_quay', 'taken' => 1], ['line' => 'line_quay', 'taken' => 2]]],
            ['/lines/1/line'],
        ];
    }
}
