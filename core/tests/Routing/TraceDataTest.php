<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Routing;

use Meandros\Core\Call\Assumptions;
use Meandros\Core\Live\LiveState;
use Meandros\Core\Routing\Event;
use Meandros\Core\Routing\Router;
use Meandros\Core\Routing\Trace;
use Meandros\Core\Tests\PlanBuilder;
use Meandros\Core\Time\ForcedBy;
use Meandros\Core\Time\Moment;
use Meandros\Core\Time\Override;
use PHPUnit\Framework\TestCase;

/** A trace is data: what each happening says of itself, field by field. */
final class TraceDataTest extends TestCase
{
    public function testEveryHappeningOfACall(): void
    {
        $trace = (new Router())->trace(
            self::builder()->plan(),
            PlanBuilder::trial('2026-11-23T10:00'),
            Assumptions::fromData([
                'keys' => ['5', '1'],
                'phones' => [['who' => 'ann/mobile', 'does' => 'answers', 'after' => 6]],
            ]),
            self::storm(),
        );
        self::assertSame(
            [
                [
                    0,
                    'dialled',
                    ['element' => 'num_main'],
                    [
                        'target' => 'jrn_main',
                        'hidesCaller' => false,
                        'isTried' => false,
                        'block' => null,
                        'keptUntil' => null,
                    ],
                ],
                [
                    0,
                    'said',
                    ['prompt' => 'prm_hello', 'language' => 'en', 'seconds' => 4, 'filled' => []],
                    ['wantedLanguage' => 'en', 'toTheEnd' => true, 'ringing' => 0, 'lengthFrom' => 'words'],
                ],
                [
                    4,
                    'hours',
                    ['hours' => 'hrs', 'state' => 'lunch'],
                    [
                        'decision' => [
                            'by' => 'override',
                            'date' => '2026-11-23',
                            'band' => null,
                            'name' => 'Storm',
                            'source' => 'ovr_1',
                            'of' => 'Dana',
                            'season' => null,
                        ],
                        'hasExit' => true,
                        'since' => '2026-11-23T09:30:00+00:00',
                        'until' => '2026-11-23T11:00:00+00:00',
                    ],
                ],
                [
                    4,
                    'wrong key',
                    [
                        'prompt' => 'prm_hello',
                        'language' => 'en',
                        'seconds' => 4,
                        'filled' => [],
                        'key' => '5',
                        'said' => null,
                    ],
                    ['wait' => 5, 'try' => 1, 'tries' => 2, 'at' => 4, 'more' => 0, 'understood' => null],
                ],
                [
                    8,
                    'key pressed',
                    [
                        'prompt' => 'prm_hello',
                        'language' => 'en',
                        'seconds' => 4,
                        'filled' => [],
                        'key' => '1',
                        'said' => null,
                    ],
                    ['wait' => 5, 'try' => 2, 'tries' => 2, 'at' => 4, 'more' => 0, 'understood' => null],
                ],
                [12, 'went', ['journey' => 'jrn_ring'], ['comesBack' => false]],
                [
                    12,
                    'answered',
                    ['target' => 'ann', 'seconds' => 19, 'exit' => null],
                    [
                        'rule' => 'two',
                        'status' => 'available',
                        'considered' => [
                            ['rule' => 'one', 'name' => 'One', 'why' => 'somebody else calls'],
                            ['rule' => 'two', 'name' => 'Two', 'why' => null],
                        ],
                        'turn' => null,
                        'limit' => 30,
                        'phones' => [
                            [
                                'phone' => 'ann/desk',
                                'person' => 'ann',
                                'label' => 'Desk',
                                'type' => 'desk',
                                'from' => 12,
                                'rings' => 12,
                                'until' => 22,
                                'outcome' => 'not answered',
                                'askedAt' => null,
                                'ownMailbox' => null,
                                'line' => null,
                                'dials' => '',
                                'shows' => null,
                            ],
                            [
                                'phone' => 'ann/mobile',
                                'person' => 'ann',
                                'label' => 'Mobile',
                                'type' => 'outside',
                                'from' => 17,
                                'rings' => 20,
                                'until' => 31,
                                'outcome' => 'answered',
                                'askedAt' => 27,
                                'ownMailbox' => 20,
                                'line' => 'line_quay',
                                'dials' => '907700900101',
                                'shows' => 'num_main',
                            ],
                        ],
                    ],
                ],
                [
                    31,
                    'answered',
                    ['kind' => 'answered', 'who' => 'ann', 'phone' => 'ann/mobile'],
                    ['lastStep' => 'ring', 'stop' => null, 'limit' => null],
                ],
            ],
            self::data($trace),
        );
        self::assertSame(
            [
                ['jrn_main', 'hello', 0, 4, null, false],
                ['jrn_main', 'look', 4, 4, 'lunch', true],
                ['jrn_main', 'menu', 4, 12, '1', true],
                ['jrn_main', 'go', 12, 12, null, false],
                ['jrn_ring', 'ring', 12, 31, null, false],
            ],
            array_map(static fn($visit): array => array_values($visit->toJson()), $trace->passage->visits),
        );
    }

