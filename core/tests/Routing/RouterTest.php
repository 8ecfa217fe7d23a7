<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Routing;

use Meandros\Core\Call\Assumptions;
use Meandros\Core\Call\Behaviour;
use Meandros\Core\Call\CallerActs;
use Meandros\Core\Call\KeyPress;
use Meandros\Core\Call\PhoneAssumption;
use Meandros\Core\Live\LiveState;
use Meandros\Core\Plan\Step\AboutStep;
use Meandros\Core\Plan\Step\RingLength;
use Meandros\Core\Plan\Step\RingStep;
use Meandros\Core\Plan\Target;
use Meandros\Core\Reading\InvalidData;
use Meandros\Core\Routing\Ending;
use Meandros\Core\Routing\EndingKind;
use Meandros\Core\Routing\Router;
use Meandros\Core\Routing\Trace;
use Meandros\Core\Tests\PlanBuilder;
use PHPUnit\Framework\TestCase;

final class RouterTest extends TestCase
{
    public function testAListThatRunsOutFallsThroughToTheStepAfterTheOneThatBranched(): void
    {
        $trace = self::office()->call(['keys' => ['1']]);
        self::assertSame(['ask', 'one', 'ring', 'take'], self::steps($trace));
        self::assertSame(EndingKind::Message, $trace->ending->kind);
    }

    public function testSecondsAddUp(): void
    {
        // The menu's prompt lasts 4 s and key 1's prompt 2 s; the phone rings for 20 s: all to be seen on the visits.
        $trace = self::office()->call(['keys' => ['1']]);
        self::assertSame([[0, 4], [4, 6], [6, 26], [26, 26]], self::times($trace));
    }

    public function testSilenceAsksAgainThenTakesTheExitForNothing(): void
    {
        $trace = self::office()->call();
        self::assertSame(['ask', 'none', 'ring', 'take'], self::steps($trace));
        // Two tries of 4 s prompt and 5 s wait.
        self::assertSame([0, 18], self::times($trace)[0]);
    }

    public function testAWrongKeyUsesUpATry(): void
    {
        $trace = self::office()->call(['keys' => ['7', '1']]);
        self::assertSame('1', $trace->passage->visits[0]->exit);
        self::assertSame([0, 8], self::times($trace)[0]);
        $twice = self::office()->call(['keys' => ['7', '8']]);
        self::assertSame('wrong', $twice->passage->visits[0]->exit);
        self::assertFalse($twice->passage->visits[0]->exitTaken);
    }

    public function testSomebodyAnswers(): void
    {
        $trace = self::office()->call([
            'keys' => ['1'],
            'phones' => [['who' => 'dana', 'does' => 'answers', 'after' => 8]],
        ]);
        self::assertSame(
            [EndingKind::Answered, 'dana', 'dana/desk'],
            [$trace->ending->kind, $trace->ending->who, $trace->ending->phone],
        );
        self::assertSame(14, $trace->seconds);
    }

    public function testBusyAndUnreachableTakeTheirExits(): void
    {
        foreach (['busy' => 'sorry', 'unreachable' => 'gone'] as $does => $step) {
            $trace = self::office()->call([
                'keys' => ['1'],
                'phones' => [['who' => '*', 'does' => $does, 'after' => 0]],
            ]);
            self::assertSame(['ask', 'one', 'ring', $step, 'take'], self::steps($trace));
            self::assertSame($trace->passage->visits[2]->from, $trace->passage->visits[2]->until, 'It takes no time.');
        }
    }

    public function testTheCallerGivesUp(): void
    {
        $trace = self::office()->call([
            'keys' => ['1'],
            'patience' => 10,
            'phones' => [['who' => '*', 'does' => 'answers', 'after' => 5]],
        ]);
        self::assertSame(EndingKind::CallerGaveUp, $trace->ending->kind);
        self::assertSame(10, $trace->seconds);
        self::assertSame([6, 10], [$trace->passage->rung[0]->times->from, $trace->passage->rung[0]->times->until]);
    }

