<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Proof;

use Meandros\Core\Check\Finding;
use Meandros\Core\Live\LiveState;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Proof\Fares\Fares;
use Meandros\Core\Proof\Year\YearCheck;
use Meandros\Core\Proof\Year\YearChecks;
use Meandros\Core\Tests\PlanBuilder;
use Meandros\Core\Time\ForcedBy;
use Meandros\Core\Time\Moment;
use Meandros\Core\Time\Override;
use Meandros\Core\Wording\FindingWords;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What is found in how all calls of a year fare: each thing where it is so, word for word, and nothing where it is not. */
final class YearChecksTest extends TestCase
{
    private const DAYS = ['mo', 'tu', 'we', 'th', 'fr'];

    /** @param list<string> $found "element pointer message" */
    #[DataProvider('plans')]
    public function testWhatIsFound(PlanBuilder $plan, array $found): void
    {
        self::assertSame($found, self::messages(self::look($plan->plan())[0]));
    }

    /** @return iterable<string, array{PlanBuilder, list<string>}> */
    public static function plans(): iterable
    {
        yield 'nothing' => [self::harbour(), []];
        $end = [['id' => 'e1', 'do' => 'end']];
        yield 'nobody, whatever is pressed' => [
            self::harbour()->journey('jrn_main', $end)->journey('jrn_rest', []),
            [
                'num_main /target Calls come to nobody and nothing, whatever callers press, at any time of the coming year.',
            ],
        ];
        $nobodys = ['block' => ['last' => '+441632960209', 'extension' => '210'], 'target' => 'jrn_main'];
        yield 'nobody, by any number of a block' => [
            self::harbour()
                ->journey('jrn_main', $end)
                ->journey('jrn_rest', [])
                ->with(['id' => 'dan', 'name' => 'Dan', 'extension' => '213', 'phones' => []] + self::ANN)
                ->with(
                    $nobodys + ['id' => 'num_direct', 'name' => 'Direct', 'number' => '+441632960200'] + self::NUMBER,
                ),
            [
                'num_main /target Calls come to nobody and nothing, whatever callers press, at any time of the coming year.',
                'num_direct /target Calls come to nobody and nothing, whatever callers press, at any time of the coming year.',
                'dan /mailbox Where nobody answers calls to +44 1632 960203, they end for want of a step: callers hear it go dead.',
            ],
        ];
        yield 'a fax line is for machines' => [
            self::harbour()->journey('jrn_main', [['id' => 'f1', 'do' => 'fax', 'mailbox' => 'mbx'], ...$end]),
            [],
        ];
        yield 'no step is left' => [
            self::harbour()->journey('jrn_main', [['id' => 'r1', 'do' => 'ring', 'target' => 'ann', 'seconds' => 20]]),
            ['jrn_main /steps Calls, such as those to Main line, come to the end of the steps and are cut off.'],
        ];
        yield 'no step at all' => [
            self::harbour()->with(['target' => 'team'] + self::NUMBER),
            ['num_main /target Where nobody answers, calls end for want of a step: callers hear it go dead.'],
        ];
        $block = ['block' => ['last' => '+441632960209', 'extension' => '210']];
        yield 'no step where a direct line leads' => [
            self::harbour()
                ->with(['id' => 'dan', 'name' => 'Dan', 'extension' => '213'] + self::ANN)
                ->with($block + ['id' => 'num_direct', 'number' => '+441632960200'] + self::NUMBER),
            [
                'dan /mailbox Where nobody answers calls to +44 1632 960203, they end for want of a step: callers hear it go dead.',
            ],
        ];
        $unlisted = ['extension' => ''] + self::ANN;
        yield 'somebody whom no number and no extension rings' => [
            self::harbour()->with(['id' => 'dan', 'name' => 'Dan'] + $unlisted),
            [
                'dan /phones No call to any number rings this person in the coming year, and there is no extension to dial.',
            ],
        ];
        yield 'somebody whom only the team rings' => [self::harbour()->with($unlisted), []];
        $off = ['phones' => [['id' => 'desk', 'type' => 'desk', 'label' => 'Desk', 'on' => false]]];
        yield 'open, and nobody there' => [
            self::harbour()
                ->with($off + self::ANN)
                ->team('team', ['ann']),
            ['jrn_main /steps Hours say open, and no phone of team rings, the first time on Fri 1 Jan 2027 09:00.'],
        ];
        $switchedOff = self::harbour()
            ->with($off + self::ANN)
            ->team('team', ['ann']);
        yield 'closed, and nobody there' => [
            $switchedOff->journey('jrn_main', [
                self::hours('hrs', ['closed' => self::ring('team'), 'open' => self::MESSAGE]),
                ...self::MESSAGE,
            ]),
            [],
        ];
        yield 'hours that do not come to a step' => [
            self::harbour()
                ->hours('hrs_b', [self::band('10:00', '11:00', 'open')])
                ->journey('jrn_main', [
                    self::hours('hrs', ['open' => [self::hours('hrs_b', ['open' => $end], 'h2'), ...self::MESSAGE]]),
                    ...self::MESSAGE,
                ]),
            [],
        ];
        yield 'a step between hours that never fit' => [
            self::harbour()
                ->hours('hrs_b', [self::band('18:00', '19:00', 'open')])
                ->journey('jrn_main', [
                    self::hours('hrs', [
                        'open' => [
                            self::hours('hrs_b', ['open' => $end], 'h2'),
                            ...self::ring('team'),
                            ...self::MESSAGE,
                        ],
                    ]),
                    ...self::MESSAGE,
                ]),
            [
                'jrn_main /steps/0/exits/0/steps/0/exits/0/steps/0 No call comes to this step at any time of the coming year.',
            ],
        ];
        yield 'what a busy phone leads to is not judged' => [
            self::harbour()->journey('jrn_main', [
                ['exits' => [['on' => 'busy', 'steps' => $end]]] + self::ring('team')[0],
                ...self::MESSAGE,
            ]),
            [],
        ];
        yield 'a state that holidays cover' => [
            self::harbour()
                ->with(
                    [
                        'calendars' => [['calendar' => 'cal', 'state' => 'closed', 'exceptions' => []]],
                        'week' => [
                            ['days' => ['su'], 'from' => '10:00', 'to' => '12:00', 'state' => 'lunch'],
                            self::band('09:00', '17:00', 'open'),
                        ],
                    ] + self::hoursElement(),
                )
                ->with([
                    'id' => 'cal',
                    'kind' => 'calendar',
                    'name' => 'Sundays',
                    'holidays' => [
                        [
                            'id' => 'all',
                            'name' => 'All',
                            'rule' => ['on' => 'range', 'from' => '2026-12-01', 'to' => '2028-12-31'],
                        ],
                    ],
                ])
                ->journey('jrn_main', [
                    self::hours('hrs', ['lunch' => self::ring('team')]),
                    ...self::ring('ann'),
                    ...self::MESSAGE,
                ]),
            [
                'jrn_main /steps/0/exits/0 Hours name “Lunch” and are never in it in the coming year: this exit is not taken.',
            ],
        ];
        $rule = [
            'id' => 'r1',
            'name' => 'By day',
            'when' => ['hours' => 'hrs', 'states' => ['open']],
            'stages' => [['phones' => ['desk'], 'after' => 0, 'seconds' => 20]],
        ];
        yield 'rung outside their hours' => [
            self::harbour()
                ->with(['rules' => [$rule]] + self::ANN)
                ->journey('jrn_main', [...self::ring('team'), ...self::MESSAGE]),
            [
                'ann /rules Phones ring, such as by calls to Main line, while Hours are not open, the first time on Fri 1 Jan 2027 00:00.',
            ],
        ];
        yield 'nobody’s phone' => [
            self::harbour()->with(['extension' => '', 'id' => 'eve', 'name' => 'Eve'] + self::ANN),
            [
                'eve /phones No call to any number rings this person in the coming year, and there is no extension to dial.',
            ],
        ];
        $eve = ['extension' => '', 'id' => 'eve', 'name' => 'Eve'] + self::ANN;
        yield 'somebody whom calls ring where others are busy' => [
            self::harbour()
                ->with($eve)
                ->journey('jrn_main', [
                    ['exits' => [['on' => 'busy', 'steps' => self::ring('eve')]]] + self::ring('team')[0],
                    ...self::MESSAGE,
                ]),
            [],
        ];
        yield 'somebody whom a rule hands calls over to where others are busy' => [
            self::harbour()
                ->with($eve)
                ->with(
                    [
                        'rules' => [
                            [
                                'stages' => [['phones' => ['desk'], 'teams' => [], 'after' => 0, 'seconds' => 20]],
                                'next' => ['nobody' => 'mbx', 'busy' => 'eve', 'unreachable' => 'mbx'],
                            ] + ['id' => 'rule', 'name' => 'Rule'],
                        ],
                    ] + self::ANN,
                )
                ->journey('jrn_main', [['handOver' => true] + self::ring('ann')[0]]),
            [],
        ];
        yield 'somebody who answers in a queue only' => [
            self::harbour()
                ->with($eve)
                ->with(
                    [
                        'members' => [['who' => 'eve']],
                        'waiting' => ['longestSeconds' => 60],
                    ] + ['id' => 'que', 'kind' => 'queue', 'name' => 'Queue'],
                )
                ->journey('jrn_main', [
                    ...self::ring('team'),
                    ['id' => 'q1', 'do' => 'queue', 'queue' => 'que'],
                    ...self::MESSAGE,
                ]),
            [],
        ];
        $mobile = ['id' => 'mobile', 'type' => 'outside', 'number' => '+447700900555', 'label' => 'Mobile'];
        yield 'a step after one at which a mobile has a mailbox of its own' => [
            self::harbour()
                ->with(['phones' => [['ownMailbox' => 10] + $mobile]] + self::ANN)
                ->journey('jrn_main', [...self::ring('team'), ...self::MESSAGE]),
            [],
        ];
        yield 'somebody rung only in a journey to which nothing leads' => [
            self::harbour()
                ->with($eve)
                ->journey('jrn_rest', [...self::ring('eve'), ...self::MESSAGE]),
            [
                'eve /phones No call to any number rings this person in the coming year, and there is no extension to dial.',
            ],
        ];
        yield 'an extension may be dialled' => [
            self::harbour()->with(['id' => 'eve', 'extension' => '333'] + self::ANN),
            [],
        ];
        $queue = static fn(int $seconds): array => [
            'id' => 'que',
            'kind' => 'queue',
            'name' => 'Queue',
            'members' => [['who' => 'ann']],
            'waiting' => ['longestSeconds' => $seconds],
        ];
        $wait = [['id' => 'q1', 'do' => 'queue', 'queue' => 'que'], ...self::MESSAGE];
        yield 'as long as is said' => [self::harbour()->with($queue(600))->journey('jrn_main', $wait), []];
        yield 'longer' => [
            self::harbour()->with($queue(601))->journey('jrn_main', $wait),
            [
                'que /waiting/longestSeconds Callers, such as those to Main line, may wait 601 s for somebody; more than 600 s is long.',
            ],
        ];
        yield 'as long at several numbers' => [
            self::harbour()
                ->with($queue(601))
                ->journey('jrn_main', $wait)
                ->journey('jrn_other', [['id' => 's1', 'do' => 'say', 'prompt' => 'prm'], ...$wait])
                ->with(
                    ['id' => 'num_z', 'number' => '+441632960190', 'name' => 'Z', 'target' => 'jrn_other'] +
                        self::NUMBER,
                ),
            [
                'que /waiting/longestSeconds Callers, such as those to Main line, may wait 601 s for somebody; more than 600 s is long.',
            ],
        ];
        yield 'long is a setting' => [
            self::harbour()
                ->with($queue(601))
                ->with(['id' => 'set', 'kind' => 'settings', 'name' => 'Settings', 'longestWait' => 700])
                ->journey('jrn_main', $wait),
            [],
        ];
        yield 'in another language' => [
            self::harbour()->with(['language' => 'fr'] + self::NUMBER),
            ['prm /scripts Callers to Main line hear this in another language: there is no script in French.'],
        ];
        yield 'a minute before the hour' => [
            self::harbour()->hours('hrs_b', [self::band('09:00', '16:59', 'open')]),
            ['hrs_b /week/0/to A band begins or ends at 16:59, while Hours have 17:00 on the same day.'],
        ];
        yield 'on another day' => [
            self::harbour()->hours('hrs_b', [['days' => ['sa']] + self::band('09:00', '16:59', 'open')]),
            [],
        ];
    }