    public function testAStepInWhichTheCallerGivesUpIsLeftByNoExit(): void
    {
        $last = static function (array $assume): array {
            $visits = self::builder()->call($assume)->passage->visits;

            return \array_slice(array_values($visits[\count($visits) - 1]->toJson()), 1);
        };
        self::assertSame(['hello', 0, 3, null, false], $last(['patience' => 3]));
        self::assertSame(['look', 4, 4, 'closed', false], $last([]), 'There are no steps for it.');
    }

    public function testWhatIsMissingIsSaid(): void
    {
        $trace = (new PlanBuilder())
            ->journey('jrn_main', [
                ['id' => 'say', 'do' => 'say', 'prompt' => null],
                ['id' => 'look', 'do' => 'hours', 'hours' => null],
                ['id' => 'ring', 'do' => 'ring', 'target' => null],
                ['id' => 'leave', 'do' => 'message', 'mailbox' => null],
                ['id' => 'go', 'do' => 'go', 'journey' => null],
            ])
            ->call();
        self::assertSame(
            [
                ['said', ['wantedLanguage' => 'en', 'toTheEnd' => true, 'ringing' => 0, 'lengthFrom' => 'words']],
                ['hours', ['missing' => 'hours']],
                [
                    'not answered',
                    [
                        'rule' => null,
                        'status' => null,
                        'considered' => [],
                        'turn' => null,
                        'limit' => 20,
                        'phones' => [],
                    ],
                ],
                ['message', ['missing' => 'mailbox']],
                ['went', ['missing' => 'journey']],
                ['ran out of steps', ['lastStep' => 'go', 'stop' => null, 'limit' => null]],
            ],
            array_map(static fn(array $one): array => [$one[1], $one[3]], \array_slice(self::data($trace), 1)),
        );
    }

    public function testAMessageWithTheGreetingOfARule(): void
    {
        $trace = self::builder()
            ->journey('jrn_main', [
                ['id' => 'ring', 'do' => 'ring', 'target' => 'ben', 'handOver' => true, 'seconds' => 5],
            ])
            ->with([
                'id' => 'ben',
                'kind' => 'person',
                'name' => 'Ben',
                'extension' => '',
                'site' => 'sit_harbour',
                'phones' => [],
                'rules' => [
                    [
                        'id' => 'on',
                        'name' => 'On',
                        'next' => ['nobody' => 'mbx'],
                        'greetings' => ['nobody' => 'prm_hello'],
                    ],
                ],
            ])
            ->call();
        self::assertSame(
            [
                [
                    0,
                    'message',
                    [
                        'mailbox' => 'mbx',
                        'greeting' => 'prm_hello',
                        'language' => 'en',
                        'seconds' => 4,
                        'filled' => [],
                        'beeps' => true,
                        'announcement' => false,
                    ],
                    ['greetingFor' => 'rule', 'lengthFrom' => 'words'],
                ],
                [
                    4,
                    'message',
                    ['kind' => 'message', 'who' => 'mbx', 'phone' => null],
                    ['lastStep' => 'ring', 'stop' => null, 'limit' => null],
                ],
            ],
            \array_slice(self::data($trace), 1),
        );
    }

    public function testWhomARulePassesCallsToIsTold(): void
    {
        $trace = self::builder()
            ->person('cid')
            ->team('pair', ['cid'])
            ->journey('jrn_main', [
                ['id' => 'ring', 'do' => 'ring', 'target' => 'ben', 'handOver' => true, 'seconds' => 5],
            ])
            ->with([
                'id' => 'ben',
                'kind' => 'person',
                'name' => 'Ben',
                'extension' => '',
                'site' => 'sit_harbour',
                'phones' => [],
                'rules' => [['id' => 'on', 'name' => 'On', 'next' => ['nobody' => 'pair']]],
            ])
            ->call();
        self::assertSame(
            [0, 'not answered', ['target' => 'pair', 'seconds' => 25, 'exit' => 'nobody']],
            \array_slice(self::data($trace)[1], 0, 3),
        );
    }

