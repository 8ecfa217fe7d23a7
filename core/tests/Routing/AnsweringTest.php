<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Routing;

use Meandros\Core\Call\Assumptions;
use Meandros\Core\Call\Caller;
use Meandros\Core\Call\Circumstances;
use Meandros\Core\Call\Status;
use Meandros\Core\Call\TrialCall;
use Meandros\Core\Check\Checks;
use Meandros\Core\Check\Finding;
use Meandros\Core\Live\LiveState;
use Meandros\Core\Live\LiveStatus;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Reading\InvalidData;
use Meandros\Core\Routing\Router;
use Meandros\Core\Routing\Trace;
use Meandros\Core\Tests\PlanBuilder;
use Meandros\Core\Time\Moment;
use Meandros\Core\Wording\FindingWords;
use Meandros\Core\Wording\TraceReport;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * Dana's answering rules, worked by hand on a grid of seconds. Her phones are a desk phone and a mobile; nothing else
 * is said about them, so they ring and nobody answers.
 */
final class AnsweringTest extends TestCase
{
    /**
     * @param list<array<string, mixed>> $rules
     * @param list<string>               $bars   "phone from–until outcome"
     * @param array<string, mixed>       $assume
     */
    #[DataProvider('handovers')]
    public function testACallThatIsHandedOver(array $rules, array $bars, string $ending, array $assume = []): void
    {
        $trace = self::call(self::plan($rules), $assume);
        self::assertSame($bars, self::bars($trace));
        self::assertSame($ending, $trace->ending->kind->value . ' ' . $trace->ending->who);
    }

