<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Routing;

use Meandros\Core\Ringing\Rung;
use Meandros\Core\Routing\Event;
use Meandros\Core\Routing\Trace;
use Meandros\Core\Tests\PlanBuilder;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/**
 * Ann and Ben ring one after the other for 10 s each; the caller is kept for up to 2 minutes. Worked by hand:
 *
 *     round   1        2        3        4        5
 *     Ann     0–10     25–35    50–60    75–85    100–110
 *     Ben     10–20    35–45    60–70    85–95    110–120
 *
 * Five seconds pass between rounds, and the last is cut where the two minutes are over.
 */
final class PersistenceTest extends TestCase
{
    public function testNobodyAnswers(): void
    {
        $trace = self::call();
        self::assertSame(
            [
                'ann 0–10',
                'ben 10–20',
                'ann 25–35',
                'ben 35–45',
                'ann 50–60',
                'ben 60–70',
                'ann 75–85',
                'ben 85–95',
                'ann 100–110',
                'ben 110–120',
            ],
            self::bars($trace),
        );
        self::assertSame([120, 'nobody'], [$trace->seconds, $trace->passage->visits[0]->exit]);
    }

    public function testTheLastRoundIsCut(): void
    {
        self::assertSame(
            ['ann 50–60'],
            \array_slice(self::bars(self::call(minutes: 1)), -1),
            'After a minute Ben has no turn.',
        );
    }

    public function testWhereNoTimeIsLeftForASecondRoundNothingIsSaidOfOne(): void
    {
        $kinds = static fn(int $seconds): array => array_map(
            static fn(Event $event): string => $event->happening->kind(),
            (new PlanBuilder())
                ->person('ann')
                ->journey('jrn_main', [
                    ['id' => 'ring', 'do' => 'ring', 'target' => 'ann', 'seconds' => $seconds, 'againMinutes' => 1],
                ])
                ->call()->passage->events,
        );
        self::assertSame(['dialled', 'not answered', 'ran out of steps'], $kinds(55));
        self::assertSame(['dialled', 'not answered', 'tries again', 'ran out of steps'], $kinds(54));
    }

    public function testWhoHasRungForSoLongInAllAnswers(): void
    {
        $trace = self::call(['phones' => [['who' => 'ben', 'does' => 'answers', 'after' => 24]]]);
        self::assertSame(
            ['answered', 'ben', 64],
            [$trace->ending->kind->value, $trace->ending->who, $trace->seconds],
            'Twice 10 s, and 4 s in the third round.',
        );
        self::assertSame(
            ['dialled', 'not answered', 'tries again', 'answered', 'answered'],
            array_map(static fn(Event $event): string => $event->happening->kind(), $trace->passage->events),
            'Rounds in between are drawn, not told.',
        );
    }

    #[DataProvider('silences')]
    public function testWhereNothingRingsARoundLastsTwentySeconds(string $does, string $exit): void
    {
        $trace = self::call(['phones' => [['who' => '*', 'does' => $does, 'after' => 0]]]);
        self::assertSame(
            [120, $exit, 10],
            [$trace->seconds, $trace->passage->visits[0]->exit, \count($trace->passage->rung)],
            'Five rounds, at 0, 25, 50, 75 and 100 s.',
        );
    }

    /** @return iterable<array{string, string}> */
    public static function silences(): iterable
    {
        yield ['busy', 'busy'];
        yield ['unreachable', 'unreachable'];
    }

    /** From 30 s on Ann is busy, from 65 s on she is not, and from 80 s on she refuses after 3 s. */
    public function testWhatPhonesDoMayChangeBetweenRounds(): void
    {
        $trace = self::call([
            'phones' => [
                ['who' => 'ann', 'does' => 'busy', 'from' => 30],
                ['who' => 'ann', 'does' => 'rings', 'from' => 65],
                ['who' => 'ann', 'does' => 'refuses', 'after' => 3, 'from' => 80],
            ],
        ]);
        self::assertSame(
            [
                'ann 0–10',
                'ben 10–20',
                'ann 25–35',
                'ben 35–45',
                'ben 50–60',
                'ann 65–75',
                'ben 75–85',
                'ann 90–93',
                'ben 93–103',
                'ann 108–111',
                'ben 111–120',
            ],
            self::bars($trace),
        );
        self::assertSame([120, 'nobody'], [$trace->seconds, $trace->passage->visits[0]->exit]);
        // Of later rounds nothing is told as it happens, but it is another call for whoever could answer.
        self::assertSame(
            self::call()->signature(),
            self::call(['phones' => [['who' => 'ann', 'does' => 'rings']]])->signature(),
        );
        $later = self::call(['phones' => [['who' => 'ann', 'does' => 'refuses', 'after' => 9, 'from' => 80]]]);
        self::assertNotSame(self::call()->signature(), $later->signature());
    }

