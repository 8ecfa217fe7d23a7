<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Proof;

use Meandros\Core\Call\Assumptions;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Proof\Endings;
use Meandros\Core\Proof\NotTried;
use Meandros\Core\Proof\StepOutlook;
use Meandros\Core\Proof\Ways\Untried;
use Meandros\Core\Tests\PlanBuilder;
use Meandros\Core\Wording\EndingsReport;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** Endings of small plans, each about one thing that callers, phones or queues may do. */
final class EndingsTest extends TestCase
{
    use HoldsEndings;

    private const QUEUE = [
        'id' => 'que',
        'kind' => 'queue',
        'name' => 'Queue',
        'members' => [['who' => 'ann', 'tier' => 1]],
    ];

    public function testTwelveRingsInARowAreFewPlaces(): void
    {
        $builder = new PlanBuilder();
        $steps = [];
        for ($i = 0; $i < 12; ++$i) {
            $builder->person('p' . $i);
            $steps[] = ['id' => 's' . $i, 'do' => 'ring', 'target' => 'p' . $i, 'seconds' => 20];
        }
        $plan = $builder->journey('jrn_main', $steps)->plan();
        $endings = Endings::of($plan, PlanBuilder::trial('2026-11-23T10:30'));
        self::assertSame([12, []], [$endings->places, $endings->notTried]);
        self::assertSame(
            ['ran out of steps  0 240', 'answered p11 0 239', 'caller gave up  1 240'],
            \array_slice(self::told($endings), -3),
        );
    }

    public function testWhoIsBusyAtFirstMayAnswerLater(): void
    {
        $builder = (new PlanBuilder())->person('ann')->person('ben');
        $steps = [
            ['id' => 's1', 'do' => 'ring', 'target' => 'ann', 'seconds' => 20],
            ['id' => 's2', 'do' => 'ring', 'target' => 'ben', 'seconds' => 15],
            ['id' => 's3', 'do' => 'ring', 'target' => 'ann', 'seconds' => 10],
        ];
        $endings = Endings::of($builder->journey('jrn_main', $steps)->plan(), PlanBuilder::trial('2026-11-23T10:30'));
        self::assertSame([], $endings->notTried);
        self::assertContains('answered ann 0 44', self::told($endings));
        $assume = [
            'phones' => [
                ['who' => 'ann/desk', 'does' => 'busy'],
                ['who' => 'ann/desk', 'does' => 'answers', 'after' => 4, 'from' => 15],
            ],
        ];
        $trace = $builder->call($assume);
        self::assertSame(['answered', 'ann', 19], [$trace->ending->kind->value, $trace->ending->who, $trace->seconds]);
    }