    /** @return iterable<string, array{0: list<array<string, mixed>>, 1: list<string>, 2: string, 3?: array<string, mixed>}> */
    public static function handovers(): iterable
    {
        $no = 'not answered';
        $office = ['nobody' => 'mbx_office'];
        $answers = static fn(string $who, int $after): array => [
            'phones' => [['who' => $who, 'does' => 'answers', 'after' => $after]],
        ];
        yield 'no rule: both phones for 25 s, then her own mailbox' => [
            [],
            ["desk 0–25 $no", "mobile 0–25 $no"],
            'message mbx_dana',
        ];
        yield 'the desk 10 s, then the mobile 20 s, then the office mailbox' => [
            [self::rule(['desk' => [0, 10], 'mobile' => [10, 20]], $office)],
            ["desk 0–10 $no", "mobile 10–30 $no"],
            'message mbx_office',
        ];
        yield 'the mobile a few seconds later' => [
            [self::rule(['desk' => [0, 20], 'mobile' => [5, 15]], $office)],
            ["desk 0–20 $no", "mobile 5–20 $no"],
            'message mbx_office',
        ];
        yield 'answered at the mobile' => [
            [self::rule(['desk' => [0, 20], 'mobile' => [5, 15]], $office)],
            ['desk 0–9 taken elsewhere', 'mobile 5–9 answered'],
            'answered dana',
            $answers('dana/mobile', 4),
        ];
        yield 'busy has an outcome of its own' => [
            [self::rule(['desk' => [0, 20]], $office + ['busy' => 'ben'])],
            ['desk 0–0 busy', "desk 0–25 $no"],
            'ran out of steps ',
            ['phones' => [['who' => 'dana/desk', 'does' => 'busy', 'after' => 0]]],
        ];
        yield 'forward everything: a rule without a stage' => [
            [self::rule([], ['nobody' => 'mbx_office'])],
            [],
            'message mbx_office',
        ];
        yield 'to another person, who has no rule and no mailbox' => [
            [self::rule(['desk' => [0, 10]], ['nobody' => 'ben'])],
            ["desk 0–10 $no", "desk 10–35 $no"],
            'ran out of steps ',
        ];
        yield 'two who pass it on to one another' => [
            [self::rule(['desk' => [0, 10]], ['nobody' => 'cid'])],
            ["desk 0–10 $no", "desk 10–15 $no"],
            'loop stopped ',
        ];
        yield 'a journey' => [
            [self::rule(['desk' => [0, 10]], ['nobody' => 'jrn_other'])],
            ["desk 0–10 $no"],
            'message mbx_office',
        ];
        yield 'nothing said: on where the call came from' => [
            [self::rule(['desk' => [0, 10]], [])],
            ["desk 0–10 $no"],
            'ran out of steps ',
        ];
        yield 'a rule that is off is passed over' => [
            [['on' => false] + self::rule(['desk' => [0, 10]], $office)],
            ["desk 0–25 $no", "mobile 0–25 $no"],
            'message mbx_dana',
        ];
        yield 'to a number outside' => [
            [self::rule(['desk' => [0, 10]], ['nobody' => '+447700900123'])],
            ["desk 0–10 $no", "+447700900123 10–35 $no"],
            'ran out of steps ',
        ];
        yield 'the end of the call' => [
            [self::rule(['desk' => [0, 10]], ['nobody' => 'end the call'])],
            ["desk 0–10 $no"],
            'ended by plan ',
        ];
        yield 'her team joins after 10 s, one after the other' => [
            [
                [
                    'stages' => [
                        ['phones' => ['desk'], 'after' => 0, 'seconds' => 30],
                        ['phones' => [], 'teams' => ['team_two'], 'after' => 10, 'seconds' => 15],
                    ],
                ] + self::rule([], $office),
            ],
            ["desk 0–30 $no", "desk 10–20 $no", "desk 20–25 $no"],
            'message mbx_office',
        ];
        yield 'a colleague in the team answers' => [
            [
                ['stages' => [['phones' => ['desk'], 'teams' => ['team_two'], 'after' => 0, 'seconds' => 30]]] +
                self::rule([], $office),
            ],
            ['desk 0–13 taken elsewhere', "desk 0–10 $no", 'desk 10–13 answered'],
            'answered cid',
            $answers('cid', 3),
        ];
        yield 'the caller is kept for a minute, and the stages begin anew' => [
            [['againMinutes' => 1] + self::rule(['desk' => [0, 10], 'mobile' => [10, 10]], $office)],
            [
                "desk 0–10 $no",
                "mobile 10–20 $no",
                "desk 25–35 $no",
                "mobile 35–45 $no",
                "desk 50–60 $no",
                'mobile 60–60 not reached',
            ],
            'message mbx_office',
        ];
        yield 'two stages that touch are one long ring' => [
            [
                [
                    'stages' => [
                        ['phones' => ['desk'], 'after' => 0, 'seconds' => 10],
                        ['phones' => ['desk', 'mobile'], 'after' => 10, 'seconds' => 10],
                    ],
                ] + self::rule([], $office),
            ],
            ['desk 0–15 taken elsewhere', 'mobile 10–15 answered'],
            'answered dana',
            $answers('dana/mobile', 5),
        ];
        yield 'away: no rule is meant for that' => [
            [],
            [],
            'message mbx_dana',
            ['statuses' => [['who' => 'dana', 'status' => 'away']]],
        ];
        yield 'away: a rule is meant for that' => [
            [self::rule(['mobile' => [0, 12]], $office, ['statuses' => ['away']])],
            ["mobile 0–12 $no"],
            'message mbx_office',
            ['statuses' => [['who' => 'dana', 'status' => 'away']]],
        ];
    }

    /** @param array<string, mixed> $when */
    #[DataProvider('conditions')]
    public function testWhyARuleDoesNotHold(array $when, string $from, string $at, ?string $why): void
    {
        $plan = self::plan([self::rule(['desk' => [0, 10]], [], $when)]);
        $trace = (new Router())->trace(
            $plan,
            new TrialCall(PlanBuilder::NUMBER, Caller::parse($from, 'GB'), Moment::parse($at, 'Europe/London')),
            new Assumptions(),
        );
        $because = $trace->passage->events[1]->happening->because();
        self::assertSame([['rule' => 'one', 'name' => 'One', 'why' => $why]], $because['considered']);
    }

