<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Queueing;

use Meandros\Core\Call\Assumptions;
use Meandros\Core\Call\SignIn;
use Meandros\Core\Live\LiveState;
use Meandros\Core\Ringing\Rung;
use Meandros\Core\Routing\Router;
use Meandros\Core\Tests\PlanBuilder;
use Meandros\Core\Wording\AnswerSentence;
use Meandros\Core\Wording\EventWords;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What agents go through: how they take calls, when they are signed out, whose callers come first; worked out by hand. */
final class AgentsAskedTest extends TestCase
{
    use ToldWaits;

    /**
     * @param array<string, mixed> $queue
     * @param array<string, mixed> $assume
     * @param list<string>         $told
     */
    #[DataProvider('asked')]
    public function testWhatHappens(array $queue, array $assume, array $told): void
    {
        $plan = self::plan($queue + ['waiting' => ['longestSeconds' => 60, 'announceSeconds' => 0]])
            ->prompt('prm_word', 2)
            ->with([
                'id' => 'oth',
                'kind' => 'queue',
                'name' => 'Other',
                'rank' => 1,
                'members' => [['who' => 'ann']],
                'admission' => ['handlingSeconds' => 20],
            ]);
        self::assertSame($told, self::told($plan, $plan->call($assume)));
    }

    /** @return iterable<string, array{array<string, mixed>, array<string, mixed>, list<string>}> */
    public static function asked(): iterable
    {
        $free = static fn(array $more = []): array => [
            [
                'queue' => 'que',
                'agents' => [['who' => 'ann', 'freeAfter' => 0, 'idle' => 9], ['who' => 'ben', 'freeAfter' => 0]],
            ] + $more,
        ];
        $answers = static fn(string $who, int $after): array => [
            ['who' => $who, 'does' => 'answers', 'after' => $after],
        ];
        $in = '0 Is let into Desk, as the first';
        yield 'the agent hears a word first' => [
            ['taking' => ['word' => 'prm_word']],
            ['queues' => $free(), 'phones' => $answers('ann', 3)],
            [$in, '0 Rings Ann, answered after 3 s', '3 The agent hears “prm_word”'],
        ];
        // Asked for 4 s, as on any phone that is asked first.
        yield 'the agent is asked first' => [
            ['taking' => ['pickUp' => 'asked first']],
            ['queues' => $free(), 'phones' => $answers('ann', 3)],
            [$in, '0 Rings Ann, answered after 7 s'],
        ];
        yield 'the phone answers by itself, whoever sits there' => [
            ['taking' => ['pickUp' => 'by itself']],
            ['queues' => $free()],
            [$in, '0 Rings Ann, answered after 0 s'],
        ];
        yield 'but not one that cannot be reached' => [
            ['taking' => ['pickUp' => 'by itself'], 'asking' => ['missedSeconds' => 90]],
            ['queues' => $free(), 'phones' => [['who' => 'ann', 'does' => 'unreachable']]],
            [$in, '0 Ann: unreachable', '0 Rings Ben, answered after 0 s'],
        ];
        // Rings 0–10 and 15–25: two missed.
        yield 'who misses too many is signed out' => [
            [
                'members' => [['who' => 'ann']],
                'asking' => ['alertSeconds' => 10, 'missedSeconds' => 5],
                'duty' => ['signOutAfter' => 2],
            ],
            ['queues' => [['queue' => 'que', 'free' => 0]]],
            [
                $in,
                '0 Rings Ann for 10 s',
                '15 Rings Ann for 10 s',
                '25 Ann is signed out of Desk',
                '60 Has waited in Desk for 1 min',
                '60 Leaves a message with mbx',
            ],
        ];
        yield 'callers of a queue of a better rank come first' => [
            ['rank' => 2, 'members' => [['who' => 'ann']]],
            ['queues' => [...$free(), ['queue' => 'oth', 'ahead' => 1]], 'phones' => $answers('*', 1)],
            [$in, '30 Rings Ann, answered after 1 s'],
        ];
        yield 'and of the same, for they came before' => [
            ['rank' => 1, 'members' => [['who' => 'ann']]],
            ['queues' => [...$free(), ['queue' => 'oth', 'ahead' => 1]], 'phones' => $answers('*', 1)],
            [$in, '30 Rings Ann, answered after 1 s'],
        ];
        yield 'one who is in no other queue is asked at once' => [
            ['rank' => 2],
            ['queues' => [...$free(), ['queue' => 'oth', 'ahead' => 1]], 'phones' => $answers('*', 1)],
            [$in, '0 Rings Ben, answered after 1 s'],
        ];
        // Ann takes two at once at 0; she has room again at 190.
        yield 'two calls at once' => [
            [
                'members' => [['who' => 'ann', 'calls' => 2]],
                'waiting' => ['longestSeconds' => 300, 'announceSeconds' => 0],
            ],
            ['queues' => $free(['ahead' => 2]), 'phones' => $answers('*', 1)],
            [$in, '190 Rings Ann, answered after 1 s'],
        ];
        yield 'room for one more' => [
            ['members' => [['who' => 'ann', 'calls' => 2]]],
            ['queues' => $free(['ahead' => 1]), 'phones' => $answers('*', 1)],
            [$in, '0 Rings Ann, answered after 1 s'],
        ];
        yield 'the lower tier is asked first, wherever it stands in the list' => [
            [
                'members' => [['who' => 'ann', 'tier' => 2], ['who' => 'ben']],
                'asking' => ['widenSeconds' => 10, 'alertSeconds' => 8],
            ],
            [
                'queues' => [
                    [
                        'queue' => 'que',
                        'agents' => [['who' => 'ann', 'freeAfter' => 12], ['who' => 'ben', 'freeAfter' => 12]],
                    ],
                ],
                'phones' => $answers('*', 1),
            ],
            [$in, '12 Rings Ben, answered after 1 s'],
        ];
        yield 'the notice comes at its second' => [
            ['promise' => ['noticeSeconds' => 25, 'notify' => ['lead@ternwick.example']]],
            [],
            [
                $in,
                '25 A notice goes to lead@ternwick.example',
                '60 Has waited in Desk for 1 min',
                '60 Leaves a message with mbx',
            ],
        ];
        yield 'also while the introduction is heard' => [
            [
                'waiting' => ['longestSeconds' => 9, 'introduction' => 'prm_hello', 'announceSeconds' => 0],
                'promise' => ['noticeSeconds' => 2, 'notify' => ['lead@ternwick.example']],
            ],
            [],
            [
                $in,
                '0 Hears “prm_hello”',
                '2 A notice goes to lead@ternwick.example',
                '9 Has waited in Desk for 9 s',
                '9 Leaves a message with mbx',
            ],
        ];
        yield 'calls are recorded, and callers are told first' => [
            [
                'recording' => ['on' => true, 'notice' => 'prm_word'],
                'waiting' => ['longestSeconds' => 9, 'introduction' => 'prm_hello', 'announceSeconds' => 0],
            ],
            [],
            [
                $in,
                '0 Hears “prm_word”',
                '2 Hears “prm_hello”',
                '9 Has waited in Desk for 9 s',
                '9 Leaves a message with mbx',
            ],
        ];
        yield 'music in order' => [
            [
                'music' => ['pieces' => ['prm_word', 'prm_hello']],
                'waiting' => ['longestSeconds' => 9, 'announceSeconds' => 0],
            ],
            [],
            [
                $in,
                '0 Hears music: “prm_word”, “prm_hello”',
                '9 Has waited in Desk for 9 s',
                '9 Leaves a message with mbx',
            ],
        ];
        yield 'nobody who is signed in can be reached' => [
            [],
            ['phones' => [['who' => '*', 'does' => 'unreachable']]],
            ['0 Is not let into Desk', '0 Leaves a message with mbx'],
        ];
        yield 'their site is down' => [
            [],
            ['down' => ['sit_harbour']],
            ['0 Is not let into Desk', '0 Leaves a message with mbx'],
        ];
        yield 'with nothing stated of the queue, whoever is assumed to answer is free' => [
            [],
            ['phones' => $answers('ben', 2)],
            [$in, '0 Rings Ben, answered after 2 s'],
        ];
        yield 'and is the one who is free after a while' => [
            [],
            ['phones' => $answers('ben', 2), 'queues' => [['queue' => 'que', 'free' => 30]]],
            [$in, '30 Rings Ben, answered after 2 s'],
        ];
        // Ann and Ben take two of the three who come before.
        yield 'urgent callers come first' => [
            [],
            ['queues' => $free(['ahead' => 2, 'canWaitAhead' => 3, 'urgentAhead' => 1]), 'phones' => $answers('*', 1)],
            ['0 Is let into Desk, 1 ahead', '60 Has waited in Desk for 1 min', '60 Leaves a message with mbx'],
        ];
    }

