<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Overflow;

use Meandros\Core\Overflow\Flow;
use Meandros\Core\Overflow\Overflow;
use Meandros\Core\Overflow\Stay;
use Meandros\Core\Plan\Element\Journey;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Tests\PlanBuilder;
use PHPUnit\Framework\TestCase;

/** Where calls flow that nobody takes; worked out by hand. */
final class OverflowTest extends TestCase
{
    /** A queue that lets 4 wait for 300 s; then 4 s are said, Ann rings for 20 s, and the mailbox has it. */
    public function testFromOneToTheNext(): void
    {
        $plan = self::plan([
            [
                'id' => 's1',
                'do' => 'queue',
                'queue' => 'que',
                'exits' => [['on' => 'full', 'steps' => [['id' => 's2', 'do' => 'message', 'mailbox' => 'mbx']]]],
            ],
            ['id' => 's3', 'do' => 'say', 'prompt' => 'prm_sorry'],
            ['id' => 's4', 'do' => 'ring', 'target' => 'ann', 'seconds' => 20],
            ['id' => 's5', 'do' => 'message', 'mailbox' => 'mbx'],
        ]);
        [$overflow, $stays] = self::read($plan);
        self::assertSame(['que', 'mbx', 'ann', 'mbx'], array_map(static fn(Stay $stay): string => $stay->by, $stays));
        self::assertSame(
            [['no agents, unreachable, waited', 304, 'ann'], ['full', 0, 'mbx']],
            self::told($overflow->from($stays[0])),
        );
        self::assertSame([['nobody, busy, unreachable', 20, 'mbx']], self::told($overflow->from($stays[2])));
        self::assertSame([], $overflow->from($stays[1]));
        self::assertSame(324, $overflow->longest($stays[0]));
        self::assertSame([], $overflow->wayBack($stays[0]));
    }

    public function testHoursAndMenusOnTheWay(): void
    {
        $plan = self::plan([
            ['id' => 's1', 'do' => 'queue', 'queue' => 'que'],
            [
                'id' => 's2',
                'do' => 'hours',
                'hours' => 'hrs',
                'exits' => [
                    ['on' => 'closed', 'steps' => [['id' => 's3', 'do' => 'end']]],
                    ['on' => 'lunch', 'steps' => [['id' => 's4', 'do' => 'ring', 'target' => 'ann', 'seconds' => 9]]],
                ],
            ],
            // Twice 4 s of prompt and 5 s to press something; keys are the caller's choice.
            [
                'id' => 's5',
                'do' => 'menu',
                'prompt' => 'prm_sorry',
                'wait' => 5,
                'tries' => 2,
                'exits' => [['on' => '1', 'steps' => [['id' => 's6', 'do' => 'go', 'journey' => 'jrn_main']]]],
            ],
            ['id' => 's7', 'do' => 'message', 'mailbox' => 'mbx'],
        ]);
        [$overflow, $stays] = self::read($plan);
        self::assertSame(
            [
                ['no agents, unreachable, full, waited', 318, 'mbx'],
                ['no agents, unreachable, full, waited', 300, 'ann'],
                ['no agents, unreachable, full, waited', 300, null],
            ],
            self::told($overflow->from($stays[0])),
        );
        self::assertSame(['hrs'], array_keys($overflow->from($stays[0])[0]->hours));
        self::assertSame(
            [['nobody, busy, unreachable', 27, 'mbx']],
            self::told($overflow->from($stays[1])),
            'The exit runs out, and the menu comes next.',
        );
        self::assertSame(327, $overflow->longest($stays[0]));
        self::assertSame(
            [[], ['hrs' => ['lunch']], ['hrs' => ['open', 'lunch']]],
            array_map($overflow->givenAt(...), $stays),
        );
    }

    public function testWhereNothingFollowsTheCallEnds(): void
    {
        [$overflow, $stays] = self::read(self::plan([['id' => 's1', 'do' => 'queue', 'queue' => 'que']]));
        self::assertSame([['no agents, unreachable, full, waited', 300, null]], self::told($overflow->from($stays[0])));
        self::assertSame(300, $overflow->longest($stays[0]));
    }

