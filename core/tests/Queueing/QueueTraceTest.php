<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Queueing;

use Meandros\Core\Call\Assumptions;
use Meandros\Core\Reading\InvalidData;
use Meandros\Core\Routing\Event;
use Meandros\Core\Routing\Trace;
use Meandros\Core\Tests\PlanBuilder;
use Meandros\Core\Wording\AnswerSentence;
use Meandros\Core\Wording\EventWords;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** One call in a queue, second by second; each figure worked out by hand. */
final class QueueTraceTest extends TestCase
{
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
        $answers = static fn (string $who, int $after): array => ['phones' => [['who' => $who, 'does' => 'answers', 'after' => $after]]];
        $mailbox = '%d Leaves a message with mbx';
        yield 'with nothing stated everybody talks on, and the longest wait is over' => [['waiting' => $quiet], [], [], ['0 Is let into Desk, as the first', '300 Has waited in Desk for 5 min', \sprintf($mailbox, 300)]];
        // (2 + 1) × 90 ÷ 2 = 135 s.
        yield 'announcements every so often, none when the wait is over' => [['waiting' => ['longestSeconds' => 120, 'announceSeconds' => 40, 'tellsWait' => true], 'admission' => ['handlingSeconds' => 90]], ['ahead' => 2], [], [
            '0 Is let into Desk, 2 ahead', '40 Hears: number 3, about 2 min 15 s to go', '80 Hears: number 3, about 2 min 15 s to go', '120 Has waited in Desk for 2 min', \sprintf($mailbox, 120),
        ]];
        yield 'somebody is free and answers' => [['waiting' => $quiet], ['free' => 0], $answers('ann', 4), ['0 Is let into Desk, as the first', '0 Rings Ann, answered after 4 s']];
        yield 'free after a while' => [['waiting' => $quiet], ['free' => 90], $answers('*', 5), ['0 Is let into Desk, as the first', '90 Rings Ann, answered after 5 s']];
        // Ann takes those ahead at 90, 90 + 60 + 10 and 230; she is free for this call at 300.
        yield 'three ahead, the next agent free after 90 s' => [['waiting' => ['longestSeconds' => 600] + $quiet, 'admission' => ['handlingSeconds' => 60]], ['ahead' => 3, 'free' => 90], $answers('*', 2), ['0 Is let into Desk, 3 ahead', '300 Rings Ann, answered after 2 s']];
        yield 'one who does not answer pauses, and the other is asked' => [
            ['waiting' => ['longestSeconds' => 40] + $quiet, 'asking' => ['alertSeconds' => 10, 'missedSeconds' => 12]],
            ['agents' => [['who' => 'ann', 'freeAfter' => 0, 'idle' => 9], ['who' => 'ben', 'freeAfter' => 0, 'idle' => 8]]], [],
            ['0 Is let into Desk, as the first', '0 Rings Ann for 10 s', '10 Rings Ben for 10 s', '22 Rings Ann for 10 s', '32 Rings Ben for 8 s', '40 Has waited in Desk for 40 s', \sprintf($mailbox, 40)],
        ];
        $both = static fn (array $ann, array $ben): array => ['agents' => [['who' => 'ann', 'freeAfter' => 0] + $ann, ['who' => 'ben', 'freeAfter' => 0] + $ben]];
        $first = static fn (string $order, array $state, string $name): array => [['waiting' => $quiet, 'asking' => ['order' => $order]], $state, $answers('*', 1), ['0 Is let into Desk, as the first', \sprintf('0 Rings %s, answered after 1 s', $name)]];
        yield 'longest idle first' => $first('longest idle first', $both(['idle' => 5], ['idle' => 6]), 'Ben');
        yield 'in order' => $first('in order', $both(['idle' => 5], ['idle' => 6]), 'Ann');
        yield 'fewest calls first' => $first('fewest calls first', $both(['calls' => 3], ['calls' => 2]), 'Ben');
        yield 'least talk time first' => $first('least talk time first', $both(['talk' => 300], ['talk' => 299]), 'Ben');
        yield 'round robin begins at the top' => $first('round robin', $both([], []), 'Ann');
        yield 'all at once' => [['waiting' => $quiet, 'asking' => ['order' => 'all at once']], $both([], []), $answers('ben', 3), ['0 Is let into Desk, as the first', '0 Rings Desk, answered after 3 s']];
        $tiers = ['members' => [['who' => 'ann'], ['who' => 'ben', 'tier' => 2]]];
        yield 'the second tier at once while the first is busy' => [$tiers + ['waiting' => $quiet], ['agents' => [['who' => 'ann', 'freeAfter' => null], ['who' => 'ben', 'freeAfter' => 0]]], $answers('*', 1), ['0 Is let into Desk, as the first', '0 Rings Ben, answered after 1 s']];
        yield 'or only when its time has come' => [$tiers + ['waiting' => $quiet, 'asking' => ['spillsOver' => false, 'widenSeconds' => 25]], ['agents' => [['who' => 'ann', 'freeAfter' => null], ['who' => 'ben', 'freeAfter' => 0]]], $answers('*', 1), ['0 Is let into Desk, as the first', '25 Rings Ben, answered after 1 s']];
        yield 'the introduction is heard first' => [['waiting' => ['introduction' => 'prm_hello'] + $quiet], ['free' => 0], $answers('*', 1), ['0 Is let into Desk, as the first', '0 Hears “prm_hello”', '4 Rings Ann, answered after 1 s']];
        yield 'nobody is signed in' => [[], ['agents' => [['who' => 'ann', 'signedIn' => false], ['who' => 'ben', 'signedIn' => false]]], [], ['0 Is not let into Desk', \sprintf($mailbox, 0)]];
        yield 'let in though nobody is' => [['admission' => ['needsAgent' => false], 'waiting' => ['longestSeconds' => 9] + $quiet], ['agents' => [['who' => 'ann', 'signedIn' => false], ['who' => 'ben', 'signedIn' => false]]], [], ['0 Is let into Desk, as the first', '9 Has waited in Desk for 9 s', \sprintf($mailbox, 9)]];
        yield 'full' => [['admission' => ['mostWaiting' => 4]], ['ahead' => 4], [], ['0 Is not let into Desk', \sprintf($mailbox, 0)]];
        yield 'one place left' => [['admission' => ['mostWaiting' => 4], 'waiting' => ['longestSeconds' => 9] + $quiet], ['ahead' => 3], [], ['0 Is let into Desk, 3 ahead', '9 Has waited in Desk for 9 s', \sprintf($mailbox, 9)]];
        // (2 + 1) × 60 ÷ 2 = 90 s.
        yield 'an expected wait that is just allowed' => [['admission' => ['mostExpectedSeconds' => 90, 'handlingSeconds' => 60], 'waiting' => ['longestSeconds' => 9] + $quiet], ['ahead' => 2], [], ['0 Is let into Desk, 2 ahead', '9 Has waited in Desk for 9 s', \sprintf($mailbox, 9)]];
        yield 'and a second too long' => [['admission' => ['mostExpectedSeconds' => 89, 'handlingSeconds' => 60]], ['ahead' => 2], [], ['0 Is not let into Desk', \sprintf($mailbox, 0)]];
        yield 'the caller gives up' => [['waiting' => $quiet], [], ['patience' => 50], ['0 Is let into Desk, as the first', '50 The caller gives up']];
        yield 'somebody on leave is not rung' => [['members' => [['who' => 'ann']], 'waiting' => ['longestSeconds' => 20] + $quiet, 'asking' => ['missedSeconds' => 60]], ['free' => 0], ['statuses' => [['who' => 'ann', 'status' => 'on leave']]], ['0 Is let into Desk, as the first', '0 Ann: unreachable', '20 Has waited in Desk for 20 s', \sprintf($mailbox, 20)]];
    }

    public function testANumberCanLeadToAQueue(): void
    {
        $plan = self::plan(['waiting' => ['announceSeconds' => 0]])->with(['id' => 'num_desk', 'kind' => 'number', 'name' => 'Desk', 'number' => '+441632960150', 'site' => 'sit_harbour', 'language' => 'en', 'target' => 'que']);
        $trace = $plan->call(['queues' => [['queue' => 'que', 'free' => 0]], 'phones' => [['who' => '*', 'does' => 'answers', 'after' => 3]]], to: '+441632960150');
        self::assertSame('Waits in Desk, rings Ann and is answered after 3 s, then talks to Ann.', AnswerSentence::of($trace, $plan->plan()));
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

    /** @param array<string, mixed> $queue */
    private static function plan(array $queue): PlanBuilder
    {
        return (new PlanBuilder())->person('ann')->person('ben')->prompt('prm_hello', 4)->mailbox('mbx')
            ->with($queue + ['id' => 'que', 'kind' => 'queue', 'name' => 'Desk', 'members' => [['who' => 'ann'], ['who' => 'ben']]])
            ->journey('jrn_main', [['id' => 'wait', 'do' => 'queue', 'queue' => 'que'], ['id' => 'message', 'do' => 'message', 'mailbox' => 'mbx']]);
    }

    /** @return list<string> */
    private static function told(PlanBuilder $plan, Trace $trace): array
    {
        $words = new EventWords($plan->plan());

        return array_values(array_map(static fn (Event $event): string => $event->second.' '.$words->what($event->happening), \array_slice($trace->events, 1, 'answered' === $trace->ending->kind->value ? -1 : ('message' === $trace->ending->kind->value ? -1 : null))));
    }
}