    /**
     * A call that nobody takes in one queue comes to another with the same agent.
     *
     * @param array<string, SignIn>      $first  live, in the first queue
     * @param array<string, SignIn>      $second and in the second
     * @param list<array<string, mixed>> $queues
     */
    #[DataProvider('twoQueues')]
    public function testSomebodyInTwoQueues(array $first, array $second, array $queues, ?int $askedInTheSecond): void
    {
        $quiet = [
            'admission' => ['needsAgent' => false],
            'waiting' => ['longestSeconds' => 20, 'announceSeconds' => 0],
            'asking' => ['alertSeconds' => 10, 'missedSeconds' => 15],
            'members' => [['who' => 'ann']],
        ];
        $plan = self::plan($quiet)
            ->with(['id' => 'two', 'kind' => 'queue', 'name' => 'Two'] + $quiet)
            ->journey('jrn_main', [
                ['id' => 'one', 'do' => 'queue', 'queue' => 'que'],
                ['id' => 'two', 'do' => 'queue', 'queue' => 'two'],
            ]);
        $trace = (new Router())->trace(
            $plan->plan(),
            PlanBuilder::trial('2026-11-23T10:30'),
            Assumptions::fromData(['queues' => $queues]),
            new LiveState(signIns: ['que' => $first, 'two' => $second]),
        );
        $asked = array_values(
            array_filter(
                array_map(static fn(Rung $rung): int => $rung->times->from, $trace->passage->rung),
                static fn(int $from): bool => $from >= 20,
            ),
        );
        self::assertSame($askedInTheSecond, $asked[0] ?? null);
    }

