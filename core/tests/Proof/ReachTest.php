<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Proof;

use Meandros\Core\Proof\Reach;
use Meandros\Core\Tests\PlanBuilder;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What calls come to at most: a queue or phones that ring count before what ends them. */
final class ReachTest extends TestCase
{
    /**
     * @param list<array<string, mixed>> $steps
     * @param array<string, mixed>       $assume
     */
    #[DataProvider('calls')]
    public function testWhatItComesTo(Reach $reach, bool $isSomebody, array $steps, array $assume = []): void
    {
        $plan = (new PlanBuilder())
            ->person('ann')
            ->prompt('prm', 4)
            ->mailbox('mbx')
            ->with([
                'id' => 'silent',
                'kind' => 'mailbox',
                'name' => 'Silent',
                'owners' => [],
                'greeting' => 'prm',
                'takesMessages' => false,
            ])
            ->with(['id' => 'que', 'kind' => 'queue', 'name' => 'Queue', 'members' => [['who' => 'ann', 'tier' => 1]]])
            ->journey('jrn_main', $steps);
        self::assertSame($reach, $found = Reach::of($plan->call($assume)));
        self::assertSame($isSomebody, $found->isSomebody());
    }

    /** @return iterable<string, array{0: Reach, 1: bool, 2: list<array<string, mixed>>, 3?: array<string, mixed>}> */
    public static function calls(): iterable
    {
        $ring = ['id' => 's1', 'do' => 'ring', 'target' => 'ann', 'seconds' => 20];
        $queue = ['id' => 's2', 'do' => 'queue', 'queue' => 'que'];
        $message = ['id' => 's3', 'do' => 'message', 'mailbox' => 'mbx'];
        $busy = ['phones' => [['who' => 'ann', 'does' => 'busy']]];
        yield 'a queue that waits in vain, then a message' => [
            Reach::Queue,
            true,
            [$queue, $message],
            ['queues' => [['queue' => 'que']]],
        ];
        yield 'nobody is signed in' => [
            Reach::Message,
            false,
            [$queue, $message],
            ['queues' => [['queue' => 'que', 'agents' => [['who' => 'ann', 'signedIn' => false]]]]],
        ];
        yield 'no queue was chosen' => [Reach::Message, false, [['queue' => null] + $queue, $message]];
        yield 'a phone rings' => [Reach::Person, true, [$ring, $message]];
        yield 'none does' => [Reach::Message, false, [$ring, $message], $busy];
        yield 'sent on outside' => [
            Reach::Outside,
            true,
            [['id' => 's1', 'do' => 'forward', 'number' => '+441632960987']],
        ];
        yield 'an announcement' => [Reach::Announcement, false, [['mailbox' => 'silent'] + $message]];
        yield 'a fax' => [
            Reach::Message,
            false,
            [['id' => 's1', 'do' => 'fax', 'mailbox' => 'mbx', 'seconds' => 5]],
            ['fax' => true],
        ];
        yield 'nothing' => [Reach::Nobody, false, []];
    }
}