    /** @return iterable<string, array{array<string, mixed>, string, string, string|null}> */
    public static function conditions(): iterable
    {
        $weekend = ['hours' => 'hrs_desk', 'states' => ['closed']];
        yield 'hours, when they are so' => [$weekend, '', '2026-11-28T10:00', null];
        yield 'hours, when they are not' => [$weekend, '', '2026-11-27T10:00', 'hrs_desk: Open'];
        yield 'status' => [['statuses' => ['on leave']], '', '2026-11-27T10:00', 'the status is “available”'];
        yield 'through a team only' => [['via' => 'team'], '', '2026-11-27T10:00', 'the call comes directly'];
        yield 'callers from London' => [['callers' => ['+4420']], '020 7946 0123', '2026-11-27T10:00', null];
        yield 'somebody else' => [['callers' => ['+4420']], '07700 900123', '2026-11-27T10:00', 'somebody else calls'];
        yield 'withheld' => [['callers' => ['withheld']], '', '2026-11-27T10:00', null];
        $window = static fn(string $day, string $from, string $to): array => [
            'windows' => [['days' => [$day], 'from' => $from, 'to' => $to]],
        ];
        yield 'in a window of her own' => [$window('fr', '09:30', '10:00'), '', '2026-11-27T09:59:59', null];
        yield 'the second after it' => [
            $window('fr', '09:30', '10:00'),
            '',
            '2026-11-27T10:00:00',
            'it is not its time',
        ];
        yield 'past midnight' => [$window('th', '22:00', '26:00'), '', '2026-11-27T01:59:59', null];
        yield 'a colleague' => [['callers' => ['internal']], '201', '2026-11-27T10:00', null];
    }

    public function testARuleWithAnEndHoldsUntilThen(): void
    {
        $plan = self::plan([['until' => '2026-11-27T10:00'] + self::rule([], ['nobody' => 'mbx_office'])]);
        $trace = static fn(string $at): Trace => (new Router())->trace(
            $plan,
            PlanBuilder::trial($at),
            new Assumptions(),
        );
        [$before, $after] = [$trace('2026-11-27T09:59:59'), $trace('2026-11-27T10:00:00')];
        self::assertSame(['mbx_office', 'mbx_dana'], [$before->ending->who, $after->ending->who]);
        self::assertSame(
            [Moment::parse('2026-11-27T10:00', 'Europe/London'), $before->holds->until],
            [$after->holds->since, $after->holds->since],
        );
        self::assertSame(
            'it ended on 2026-11-27 at 10:00',
            $after->passage->events[1]->happening->because()['considered'][0]['why'],
        );
    }

    public function testARulePlaysAGreetingOfItsOwn(): void
    {
        $rule = ['greetings' => ['nobody' => 'prm_back']] + self::rule(['desk' => [0, 10]], ['nobody' => 'mbx_office']);
        $trace = (new Router())->trace(
            self::builder([$rule])
                ->prompt('prm_back', 6)
                ->journey('jrn_main', [['id' => 'ring', 'do' => 'ring', 'target' => 'dana', 'handOver' => true]])
                ->plan(),
            PlanBuilder::trial('2026-11-27T10:00'),
            new Assumptions(),
        );
        self::assertSame([16, 'message'], [$trace->seconds, $trace->ending->kind->value]);
        self::assertSame(
            ['mbx_office', 'prm_back', 6],
            array_map(static fn(string $of): mixed => $trace->passage->events[2]->happening->what()[$of], [
                'mailbox',
                'greeting',
                'seconds',
            ]),
        );
    }

    public function testTryingComesBackAndNoPersonalMailboxTakesIt(): void
    {
        $trace = self::call(
            self::plan([self::rule(['desk' => [0, 10], 'mobile' => [10, 20]], ['nobody' => 'mbx_office'])], false),
        );
        self::assertSame(
            ['desk 0–10 not answered', 'mobile 10–15 not answered'],
            self::bars($trace),
            'The step rings for 15 s in all.',
        );
        self::assertSame(
            ['ran out of steps', 'nobody'],
            [$trace->ending->kind->value, $trace->passage->visits[0]->exit],
        );
    }

    public function testTeamCallsRingAtTheDeskAlthoughSheIsAway(): void
    {
        $away = ['statuses' => [['who' => 'dana', 'status' => 'away']]];
        $rules = [self::rule(['desk' => [0, 20]], [], ['via' => 'team', 'statuses' => ['available', 'away']])];
        $team = static fn(bool $follow, array $rules): Plan => self::builder($rules)
            ->with([
                'id' => 'team_one',
                'kind' => 'team',
                'name' => 'One',
                'pattern' => 'all at once',
                'members' => [['who' => 'dana']],
                'followRules' => $follow,
            ])
            ->journey('jrn_main', [
                ['id' => 'ring', 'do' => 'ring', 'target' => 'team_one', 'seconds' => 30, 'exits' => []],
            ])
            ->plan();
        self::assertSame(['desk 0–20 not answered'], self::bars(self::call($team(true, $rules), $away)));
        self::assertSame(
            ['desk 0–0 not available', 'mobile 0–0 not available'],
            self::bars(self::call($team(true, []), $away)),
        );
        self::assertSame(
            ['desk 0–30 not answered', 'mobile 0–30 not answered'],
            self::bars(self::call($team(false, []), $away)),
            'Phones rung directly ring for somebody who is away.',
        );
        self::assertSame(
            ['desk 0–0 not available', 'mobile 0–0 not available'],
            self::bars(self::call($team(false, []), ['statuses' => [['who' => 'dana', 'status' => 'signed out']]])),
        );
    }