    /** @return iterable<string, array{array<string, SignIn>, array<string, SignIn>, list<array<string, mixed>>, int|null}> */
    public static function twoQueues(): iterable
    {
        $free = static fn(string $queue, int $after): array => [
            'queue' => $queue,
            'agents' => [['who' => 'ann', 'freeAfter' => $after]],
        ];
        yield 'signed out of the first only' => [['ann' => SignIn::Out], [], [$free('two', 0)], 20];
        yield 'in a pause in the first only' => [['ann' => SignIn::Paused], [], [$free('two', 0)], 20];
        yield 'of whom nothing is stated in the first' => [
            [],
            [],
            [['queue' => 'que', 'ahead' => 0], $free('two', 0)],
            20,
        ];
        // Asked at 0 and at 25, missed until 10, in a pause until 25.
        yield 'in a pause for missing a call of the first' => [[], [], [$free('que', 0)], 25];
        yield 'in a pause in the second only' => [[], ['ann' => SignIn::Paused], [$free('que', 0)], null];
        yield 'signed out of the second only' => [[], ['ann' => SignIn::Out], [$free('que', 0)], null];
    }

    /** @param list<string> $told */
    #[DataProvider('tags')]
    public function testATagDecidesWhoComesFirst(string $urgency, array $told): void
    {
        $plan = self::plan(['waiting' => ['longestSeconds' => 60, 'announceSeconds' => 0]])->journey('jrn_main', [
            ['id' => 'tag', 'do' => 'tag', 'urgency' => $urgency],
            ['id' => 'wait', 'do' => 'queue', 'queue' => 'que'],
            ['id' => 'message', 'do' => 'message', 'mailbox' => 'mbx'],
        ]);
        self::assertSame(
            $told,
            \array_slice(
                self::told($plan, $plan->call(['queues' => [['queue' => 'que', 'ahead' => 2, 'canWaitAhead' => 3]]])),
                0,
                2,
            ),
        );
    }

