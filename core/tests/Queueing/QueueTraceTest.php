<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Queueing;

use Meandros\Core\Call\Assumptions;
use Meandros\Core\Call\SignIn;
use Meandros\Core\Live\LiveState;
use Meandros\Core\Reading\InvalidData;
use Meandros\Core\Routing\Router;
use Meandros\Core\Tests\PlanBuilder;
use Meandros\Core\Wording\AnswerSentence;
use Meandros\Core\Wording\EventWords;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** One call in a queue, second by second; each figure worked out by hand. */
final class QueueTraceTest extends TestCase
{
    use ToldWaits;

    /**
     * @param array<string, mixed> $queue
     * @param array<string, mixed> $state
     * @param array<string, mixed> $assume
     * @param list<string>         $told   "second words"
     */
    #[DataProvider('waits')]
    public function testWhatHappens(array $queue, array $state, array $assume, array $told): void
    {
        $plan = self::plan($queue);
        self::assertSame($told, self::told($plan, $plan->call($assume + ['queues' => [['queue' => 'que'] + $state]])));
    }

    /** @return iterable<string, array{array<string, mixed>, array<string, mixed>, array<string, mixed>, list<string>}> */
    public static function waits(): iterable
    {
        $quiet = ['announceSeconds' => 0];
        $answers = static fn(string $who, int $after): array => [
            'phones' => [['who' => $who, 'does' => 'answers', 'after' => $after]],
        ];
        $mailbox = '%d Leaves a message with mbx';
        yield 'with nothing stated everybody talks on, and the longest wait is over' => [
            ['waiting' => $quiet],
            [],
            [],
            ['0 Is let into Desk, as the first', '300 Has waited in Desk for 5 min', \sprintf($mailbox, 300)],
        ];
        // (2 + 1) × 90 ÷ 2 = 135 s.
        yield 'announcements every so often, none when the wait is over' => [
            [
                'waiting' => ['longestSeconds' => 120, 'announceSeconds' => 40, 'tellsWait' => true],
                'admission' => ['handlingSeconds' => 90],
            ],
            ['ahead' => 2],
            [],
            [
                '0 Is let into Desk, 2 ahead',
                '40 Hears: number 3, about 2 min 15 s to go',
                '80 Hears: number 3, about 2 min 15 s to go',
                '120 Has waited in Desk for 2 min',
                \sprintf($mailbox, 120),
            ],
        ];
        yield 'somebody is free and answers' => [
            ['waiting' => $quiet],
            ['free' => 0],
            $answers('ann', 4),
            ['0 Is let into Desk, as the first', '0 Rings Ann, answered after 4 s'],
        ];
        yield 'free after a while' => [
            ['waiting' => $quiet],
            ['free' => 90],
            $answers('*', 5),
            ['0 Is let into Desk, as the first', '90 Rings Ann, answered after 5 s'],
        ];
        // Ann takes those ahead at 90, 90 + 60 + 10 and 230; she is free for this call at 300.
        yield 'three ahead, the next agent free after 90 s' => [
            ['waiting' => ['longestSeconds' => 600] + $quiet, 'admission' => ['handlingSeconds' => 60]],
            ['ahead' => 3, 'free' => 90],
            $answers('*', 2),
            ['0 Is let into Desk, 3 ahead', '300 Rings Ann, answered after 2 s'],
        ];
        // Ann took the one ahead, and is free again as Ben is.
        yield 'round robin goes on after whoever took those ahead' => [
            [
                'waiting' => $quiet,
                'asking' => ['order' => 'round robin', 'notesSeconds' => 0],
                'admission' => ['handlingSeconds' => 60],
            ],
            ['ahead' => 1, 'agents' => [['who' => 'ann', 'freeAfter' => 0], ['who' => 'ben', 'freeAfter' => 60]]],
            $answers('*', 1),
            ['0 Is let into Desk, as the first', '60 Rings Ben, answered after 1 s'],
        ];
        yield 'one who does not answer pauses, and the other is asked' => [
            ['waiting' => ['longestSeconds' => 40] + $quiet, 'asking' => ['alertSeconds' => 10, 'missedSeconds' => 12]],
            [
                'agents' => [
                    ['who' => 'ann', 'freeAfter' => 0, 'idle' => 9],
                    ['who' => 'ben', 'freeAfter' => 0, 'idle' => 8],
                ],
            ],
            [],
            [
                '0 Is let into Desk, as the first',
                '0 Rings Ann for 10 s',
                '10 Rings Ben for 10 s',
                '22 Rings Ann for 10 s',
                '32 Rings Ben for 8 s',
                '40 Has waited in Desk for 40 s',
                \sprintf($mailbox, 40),
            ],
        ];
        $both = static fn(array $ann, array $ben): array => [
            'agents' => [['who' => 'ann', 'freeAfter' => 0] + $ann, ['who' => 'ben', 'freeAfter' => 0] + $ben],
        ];
        $first = static fn(string $order, array $state, string $name): array => [
            ['waiting' => $quiet, 'asking' => ['order' => $order]],
            $state,
            $answers('*', 1),
            ['0 Is let into Desk, as the first', \sprintf('0 Rings %s, answered after 1 s', $name)],
        ];
        yield 'longest idle first' => $first('longest idle first', $both(['idle' => 5], ['idle' => 6]), 'Ben');
        yield 'in order' => $first('in order', $both(['idle' => 5], ['idle' => 6]), 'Ann');
        yield 'fewest calls first' => $first('fewest calls first', $both(['calls' => 3], ['calls' => 2]), 'Ben');
        yield 'least talk time first' => $first(
            'least talk time first',
            $both(['talk' => 300], ['talk' => 299]),
            'Ben',
        );
        yield 'round robin begins at the top' => $first('round robin', $both([], []), 'Ann');
        $three = [['who' => 'ann'], ['who' => 'ben'], ['who' => 'cid']];
        $round = static fn(string $order): array => [
            'members' => $three,
            'waiting' => ['longestSeconds' => 30] + $quiet,
            'asking' => ['order' => $order, 'alertSeconds' => 10, 'missedSeconds' => 1],
        ];
        $all = ['agents' => array_map(static fn(array $one): array => $one + ['freeAfter' => 0], $three)];
        yield 'in order, whoever is free again comes first' => [
            $round('in order'),
            $all,
            [],
            [
                '0 Is let into Desk, as the first',
                '0 Rings Ann for 10 s',
                '10 Rings Ben for 10 s',
                '20 Rings Ann for 10 s',
                '30 Has waited in Desk for 30 s',
                \sprintf($mailbox, 30),
            ],
        ];
        yield 'round robin goes on' => [
            $round('round robin'),
            $all,
            [],
            [
                '0 Is let into Desk, as the first',
                '0 Rings Ann for 10 s',
                '10 Rings Ben for 10 s',
                '20 Rings Cid for 10 s',
                '30 Has waited in Desk for 30 s',
                \sprintf($mailbox, 30),
            ],
        ];
        yield 'all at once' => [
            ['waiting' => $quiet, 'asking' => ['order' => 'all at once']],
            $both([], []),
            $answers('ben', 3),
            ['0 Is let into Desk, as the first', '0 Rings Desk, answered after 3 s'],
        ];
        $tiers = ['members' => [['who' => 'ann'], ['who' => 'ben', 'tier' => 2]]];
        yield 'the second tier at once while the first is busy' => [
            $tiers + ['waiting' => $quiet],
            ['agents' => [['who' => 'ann', 'freeAfter' => null], ['who' => 'ben', 'freeAfter' => 0]]],
            $answers('*', 1),
            ['0 Is let into Desk, as the first', '0 Rings Ben, answered after 1 s'],
        ];
        yield 'or only when its time has come' => [
            $tiers + ['waiting' => $quiet, 'asking' => ['spillsOver' => false, 'widenSeconds' => 25]],
            ['agents' => [['who' => 'ann', 'freeAfter' => null], ['who' => 'ben', 'freeAfter' => 0]]],
            $answers('*', 1),
            ['0 Is let into Desk, as the first', '25 Rings Ben, answered after 1 s'],
        ];
        yield 'also after somebody was asked in vain' => [
            $tiers + [
                'waiting' => $quiet,
                'asking' => ['spillsOver' => false, 'widenSeconds' => 25, 'alertSeconds' => 10, 'missedSeconds' => 60],
            ],
            ['agents' => [['who' => 'ann', 'freeAfter' => 0], ['who' => 'ben', 'freeAfter' => 0]]],
            $answers('ben', 1),
            ['0 Is let into Desk, as the first', '0 Rings Ann for 10 s', '25 Rings Ben, answered after 1 s'],
        ];
        yield 'an announcement in the second in which asking ends' => [
            [
                'waiting' => ['longestSeconds' => 45, 'announceSeconds' => 40],
                'asking' => ['alertSeconds' => 10, 'missedSeconds' => 60],
                'members' => [['who' => 'ann']],
            ],
            ['free' => 30],
            [],
            [
                '0 Is let into Desk, as the first',
                '30 Rings Ann for 10 s',
                '40 Hears: number 1',
                '45 Has waited in Desk for 45 s',
                \sprintf($mailbox, 45),
            ],
        ];
        yield 'announcements count from the end of the introduction' => [
            ['waiting' => ['introduction' => 'prm_hello', 'longestSeconds' => 90, 'announceSeconds' => 40]],
            [],
            [],
            [
                '0 Is let into Desk, as the first',
                '0 Hears “prm_hello”',
                '44 Hears: number 1',
                '84 Hears: number 1',
                '90 Has waited in Desk for 1 min 30 s',
                \sprintf($mailbox, 90),
            ],
        ];
        yield 'the introduction is heard first' => [
            ['waiting' => ['introduction' => 'prm_hello'] + $quiet],
            ['free' => 0],
            $answers('*', 1),
            ['0 Is let into Desk, as the first', '0 Hears “prm_hello”', '4 Rings Ann, answered after 1 s'],
        ];
        yield 'nobody is signed in' => [
            [],
            ['agents' => [['who' => 'ann', 'signedIn' => false], ['who' => 'ben', 'signedIn' => false]]],
            [],
            ['0 Is not let into Desk', \sprintf($mailbox, 0)],
        ];
        yield 'let in though nobody is' => [
            ['admission' => ['needsAgent' => false], 'waiting' => ['longestSeconds' => 9] + $quiet],
            ['agents' => [['who' => 'ann', 'signedIn' => false], ['who' => 'ben', 'signedIn' => false]]],
            [],
            ['0 Is let into Desk, as the first', '9 Has waited in Desk for 9 s', \sprintf($mailbox, 9)],
        ];
        yield 'full' => [
            ['admission' => ['mostWaiting' => 4]],
            ['ahead' => 4],
            [],
            ['0 Is not let into Desk', \sprintf($mailbox, 0)],
        ];
        yield 'one place left' => [
            ['admission' => ['mostWaiting' => 4], 'waiting' => ['longestSeconds' => 9] + $quiet],
            ['ahead' => 3],
            [],
            ['0 Is let into Desk, 3 ahead', '9 Has waited in Desk for 9 s', \sprintf($mailbox, 9)],
        ];
        // (2 + 1) × 60 ÷ 2 = 90 s.
        yield 'an expected wait that is just allowed' => [
            [
                'admission' => ['mostExpectedSeconds' => 90, 'handlingSeconds' => 60],
                'waiting' => ['longestSeconds' => 9] + $quiet,
            ],
            ['ahead' => 2],
            [],
            ['0 Is let into Desk, 2 ahead', '9 Has waited in Desk for 9 s', \sprintf($mailbox, 9)],
        ];
        yield 'where somebody is free nothing is expected' => [
            ['admission' => ['mostExpectedSeconds' => 1], 'waiting' => $quiet],
            ['free' => 0],
            $answers('*', 1),
            ['0 Is let into Desk, as the first', '0 Rings Ann, answered after 1 s'],
        ];
        yield 'and a second too long' => [
            ['admission' => ['mostExpectedSeconds' => 89, 'handlingSeconds' => 60]],
            ['ahead' => 2],
            [],
            ['0 Is not let into Desk', \sprintf($mailbox, 0)],
        ];
        $key = ['longestSeconds' => 60, 'leaveKey' => '2'] + $quiet;
        yield 'a key leaves' => [
            ['waiting' => $key],
            ['leaves' => 25],
            [],
            ['0 Is let into Desk, as the first', '25 Presses 2 and leaves Desk', \sprintf($mailbox, 25)],
        ];
        yield 'also while somebody is asked' => [
            ['waiting' => $key],
            ['leaves' => 25, 'free' => 20],
            $answers('ann', 5),
            [
                '0 Is let into Desk, as the first',
                '20 Rings Ann for 5 s',
                '25 Presses 2 and leaves Desk',
                \sprintf($mailbox, 25),
            ],
        ];
        yield 'not before the introduction is over' => [
            ['waiting' => ['introduction' => 'prm_hello'] + $key],
            ['leaves' => 1],
            [],
            [
                '0 Is let into Desk, as the first',
                '0 Hears “prm_hello”',
                '4 Presses 2 and leaves Desk',
                \sprintf($mailbox, 4),
            ],
        ];
        yield 'when the wait is over, it is over' => [
            ['waiting' => $key],
            ['leaves' => 60],
            [],
            ['0 Is let into Desk, as the first', '60 Has waited in Desk for 1 min', \sprintf($mailbox, 60)],
        ];
        yield 'where no key leaves none is pressed' => [
            ['waiting' => ['longestSeconds' => 9] + $quiet],
            ['leaves' => 5],
            [],
            ['0 Is let into Desk, as the first', '9 Has waited in Desk for 9 s', \sprintf($mailbox, 9)],
        ];
        yield 'the caller gives up' => [
            ['waiting' => $quiet],
            [],
            ['patience' => 50],
            ['0 Is let into Desk, as the first', '50 The caller gives up'],
        ];
        yield 'somebody on leave is not rung' => [
            ['waiting' => ['longestSeconds' => 20] + $quiet, 'asking' => ['missedSeconds' => 60]],
            ['agents' => [['who' => 'ann', 'freeAfter' => 0], ['who' => 'ben', 'freeAfter' => null]]],
            ['statuses' => [['who' => 'ann', 'status' => 'on leave']]],
            [
                '0 Is let into Desk, as the first',
                '0 Ann: unreachable',
                '20 Has waited in Desk for 20 s',
                \sprintf($mailbox, 20),
            ],
        ];
    }

