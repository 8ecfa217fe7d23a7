<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Check;

use Meandros\Core\Check\Checks;
use Meandros\Core\Tests\PlanBuilder;
use Meandros\Core\Wording\FindingWords;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class FindingsTest extends TestCase
{
    #[DataProvider('findings')]
    public function testWhatCallersWouldNotWantIsFound(
        PlanBuilder $plan,
        string $id,
        string $pointer,
        bool $blocks,
        string $words,
    ): void {
        $found = array_values(
            array_filter(Checks::in($plan->plan()), static fn($finding): bool => $finding->element->id() === $id),
        );
        self::assertCount(1, $found);
        self::assertSame([$pointer, $blocks], [$found[0]->pointer, $found[0]->blocksPublishing]);
        self::assertStringContainsString($words, FindingWords::message($found[0]));
        self::assertNotSame('', FindingWords::remedy($found[0]));
    }

    /** @return iterable<string, array{PlanBuilder, string, string, bool, string}> */
    public static function findings(): iterable
    {
        $steps = static fn(array ...$steps): PlanBuilder => (new PlanBuilder())
            ->prompt('prm_hello', 2)
            ->mailbox('mbx_main')
            ->hours('hrs', [])
            ->journey('jrn_main', array_values($steps));
        $number = [
            'id' => 'num_two',
            'kind' => 'number',
            'name' => 'Two',
            'number' => '+441632960102',
            'site' => 'sit_harbour',
            'language' => 'en',
            'target' => null,
        ];
        yield 'a number that leads nowhere' => [
            (new PlanBuilder())->with($number),
            'num_two',
            '/target',
            true,
            'lead nowhere',
        ];
        yield 'a calendar without a holiday' => [
            (new PlanBuilder())->with(['id' => 'cal_none', 'kind' => 'calendar', 'name' => 'None', 'holidays' => []]),
            'cal_none',
            '/holidays',
            false,
            'no holiday',
        ];
        yield 'a person without a phone' => [
            (new PlanBuilder())->person('dana', []),
            'dana',
            '/phones',
            false,
            'no phone',
        ];
        yield 'a team without members' => [
            (new PlanBuilder())->team('team_two', []),
            'team_two',
            '/members',
            false,
            'Nobody is in this team',
        ];
        $queue = static fn(array $members, array $more = []): PlanBuilder => (new PlanBuilder())
            ->person('dana')
            ->with($more + ['id' => 'que', 'kind' => 'queue', 'name' => 'Queue', 'members' => $members])
            ->journey('jrn_main', [] === $more ? [['id' => 'wait', 'do' => 'queue', 'queue' => 'que']] : []);
        yield 'a queue that nobody reaches' => [
            $queue([['who' => 'dana']], ['promise' => []]),
            'que',
            '/name',
            false,
            'No call comes here',
        ];
        yield 'a queue that is only expected to be reached' => [
            $queue([['who' => 'dana']], ['promise' => []])->with([
                'id' => 'exp',
                'kind' => 'expectation',
                'name' => 'It rings',
                'promise' => ['that' => 'rings', 'who' => 'que', 'within' => 40],
            ]),
            'que',
            '/name',
            false,
            'No call comes here',
        ];
        yield 'a queue without agents' => [$queue([]), 'que', '/members', false, 'Nobody takes calls'];
        yield 'a queue in which everybody is off' => [
            $queue([['who' => 'dana', 'on' => false]]),
            'que',
            '/members',
            false,
            'Everybody in this queue is off',
        ];
        yield 'a prompt without words' => [
            (new PlanBuilder())->prompt('prm_none', 0),
            'prm_none',
            '/scripts',
            false,
            'no words',
        ];
        yield 'a step without a prompt' => [
            $steps(['id' => 's1', 'do' => 'say', 'prompt' => null]),
            'jrn_main',
            '/steps/0/prompt',
            true,
            'no prompt yet',
        ];
        yield 'a step without hours' => [
            $steps(['id' => 's1', 'do' => 'hours', 'hours' => null, 'exits' => []]),
            'jrn_main',
            '/steps/0/hours',
            true,
            'no hours yet',
        ];
        yield 'a step without anybody to ring' => [
            $steps(['id' => 's1', 'do' => 'ring', 'target' => null, 'seconds' => 5, 'exits' => []]),
            'jrn_main',
            '/steps/0/target',
            true,
            'no one to ring yet',
        ];
        yield 'a step without a mailbox' => [
            $steps(['id' => 's1', 'do' => 'message', 'mailbox' => null]),
            'jrn_main',
            '/steps/0/mailbox',
            true,
            'no mailbox yet',
        ];
        yield 'a step without a journey' => [
            $steps(['id' => 's1', 'do' => 'go', 'journey' => null]),
            'jrn_main',
            '/steps/0/journey',
            true,
            'no journey yet',
        ];
        yield 'a menu without keys' => [
            $steps(['id' => 's1', 'do' => 'menu', 'prompt' => 'prm_hello', 'wait' => 5, 'tries' => 1, 'exits' => []]),
            'jrn_main',
            '/steps/0/exits',
            false,
            'no key that leads anywhere',
        ];
        yield 'an exit for a state that is not there' => [
            $steps([
                'id' => 's1',
                'do' => 'hours',
                'hours' => 'hrs',
                'exits' => [['on' => 'storm', 'label' => '', 'steps' => []]],
            ]),
            'jrn_main',
            '/steps/0/exits/0',
            true,
            'no state “storm”',
        ];
        $quiet = [
            'id' => 'num_quiet',
            'kind' => 'number',
            'name' => 'Old line',
            'number' => '+441632960199',
            'site' => 'sit_harbour',
            'language' => 'en',
            'target' => 'jrn_front',
            'tellsCaller' => false,
        ];
        $ext = static fn(string $extension): array => [
            'id' => 'dana',
            'kind' => 'person',
            'name' => 'Dana',
            'extension' => $extension,
            'site' => 'sit_harbour',
            'phones' => [['id' => 'desk', 'type' => 'desk', 'label' => 'Desk']],
        ];
        yield 'a key with which an extension begins' => [
            $steps([
                'id' => 's1',
                'do' => 'menu',
                'prompt' => 'prm_hello',
                'dial' => ['digitSeconds' => 2],
                'exits' => [['on' => '1', 'steps' => []], ['on' => '2', 'steps' => []]],
            ])->with($ext('201')),
            'jrn_main',
            '/steps/0/dial',
            false,
            'Whoever presses 2 waits for 2 s',
        ];
        yield 'callers whom a line does not tell' => [
            $steps(['id' => 's1', 'do' => 'caller', 'exits' => [['on' => 'clr', 'steps' => []]]])
                ->with(['id' => 'clr', 'kind' => 'callers', 'name' => 'Known', 'entries' => 'GB'])
                ->with($quiet)
                ->journey('jrn_front', [['id' => 's1', 'do' => 'go', 'journey' => 'jrn_main']]),
            'jrn_main',
            '/steps/0',
            false,
            'The line of “Old line” delivers no numbers of callers',
        ];
        yield 'a step that no call can come to' => [
            $steps(['id' => 's1', 'do' => 'message', 'mailbox' => 'mbx_main'], ['id' => 's2', 'do' => 'end']),
            'jrn_main',
            '/steps/1',
            false,
            'No call can come here',
        ];
        $queues = static fn(array ...$steps): PlanBuilder => (new PlanBuilder())
            ->person('dana')
            ->mailbox('mbx')
            ->hours('hrs_day', [['days' => ['mo', 'tu'], 'from' => '09:00', 'to' => '17:00', 'state' => 'open']])
            ->hours('hrs_short', [['days' => ['mo', 'tu'], 'from' => '09:00', 'to' => '16:00', 'state' => 'open']])
            ->with(['id' => 'que', 'kind' => 'queue', 'name' => 'Queue', 'members' => [['who' => 'dana']]])
            ->journey('jrn_main', array_values($steps));
        $wait = static fn(string $id): array => ['id' => $id, 'do' => 'queue', 'queue' => 'que'];
        $closes = static fn(string $hours, string $id, array $exit): array => [
            'id' => $id,
            'do' => 'hours',
            'hours' => $hours,
            'exits' => [['on' => 'closed', 'steps' => $exit]],
        ];
        $message = static fn(string $id): array => ['id' => $id, 'do' => 'message', 'mailbox' => 'mbx'];
        yield 'an overflow that comes back' => [
            $queues($wait('s1'), ['id' => 's2', 'do' => 'go', 'journey' => 'jrn_two'])->journey('jrn_two', [
                ['id' => 's1', 'do' => 'ring', 'target' => 'dana', 'seconds' => 20],
                ['id' => 's2', 'do' => 'go', 'journey' => 'jrn_main'],
            ]),
            'jrn_main',
            '/steps/0',
            false,
            'Queue → Dana → Queue',
        ];
        yield 'an overflow into something closed' => [
            $queues(
                $closes('hrs_day', 's1', [$message('s2')]),
                $wait('s3'),
                $closes('hrs_short', 's4', [['id' => 's5', 'do' => 'end']]),
                $message('s6'),
            ),
            'jrn_main',
            '/steps/1',
            false,
            'come to “hrs_short”, which is closed then: for instance on Monday at 16:00',
        ];
        yield 'an empty list of callers' => [
            (new PlanBuilder())->with(['id' => 'clr', 'kind' => 'callers', 'name' => 'Nobody', 'entries' => []]),
            'clr',
            '/entries',
            false,
            'Nobody is in this list',
        ];
        $list = static fn(string $id, string ...$matches): array => [
            'id' => $id,
            'kind' => 'callers',
            'name' => $id,
            'entries' => array_map(static fn(string $match): array => ['match' => $match], array_values($matches)),
        ];
        yield 'a caller in two lists' => [
            (new PlanBuilder())
                ->with($list('clr_one', '+441632960999', 'GB'))
                ->with($list('clr_two', 'FR', 'GB'))
                ->journey('jrn_main', [
                    ['id' => 's1', 'do' => 'caller', 'exits' => [['on' => 'clr_one'], ['on' => 'clr_two']]],
                ]),
            'jrn_main',
            '/steps/0/exits/1',
            false,
            'GB of “clr_two” is in “clr_one” too',
        ];
        yield 'a step without lists' => [
            $steps(['id' => 's1', 'do' => 'caller']),
            'jrn_main',
            '/steps/0/callers',
            true,
            'no list of callers yet',
        ];
        yield 'deep inside' => [
            $steps([
                'id' => 's1',
                'do' => 'ring',
                'target' => '+447700900123',
                'seconds' => 5,
                'exits' => [
                    ['on' => 'busy', 'label' => '', 'steps' => [['id' => 's2', 'do' => 'say', 'prompt' => null]]],
                ],
            ]),
            'jrn_main',
            '/steps/0/exits/0/steps/0/prompt',
            true,
            'no prompt yet',
        ];
    }

    /** @param list<string> $sites of those who are in the plan */
    #[TestWith([['sit_harbour'], false])]
    #[TestWith([['sit_office'], true])]
    #[TestWith([[], true])]
    public function testWhoeverIsAtTheSiteMayBeDialled(array $sites, bool $isFound): void
    {
        $plan = (new PlanBuilder())
            ->with([
                'id' => 'sit_office',
                'kind' => 'site',
                'name' => 'Office',
                'zone' => 'Europe/London',
                'country' => 'GB',
                'language' => 'en',
            ])
            ->journey('jrn_main', [
                [
                    'id' => 's1',
                    'do' => 'menu',
                    'prompt' => null,
                    'dial' => ['scope' => 'site', 'site' => 'sit_harbour'],
                ],
            ]);
        $ann = (new PlanBuilder())->person('ann')->element('ann');
        foreach ($sites as $site) {
            $plan = $plan->with(['site' => $site, 'extension' => '201'] + $ann);
        }
        self::assertSame($isFound, \in_array('dials-nobody', array_column(Checks::in($plan->plan()), 'code'), true));
    }

    public function testAFinishedPlanHasNone(): void
    {
        $plan = (new PlanBuilder())
            ->prompt('prm_hello', 2)
            ->journey('jrn_main', [
                ['id' => 's1', 'do' => 'say', 'prompt' => 'prm_hello'],
                ['id' => 's2', 'do' => 'end'],
            ]);
        self::assertSame([], Checks::in($plan->plan()));
    }
}