    /** @return iterable<array{string, list<string>}> */
    public static function tags(): iterable
    {
        yield ['urgent', ['0 From here on: urgency: urgent', '0 Is let into Desk, as the first']];
        yield ['usual', ['0 From here on: urgency: usual', '0 Is let into Desk, 2 ahead']];
        yield ['can wait', ['0 From here on: urgency: can wait', '0 Is let into Desk, 5 ahead']];
    }

    public function testATagChangesLabelAndLanguage(): void
    {
        $plan = (new PlanBuilder())->journey('jrn_main', [
            ['id' => 'tag', 'do' => 'tag', 'label' => 'Freight', 'language' => 'fr'],
        ]);
        $trace = $plan->call();
        self::assertSame(['Freight', 'fr'], [$trace->shown->label, $trace->shown->language]);
        self::assertSame(
            'From here on: shown as “Freight”, in French',
            (new EventWords($plan->plan()))->what($trace->passage->events[1]->happening),
        );
    }

    /** Music in an order drawn by the seed: the same for the same, and not always that of the list. */
    public function testShuffledMusic(): void
    {
        $plan = self::plan(['music' => ['pieces' => ['prm_hello', 'prm_b', 'prm_c', 'prm_d'], 'shuffled' => true]])
            ->prompt('prm_b', 9)
            ->prompt('prm_c', 9)
            ->prompt('prm_d', 9);
        $order = static fn(int $seed): string => self::told($plan, $plan->call(['earlier' => ['seed' => $seed]]))[1];
        self::assertSame($order(1), $order(1));
        self::assertGreaterThan(1, \count(array_unique(array_map($order, range(1, 8)))));
    }

    public function testACodeSignsInAndOut(): void
    {
        $plan = self::plan(['duty' => ['codeIn' => '*31', 'codePause' => '*32', 'codeOut' => '*33']])->with([
            'id' => 'ann',
            'kind' => 'person',
            'name' => 'Ann',
            'extension' => '201',
            'site' => 'sit_harbour',
            'phones' => [],
            'mailbox' => null,
        ]);
        $sentence = static fn(string $code, string $from): string => AnswerSentence::of(
            $plan->call(to: $code, from: $from),
            $plan->plan(),
        );
        self::assertSame('Signs Ann in to Desk, then the plan ends the call.', $sentence('*31', '201'));
        self::assertSame('Lets Ann pause in Desk, then the plan ends the call.', $sentence('*32', '201'));
        self::assertSame('Signs Ann out of Desk, then the plan ends the call.', $sentence('*33', '201'));
        self::assertSame(
            'Tries to sign in or out of Desk without being an agent of it, then the plan ends the call.',
            $sentence('*33', '+441632960999'),
        );
    }

    public function testACallSentStraightThereComesToTheQueuesOwnMailbox(): void
    {
        $queue = [
            'id' => 'que',
            'kind' => 'queue',
            'name' => 'Desk',
            'members' => [['who' => 'ann']],
            'waiting' => ['longestSeconds' => 10, 'announceSeconds' => 0],
            'mailbox' => 'mbx',
        ];
        $plan = (new PlanBuilder())
            ->person('ann')
            ->mailbox('mbx')
            ->with($queue)
            ->with([
                'id' => 'num_desk',
                'kind' => 'number',
                'name' => 'Desk line',
                'number' => '+441632960150',
                'site' => 'sit_harbour',
                'language' => 'en',
                'target' => 'que',
            ]);
        self::assertSame(
            'Waits in Desk for 10 s, then leaves a message with mbx.',
            AnswerSentence::of($plan->call(to: '+441632960150'), $plan->plan()),
        );
        // An answering rule passes calls on to the queue: the same.
        $rule = ['id' => 'rule', 'name' => 'To the desk', 'stages' => [], 'next' => ['nobody' => 'que']];
        $plan = $plan->with([
            'id' => 'eve',
            'kind' => 'person',
            'name' => 'Eve',
            'extension' => '209',
            'site' => 'sit_harbour',
            'phones' => [],
            'mailbox' => null,
            'rules' => [$rule],
        ]);
        self::assertSame(
            'Waits in Desk for 10 s, then leaves a message with mbx.',
            AnswerSentence::of($plan->call(to: '209'), $plan->plan()),
        );
    }
}