    /**
     * @param array<string, mixed> $ann
     * @param array<string, mixed> $ben
     */
    #[DataProvider('turns')]
    public function testWhyThatOneIsAskedIsTold(string $order, array $ann, array $ben, string $why): void
    {
        $plan = self::plan([
            'asking' => ['order' => $order],
            'members' => [['who' => 'ann'], ['who' => 'ben', 'tier' => 'in order' === $order ? 2 : 1]],
        ]);
        $trace = $plan->call([
            'phones' => [['who' => '*', 'does' => 'answers', 'after' => 1]],
            'queues' => [['queue' => 'que', 'agents' => [['who' => 'ann'] + $ann, ['who' => 'ben'] + $ben]]],
        ]);
        self::assertStringStartsWith(
            $why,
            (new EventWords($plan->plan()))->because($trace->passage->events[2]->happening),
        );
    }

    /** @return iterable<array{string, array<string, mixed>, array<string, mixed>, string}> */
    public static function turns(): iterable
    {
        yield [
            'longest idle first',
            ['idle' => 90],
            ['idle' => 80],
            'Of 2 who are free the one who has been idle longest, for 1 min 30 s.',
        ];
        yield [
            'fewest calls first',
            ['calls' => 3],
            ['calls' => 2],
            'Of 2 who are free the one who took the fewest calls today, 2.',
        ];
        yield [
            'least talk time first',
            ['talk' => 61],
            ['talk' => 70],
            'Of 2 who are free the one who talked least today, 1 min 1 s.',
        ];
        yield ['round robin', [], [], 'Of 2 who are free the one who comes after whoever was asked last.'];
        yield ['random', [], [], 'Of 2 who are free the one who is drawn by the seed.'];
        yield ['all at once', [], [], 'All 2 who are free.'];
        yield ['in order', ['freeAfter' => null], [], 'The only one who is free, of tier 2.'];
        yield ['longest idle first', ['freeAfter' => null], [], 'The only one who is free.'];
    }