    public function testTheLiveStatusCountsUnlessAnotherIsAssumed(): void
    {
        $plan = self::plan([]);
        $live = new LiveState([], ['dana' => new LiveStatus(Status::DoNotDisturb)]);
        $call = new TrialCall(
            PlanBuilder::NUMBER,
            Caller::parse('', 'GB'),
            Moment::parse('2026-11-27T10:00', 'Europe/London'),
        );
        self::assertSame(
            'Finds Dana busy, then leaves a message with mbx_dana.',
            TraceReport::of((new Router())->trace($plan, $call, new Assumptions(), $live), $plan, 'UTC')['sentence'],
        );
        self::assertSame(
            'Rings Dana for 25 s, then leaves a message with mbx_dana.',
            TraceReport::of(
                (new Router())->trace(
                    $plan,
                    $call,
                    new Assumptions(circumstances: new Circumstances(statuses: ['dana' => Status::Available])),
                    $live,
                ),
                $plan,
                'UTC',
            )['sentence'],
        );
    }

    /** @param list<array<string, mixed>> $rules */
    #[DataProvider('surprises')]
    public function testWhatWouldSurprise(array $rules, string $words, bool $handOver = true): void
    {
        $messages = array_map(
            static fn(Finding $finding): string => FindingWords::message($finding),
            Checks::in(self::plan($rules, $handOver)),
        );
        self::assertContains($words, $messages);
    }

    /** @return iterable<array{0: list<array<string, mixed>>, 1: string, 2?: bool}> */
    public static function surprises(): iterable
    {
        $two = ['id' => 'two', 'name' => 'Two'];
        yield [
            [self::rule(['desk' => [0, 10]], []), $two + self::rule(['mobile' => [0, 10]], [], ['via' => 'direct'])],
            '“Two” never holds: “One” before it holds whenever it would.',
        ];
        yield [[self::rule([], ['nobody' => 'cid'])], 'Calls that Dana passes on come back to Dana.'];
        yield [
            [self::rule(['desk' => [0, 10], 'mobile' => [15, 10]], [])],
            'Step “ring Dana” is over after 15 s, before stage 2 of the rule “One” starts.',
            false,
        ];
        yield [
            [self::rule(['desk' => [0, 10], 'mobile' => [5, 20]], [])],
            'Step “ring Dana” is over after 15 s, before stage 2 of the rule “One” has rung for its 20 s.',
            false,
        ];
        yield [
            [self::rule(['desk' => [0, 10]], [], ['hours' => 'hrs_desk', 'states' => ['foggy']])],
            'hrs_desk has no state “foggy” any more.',
        ];
    }

    /** @param array<string, mixed> $rule */
    #[DataProvider('badRules')]
    public function testABadRuleIsRefusedAtTheField(array $rule, string $pointer): void
    {
        try {
            self::plan([$rule + self::rule(['desk' => [0, 10]], [])]);
            self::fail('This must be refused.');
        } catch (InvalidData $invalid) {
            self::assertStringEndsWith($pointer, $invalid->problems[0]->pointer);
        }
    }