    public function testRoundAndRound(): void
    {
        $plan = self::plan([
            ['id' => 's1', 'do' => 'queue', 'queue' => 'que'],
            ['id' => 's2', 'do' => 'go', 'journey' => 'jrn_two'],
        ])->journey('jrn_two', [
            ['id' => 's1', 'do' => 'ring', 'target' => 'ann', 'seconds' => 9],
            ['id' => 's2', 'do' => 'go', 'journey' => 'jrn_main'],
        ]);
        [$overflow, $stays] = self::read($plan);
        self::assertSame(
            ['que', 'ann'],
            array_map(static fn(Stay $stay): string => $stay->by, $overflow->wayBack($stays[0])),
        );
        self::assertNull($overflow->longest($stays[0]));
    }

    public function testWhenCallsComeIsAskedBeforeAnythingElse(): void
    {
        [$overflow, $stays] = self::read(
            self::plan([
                [
                    'id' => 's1',
                    'do' => 'hours',
                    'hours' => 'hrs',
                    'exits' => [['on' => 'lunch', 'steps' => [['id' => 's2', 'do' => 'queue', 'queue' => 'que']]]],
                ],
            ]),
        );
        self::assertSame(['hrs' => ['lunch']], $overflow->givenAt($stays[0]));
    }

    /** Twenty branches of three, one after the other: each step is come to once. */
    public function testStaysInOneQueueAreLookedForByItself(): void
    {
        $plan = self::plan([
            ['id' => 's1', 'do' => 'queue', 'queue' => 'que'],
            ['id' => 's2', 'do' => 'queue', 'queue' => 'oth'],
        ])->with(['id' => 'oth', 'kind' => 'queue', 'name' => 'Other', 'members' => [['who' => 'ann']]]);
        $overflow = new Overflow($plan->plan());
        $queues = static fn(?string $queue): array => array_map(
            static fn(Stay $one): ?string => $one->by,
            $overflow->queues($queue),
        );
        self::assertSame(['que', 'oth'], $queues(null));
        self::assertSame(['que'], $queues('que'));
    }

    public function testManyBranchesTakeNoTime(): void
    {
        $branch = static fn(int $i): array => [
            'id' => 'h' . $i,
            'do' => 'hours',
            'hours' => 'hrs',
            'exits' => [
                ['on' => 'closed', 'steps' => [['id' => 'c' . $i, 'do' => 'say', 'prompt' => 'prm_sorry']]],
                ['on' => 'lunch', 'steps' => []],
            ],
        ];
        $plan = self::plan([
            ['id' => 's1', 'do' => 'queue', 'queue' => 'que'],
            ...array_map($branch, range(1, 20)),
            ['id' => 's7', 'do' => 'message', 'mailbox' => 'mbx'],
        ]);
        [$overflow, $stays] = self::read($plan);
        self::assertSame(
            [['no agents, unreachable, full, waited', 380, 'mbx']],
            self::told($overflow->from($stays[0])),
        );
    }

    /**
     * @param list<Flow> $flows
     *
     * @return list<array{string, int, string|null}>
     */
    private static function told(array $flows): array
    {
        return array_map(
            static fn(Flow $flow): array => [implode(', ', $flow->exits), $flow->seconds, $flow->to?->by],
            $flows,
        );
    }

    /** @return array{Overflow, list<Stay>} */
    private static function read(PlanBuilder $builder): array
    {
        $plan = $builder->plan();
        $journey = $plan->get(Journey::class, 'jrn_main');
        \assert($plan instanceof Plan && null !== $journey);
        $overflow = new Overflow($plan);

        return [$overflow, $overflow->staysOf($journey)];
    }

    /** @param list<array<string, mixed>> $steps */
    private static function plan(array $steps): PlanBuilder
    {
        return (new PlanBuilder())
            ->person('ann')
            ->mailbox('mbx')
            ->prompt('prm_sorry', 4)
            ->hours('hrs', [['days' => ['mo'], 'from' => '09:00', 'to' => '17:00', 'state' => 'open']])
            ->with([
                'id' => 'que',
                'kind' => 'queue',
                'name' => 'Queue',
                'members' => [['who' => 'ann']],
                'admission' => ['mostWaiting' => 4],
            ])
            ->journey('jrn_main', $steps);
    }
}