    public function testAForgottenOverride(): void
    {
        $from = Moment::parse('2027-01-04T08:00', 'Europe/London');
        $override = static fn(?int $until, int $since = 60): LiveState => new LiveState([
            new Override('ovr', 'hrs', 'closed', $from - $since, $until, new ForcedBy('Ann', 'Ice')),
        ]);
        $plan = self::harbour()->plan();
        self::assertSame(
            ['hrs /name They are forced into “Closed” past Mon 4 Jan 2027 09:00, when they would open.'],
            self::messages(self::look($plan, $override(null), $from)[0]),
        );
        self::assertSame([], self::messages(self::look($plan, $override($from + 3600), $from)[0]));
        // One that is still to come is not forgotten yet.
        self::assertSame([], self::messages(self::look($plan, $override(null, -60), $from)[0]));
    }

    public function testAStateThatComesAfterTheTimeThatIsLookedAt(): void
    {
        $from = Moment::parse('2027-01-01T00:00', 'Europe/London');
        $season = static fn(string $day): array => [
            'name' => 'Season',
            'from' => $day,
            'to' => '03-31',
            'week' => [self::band('10:00', '12:00', 'lunch')],
        ];
        $codes = static fn(string $day): array => array_map(
            static fn(Finding $one): string => $one->code,
            YearChecks::in(
                new Fares(
                    self::harbour()
                        ->with(['seasons' => [$season($day)]] + self::hoursElement())
                        ->journey('jrn_main', [
                            self::hours('hrs', ['lunch' => self::ring('team')]),
                            ...self::ring('ann'),
                            ...self::MESSAGE,
                        ])
                        ->plan(),
                    $from,
                    $from + 40 * 86400,
                ),
                static fn(): bool => true,
            )[0],
        );
        self::assertSame([], $codes('02-09'), 'On the last of forty days.');
        self::assertSame(['state-never-occurs'], $codes('02-10'));
    }