    public function testAJourneyMayGoRoundThroughAMenuAndIsStopped(): void
    {
        $plan = self::office()->journey('jrn_main', [
            ['id' => 'ask', 'do' => 'menu', 'prompt' => 'prm_ask', 'wait' => 5, 'tries' => 1, 'exits' => []],
            ['id' => 'again', 'do' => 'go', 'journey' => 'jrn_main'],
        ]);
        $trace = $plan->call();
        self::assertSame(EndingKind::LoopStopped, $trace->ending->kind);
        self::assertCount(101, $trace->passage->visits);
    }

    public function testANumberMayPointStraightAtAPerson(): void
    {
        $plan = self::office()
            ->person('dana', ['desk'], 'mbx_main')
            ->with([
                'id' => 'num_direct',
                'kind' => 'number',
                'name' => 'Direct',
                'number' => '+441632960101',
                'site' => 'sit_harbour',
                'language' => 'en',
                'target' => 'dana',
            ]);
        $trace = $plan->call(to: '+441632960101');
        self::assertSame(['ring', 'message'], self::steps($trace));
        self::assertSame('mbx_main', $trace->ending->who);
    }

    public function testANumberThatLeadsNowhereRunsOut(): void
    {
        $plan = (new PlanBuilder())->journey('jrn_main', []);
        self::assertSame(EndingKind::RanOut, $plan->call()->ending->kind);
    }

    public function testAnUnknownNumberIsSaid(): void
    {
        $this->expectException(InvalidData::class);
        $this->expectExceptionMessage('/to: not-dialled {"number":"+44 1632 960999"}');
        self::office()->call(to: '+441632960999');
    }

    public function testAStepMayBeLookedAtByItself(): void
    {
        $trace = (new Router())->ringing(
            (new PlanBuilder())->person('ann')->plan(),
            new RingStep(new AboutStep('look'), Target::element('ann'), new RingLength(15)),
            PlanBuilder::trial('2026-11-23T10:00'),
            new Assumptions(),
            new LiveState(),
        );
        self::assertSame(
            [1, 'look', 'not answered', 15, 'ran out of steps'],
            [
                \count($trace->passage->events),
                $trace->passage->events[0]->step,
                $trace->passage->events[0]->happening->kind(),
                $trace->seconds,
                $trace->ending->kind->value,
            ],
        );
        $trace = (new Router())->ringing(
            (new PlanBuilder())->person('ann')->plan(),
            new RingStep(new AboutStep('look'), Target::element('ann'), new RingLength(15)),
            PlanBuilder::trial('2026-11-23T10:00'),
            new Assumptions(new CallerActs(patienceSeconds: 4)),
            new LiveState(),
        );
        self::assertSame(['caller gave up', 4], [$trace->ending->kind->value, $trace->seconds]);
    }

    /** Ann's rule leads to a mailbox of which the caller leaves for Ben; a step behind it is not looked at. */
    public function testAStepThatIsLookedAtByItselfEndsWithWhoeverTheCallIsHandedOnTo(): void
    {
        $plan = (new PlanBuilder())->person('ann')->person('ben')->mailbox('mbx')->prompt('prm', 4);
        $rule = ['id' => 'one', 'name' => 'One', 'on' => true, 'when' => []];
        $stages = ['stages' => [['phones' => ['desk'], 'after' => 0, 'seconds' => 10]], 'next' => ['nobody' => 'mbx']];
        $plan->with(['rules' => [$rule + $stages]] + $plan->element('ann'));
        $plan->with(['greeting' => 'prm', 'keys' => ['leave' => '0', 'leaveTo' => 'ben']] + $plan->element('mbx'));
        $look = static fn(?string $key): Trace => (new Router())->ringing(
            $plan->plan(),
            new RingStep(new AboutStep('look'), Target::element('ann'), new RingLength(15, true)),
            PlanBuilder::trial('2026-11-23T10:00'),
            new Assumptions(new CallerActs(meanwhile: null === $key ? [] : [new KeyPress($key, 2)]), [
                new PhoneAssumption('ben', Behaviour::Answers, 3),
            ]),
            new LiveState(),
        );
        self::assertSame(EndingKind::Message, $look(null)->ending->kind);
        self::assertEquals(
            [new Ending(EndingKind::Answered, 'ben', 'ben/desk'), 15],
            [$look('0')->ending, $look('0')->seconds],
        );
    }