    /** From 10:31 on, in the fourth round, it is time for Ann's other phone. */
    #[TestWith(['alone'])]
    #[TestWith(['ann'])]
    public function testRulesAreReadInEachRound(string $target): void
    {
        $rule = static fn(string $phone, array $when = []): array => [
            'id' => $phone,
            'name' => $phone,
            'on' => true,
            'when' => $when,
            'stages' => [['phones' => [$phone], 'after' => 0, 'seconds' => 20]],
            'next' => [],
        ];
        $rules = [
            $rule('other', ['windows' => [['days' => ['mo'], 'from' => '10:31', 'to' => '11:00']]]),
            $rule('desk'),
        ];
        $plan = (new PlanBuilder())->person('ann', ['desk', 'other'])->team('alone', ['ann']);
        $plan
            ->with(['rules' => $rules] + $plan->element('ann'))
            ->with(['followRules' => true] + $plan->element('alone'))
            ->journey('jrn_main', [
                ['id' => 'ring', 'do' => 'ring', 'target' => $target, 'seconds' => 20, 'againMinutes' => 2],
            ]);
        self::assertSame(
            ['0 desk', '25 desk', '50 desk', '75 other', '100 other'],
            array_map(
                static fn(Rung $rung): string => $rung->times->from . ' ' . $rung->phone->label,
                $plan->call()->passage->rung,
            ),
        );
    }

    /** Ann took a call 10 s ago: her pause of a minute is over in the third round, and nothing else has changed by then. */
    public function testWhoeverPausesRingsOnceThatIsOver(): void
    {
        $plan = (new PlanBuilder())
            ->person('ann')
            ->person('ben')
            ->team('two', ['ann', 'ben']);
        $plan
            ->with(['pauseSeconds' => 60] + $plan->element('two'))
            ->journey('jrn_main', [
                ['id' => 'ring', 'do' => 'ring', 'target' => 'two', 'seconds' => 20, 'againMinutes' => 1],
            ]);
        $trace = $plan->call(['earlier' => ['members' => [['who' => 'ann', 'idle' => 10]]]]);
        self::assertSame(['ben 0–20', 'ben 25–45', 'ann 50–60', 'ben 50–60'], self::bars($trace));
    }

    public function testTheCallerMayGiveUpMeanwhile(): void
    {
        $trace = self::call(['patience' => 55]);
        self::assertSame(
            ['caller gave up', 55, 'ann 50–55'],
            [$trace->ending->kind->value, $trace->seconds, self::bars($trace)[4]],
        );
    }

    /** Ann alone rings for ten minutes, 20 s of every 25, up to 595: until the caller gives up, or in every round that begins before she is busy. */
    public function testAtWhicheverSecondTheRoundsEnd(): void
    {
        $plan = (new PlanBuilder())
            ->person('ann')
            ->team('alone', ['ann'])
            ->journey('jrn_main', [
                ['id' => 'ring', 'do' => 'ring', 'target' => 'alone', 'seconds' => 20, 'againMinutes' => 10],
            ]);
        for ($end = 1; $end <= 595; ++$end) {
            $givesUp = $busy = [];
            for ($begins = 0; $begins < $end; $begins += 25) {
                $givesUp[] = \sprintf('ann %d–%d', $begins, min($begins + 20, $end));
                $busy[] = \sprintf('ann %d–%d', $begins, $begins + 20);
            }
            $trace = $plan->call(['patience' => $end]);
            self::assertSame([$givesUp, $end], [self::bars($trace), $trace->seconds], "The caller gives up at $end.");
            $trace = $plan->call(['phones' => [['who' => 'ann', 'does' => 'busy', 'from' => $end]]]);
            self::assertSame(
                [$busy, 595, $end <= 575 ? 'busy' : 'nobody', 24],
                [self::bars($trace), $trace->seconds, $trace->passage->visits[0]->exit, \count($trace->passage->rung)],
                "Ann is busy from $end on.",
            );
        }
    }

    public function testAStepWithoutATargetIsNotTriedAgain(): void
    {
        self::assertSame(
            0,
            (new PlanBuilder())
                ->journey('jrn_main', [['id' => 'ring', 'do' => 'ring', 'target' => null, 'againMinutes' => 10]])
                ->call()->seconds,
        );
    }