    public function testOfAPromptWithoutWordsNoLanguageIsMissing(): void
    {
        $codes = static fn(array $scripts): array => array_map(
            static fn(Finding $one): string => $one->code,
            self::look(
                self::harbour()
                    ->with(['id' => 'prm', 'kind' => 'prompt', 'name' => 'Closed', 'scripts' => $scripts])
                    ->plan(),
            )[0],
        );
        self::assertSame(['said-in-another-language'], $codes(['fr' => 'Nous sommes fermés.']));
        self::assertSame([], $codes([]));
    }

    public function testAStateOfAHolidayThatIsNoneInTheYear(): void
    {
        $holiday = static fn(string $date): array => [
            'id' => 'cal',
            'kind' => 'calendar',
            'name' => 'Holidays',
            'holidays' => [['id' => 'day', 'name' => 'Day', 'rule' => ['on' => 'yearly', 'date' => $date]]],
        ];
        $codes = static fn(string $date): array => array_map(
            static fn(Finding $one): string => $one->code,
            self::look(
                self::harbour()
                    ->with($holiday($date))
                    ->with(['calendars' => [['calendar' => 'cal', 'state' => 'lunch']]] + self::hoursElement())
                    ->journey('jrn_main', [
                        self::hours('hrs', ['lunch' => self::ring('team')]),
                        ...self::ring('ann'),
                        ...self::MESSAGE,
                    ])
                    ->plan(),
            )[0],
        );
        self::assertSame([], $codes('02-10'));
        self::assertContains('state-never-occurs', $codes('02-29'));
    }