    /**
     * @param array<string, mixed> $team   what it has other than usual
     * @param string               $ending that takes phones which do one thing each
     * @param string               $again  who is rung after the team
     */
    #[TestWith([['pattern' => 'one after the other', 'members' => ['cid', 'ann', 'ben']], 'message refused 0 15'])]
    #[TestWith([['skipBusy' => true], 'ran out of steps  8 16'])]
    #[
        TestWith([
            ['skipBusy' => true, 'pattern' => 'one after the other', 'members' => ['ann/desk', 'ben']],
            'ran out of steps  8 16',
            'desk',
        ]),
    ]
    public function testPhonesThatAreRungAgainAtOnceDoOneThingEach(
        array $team,
        string $ending,
        string $again = 'ann',
    ): void {
        $builder = (new PlanBuilder())
            ->person('ann', ['desk', 'lap'])
            ->person('ben')
            ->person('cid');
        $builder->team('desk', ['ann/desk']);
        $usual = $builder->team('team', $team['members'] ?? ['ann'], memberSeconds: 10)->element('team');
        unset($team['members']);
        $exits = [];
        foreach (['busy', 'refused', 'unreachable'] as $i => $on) {
            $builder->mailbox($on);
            $exits[] = ['on' => $on, 'steps' => [['id' => 'm' . $i, 'do' => 'message', 'mailbox' => $on]]];
        }
        $steps = [
            ['id' => 's1', 'do' => 'ring', 'target' => 'team', 'seconds' => 8],
            ['id' => 's2', 'do' => 'ring', 'target' => $again, 'seconds' => 8, 'exits' => $exits],
        ];
        $plan = $builder
            ->with($team + $usual)
            ->journey('jrn_main', $steps)
            ->plan();
        $endings = Endings::of($plan, PlanBuilder::trial('2026-11-23T10:30'));
        self::assertSame([], $endings->notTried);
        self::assertContains($ending, self::told($endings));
        self::reproduce($plan, PlanBuilder::trial('2026-11-23T10:30'), $endings);
    }

    /**
     * @param list<string>         $members that ring one after the other; Ben's and Cid's mobiles ring after 2 s
     * @param int                  $each    seconds for which each of them rings, of 18 in all
     * @param array<string, mixed> $mobile  its own mailbox, other than usual
     * @param list<string>         $endings
     */
    #[TestWith([['ben/mob', 'ann', 'cid/desk'], 6, [], ['answered cid 6 17']])]
    #[TestWith([['ben/mob', 'ann', 'cid/mob'], 6, [], ['answered cid 8 17', 'own mailbox cid 8 17']])]
    #[TestWith([['ben/mob', 'cid/mob'], 6, ['mailboxWhenBusy' => false], ['own mailbox cid 2 8', 'answered cid 2 11']])]
    #[TestWith([['ann', 'cid/mob'], 18, [], ['answered cid 2 17', 'own mailbox cid 2 17']])]
    #[TestWith([['ann', 'cid/mob'], 12, ['ownMailbox' => 5, 'mailboxWhenBusy' => false], ['own mailbox cid 2 17']])]
    #[TestWith([['cid/mob'], 18, ['mailboxWhenBusy' => false], ['own mailbox cid 2 11', 'ran out of steps  0 11']])]
    public function testWhoseTurnComesLaterTakesCallsAsSoonAndAsLateAsOthersLet(
        array $members,
        int $each,
        array $mobile,
        array $endings,
    ): void {
        self::assertTold(
            $endings,
            $this->ofMobiles($mobile + ['ownMailbox' => 9], 'one after the other', $members, $each),
        );
    }

    public function testTurnsOfTwoGiveWayToAMobileThatTakesLongToBeOutOfReach(): void
    {
        $members = ['ann', ['who' => 'cid/desk', 'seconds' => 3], 'ben/mob'];
        $bens = ['setUp' => 5, 'mailboxWhenBusy' => false];
        $told = $this->ofMobiles(['ownMailbox' => 20], 'one after the other', $members, 15, $bens);
        // Ann has 15 s and Cid 3 of the 18: Cid is busy, and Ann refuses after 12.
        self::assertTold(['answered ben 5 17', 'own mailbox ben 5 17'], $told);
    }

    public function testOfTwoMobilesTheOneThatIsRefusedHandsOnInTheSecondOfTheOthersMailbox(): void
    {
        $own = ['ownMailbox' => 4, 'mailboxWhenBusy' => true];
        self::assertTold(
            ['own mailbox ben 2 6', 'own mailbox cid 2 6'],
            $this->ofMobiles($own, 'all at once', ['ben/mob', 'cid/mob'], 18, ['ownMailbox' => 7]),
        );
    }

    public function testWhoeverIsAskedFirstAnswersSoManySecondsBeforeAMailboxDoes(): void
    {
        // Ben's mailbox takes calls at 11 s, and Cid has them four seconds after picking up.
        $own = ['ownMailbox' => 9, 'askFirst' => true];
        $told = $this->ofMobiles($own, 'all at once', ['ben/mob', 'cid/mob'], 18, ['askFirst' => false]);
        self::assertTold(['answered cid 6 10', 'own mailbox ben 2 11'], $told);
    }

    public function testAMobileThatRingsFirstInTheSecondOfAnothersMailboxMayBeAnsweredInIt(): void
    {
        $own = ['setUp' => 4, 'ownMailbox' => 20];
        $bens = ['setUp' => 0, 'ownMailbox' => 4];
        $told = $this->ofMobiles($own, 'all at once', ['cid/mob', 'ben/mob'], 18, $bens);
        self::assertTold(['own mailbox ben 0 4', 'answered cid 4 4'], $told);
    }

    public function testWhoRefusesForAllTheirPhonesMayDoSoUntilTheMailboxOfOneTakesTheCall(): void
    {
        $told = $this->ofMobiles(['ownMailbox' => 6], 'all at once', ['ben'], 18);
        self::assertTold(['own mailbox ben 2 8', 'ran out of steps  0 8'], $told);
    }

    /** Ben's mobile is answered by his mailbox at 8 s, which is asked, and presses nothing: by his desk he declines both until then. */
    public function testWhoRefusesForAllTheirPhonesDoesSoAsLongAsAllRing(): void
    {
        $own = ['ownMailbox' => 6, 'askFirst' => true];
        $refused = [['on' => 'refused', 'steps' => [['id' => 's2', 'do' => 'end']]]];
        $told = $this->ofMobiles($own, 'all at once', ['ben'], 18, exits: $refused);
        self::assertTold(['ended by plan  0 8'], $told);
    }

    /**
     * @param array<string, mixed> $mobile  Ben's and Cid's; Ben refuses by one phone for both of his
     * @param list<mixed>          $members
     * @param array<string, mixed> $bens    what Ben's has other than Cid's
     * @param list<mixed>          $exits
     *
     * @return list<string>
     */
    private function ofMobiles(
        array $mobile,
        string $pattern,
        array $members,
        int $each,
        array $bens = [],
        array $exits = [],
        bool $skipBusy = false,
    ): array {
        $usual = ['id' => 'mob', 'type' => 'outside', 'label' => 'Mobile', 'number' => '+447700900120', 'setUp' => 2];
        $builder = (new PlanBuilder())->person('ann');
        foreach (['ben' => $bens, 'cid' => []] as $person => $own) {
            $desk = $builder->person($person)->element($person);
            $phones = [...$desk['phones'], $own + $mobile + $usual];
            $builder->with(['phones' => $phones, 'refusesForAll' => 'ben' === $person] + $desk);
        }
        $plan = $builder
            ->team('team', $members, $pattern, $each)
            ->with(['skipBusy' => $skipBusy] + $builder->element('team'))
            ->journey('jrn_main', [
                ['id' => 's1', 'do' => 'ring', 'target' => 'team', 'seconds' => 18, 'exits' => $exits],
            ])
            ->plan();

        return self::told(Endings::of($plan, PlanBuilder::trial('2026-11-23T10:30')));
    }

    /**
     * @param list<string> $endings
     * @param list<string> $told
     */
    private static function assertTold(array $endings, array $told): void
    {
        self::assertSame($endings, array_values(array_intersect($endings, $told)), implode(', ', $told));
    }

    public function testAPhoneThatIsBusyEndsTheWaitForItsTurn(): void
    {
        $stage = static fn(string $phone, int $after): array => [
            'phones' => [$phone],
            'teams' => [],
            'after' => $after,
            'seconds' => 8,
        ];
        $ann = (new PlanBuilder())->person('ann', ['desk', 'lap'])->element('ann');
        $rule = [
            'id' => 'rule',
            'name' => 'Desk first',
            'when' => ['via' => 'any'],
            'stages' => [$stage('desk', 0), $stage('lap', 5)],
            'next' => ['nobody' => null, 'busy' => null, 'unreachable' => null],
        ];
        $ring = ['id' => 's1', 'do' => 'ring', 'target' => 'ann', 'seconds' => 20];
        $refused = ['exits' => [['on' => 'refused', 'steps' => [['id' => 's2', 'do' => 'end']]]]];
        $plan = (new PlanBuilder())
            ->with(['rules' => [$rule]] + $ann)
            ->journey('jrn_main', [$ring + $refused])
            ->plan();
        $endings = Endings::of($plan, PlanBuilder::trial('2026-11-23T10:30'));
        // Where the desk phone refuses, it is over at once if the laptop is busy, and not before its turn if it is not.
        self::assertContains('ended by plan  0 12', self::told($endings));
    }

    public function testAQueueEndsWithEachAgentWithAMessageAndByItsKey(): void
    {
        $plan = (new PlanBuilder())
            ->person('ann')
            ->person('ben')
            ->mailbox('mbx')
            ->with([
                'id' => 'que',
                'kind' => 'queue',
                'name' => 'Queue',
                'members' => [['who' => 'ann', 'tier' => 1], ['who' => 'ben', 'tier' => 2]],
                'asking' => ['widenSeconds' => 30, 'spillsOver' => false],
                'waiting' => ['longestSeconds' => 60, 'leaveKey' => '1'],
            ])
            ->prompt('prm', 40)
            ->journey('jrn_main', [
                ['id' => 's0', 'do' => 'say', 'prompt' => 'prm'],
                [
                    'id' => 's1',
                    'do' => 'queue',
                    'queue' => 'que',
                    'exits' => [['on' => 'key', 'steps' => [['id' => 's2', 'do' => 'end']]]],
                ],
                ['id' => 's3', 'do' => 'message', 'mailbox' => 'mbx'],
            ])
            ->plan();
        $endings = Endings::of($plan, PlanBuilder::trial('2026-11-23T10:30'));
        self::assertSame([], $endings->notTried);
        // Ben is asked after half a minute at the earliest; nobody is signed in at once.
        self::assertEqualsCanonicalizing(
            [
                'answered ann 40 99',
                'answered ben 70 99',
                'ended by plan  40 99',
                'message mbx 40 100',
                'caller gave up  1 100',
            ],
            self::told($endings),
        );
    }

    public function testWhoeverKeepsThePlaceIsCalledBackAsLongAsItIsKept(): void
    {
        $plan = (new PlanBuilder())
            ->person('ann')
            ->with(
                [
                    'waiting' => ['longestSeconds' => 90],
                    'callback' => [
                        'offer' => ['key' => '5', 'afterSeconds' => 60],
                        'calls' => ['tries' => 2, 'pauseSeconds' => 300, 'ringSeconds' => 30],
                        'window' => ['keptMinutes' => 60],
                    ],
                ] + self::QUEUE,
            )
            ->journey('jrn_main', [['id' => 's1', 'do' => 'queue', 'queue' => 'que']])
            ->plan();
        $withheld = Endings::of($plan, PlanBuilder::trial('2026-11-23T10:30'));
        self::assertNotContains('callback in vain', array_column(array_column($withheld->endings, 'ending'), 'kind'));
        $endings = Endings::of($plan, PlanBuilder::trial('2026-11-23T10:30', from: '+441632960777'));
        self::assertSame([], $endings->notTried);
        self::assertSame(
            [
                'ran out of steps  0 90',
                // Free in the last second of the hour; the caller picks up after 29 more.
                'answered ann 0 3628',
                // Kept after a minute: 30 s in vain, a pause of 300 s, and 30 s more. At most, once in the last second, and the pause.
                'callback in vain que 420 3929',
                'caller gave up  1 90',
            ],
            self::told($endings),
        );
    }

    /** What is heard once the place is kept is cut off at its soonest; the place is kept for as long in any case. */
    public function testWhoeverKeepsThePlaceMayHangUpBeforeTheStepsAfterItAreOver(): void
    {
        $thanks = [
            ['id' => 's2', 'do' => 'say', 'prompt' => 'prm'],
            ['id' => 's3', 'do' => 'ring', 'target' => 'ben', 'seconds' => 20],
            ['id' => 's4', 'do' => 'end'],
        ];
        $plan = (new PlanBuilder())
            ->person('ann')
            ->person('ben')
            ->prompt('prm', 4)
            ->with(
                [
                    'waiting' => ['longestSeconds' => 90],
                    'callback' => [
                        'offer' => ['key' => '5', 'afterSeconds' => 60],
                        'calls' => ['tries' => 1, 'ringSeconds' => 30],
                        'window' => ['keptMinutes' => 60],
                    ],
                ] + self::QUEUE,
            )
            ->journey('jrn_main', [
                [
                    'id' => 's1',
                    'do' => 'queue',
                    'queue' => 'que',
                    'exits' => [['on' => 'callback', 'steps' => $thanks]],
                ],
            ])
            ->plan();
        $call = PlanBuilder::trial('2026-11-23T10:30', from: '+441632960777');
        $endings = Endings::of($plan, $call);
        self::assertSame([], $endings->notTried);
        self::assertSame(
            [
                'ran out of steps  0 90',
                'answered ann 0 3628',
                // They hang up a second after it is kept, and do not take the call; or Ann is free in the last second.
                'callback in vain que 91 3629',
                'caller gave up  1 90',
            ],
            self::told($endings),
        );
        self::reproduce($plan, $call, $endings);
        self::assertSame(
            [['s1', 3629], ['s2', 3569], ['s3', 3565], ['s4', 3565]],
            array_map(static fn(StepOutlook $one): array => [$one->step, $one->most], $endings->steps),
        );
    }

    /** Ann is free after 200 s, and is asked for 15 s. */
    public function testWhoIsCalledBackWhereTheQueueIsStated(): void
    {
        $plan = (new PlanBuilder())
            ->person('ann')
            ->with(
                [
                    'asking' => ['alertSeconds' => 15],
                    'waiting' => ['longestSeconds' => 90],
                    'callback' => [
                        'offer' => ['key' => '5', 'afterSeconds' => 60],
                        'calls' => ['tries' => 2, 'pauseSeconds' => 300, 'ringSeconds' => 30],
                        'window' => ['keptMinutes' => 60],
                    ],
                ] + self::QUEUE,
            )
            ->journey('jrn_main', [['id' => 's1', 'do' => 'queue', 'queue' => 'que']])
            ->plan();
        $endings = Endings::of(
            $plan,
            PlanBuilder::trial('2026-11-23T10:30', from: '+441632960777'),
            Assumptions::fromData([
                'queues' => [['queue' => 'que', 'agents' => [['who' => 'ann', 'freeAfter' => 200]]]],
            ]),
        );
        self::assertSame(
            [
                // She is out of reach, or waited for.
                'ran out of steps  0 90',
                'answered ann 200 3618',
                // Ann answers at once, twice; the caller does not.
                'callback in vain que 560 3919',
                'caller gave up  1 90',
            ],
            self::told($endings),
        );
        self::assertSame([Untried::PhoneAgain], array_column($endings->notTried, 'why'));
    }

    public function testWhoRangInVainMayBeFreeInAQueueASecondLater(): void
    {
        $plan = (new PlanBuilder())
            ->person('ann')
            ->with(
                [
                    'waiting' => ['longestSeconds' => 60],
                ] + self::QUEUE,
            )
            ->journey('jrn_main', [
                ['id' => 's1', 'do' => 'ring', 'target' => 'ann', 'seconds' => 20],
                ['id' => 's2', 'do' => 'queue', 'queue' => 'que'],
            ])
            ->plan();
        $endings = Endings::of($plan, PlanBuilder::trial('2026-11-23T10:30'));
        self::assertSame([], $endings->notTried);
        self::assertContains('answered ann 0 79', self::told($endings));
        self::assertSame(
            [['s1', 80], ['s2', 60]],
            array_map(static fn(StepOutlook $one): array => [$one->step, $one->most], $endings->steps),
        );
    }

    /** They press the key after as many seconds as the first time. */
    public function testWhoeverComesBackToAQueueDoesAsBeforeAndSomebodyMayBeFreeByThen(): void
    {
        $plan = (new PlanBuilder())
            ->person('ann')
            ->prompt('prm', 4)
            ->with(
                [
                    'waiting' => ['longestSeconds' => 60, 'leaveKey' => '1'],
                    'admission' => ['needsAgent' => false],
                ] + self::QUEUE,
            )
            ->journey('jrn_main', [
                ['id' => 's1', 'do' => 'queue', 'queue' => 'que'],
                ['id' => 's2', 'do' => 'say', 'prompt' => 'prm'],
                ['id' => 's3', 'do' => 'queue', 'queue' => 'que'],
            ])
            ->plan();
        $call = PlanBuilder::trial('2026-11-23T10:30');
        $endings = Endings::of($plan, $call);
        self::assertSame([], $endings->notTried);
        self::assertSame(
            ['answered ann 0 123', 'ran out of steps  4 124', 'caller gave up  1 124'],
            self::told($endings),
        );
        self::reproduce($plan, $call, $endings);
    }

    public function testWhoeverMayWaitOnGoesRound(): void
    {
        $wait = ['id' => 's2', 'do' => 'menu', 'prompt' => 'prm', 'wait' => 5, 'tries' => 1];
        $plan = (new PlanBuilder())
            ->person('ann')
            ->prompt('prm', 4)
            ->with(['waiting' => ['longestSeconds' => 60], 'admission' => ['needsAgent' => false]] + self::QUEUE)
            ->journey('jrn_main', [
                ['id' => 's1', 'do' => 'queue', 'queue' => 'que'],
                $wait + [
                    'exits' => [['on' => '1', 'steps' => [['id' => 's3', 'do' => 'go', 'journey' => 'jrn_main']]]],
                ],
            ])
            ->plan();
        $endings = Endings::of($plan, PlanBuilder::trial('2026-11-23T10:30'));
        self::assertSame([], $endings->notTried);
        self::assertSame(['answered ann 0 -', 'ran out of steps  60 -', 'caller gave up  1 -'], self::told($endings));
    }

    public function testAnAgentMayBeOutOfReachTheNextTime(): void
    {
        $exit = [['on' => 'unreachable', 'steps' => [['id' => 's3', 'do' => 'message', 'mailbox' => 'mbx']]]];
        $plan = (new PlanBuilder())
            ->person('ann')
            ->mailbox('mbx')
            ->with(['waiting' => ['longestSeconds' => 60]] + self::QUEUE)
            ->journey('jrn_main', [
                ['id' => 's1', 'do' => 'queue', 'queue' => 'que'],
                ['id' => 's2', 'do' => 'queue', 'queue' => 'que', 'exits' => $exit],
            ])
            ->plan();
        $endings = Endings::of($plan, PlanBuilder::trial('2026-11-23T10:30'));
        // Who was out of reach at first may wait there later: that is not followed.
        self::assertSame([Untried::QueueAgain], array_column($endings->notTried, 'why'));
        self::assertContains('message mbx 0 60', self::told($endings));
    }

    /**
     * The last of a minute's rounds is over within its last five seconds, as there is a pause of five after each. It can begin at
     * 35 s after rounds that are refused, and last for 20; of 47 s, at 8 s: the first one is refused after three.
     */
    #[TestWith(['all at once', 20])]
    #[TestWith(['one after the other', 20])]
    #[TestWith(['all at once', 47])]
    public function testTheLastOfManyRoundsMayGoOtherwiseThanTheFirst(string $order, int $seconds): void
    {
        $plan = (new PlanBuilder())
            ->person('ann')
            ->person('ben')
            ->team('team', ['ann', 'ben'], $order)
            ->mailbox('mbx')
            ->journey('jrn_main', [
                [
                    'id' => 's1',
                    'do' => 'ring',
                    'target' => 'team',
                    'seconds' => $seconds,
                    'againMinutes' => 1,
                    'exits' => [
                        ['on' => 'nobody', 'steps' => [['id' => 's2', 'do' => 'message', 'mailbox' => 'mbx']]],
                        ['on' => 'refused', 'steps' => [['id' => 's3', 'do' => 'end']]],
                    ],
                ],
            ])
            ->plan();
        $call = PlanBuilder::trial('2026-11-23T10:30');
        $endings = Endings::of($plan, $call);
        self::assertSame([], $endings->notTried);
        self::assertSame(
            [
                'answered ann 0 59',
                'answered ben 0 59',
                // Busy, or out of reach: 20 s of silence.
                'ran out of steps  55 60',
                'ended by plan  55 59',
                'message mbx 55 60',
                'caller gave up  1 60',
            ],
            self::told($endings),
        );
        self::reproduce($plan, $call, $endings);
    }

    /** Ann's rule rings her after five seconds, rounds last three: it is told by whether she is busy how the last of them is over. */
    public function testRoundsInWhichNothingRingsMayEndBusy(): void
    {
        $next = ['nobody' => null, 'busy' => null, 'unreachable' => null];
        $stages = [['phones' => ['desk'], 'teams' => [], 'after' => 5, 'seconds' => 12]];
        $plan = (new PlanBuilder())->person('ann')->mailbox('mbx');
        $plan
            ->with(
                [
                    'rules' => [['id' => 'rule', 'name' => 'Rule', 'stages' => $stages, 'next' => $next]],
                ] + $plan->element('ann'),
            )
            ->journey('jrn_main', [
                ['id' => 's1', 'do' => 'ring', 'target' => 'ann', 'seconds' => 8],
                [
                    'id' => 's2',
                    'do' => 'ring',
                    'target' => 'ann',
                    'seconds' => 3,
                    'againMinutes' => 1,
                    'exits' => [['on' => 'busy', 'steps' => [['id' => 's3', 'do' => 'message', 'mailbox' => 'mbx']]]],
                ],
            ]);
        $endings = Endings::of($plan->plan(), PlanBuilder::trial('2026-11-23T10:30'));
        self::assertTold(['message mbx 60 68'], self::told($endings));
    }

    /** Her mobile is dialled at once, rings after 3 s, and hands the call to its mailbox 10 s later; her desk may be first in that second. */
    public function testADeskMayBeAnsweredInTheSecondInWhichAMailboxWouldTakeTheCall(): void
    {
        $mobile = ['id' => 'mobile', 'type' => 'outside', 'label' => 'Mobile', 'number' => '+447700900123'];
        $plan = (new PlanBuilder())
            ->with([
                'id' => 'ann',
                'kind' => 'person',
                'name' => 'Ann',
                'extension' => '',
                'site' => 'sit_harbour',
                'phones' => [
                    ['id' => 'desk', 'type' => 'desk', 'label' => 'Desk'],
                    ['ownMailbox' => 10, 'mailboxWhenBusy' => true, 'setUp' => 3] + $mobile,
                ],
            ])
            ->journey('jrn_main', [['id' => 's1', 'do' => 'ring', 'target' => 'ann', 'seconds' => 30]])
            ->plan();
        $call = PlanBuilder::trial('2026-11-23T10:30');
        $endings = Endings::of($plan, $call);
        self::assertSame(['answered ann 0 13', 'own mailbox ann 3 13', 'caller gave up  1 13'], self::told($endings));
        self::assertSame(
            ['Ann answers', 'lost to the own mailbox of Ann', 'the caller gives up'],
            array_column(EndingsReport::of($endings, $plan)['endings'], 'words'),
        );
        self::reproduce($plan, $call, $endings);
    }

    /** @param list<string> $told */
    #[DataProvider('mobiles')]
    public function testWhoHasAMobile(string $pattern, int $seconds, bool $isAsked, int $ownMailbox, array $told): void
    {
        $plan = (new PlanBuilder())
            ->person('ben')
            ->with(self::withAMobile($isAsked, $ownMailbox))
            ->team('team', ['ben', 'ann'], $pattern, 12)
            ->journey('jrn_main', [['id' => 's1', 'do' => 'ring', 'target' => 'team', 'seconds' => $seconds]])
            ->plan();
        $call = PlanBuilder::trial('2026-11-23T10:30');
        $endings = Endings::of($plan, $call);
        self::assertSame([$told, []], [self::told($endings), $endings->notTried]);
        self::reproduce($plan, $call, $endings);
    }

    /** @return array<string, mixed> Ann */
    private static function withAMobile(bool $isAsked, int $ownMailbox): array
    {
        return [
            'id' => 'ann',
            'kind' => 'person',
            'name' => 'Ann',
            'extension' => '',
            'site' => 'sit_harbour',
            'phones' => [
                [
                    'id' => 'mobile',
                    'type' => 'outside',
                    'label' => 'Mobile',
                    'number' => '+447700900123',
                    'askFirst' => $isAsked,
                    'ownMailbox' => $ownMailbox,
                    'mailboxWhenBusy' => false,
                    'setUp' => 3,
                ],
            ],
        ];
    }

    /** Out of reach, her mobile hands the call on at once; its mailbox is asked for 10 s, be the wait over or not. */
    public function testAQueueWaitsForWhoIsAsked(): void
    {
        $plan = (new PlanBuilder())
            ->with(self::withAMobile(true, 10))
            ->with(['waiting' => ['longestSeconds' => 30]] + self::QUEUE)
            ->journey('jrn_main', [['id' => 's1', 'do' => 'queue', 'queue' => 'que']])
            ->plan();
        $call = PlanBuilder::trial('2026-11-23T10:30');
        $endings = Endings::of($plan, $call);
        self::assertSame(['ran out of steps  0 39', 'answered ann 7 33', 'caller gave up  1 39'], self::told($endings));
        self::reproduce($plan, $call, $endings);
    }

    /** @return iterable<string, array{string, int, bool, int, list<string>}> */
    public static function mobiles(): iterable
    {
        yield 'asked before its own mailbox is, 10 s after it rings' => [
            'all at once',
            30,
            true,
            10,
            ['ran out of steps  0 30', 'answered ben 0 29', 'answered ann 7 17', 'caller gave up  1 30'],
        ];
        yield 'refused, so that others ring on' => [
            'all at once',
            30,
            false,
            10,
            [
                'answered ben 0 29',
                'ran out of steps  0 30',
                'own mailbox ann 3 13',
                'answered ann 3 13',
                'caller gave up  1 30',
            ],
        ];
        yield 'its turn is cut short before it rings, unless it comes sooner' => [
            'one after the other',
            14,
            true,
            10,
            ['ran out of steps  0 23', 'answered ben 0 11', 'answered ann 7 17', 'caller gave up  1 23'],
        ];
    }

    /** Who is not signed in is not looked at by the queue: in that very second their phones may be out of reach, or not. */
    public function testWhoIsNotSignedInMayBeOutOfReach(): void
    {
        $plan = (new PlanBuilder())
            ->person('ann')
            ->person('ben')
            ->person('cid')
            ->with(
                ['members' => [['who' => 'ann', 'tier' => 1], ['who' => 'ben', 'tier' => 1]]] +
                    self::QUEUE + [
                        'admission' => ['needsAgent' => true],
                    ],
            )
            ->journey('jrn_main', [
                ['id' => 's1', 'do' => 'queue', 'queue' => 'que'],
                [
                    'id' => 's2',
                    'do' => 'ring',
                    'target' => 'ben',
                    'seconds' => 10,
                    'exits' => [
                        [
                            'on' => 'unreachable',
                            'steps' => [['id' => 's3', 'do' => 'ring', 'target' => 'cid', 'seconds' => 10]],
                        ],
                    ],
                ],
            ])
            ->plan();
        $endings = Endings::of($plan, PlanBuilder::trial('2026-11-23T10:30'));
        self::assertStringStartsWith(
            'answered cid 0 ',
            implode('', array_filter(self::told($endings), static fn(string $one): bool => str_contains($one, 'cid'))),
        );
    }

    public function testAPhoneOnWhichItIsAskedFirstIsNoOther(): void
    {
        $phone = static fn(string $id, bool $isAsked): array => [
            'id' => $id,
            'type' => 'desk',
            'label' => $id,
            'askFirst' => $isAsked,
        ];
        $ann = ['id' => 'ann', 'kind' => 'person', 'name' => 'Ann', 'extension' => '', 'site' => 'sit_harbour'];
        $plan = (new PlanBuilder())
            ->with(['phones' => [$phone('home', true), $phone('desk', false)]] + $ann)
            ->journey('jrn_main', [['id' => 's1', 'do' => 'ring', 'target' => 'ann', 'seconds' => 20]])
            ->plan();
        self::assertContains(
            'answered ann 0 23',
            self::told(Endings::of($plan, PlanBuilder::trial('2026-11-23T10:30'))),
        );
    }

    public function testAMailboxThatTakesNoMessagesMakesItsAnnouncement(): void
    {
        $builder = (new PlanBuilder())->prompt('prm', 4)->mailbox('mbx');
        $plan = $builder
            ->with(['takesMessages' => false, 'greeting' => 'prm'] + $builder->element('mbx'))
            ->journey('jrn_main', [['id' => 's1', 'do' => 'message', 'mailbox' => 'mbx']])
            ->plan();
        $endings = Endings::of($plan, PlanBuilder::trial('2026-11-23T10:30'));
        self::assertSame(
            ['the announcement of mbx', 'the caller gives up'],
            array_column(EndingsReport::of($endings, $plan)['endings'], 'words'),
        );
    }

    public function testATeamThatIsPagedHearsTheCaller(): void
    {
        $builder = (new PlanBuilder())->person('ann')->team('team', ['ann'], 'paging');
        $plan = $builder
            ->journey('jrn_main', [['id' => 's1', 'do' => 'ring', 'target' => 'team', 'seconds' => 20]])
            ->plan();
        $endings = Endings::of($plan, PlanBuilder::trial('2026-11-23T10:30'));
        self::assertSame(
            ['announced team 0 0', 'ran out of steps  0 0'],
            self::told($endings),
            'She may be on a call.',
        );
        self::assertSame(
            ['speaks on phones that answer by themselves', 'no step is left'],
            array_column(EndingsReport::of($endings, $plan)['endings'], 'words'),
        );
    }

    /** Her desk phone rings for 5 s, then all hear the caller: unless she answers in that very second, or Ben is on a call. */
    public function testATeamThatIsPagedByARuleMayNotHearTheCaller(): void
    {
        $plan = self::withARule(
            [
                ['phones' => ['desk'], 'teams' => [], 'after' => 0, 'seconds' => 10],
                ['phones' => [], 'teams' => ['team'], 'after' => 5, 'seconds' => 5],
            ],
            ['pattern' => 'paging', 'members' => ['ben']],
            'ann',
        );
        $call = PlanBuilder::trial('2026-11-23T10:30');
        $endings = Endings::of($plan, $call);
        self::assertSame(
            ['answered ann 0 7', 'ran out of steps  0 8', 'announced team 5 5', 'caller gave up  1 8'],
            self::told($endings),
        );
        self::reproduce($plan, $call, $endings);
    }

    /** Her turn comes after 7 s, a second before the time is up, and her phone rings 5 s later: if Ben refuses sooner, it does. */
    public function testWhoseTurnComesTooLateToRingComesUpWhereOthersRefuseSooner(): void
    {
        $plan = self::withARule(
            [['phones' => ['desk'], 'teams' => [], 'after' => 5, 'seconds' => 10]],
            [
                'pattern' => 'one after the other',
                'members' => ['ben', 'ann'],
                'memberSeconds' => 7,
                'followRules' => true,
            ],
            'team',
        );
        $call = PlanBuilder::trial('2026-11-23T10:30');
        $endings = Endings::of($plan, $call);
        self::assertSame(
            ['ran out of steps  0 8', 'answered ben 0 6', 'answered ann 5 7', 'caller gave up  1 8'],
            self::told($endings),
        );
        self::reproduce($plan, $call, $endings);
    }

    /** Ben has six seconds of eight, and Ann's rule rings her after five: where he declines by then, she rings for the last one. */
    public function testWhoseTurnNeverCameComesUpInTheLastSecondWhereOthersRefuseSooner(): void
    {
        $team = ['members' => ['ben', 'ann'], 'pattern' => 'one after the other', 'memberSeconds' => 6];
        $stages = [['phones' => ['desk'], 'teams' => [], 'after' => 5, 'seconds' => 9]];
        $plan = self::withARule($stages, ['followRules' => true] + $team, 'team');
        self::assertTold(
            ['answered ann 5 7', 'ran out of steps  0 8'],
            self::told(Endings::of($plan, PlanBuilder::trial('2026-11-23T10:30'))),
        );
    }

    /** One busy phone keeps all of somebody's from ringing: where Ann is on a call, both of Ben's ring at once, and he declines. */
    public function testWhereOneIsOnACallTheOtherRingsAtOnce(): void
    {
        $mobile = ['id' => 'mob', 'type' => 'outside', 'label' => 'Mobile', 'number' => '+447700900120', 'setUp' => 0];
        $builder = (new PlanBuilder())->person('ann')->person('ben', ['desk', 'lap']);
        $ann = $builder->element('ann');
        $phones = [...$ann['phones'], ['ownMailbox' => 7, 'askFirst' => true] + $mobile];
        $plan = $builder
            ->with(['phones' => $phones] + $ann)
            ->with(
                ['skipBusy' => true] +
                    $builder->team('team', ['ann', 'ben'], 'one after the other', 6)->element('team'),
            )
            ->journey('jrn_main', [
                [
                    'id' => 's1',
                    'do' => 'ring',
                    'target' => 'team',
                    'seconds' => 11,
                    'exits' => [['on' => 'refused', 'steps' => [['id' => 's2', 'do' => 'end']]]],
                ],
            ]);
        self::assertTold(
            ['answered ben 0 10', 'ended by plan  0 5'],
            self::told(Endings::of($plan->plan(), PlanBuilder::trial('2026-11-23T10:30'))),
        );
    }

    /**
     * Cid's desk phone could not be reached in this very second. By another phone, at which nobody looked, he may be on a call.
     *
     * @param list<string> $first who rings first
     */
    #[TestWith([['cid/desk']])]
    #[TestWith([['ann', 'cid/desk']])]
    public function testWhoCouldNotBeReachedMayBeOnACallByAnotherPhone(array $first): void
    {
        $builder = (new PlanBuilder())
            ->person('ann')
            ->person('cid', ['desk', 'lap'])
            ->team('first', $first)
            ->team('then', ['cid/desk'])
            ->mailbox('mbx');
        $message = ['id' => 's3', 'do' => 'message', 'mailbox' => 'mbx'];
        $again = ['id' => 's2', 'do' => 'ring', 'target' => 'then', 'seconds' => 13];
        $again['exits'] = [['on' => 'busy', 'steps' => [$message]]];
        $ring = ['id' => 's1', 'do' => 'ring', 'target' => 'first', 'seconds' => 9];
        $ring['exits'] = [['on' => 'unreachable', 'steps' => [$again]]];
        $builder->with(['skipBusy' => true] + $builder->element('then'))->journey('jrn_main', [$ring]);
        $told = self::told(Endings::of($builder->plan(), PlanBuilder::trial('2026-11-23T10:30')));
        self::assertContains('message mbx 0 0', $told);
    }

    /** Cid's mailbox takes the call at seven seconds, unless he is on a call: then neither of his phones rings, and both of Ben's do. */
    public function testWhoIsOnACallIsPassedOverWithTheirMailbox(): void
    {
        $told = $this->ofMobiles(
            ['mailboxWhenBusy' => true, 'ownMailbox' => 5],
            'all at once',
            ['ben', 'cid/mob'],
            18,
            ['ownMailbox' => 30],
            [['on' => 'nobody', 'steps' => [['id' => 's2', 'do' => 'end']]]],
            true,
        );
        self::assertTold(['answered ben 0 17', 'own mailbox cid 2 7', 'ended by plan  18 18'], $told);
    }

    public function testTheTurnOfSomebodyWhoRefusesForAllTheirPhonesIsOverAtOnce(): void
    {
        $own = ['ownMailbox' => 9, 'mailboxWhenBusy' => true, 'askFirst' => true];
        $told = $this->ofMobiles($own, 'one after the other', ['ben', 'cid/mob'], 6);
        self::assertTold(['answered cid 6 15'], $told);
    }

    /** Ann refuses as late as she can; the number outside, which is called a second before the time is up, is busy. */
    public function testWhoIsCalledAndDoesNotRingYetMayBeBusy(): void
    {
        $plan = (new PlanBuilder())
            ->person('ann')
            ->mailbox('mbx')
            ->team('team', ['ann', '+441632960555'], 'one after the other', 9)
            ->journey('jrn_main', [
                [
                    'id' => 's1',
                    'do' => 'ring',
                    'target' => 'team',
                    'seconds' => 8,
                    'exits' => [
                        ['on' => 'refused', 'steps' => [['id' => 's2', 'do' => 'message', 'mailbox' => 'mbx']]],
                    ],
                ],
            ])
            ->plan();
        $endings = Endings::of($plan, PlanBuilder::trial('2026-11-23T10:30'));
        self::assertContains('message mbx 0 7', self::told($endings));
    }

    /**
     * @param list<array<string, mixed>> $stages of Ann's rule
     * @param array<string, mixed>       $team
     */
    private static function withARule(array $stages, array $team, string $target): Plan
    {
        $ann = (new PlanBuilder())->person('ann')->element('ann');
        $next = ['nobody' => null, 'busy' => null, 'unreachable' => null];

        return (new PlanBuilder())
            ->person('ben')
            ->with(['rules' => [['id' => 'rule', 'name' => 'Rule', 'stages' => $stages, 'next' => $next]]] + $ann)
            ->with(['id' => 'team', 'kind' => 'team', 'name' => 'Team'] + $team)
            ->journey('jrn_main', [['id' => 's1', 'do' => 'ring', 'target' => $target, 'seconds' => 8]])
            ->plan();
    }

    public function testAKeyThatLeadsBackToTheMailboxGoesRound(): void
    {
        $plan = (new PlanBuilder())
            ->prompt('prm', 4)
            ->person('ann', ['desk'], 'mbx')
            ->with([
                'id' => 'mbx',
                'kind' => 'mailbox',
                'name' => 'Office',
                'owners' => [],
                'notify' => ['office@example.com'],
                'greeting' => 'prm',
                'keys' => ['leave' => '0', 'leaveTo' => 'ann'],
            ])
            ->journey('jrn_main', [['id' => 's1', 'do' => 'message', 'mailbox' => 'mbx']])
            ->plan();
        $endings = Endings::of($plan, PlanBuilder::trial('2026-11-23T10:30'));
        self::assertSame([], $endings->notTried);
        self::assertSame(['message mbx 0 -', 'answered ann 0 -', 'caller gave up  1 -'], self::told($endings));
        self::assertNull($endings->steps[0]->most);
    }

    public function testAParkedCallIsTakenAtOnceOrInTheLastSecond(): void
    {
        $site = [
            'id' => 'sit_harbour',
            'kind' => 'site',
            'name' => 'Harbour',
            'zone' => 'Europe/London',
            'country' => 'GB',
            'language' => 'en',
            'parkPlaces' => ['701'],
        ];
        $park = static fn(int $seconds): PlanBuilder => (new PlanBuilder())
            ->with($site)
            ->journey('jrn_main', [['id' => 's1', 'do' => 'park', 'site' => 'sit_harbour', 'seconds' => $seconds]]);
        $told = static fn(int $seconds): array => self::told(
            Endings::of($park($seconds)->plan(), PlanBuilder::trial('2026-11-23T10:30')),
        );
        self::assertSame(['ran out of steps  0 60', 'answered sit_harbour 0 59', 'caller gave up  1 60'], $told(60));
        self::assertSame('answered sit_harbour 0 3599', $told(0)[1]);
    }

    /** Nobody takes it within the first 60 s: there is one assumption of when it is taken. */
    public function testACallThatIsParkedAgainIsTakenLaterThanItWaitedBefore(): void
    {
        $site = static fn(string $id, array $places): array => [
            'id' => $id,
            'kind' => 'site',
            'name' => $id,
            'zone' => 'Europe/London',
            'country' => 'GB',
            'language' => 'en',
            'parkPlaces' => $places,
        ];
        $park = static fn(string $id, string $where, int $seconds): array => [
            'id' => $id,
            'do' => 'park',
            'site' => $where,
            'seconds' => $seconds,
            'exits' => [['on' => 'none free', 'steps' => [['id' => $id . 'n', 'do' => 'message', 'mailbox' => 'mbx']]]],
        ];
        $told = static function (array ...$steps) use ($site): array {
            $plan = (new PlanBuilder())
                ->mailbox('mbx')
                ->with($site('sit_harbour', ['701', '702']))
                ->with($site('sit_quay', ['801']))
                ->journey('jrn_main', array_values($steps))
                ->plan();
            $call = PlanBuilder::trial('2026-11-23T10:30');
            $endings = Endings::of($plan, $call);
            self::assertSame([], $endings->notTried);
            self::reproduce($plan, $call, $endings);

            return \array_slice(self::told($endings), 0, -1);
        };
        self::assertSame(
            ['answered sit_harbour 0 149', 'message mbx 0 0', 'ran out of steps  150 150'],
            $told($park('s1', 'sit_harbour', 60), $park('s2', 'sit_harbour', 90)),
        );
        self::assertSame(
            ['answered sit_harbour 0 59', 'message mbx 0 0', 'ran out of steps  90 90'],
            $told($park('s1', 'sit_harbour', 60), $park('s2', 'sit_harbour', 30)),
        );
        self::assertSame(
            ['answered sit_harbour 0 59', 'message mbx 0 60', 'answered sit_quay 120 149', 'ran out of steps  150 150'],
            $told($park('s1', 'sit_harbour', 60), $park('s2', 'sit_quay', 90)),
        );
    }

    /** Two agents, of whom a ringing step finds one out of reach: in that second, a queue that needs somebody finds the other. */
    public function testAQueueThatNeedsAnAgentLooksAtPhonesAtOnce(): void
    {
        $plan = static fn(bool $needsAgent): Plan => (new PlanBuilder())
            ->person('ann')
            ->with(
                [
                    'waiting' => ['longestSeconds' => 60],
                    'admission' => ['needsAgent' => $needsAgent],
                ] + self::QUEUE,
            )
            ->journey('jrn_main', [
                [
                    'id' => 's1',
                    'do' => 'queue',
                    'queue' => 'que',
                    'exits' => [
                        [
                            'on' => 'unreachable',
                            'steps' => [['id' => 's2', 'do' => 'ring', 'target' => 'ann', 'seconds' => 20]],
                        ],
                    ],
                ],
                ['id' => 's3', 'do' => 'end'],
            ])
            ->plan();
        $steps = static fn(bool $needsAgent): array => array_map(
            static fn(StepOutlook $one): string => \sprintf(
                '%s %d: %s',
                $one->step,
                $one->most,
                implode(', ', array_keys($one->endings)),
            ),
            Endings::of($plan($needsAgent), PlanBuilder::trial('2026-11-23T10:30'))->steps,
        );
        // Whoever was out of reach rings in the same second no more, so that nobody answers there.
        self::assertSame(
            ['s1 60: answered ann , ended by plan  ', 's3 0: ended by plan  ', 's2 0: ended by plan  '],
            $steps(true),
        );
        self::assertSame(['s1 60: answered ann , ended by plan  ', 's3 0: ended by plan  '], $steps(false));
    }

    public function testACodeEndsTheCallAtOnce(): void
    {
        $plan = (new PlanBuilder())
            ->with([
                'id' => 'hrs',
                'kind' => 'hours',
                'name' => 'Desk',
                'site' => 'sit_harbour',
                'default' => 'closed',
                'states' => [['key' => 'closed', 'name' => 'Closed', 'open' => false]],
                'codes' => [['code' => '*20', 'state' => null, 'ends' => 'until lifted']],
            ])
            ->plan();
        $endings = Endings::of($plan, PlanBuilder::trial('2026-11-23T10:30', '*20', '201'));
        self::assertSame([[], 0, []], [$endings->endings, $endings->places, $endings->steps]);
        self::assertSame([], $endings->notTried);
    }

    /**
     * Ben rings for eight seconds; where he cannot be reached Ann rings instead, for longer: so long may the key be pressed. Where nobody
     * answers, a mailbox may take the call, whose greeting heeds keys of its own: then until the second before.
     *
     * @param list<string> $told
     */
    #[
        TestWith([
            'ann',
            null,
            [
                'ran out of steps  0 25',
                'answered ben 0 7',
                'answered ann 0 24',
                'ended by plan  2 25',
                'caller gave up  1 25',
            ],
        ]),
    ]
    #[
        TestWith([
            null,
            'mbx',
            [
                'answered ben 0 7',
                'ran out of steps  0 0',
                'message mbx 0 12',
                'ended by plan  2 7',
                'caller gave up  1 12',
            ],
        ]),
    ]
    public function testUntilWhenAKeyIsHeededWhilePhonesRing(?string $unreachable, ?string $nobody, array $told): void
    {
        $rule = [
            'id' => 'rule',
            'name' => 'Rule',
            'stages' => [['phones' => ['desk'], 'teams' => [], 'after' => 0, 'seconds' => 8]],
            'next' => ['nobody' => $nobody, 'busy' => null, 'unreachable' => $unreachable],
        ];
        $plan = (new PlanBuilder())
            ->prompt('prm', 4)
            ->mailbox('mbx', 'prm')
            ->person('ann')
            ->with([
                'id' => 'ben',
                'kind' => 'person',
                'name' => 'Ben',
                'extension' => '',
                'site' => 'sit_harbour',
                'phones' => [['id' => 'desk', 'type' => 'desk', 'label' => 'Desk']],
                'rules' => [$rule],
            ])
            ->journey('jrn_main', [
                [
                    'id' => 's1',
                    'do' => 'ring',
                    'target' => 'ben',
                    'seconds' => 8,
                    'handOver' => true,
                    'greeting' => 'prm',
                    'greetAfter' => 2,
                    'exits' => [['on' => '5', 'steps' => [['id' => 'end', 'do' => 'end']]]],
                ],
            ])
            ->plan();
        $call = PlanBuilder::trial('2026-11-23T10:30');
        $endings = Endings::of($plan, $call);
        self::reproduce($plan, $call, $endings);
        self::assertSame($told, self::told($endings));
    }

    /** Her rule sends calls on to a queue while she is out of reach, in which she is the agent: within half a minute she may be back. */
    public function testWhoWasOutOfReachIsFreeForTheQueueLater(): void
    {
        $rule = [
            'id' => 'rule',
            'name' => 'Rule',
            'stages' => [['phones' => ['desk'], 'teams' => [], 'after' => 0, 'seconds' => 8]],
            'next' => ['nobody' => null, 'busy' => null, 'unreachable' => 'que'],
        ];
        $builder = (new PlanBuilder())->person('ann');
        $plan = $builder
            ->with(['rules' => [$rule]] + $builder->element('ann'))
            ->with([
                'id' => 'que',
                'kind' => 'queue',
                'name' => 'Desk',
                'members' => [['who' => 'ann']],
                'asking' => ['alertSeconds' => 10],
                'waiting' => ['longestSeconds' => 30, 'announceSeconds' => 0],
                'admission' => ['needsAgent' => false],
            ])
            ->journey('jrn_main', [
                ['id' => 's1', 'do' => 'ring', 'target' => 'ann', 'seconds' => 8, 'handOver' => true],
                ['id' => 'end', 'do' => 'end'],
            ])
            ->plan();
        $call = PlanBuilder::trial('2026-11-23T10:30');
        $endings = Endings::of($plan, $call);
        self::reproduce($plan, $call, $endings);
        self::assertSame([], $endings->notTried);
        self::assertSame(['answered ann 0 29', 'ended by plan  0 30', 'caller gave up  1 30'], self::told($endings));
    }

    /**
     * Two letters stand for both, the second a second after the first, and nobody is chosen at once. Latest they are pressed in the third
     * second after a prompt of four, both are read out in three seconds each, and somebody is chosen two seconds later, or nobody after three.
     */
    public function testNobodyIsChosenOfThoseReadOut(): void
    {
        $person = static fn(string $id): array => [
            'id' => $id,
            'kind' => 'person',
            'name' => ucfirst($id) . ' Brook',
            'extension' => '',
            'site' => 'sit_harbour',
            'phones' => [['id' => 'desk', 'type' => 'desk', 'label' => 'Desk']],
        ];
        $names = [
            'id' => 'names',
            'do' => 'directory',
            'prompt' => 'prm',
            'wait' => 3,
            'tries' => 1,
            'part' => 'last',
            'letters' => 2,
            'most' => 2,
            'exits' => [['on' => 'nothing', 'steps' => [['id' => 'end', 'do' => 'end']]]],
        ];
        $plan = (new PlanBuilder())
            ->prompt('prm', 4)
            ->with($person('ann'))
            ->with($person('ben'))
            ->journey('jrn_main', [$names])
            ->plan();
        $call = PlanBuilder::trial('2026-11-23T10:30');
        $endings = Endings::of($plan, $call);
        self::reproduce($plan, $call, $endings);
        self::assertSame(
            [
                'ran out of steps  0 40',
                'ended by plan  1 16',
                'answered ann 1 39',
                'answered ben 1 39',
                'caller gave up  1 40',
            ],
            self::told($endings),
        );
    }

    /** By one key calls have rung for three hours before, and are stopped in the second hour after: whoever presses nothing is not. */
    public function testCallsAreStoppedAfterFourHours(): void
    {
        $ring = static fn(string $id): array => [
            'id' => $id,
            'do' => 'ring',
            'target' => 'team',
            'seconds' => 60,
            'againMinutes' => 60,
        ];
        $exit = ['on' => '1', 'steps' => [$ring('one'), $ring('two'), $ring('three')]];
        $plan = (new PlanBuilder())
            ->prompt('prm', 4)
            ->team('team', [])
            ->journey('jrn_main', [
                ['id' => 'menu', 'do' => 'menu', 'prompt' => 'prm', 'wait' => 5, 'tries' => 1, 'exits' => [$exit]],
                $ring('four'),
                $ring('five'),
                ['id' => 'end', 'do' => 'end'],
            ])
            ->plan();
        $call = PlanBuilder::trial('2026-11-23T10:30');
        $endings = Endings::of($plan, $call);
        self::reproduce($plan, $call, $endings);
        self::assertSame(
            ['ended by plan  7190 7199', 'loop stopped  14400 14400', 'caller gave up  1 14400'],
            self::told($endings),
        );
        self::assertContainsEquals(new NotTried(Untried::TooManyWays, 'jrn_main', 'end'), $endings->notTried);
    }

    /** Nobody takes it, and it is parked again at the place that was free before: it goes round. */
    public function testACallIsParkedAgainAndAgain(): void
    {
        $plan = (new PlanBuilder())
            ->with([
                'id' => 'sit_harbour',
                'kind' => 'site',
                'name' => 'Harbour',
                'zone' => 'Europe/London',
                'country' => 'GB',
                'parkPlaces' => ['701'],
            ])
            ->journey('jrn_main', [
                ['id' => 'park', 'do' => 'park', 'site' => 'sit_harbour', 'place' => '', 'seconds' => 30],
                ['id' => 'go', 'do' => 'go', 'journey' => 'jrn_main'],
            ])
            ->plan();
        $endings = Endings::of($plan, PlanBuilder::trial('2026-11-23T10:30'));
        self::assertSame([[], 5], [$endings->notTried, $endings->places]);
        // Whoever comes for it does so in the first half minute.
        self::assertSame(['answered sit_harbour 0 29', 'caller gave up  1 -'], self::told($endings));
    }

    /** Only while she is busy do calls come to a mailbox whose key rings her again: then she may answer. */
    public function testWhoIsBusyWithinAStepMayAnswerLaterInIt(): void
    {
        $mailbox = static fn(string $id, ?string $key): array => [
            'id' => $id,
            'kind' => 'mailbox',
            'name' => $id,
            'owners' => [],
            'notify' => ['office@example.com'],
            'greeting' => 'prm',
            'keys' => ['leave' => $key, 'leaveTo' => null === $key ? null : 'ann'],
        ];
        $plan = (new PlanBuilder())
            ->prompt('prm', 4)
            ->with([
                'id' => 'ann',
                'kind' => 'person',
                'name' => 'Ann',
                'extension' => '',
                'site' => 'sit_harbour',
                'phones' => [['id' => 'desk', 'type' => 'desk', 'label' => 'Desk']],
                'rules' => [
                    [
                        'id' => 'rule',
                        'name' => 'Rule',
                        'stages' => [['phones' => ['desk'], 'teams' => [], 'after' => 0, 'seconds' => 20]],
                        'next' => ['nobody' => 'last', 'busy' => 'first', 'unreachable' => 'last'],
                    ],
                ],
            ])
            ->with($mailbox('first', '0'))
            ->with($mailbox('last', null))
            ->journey('jrn_main', [
                ['id' => 's1', 'do' => 'ring', 'target' => 'ann', 'seconds' => 20, 'handOver' => true],
            ])
            ->plan();
        $endings = Endings::of($plan, PlanBuilder::trial('2026-11-23T10:30'));
        self::assertSame([], $endings->notTried);
        self::assertSame(
            ['answered ann 0 -', 'message first 0 -', 'message last 0 -', 'caller gave up  1 -'],
            self::told($endings),
        );
    }

    public function testAMenuThatListensForOneSecondTakesAKeyInIt(): void
    {
        $menu = static fn(int $wait): Plan => (new PlanBuilder())
            ->prompt('prm', 4)
            ->journey('jrn_main', [
                [
                    'id' => 's1',
                    'do' => 'menu',
                    'prompt' => 'prm',
                    'wait' => $wait,
                    'tries' => 1,
                    'duringPrompt' => false,
                    'exits' => [['on' => '1', 'steps' => [['id' => 's2', 'do' => 'end']]]],
                ],
            ])
            ->plan();
        $told = static fn(int $wait): array => self::told(
            Endings::of($menu($wait), PlanBuilder::trial('2026-11-23T10:30')),
        );
        self::assertSame(['ran out of steps  4 5', 'ended by plan  4 4', 'caller gave up  1 5'], $told(1));
        self::assertSame(['ran out of steps  4 7', 'ended by plan  4 6', 'caller gave up  1 7'], $told(3));
    }

    /** Ann is busy at once. Ben refuses a second later, when she may ring; in the same second she may not. */
    public function testWhoIsBusyMayRingASecondLater(): void
    {
        $end = [['on' => 'nobody', 'steps' => [['id' => 's4', 'do' => 'end']]]];
        $ring = static fn(string $id, string $who): array => [
            'id' => $id,
            'do' => 'ring',
            'target' => $who,
            'seconds' => 20,
        ];
        $plan = (new PlanBuilder())
            ->person('ann')
            ->person('ben')
            ->mailbox('mbx')
            ->journey('jrn_main', [
                $ring('s1', 'ann'),
                $ring('s2', 'ben'),
                $ring('s3', 'ann') + ['exits' => $end],
                ['id' => 's5', 'do' => 'message', 'mailbox' => 'mbx'],
            ])
            ->plan();
        $endings = Endings::of($plan, PlanBuilder::trial('2026-11-23T10:30'));
        self::assertSame([], $endings->notTried);
        self::assertContains('ended by plan  21 60', self::told($endings));
    }

    /** Ann is dialled, and refuses; that she is rung again where nobody answers is known by then: a second later she may ring on. */
    public function testWhoWasDialledIsRungAgainASecondLater(): void
    {
        $again = [
            'id' => 's2',
            'do' => 'ring',
            'target' => 'ann',
            'seconds' => 20,
            'exits' => [['on' => 'nobody', 'steps' => [['id' => 's3', 'do' => 'end']]]],
        ];
        $plan = (new PlanBuilder())
            ->with([
                'id' => 'ann',
                'kind' => 'person',
                'name' => 'Ann',
                'extension' => '201',
                'site' => 'sit_harbour',
                'mailbox' => null,
                'phones' => [['id' => 'desk', 'type' => 'desk', 'label' => 'desk']],
            ])
            ->prompt('prm', 4)
            ->mailbox('mbx')
            ->journey('jrn_main', [
                [
                    'id' => 's1',
                    'do' => 'menu',
                    'prompt' => 'prm',
                    'wait' => 5,
                    'tries' => 1,
                    'dial' => [
                        'scope' => 'everybody',
                        'site' => null,
                        'people' => [],
                        'digitSeconds' => 3,
                        'hours' => null,
                    ],
                    'exits' => [['on' => 'dialled', 'steps' => [$again]]],
                ],
                ['id' => 's4', 'do' => 'message', 'mailbox' => 'mbx'],
            ])
            ->plan();
        $call = PlanBuilder::trial('2026-11-23T10:30');
        $endings = Endings::of($plan, $call);
        self::assertSame([], $endings->notTried);
        self::assertSame(
            ['message mbx 0 57', 'answered ann 2 57', 'ended by plan  23 58', 'caller gave up  1 58'],
            self::told($endings),
        );
        self::reproduce($plan, $call, $endings);
    }

    /** Whoever was busy in the second in which the call comes to the queue is in reach. */
    public function testABusyAgentIsNotOutOfReachInTheSameSecond(): void
    {
        $plan = (new PlanBuilder())
            ->person('ann')
            ->mailbox('mbx')
            ->with(
                [
                    'admission' => ['needsAgent' => true],
                ] + self::QUEUE,
            )
            ->journey('jrn_main', [
                [
                    'id' => 's1',
                    'do' => 'ring',
                    'target' => 'ann',
                    'seconds' => 20,
                    'exits' => [
                        [
                            'on' => 'busy',
                            'steps' => [
                                [
                                    'id' => 's2',
                                    'do' => 'queue',
                                    'queue' => 'que',
                                    'exits' => [['on' => 'unreachable', 'steps' => [['id' => 's3', 'do' => 'end']]]],
                                ],
                            ],
                        ],
                    ],
                ],
                ['id' => 's4', 'do' => 'message', 'mailbox' => 'mbx'],
            ])
            ->plan();
        $endings = Endings::of($plan, PlanBuilder::trial('2026-11-23T10:30'));
        self::assertSame([], $endings->notTried);
        self::assertNotContains('s3', array_column($endings->steps, 'step'));
    }

    /** Hours are looked at in the first second of a call that presses nothing in which they are another state. */
    public function testTheLastCallerMayFindTheHoursClosed(): void
    {
        $plan = (new PlanBuilder())
            ->prompt('prm_ask', 4)
            ->mailbox('mbx_open')
            ->mailbox('mbx_closed')
            ->hours('hrs', [['days' => ['mo'], 'from' => '09:00', 'to' => '17:00', 'state' => 'open']])
            ->journey('jrn_main', [
                ['id' => 'ask', 'do' => 'menu', 'prompt' => 'prm_ask', 'wait' => 6, 'tries' => 1],
                [
                    'id' => 'hours',
                    'do' => 'hours',
                    'hours' => 'hrs',
                    'exits' => [
                        [
                            'on' => 'closed',
                            'steps' => [['id' => 'closed', 'do' => 'message', 'mailbox' => 'mbx_closed']],
                        ],
                    ],
                ],
                ['id' => 'open', 'do' => 'message', 'mailbox' => 'mbx_open'],
            ])
            ->plan();
        $call = PlanBuilder::trial('2026-11-23T16:59:50');
        $endings = Endings::of($plan, $call);
        self::reproduce($plan, $call, $endings);
        self::assertSame(
            ['message mbx_open 0 9', 'message mbx_closed 10 10'],
            \array_slice(self::told($endings), 0, 2),
        );
    }

    /** No call lasts longer than four hours: what closes in the last second of that may be met, what closes then may not. */
    public function testCallsThatGoRoundMeetWhatChangesUntilTheLongestIsOver(): void
    {
        $plan = (new PlanBuilder())
            ->prompt('prm', 4)
            ->hours('hrs', [['days' => ['mo'], 'from' => '09:00', 'to' => '17:00', 'state' => 'open']])
            ->journey('jrn_main', [
                [
                    'id' => 'menu',
                    'do' => 'menu',
                    'prompt' => 'prm',
                    'wait' => 5,
                    'tries' => 1,
                    'exits' => [
                        ['on' => '1', 'steps' => [['id' => 'hours', 'do' => 'hours', 'hours' => 'hrs']]],
                        ['on' => '2', 'steps' => [['id' => 'again', 'do' => 'again']]],
                    ],
                ],
            ])
            ->plan();
        $notTried = static fn(string $at): array => array_map(
            static fn(NotTried $one): string => $one->why->value . ' at ' . $one->step,
            Endings::of($plan, PlanBuilder::trial($at))->notTried,
        );
        self::assertSame([], $notTried('2026-11-23T13:00:00'));
        self::assertSame(['changes at hours'], $notTried('2026-11-23T13:00:01'));
    }

    public function testWaysThatGoRoundHaveNoMost(): void
    {
        $plan = (new PlanBuilder())
            ->prompt('prm', 4)
            ->journey('jrn_main', [
                [
                    'id' => 's1',
                    'do' => 'menu',
                    'prompt' => 'prm',
                    'wait' => 5,
                    'tries' => 1,
                    'exits' => [
                        ['on' => '1', 'steps' => [['id' => 's2', 'do' => 'end']]],
                        ['on' => '2', 'steps' => [['id' => 's3', 'do' => 'again']]],
                    ],
                ],
            ])
            ->plan();
        $endings = Endings::of($plan, PlanBuilder::trial('2026-11-23T10:30'));
        self::assertSame(['ran out of steps  0 -', 'ended by plan  0 -', 'caller gave up  1 -'], self::told($endings));
    }
}