    public function testLimitsAndLoopsSayWhy(): void
    {
        $last = static fn(Trace $trace): array => [
            $trace->seconds,
            ...\array_slice(self::data($trace)[\count($trace->passage->events) - 1], 3),
        ];
        $loop = [
            ['id' => 'ask', 'do' => 'menu', 'prompt' => null, 'wait' => 5, 'tries' => 1],
            ['id' => 'again', 'do' => 'go', 'journey' => 'jrn_main'],
        ];
        $patient = self::builder()->journey('jrn_main', $loop);
        self::assertSame(
            [7, ['lastStep' => 'ask', 'stop' => null, 'limit' => 7]],
            $last($patient->call(['patience' => 7])),
        );
        self::assertSame([255, ['lastStep' => 'again', 'stop' => 'steps', 'limit' => 100]], $last($patient->call()));
        $person = static fn(string $id, string $to): array => [
            'id' => $id,
            'kind' => 'person',
            'name' => $id,
            'extension' => '',
            'site' => 'sit_harbour',
            'phones' => [],
            'rules' => [['id' => 'on', 'name' => 'On', 'next' => ['nobody' => $to]]],
        ];
        $ring = self::builder()
            ->with($person('ben', 'cid'))
            ->with($person('cid', 'ben'))
            ->journey('jrn_main', [
                ['id' => 'ring', 'do' => 'ring', 'target' => 'ben', 'handOver' => true, 'seconds' => 5],
            ])
            ->call();
        self::assertSame([0, ['lastStep' => 'ring', 'stop' => 'people', 'limit' => null]], $last($ring));
    }

    /** @return list<array{int, string, array<string, mixed>, array<string, mixed>}> second, kind, what, because */
    private static function data(Trace $trace): array
    {
        return array_map(
            static fn(Event $event): array => [
                $event->second,
                $event->happening->kind(),
                $event->happening->what(),
                $event->happening->because(),
            ],
            $trace->passage->events,
        );
    }

    private static function storm(): LiveState
    {
        return new LiveState([
            new Override(
                'ovr_1',
                'hrs',
                'lunch',
                Moment::parse('2026-11-23T09:30', 'Europe/London'),
                Moment::parse('2026-11-23T11:00', 'Europe/London'),
                new ForcedBy('Dana', 'Storm'),
            ),
        ]);
    }

    private static function builder(): PlanBuilder
    {
        $rule = static fn(string $id, array $when): array => [
            'id' => $id,
            'name' => ucfirst($id),
            'when' => $when,
            'stages' => [
                ['phones' => ['desk'], 'after' => 0, 'seconds' => 10],
                ['phones' => ['mobile'], 'after' => 5, 'seconds' => 25],
            ],
        ];

        return (new PlanBuilder())
            ->prompt('prm_hello', 4)
            ->mailbox('mbx')
            ->hours('hrs', [])
            ->with([
                'id' => 'line_quay',
                'kind' => 'line',
                'name' => 'Quay',
                'site' => 'sit_harbour',
                'prefix' => '9',
                'destinations' => ['mobile'],
                'channels' => 4,
            ])
            ->with([
                'id' => 'ann',
                'kind' => 'person',
                'name' => 'Ann',
                'extension' => '',
                'site' => 'sit_harbour',
                'rules' => [$rule('one', ['callers' => ['+33']]), $rule('two', [])],
                'phones' => [
                    ['id' => 'desk', 'type' => 'desk', 'label' => 'Desk'],
                    [
                        'id' => 'mobile',
                        'type' => 'outside',
                        'label' => 'Mobile',
                        'number' => '+447700900101',
                        'ownMailbox' => 20,
                        'askFirst' => true,
                        'digits' => ',1',
                        'shows' => 'num_main',
                    ],
                ],
            ])
            ->journey('jrn_ring', [['id' => 'ring', 'do' => 'ring', 'target' => 'ann', 'seconds' => 30]])
            ->journey('jrn_main', [
                ['id' => 'hello', 'do' => 'say', 'prompt' => 'prm_hello'],
                [
                    'id' => 'look',
                    'do' => 'hours',
                    'hours' => 'hrs',
                    'exits' => [
                        [
                            'on' => 'lunch',
                            'steps' => [
                                [
                                    'id' => 'menu',
                                    'do' => 'menu',
                                    'prompt' => 'prm_hello',
                                    'exits' => [
                                        [
                                            'on' => '1',
                                            'steps' => [['id' => 'go', 'do' => 'go', 'journey' => 'jrn_ring']],
                                        ],
                                    ],
                                ],
                            ],
                        ],
                    ],
                ],
            ]);
    }
}