    public function testWhereThereWasNoTimeNothingIsSaidOfWhatNeverHappens(): void
    {
        $plan = self::harbour()
            ->with(['extension' => '', 'id' => 'eve', 'name' => 'Eve'] + self::ANN)
            ->plan();
        $from = Moment::parse('2027-01-01T00:00', 'Europe/London');
        [$findings, $left] = YearChecks::in(new Fares($plan, $from, $from + 86400), static fn(): bool => false);
        self::assertSame([[], 1], [$findings, $left]);
    }

    public function testWhereNotAllKeysWereTriedNothingIsSaidOfWhatNeverHappens(): void
    {
        $count = 0;
        $menu = static function (int $deep) use (&$menu, &$count): array {
            $exits = [];
            for ($key = 1; $key <= 9 && $deep > 0; ++$key) {
                $exits[] = ['on' => (string) $key, 'steps' => [$menu($deep - 1)]];
            }

            return 0 === $deep
                ? ['id' => 's' . ++$count, 'do' => 'message', 'mailbox' => 'mbx']
                : ['id' => 's' . ++$count, 'do' => 'menu', 'prompt' => 'prm', 'tries' => 1, 'exits' => $exits];
        };
        $plan = static fn(int $deep): Plan => self::harbour()
            ->with(['extension' => '', 'id' => 'eve', 'name' => 'Eve'] + self::ANN)
            ->journey('jrn_main', [$menu($deep), ...self::MESSAGE])
            ->plan();
        self::assertCount(1, self::look($plan(1))[0]);
        self::assertSame([], self::look($plan(3))[0], 'Keys are pressed in more than 500 ways.');
    }