    /**
     * The phones ring first: nobody likes greetings. The greeting of 8 s begins at 5 s, and the phones ring on.
     *
     * @param array<string, mixed> $assume
     * @param list<string>         $told
     */
    #[DataProvider('greetings')]
    public function testAGreetingWhileThePhonesRing(int $ring, array $assume, array $told, int $seconds): void
    {
        $trace = (new PlanBuilder())
            ->person('ann')
            ->prompt('prm_hello', 8)
            ->journey('jrn_main', [
                [
                    'id' => 'ring',
                    'do' => 'ring',
                    'target' => 'ann',
                    'seconds' => $ring,
                    'greeting' => 'prm_hello',
                    'greetAfter' => 5,
                ],
            ])
            ->call($assume);
        self::assertSame(
            $told,
            array_map(
                static fn(Event $event): string => $event->second . ' ' . $event->happening->kind(),
                \array_slice($trace->passage->events, 1),
            ),
        );
        self::assertSame($seconds, $trace->seconds);
    }

    /** @return iterable<string, array{int, array<string, mixed>, list<string>, int}> */
    public static function greetings(): iterable
    {
        $answers = static fn(int $after): array => [
            'phones' => [['who' => 'ann', 'does' => 'answers', 'after' => $after]],
        ];
        yield 'nobody answers' => [20, [], ['0 not answered', '5 said', '20 ran out of steps'], 20];
        yield 'it is heard to its end' => [10, [], ['0 not answered', '5 said', '13 ran out of steps'], 13];
        yield 'the phones stop a second after it begins' => [
            6,
            [],
            ['0 not answered', '5 said', '13 ran out of steps'],
            13,
        ];
        yield 'answered before it begins' => [20, $answers(3), ['0 answered', '3 answered'], 3];
        yield 'answered in the second in which it would begin' => [20, $answers(5), ['0 answered', '5 answered'], 5];
        yield 'answered a second later' => [20, $answers(6), ['0 answered', '5 said', '6 answered'], 6];
        yield 'it would begin when the step is over' => [5, [], ['0 not answered', '5 ran out of steps'], 5];
        yield 'answered in the middle of it' => [20, $answers(7), ['0 answered', '5 said', '7 answered'], 7];
        yield 'the step is over before' => [4, [], ['0 not answered', '4 ran out of steps'], 4];
        yield 'the caller gives up in it' => [
            20,
            ['patience' => 6],
            ['0 not answered', '5 said', '6 caller gave up'],
            6,
        ];
    }

    public function testHowMuchOfTheGreetingIsHeard(): void
    {
        $heard = static function (array $assume, int $ring = 20): array {
            $trace = (new PlanBuilder())
                ->person('ann')
                ->prompt('prm_hello', 8)
                ->journey('jrn_main', [
                    [
                        'id' => 'ring',
                        'do' => 'ring',
                        'target' => 'ann',
                        'seconds' => $ring,
                        'greeting' => 'prm_hello',
                        'greetAfter' => 5,
                    ],
                ])
                ->call($assume);
            $said = $trace->passage->events[2]->happening;

            return [
                $said->what()['seconds'] ?? null,
                $said->because()['ringing'] ?? null,
                $said->because()['toTheEnd'] ?? null,
            ];
        };
        self::assertSame([8, 8, true], $heard([]));
        self::assertSame([8, 5, true], $heard([], 10), 'The phones stop, the greeting does not.');
        self::assertSame([2, 2, false], $heard(['phones' => [['who' => 'ann', 'does' => 'answers', 'after' => 7]]]));
        self::assertSame([1, 1, false], $heard(['patience' => 6]));
        self::assertSame([8, 8, true], $heard(['phones' => [['who' => 'ann', 'does' => 'answers', 'after' => 13]]]));
    }

    /** @param array<string, mixed> $assume */
    private static function call(array $assume = [], int $minutes = 2): Trace
    {
        return (new PlanBuilder())
            ->person('ann')
            ->person('ben')
            ->team('pair', ['ann', 'ben'], 'one after the other', 10)
            ->journey('jrn_main', [
                ['id' => 'ring', 'do' => 'ring', 'target' => 'pair', 'seconds' => 20, 'againMinutes' => $minutes],
            ])
            ->call($assume);
    }

    /** @return list<string> */
    private static function bars(Trace $trace): array
    {
        return array_values(
            array_map(
                static fn(Rung $rung): string => \sprintf(
                    '%s %d–%d',
                    $rung->phone->owner->person,
                    $rung->times->from,
                    $rung->times->until,
                ),
                array_filter(
                    $trace->passage->rung,
                    static fn(Rung $rung): bool => $rung->times->until > $rung->times->from,
                ),
            ),
        );
    }
}