    public function testHoursAreReadWhenTheCallComesToThem(): void
    {
        // The prompt lasts 4 s, so a call at 16:59:57 comes to the hours at 17:00:01.
        $plan = (new PlanBuilder())
            ->prompt('prm_ask', 4)
            ->hours('hrs', [['days' => ['mo'], 'from' => '09:00', 'to' => '17:00', 'state' => 'open']])
            ->journey('jrn_main', [
                ['id' => 'say', 'do' => 'say', 'prompt' => 'prm_ask'],
                [
                    'id' => 'look',
                    'do' => 'hours',
                    'hours' => 'hrs',
                    'exits' => [['on' => 'closed', 'label' => '', 'steps' => [['id' => 'end', 'do' => 'end']]]],
                ],
            ]);
        self::assertSame(EndingKind::RanOut, $plan->call(at: '2026-11-23T16:59:55')->ending->kind);
        self::assertSame(EndingKind::EndedByPlan, $plan->call(at: '2026-11-23T16:59:56')->ending->kind);
    }

    public function testPromptsAreHeardInTheNumbersLanguageWhereThereIsAScript(): void
    {
        $plan = self::office()->with([
            'id' => 'prm_ask',
            'kind' => 'prompt',
            'name' => 'Ask',
            'scripts' => ['fr' => 'un deux trois quatre cinq six sept huit neuf dix'],
        ]);
        $what = $plan->call()->passage->events[1]->happening->what();
        self::assertSame(['fr', 4], [$what['language'], $what['seconds']]);
    }

    public function testTheSameCallFaresTheSame(): void
    {
        $plan = self::office();
        self::assertSame(
            $plan->call(['keys' => ['1']])->signature(),
            $plan->call(['keys' => ['1']], '2026-11-24T03:00')->signature(),
        );
    }

    private static function office(): PlanBuilder
    {
        return (new PlanBuilder())
            ->prompt('prm_ask', 4)
            ->prompt('prm_one', 2)
            ->person('dana')
            ->mailbox('mbx_main')
            ->journey('jrn_main', [
                [
                    'id' => 'ask',
                    'do' => 'menu',
                    'prompt' => 'prm_ask',
                    'wait' => 5,
                    'tries' => 2,
                    'exits' => [
                        [
                            'on' => '1',
                            'label' => 'Bookings',
                            'steps' => [['id' => 'one', 'do' => 'say', 'prompt' => 'prm_one']],
                        ],
                        [
                            'on' => 'nothing',
                            'label' => '',
                            'steps' => [['id' => 'none', 'do' => 'say', 'prompt' => 'prm_one']],
                        ],
                    ],
                ],
                [
                    'id' => 'ring',
                    'do' => 'ring',
                    'target' => 'dana',
                    'seconds' => 20,
                    'exits' => [
                        [
                            'on' => 'busy',
                            'label' => '',
                            'steps' => [['id' => 'sorry', 'do' => 'say', 'prompt' => 'prm_one']],
                        ],
                        [
                            'on' => 'unreachable',
                            'label' => '',
                            'steps' => [['id' => 'gone', 'do' => 'say', 'prompt' => 'prm_one']],
                        ],
                    ],
                ],
                ['id' => 'take', 'do' => 'message', 'mailbox' => 'mbx_main'],
            ]);
    }

    /** @return list<string> */
    private static function steps(Trace $trace): array
    {
        return array_map(static fn($visit): string => $visit->step, $trace->passage->visits);
    }

    /** @return list<array{int, int}> */
    private static function times(Trace $trace): array
    {
        return array_map(static fn($visit): array => [$visit->from, $visit->until], $trace->passage->visits);
    }
}