    /** @return list<Finding> of every example */
    public static function findings(): array
    {
        $forever = new Override(
            'ovr',
            'hrs',
            'closed',
            Moment::parse('2027-01-01T00:00', 'UTC'),
            null,
            new ForcedBy('Ann', 'Ice'),
        );
        $findings = self::look(self::harbour()->plan(), new LiveState([$forever]))[0];
        foreach (self::plans() as [$plan]) {
            array_push($findings, ...self::look($plan->plan())[0]);
        }

        return $findings;
    }

    public function testEachIsRegisteredAndHasAnExample(): void
    {
        $classes = array_map(
            static fn(string $file): string => 'Meandros\Core\Proof\Year\\' . basename($file, '.php'),
            glob(\dirname(__DIR__, 2) . '/src/Proof/Year/*.php') ?: [],
        );
        $checks = array_filter(
            $classes,
            static fn(string $class): bool => class_exists($class) && is_a($class, YearCheck::class, true),
        );
        self::assertEqualsCanonicalizing(array_values($checks), YearChecks::ALL);
        $codes = array_unique(array_map(static fn(Finding $one): string => $one->code, self::findings()));
        // One of them tells three things apart.
        self::assertCount(\count(YearChecks::ALL) + 2, $codes);
    }

    private const NUMBER = [
        'id' => 'num_main',
        'kind' => 'number',
        'name' => 'Main line',
        'number' => PlanBuilder::NUMBER,
        'site' => 'sit_harbour',
        'language' => 'en',
        'target' => 'jrn_main',
    ];
    private const ANN = [
        'id' => 'ann',
        'kind' => 'person',
        'name' => 'Ann',
        'extension' => '301',
        'site' => 'sit_harbour',
        'phones' => [['id' => 'desk', 'type' => 'desk', 'label' => 'Desk']],
    ];
    private const MESSAGE = [['id' => 'm1', 'do' => 'message', 'mailbox' => 'mbx']];

    /** Weekdays 09:00–17:00 the team rings, then a message; else a prompt and a message. */
    private static function harbour(): PlanBuilder
    {
        return (new PlanBuilder())
            ->with(self::ANN)
            ->team('team', ['ann'])
            ->mailbox('mbx')
            ->with(['id' => 'prm', 'kind' => 'prompt', 'name' => 'Closed', 'scripts' => ['en' => 'We are closed.']])
            ->with(self::hoursElement())
            ->journey('jrn_main', [
                self::hours('hrs', ['open' => [...self::ring('team'), self::MESSAGE[0]]]),
                ['id' => 's1', 'do' => 'say', 'prompt' => 'prm'],
                ...self::MESSAGE,
            ]);
    }

    /** @return array<string, mixed> */
    private static function hoursElement(): array
    {
        $hours = (new PlanBuilder())->hours('hrs', [self::band('09:00', '17:00', 'open')])->data()['elements'];

        return ['name' => 'Hours'] + (array) array_column((array) $hours, null, 'id')['hrs'];
    }

    /** @return array<string, mixed> */
    private static function band(string $from, string $to, string $state): array
    {
        return ['days' => self::DAYS, 'from' => $from, 'to' => $to, 'state' => $state];
    }

    /** @return list<array<string, mixed>> */
    private static function ring(string $target): array
    {
        return [['id' => 'r_' . $target, 'do' => 'ring', 'target' => $target, 'seconds' => 20]];
    }

    /**
     * @param array<string, list<array<string, mixed>>> $exits
     *
     * @return array<string, mixed>
     */
    private static function hours(string $hours, array $exits, string $id = 'h1'): array
    {
        $list = [];
        foreach ($exits as $on => $steps) {
            $list[] = [
                'on' => $on,
                'steps' => array_map(
                    static fn(array $step, int $i): array => ['id' => "{$id}_{$on}_$i"] + $step,
                    $steps,
                    array_keys($steps),
                ),
            ];
        }

        return ['id' => $id, 'do' => 'hours', 'hours' => $hours, 'exits' => $list];
    }

    /** @return array{list<Finding>, int} */
    private static function look(Plan $plan, LiveState $live = new LiveState(), ?int $from = null): array
    {
        $from ??= Moment::parse('2027-01-01T00:00', 'Europe/London');

        return YearChecks::in(new Fares($plan, $from, $from + 365 * 86400, $live), static fn(): bool => true);
    }

    /**
     * @param list<Finding> $findings
     *
     * @return list<string>
     */
    private static function messages(array $findings): array
    {
        return array_map(
            static fn(Finding $one): string => \sprintf(
                '%s %s %s',
                $one->element->id(),
                $one->pointer,
                FindingWords::message($one),
            ),
            $findings,
        );
    }
}