    public function testAWaitCountsFromWhereItBegins(): void
    {
        $queue = ['longestSeconds' => 20, 'announceSeconds' => 0, 'leaveKey' => '1'];
        $plan = self::plan(['waiting' => $queue])->journey('jrn_main', [
            ['id' => 'say', 'do' => 'say', 'prompt' => 'prm_hello'],
            ['id' => 'wait', 'do' => 'queue', 'queue' => 'que'],
        ]);
        $words = new EventWords($plan->plan());
        $last = static function (array $state) use ($plan, $words): array {
            $event = \array_slice($plan->call(['queues' => [['queue' => 'que'] + $state]])->passage->events, -2)[0];

            return [$event->second, $words->what($event->happening), $words->because($event->happening)];
        };
        self::assertSame(
            [24, 'Has waited in Desk for 20 s', 'Nobody took the call, and nobody may wait for longer.'],
            $last([]),
        );
        self::assertSame([14, 'Presses 1 and leaves Desk', 'After 10 s of waiting.'], $last(['leaves' => 10]));
    }

    public function testWhoIsSignedInLiveIsAskedWhereNothingIsStated(): void
    {
        $plan = self::plan(['waiting' => ['longestSeconds' => 30, 'announceSeconds' => 0]]);
        $told = static function (array $signIns, array $state) use ($plan): array {
            $assume = Assumptions::fromData([
                'queues' => [['queue' => 'que'] + $state],
                'phones' => [['who' => '*', 'does' => 'answers', 'after' => 1]],
            ]);

            return self::told(
                $plan,
                (new Router())->trace(
                    $plan->plan(),
                    PlanBuilder::trial('2026-11-23T10:30'),
                    $assume,
                    new LiveState(signIns: ['que' => $signIns]),
                ),
            );
        };
        self::assertSame('0 Rings Ben, answered after 1 s', $told(['ann' => SignIn::Out], ['free' => 0])[1]);
        self::assertSame('0 Rings Ben, answered after 1 s', $told(['ann' => SignIn::Paused], ['free' => 0])[1]);
        self::assertSame(
            '0 Is not let into Desk',
            $told(['ann' => SignIn::Out, 'ben' => SignIn::Out], ['free' => 0])[0],
        );
        self::assertSame(
            '0 Is let into Desk, as the first',
            $told(['ann' => SignIn::Out, 'ben' => SignIn::Paused], ['free' => 0])[0],
            'Whoever is in a pause is signed in.',
        );
        self::assertSame(
            '0 Rings Ann, answered after 1 s',
            $told(['ann' => SignIn::Out], ['agents' => [['who' => 'ann']]])[1],
            'What is stated counts.',
        );
    }