    /** @return iterable<array{array<string, mixed>, string}> */
    public static function badRules(): iterable
    {
        yield [['stages' => [['phones' => [], 'after' => 0, 'seconds' => 10]]], '/rules/0/stages/0/phones'];
        yield [['stages' => [['phones' => ['fax'], 'after' => 0, 'seconds' => 10]]], '/rules/0/stages/0/phones/0'];
        yield [['stages' => [['phones' => ['desk'], 'after' => -5, 'seconds' => 10]]], '/rules/0/stages/0/after'];
        yield [['stages' => [['phones' => ['desk'], 'after' => 0, 'seconds' => 99999]]], '/rules/0/stages/0/seconds'];
        yield [['when' => ['hours' => 'hrs_desk', 'states' => []]], '/rules/0/when/states'];
        yield [['when' => ['callers' => ['Aunt May']]], '/rules/0/when/callers/0'];
        yield [['next' => ['nobody' => 'mbx_none']], '/rules/0/next/nobody'];
        yield [['next' => ['nobody' => '+44']], '/rules/0/next/nobody'];
        yield [['greetings' => ['busy' => 'prm_none']], '/rules/0/greetings/busy'];
        yield [['stages' => [['teams' => ['mbx_office'], 'after' => 0, 'seconds' => 10]]], '/rules/0/stages/0/teams/0'];
        yield [['until' => 'tomorrow'], '/rules/0/until'];
        yield [['until' => '2026-02-30T10:00'], '/rules/0/until'];
        yield [['againMinutes' => 999], '/rules/0/againMinutes'];
        yield [
            ['when' => ['windows' => [['days' => [], 'from' => '09:00', 'to' => '10:00']]]],
            '/rules/0/when/windows/0/days',
        ];
        yield [
            ['when' => ['windows' => [['days' => ['mo'], 'from' => '10:00', 'to' => '09:00']]]],
            '/rules/0/when/windows/0/to',
        ];
    }

    /**
     * @param array<string, array{int, int}> $stages after and seconds, by phone
     * @param array<string, string>          $then
     * @param array<string, mixed>           $when
     *
     * @return array<string, mixed>
     */
    private static function rule(array $stages, array $then, array $when = []): array
    {
        $list = [];
        foreach ($stages as $phone => [$after, $seconds]) {
            $list[] = ['phones' => [$phone], 'after' => $after, 'seconds' => $seconds];
        }

        return ['id' => 'one', 'name' => 'One', 'on' => true, 'when' => $when, 'stages' => $list, 'next' => $then];
    }

    /** @param list<array<string, mixed>> $rules */
    private static function plan(array $rules, bool $handOver = true): Plan
    {
        return self::builder($rules)
            ->journey('jrn_main', [
                [
                    'id' => 'ring',
                    'do' => 'ring',
                    'target' => 'dana',
                    'seconds' => 15,
                    'handOver' => $handOver,
                    'exits' => [],
                ],
            ])
            ->plan();
    }

    /** @param list<array<string, mixed>> $rules */
    private static function builder(array $rules): PlanBuilder
    {
        $person = static fn(string $id, array $phones, ?string $mailbox, array $rules): array => [
            'id' => $id,
            'kind' => 'person',
            'name' => ucfirst($id),
            'extension' => '',
            'site' => 'sit_harbour',
            'phones' => array_map(
                static fn(string $phone): array => ['id' => $phone, 'type' => 'desk', 'label' => $phone],
                $phones,
            ),
            'mailbox' => $mailbox,
            'rules' => $rules,
        ];

        return (new PlanBuilder())
            ->mailbox('mbx_dana')
            ->mailbox('mbx_office')
            ->hours('hrs_desk', [
                ['days' => ['mo', 'tu', 'we', 'th', 'fr'], 'from' => '09:00', 'to' => '17:00', 'state' => 'open'],
            ])
            ->journey('jrn_other', [['id' => 'leave', 'do' => 'message', 'mailbox' => 'mbx_office']])
            ->with($person('dana', ['desk', 'mobile'], 'mbx_dana', $rules))
            ->team('team_two', ['ben', 'cid'], 'one after the other', 10)
            ->with($person('ben', ['desk'], null, []))
            ->with($person('cid', ['desk'], null, [self::rule(['desk' => [0, 5]], ['nobody' => 'dana'])]));
    }

    /** @param array<string, mixed> $assume */
    private static function call(Plan $plan, array $assume = []): Trace
    {
        return (new Router())->trace(
            $plan,
            new TrialCall(
                PlanBuilder::NUMBER,
                Caller::parse('', 'GB'),
                Moment::parse('2026-11-27T10:00', 'Europe/London'),
            ),
            Assumptions::fromData($assume),
        );
    }

    /** @return list<string> */
    private static function bars(Trace $trace): array
    {
        return array_map(
            static fn($rung): string => \sprintf(
                '%s %d–%d %s',
                $rung->phone->label,
                $rung->times->from,
                $rung->times->until,
                $rung->outcome,
            ),
            $trace->passage->rung,
        );
    }
}