    public function testANumberCanLeadToAQueue(): void
    {
        $plan = self::plan(['waiting' => ['announceSeconds' => 0]])->with([
            'id' => 'num_desk',
            'kind' => 'number',
            'name' => 'Desk',
            'number' => '+441632960150',
            'site' => 'sit_harbour',
            'language' => 'en',
            'target' => 'que',
        ]);
        $trace = $plan->call(
            [
                'queues' => [['queue' => 'que', 'free' => 0]],
                'phones' => [['who' => '*', 'does' => 'answers', 'after' => 3]],
            ],
            to: '+441632960150',
        );
        self::assertSame(
            'Waits in Desk, rings Ann and is answered after 3 s, then talks to Ann.',
            AnswerSentence::of($trace, $plan->plan()),
        );
    }

    /** @param array<string, mixed> $assume */
    #[DataProvider('absurd')]
    public function testStatesThatCannotBeAreRefused(array $assume, string $pointer): void
    {
        try {
            Assumptions::fromData(['queues' => [$assume + ['queue' => 'que']]]);
            self::fail();
        } catch (InvalidData $invalid) {
            self::assertSame($pointer, $invalid->problems[0]->pointer);
        }
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function absurd(): iterable
    {
        yield 'fewer than nobody ahead' => [['ahead' => -1], '/queues/0/ahead'];
        yield 'idle since tomorrow' => [['agents' => [['who' => 'ann', 'idle' => -86400]]], '/queues/0/agents/0/idle'];
        yield 'the same agent twice' => [['agents' => [['who' => 'ann'], ['who' => 'ann']]], '/queues/0/agents/1/who'];
        yield 'free before now' => [['free' => -5], '/queues/0/free'];
    }
}
