<?php

declare(strict_types=1);

namespace Meandros\Server\Tests;

use Doctrine\DBAL\Connection;
use Meandros\Core\Reading\Limits;
use PHPUnit\Framework\Attributes\DataProvider;

/**
 * Input that is meant to hurt, or large by mistake: each is refused in a few words or done, within 128 MB. bin/soak holds
 * each to two seconds as well.
 */
final class HostileInputTest extends ApiTestCase
{
    private const MOST_BYTES = 128_000_000;
    private const MOST_SECONDS = 2.0;
    private const MOST_ANSWERED = 64_000;
    private const HOURS = [
        'kind' => 'hours',
        'name' => 'Odd hours',
        'site' => 'sit_ternwick',
        'states' => [
            ['key' => 'open', 'name' => 'Open', 'open' => true],
            ['key' => 'closed', 'name' => 'Closed', 'open' => false],
        ],
        'default' => 'closed',
        'week' => [],
        'seasons' => [],
        'calendars' => [],
        'specialDays' => [],
        'codes' => [],
    ];
    private const PERSON = [
        'kind' => 'person',
        'name' => 'Somebody',
        'extension' => '',
        'site' => 'sit_ternwick',
        'phones' => [],
        'mailbox' => null,
        'rules' => [],
    ];

    /** @param \Closure(): array{string, string, array<mixed>|string|null} $make */
    #[DataProvider('requests')]
    public function testItIsRefusedInAFewWordsOrDone(\Closure $make): void
    {
        [$method, $path, $body] = $make();
        $this->weigh($method, $path, $body);
    }

    /** @param array<mixed>|string|null $body */
    private function weigh(string $method, string $path, array|string|null $body): void
    {
        $content = \is_array($body) ? json_encode($body, \JSON_THROW_ON_ERROR) : $body;
        $revision = 'PUT' === $method || str_contains($path, 'editions') ? $this->draftRevision() : null;
        gc_collect_cycles();
        memory_reset_peak_usage();
        $before = memory_get_usage();
        $began = hrtime(true);
        $this->request($method, $path, $content, $revision);
        $seconds = (hrtime(true) - $began) / 1e9;
        $megabytes = (memory_get_peak_usage() - $before) / 1e6;
        $answer = $this->answer();
        $said = \sprintf(
            '%s %s: %d in %.2f s, %.0f MB: %s',
            $method,
            substr($path, 0, 60),
            $answer->getStatusCode(),
            $seconds,
            $megabytes,
            substr((string) $answer->getContent(), 0, 300),
        );
        if (false !== getenv('MEANDROS_SOAK')) {
            fwrite(\STDERR, $said . "\n");
            self::assertLessThan(self::MOST_SECONDS, $seconds, $said);
        }
        self::assertLessThan(500, $answer->getStatusCode(), $said);
        self::assertLessThan(self::MOST_BYTES / 1e6, $megabytes, $said);
        if ($answer->getStatusCode() >= 400) {
            self::assertLessThan(self::MOST_ANSWERED, \strlen((string) $answer->getContent()), $said);
            self::assertDoesNotMatchRegularExpression(
                '/([xX])\1{80}/',
                (string) $answer->getContent(),
                'Nothing is echoed at length.',
            );
        }
    }

    /** @return iterable<string, array{\Closure(): array{string, string, array<mixed>|string|null}}> */
    public static function requests(): iterable
    {
        $call = static fn(array $more): array => [
            'POST',
            '/api/trial-calls',
            $more + ['to' => self::BOOKINGS, 'at' => '2026-11-23T10:30'],
        ];
        $element = static fn(array $element): array => ['POST', '/api/plans/draft/elements', $element];
        $people = static fn(string $text): array => ['POST', '/api/plans/draft/people/preview', ['text' => $text]];
        $calendar = static fn(string $events): array => [
            'POST',
            '/api/plans/draft/calendars/cal_england/import',
            ['ics' => "BEGIN:VCALENDAR\r\nVERSION:2.0\r\n" . $events . "END:VCALENDAR\r\n", 'zone' => 'Europe/London'],
        ];
        $days = static fn(string $events): array => [
            'POST',
            '/api/plans/draft/hours/hrs_bookings/import',
            ['ics' => "BEGIN:VCALENDAR\r\nVERSION:2.0\r\n" . $events . "END:VCALENDAR\r\n", 'state' => 'closed'],
        ];
        $event = static fn(
            string $fields,
            string $uid = 'u',
        ): string => "BEGIN:VEVENT\r\nUID:$uid\r\nSUMMARY:Odd\r\n$fields\r\nEND:VEVENT\r\n";

        yield 'a zone of a megabyte' => [static fn(): array => $call(['zone' => str_repeat('x', 1_000_000)])];
        yield 'a zone of a megabyte in hours' => [
            static fn(): array => $element(['zone' => str_repeat('x', 1_000_000)] + self::HOURS),
        ];
        yield 'a week of a megabyte' => [
            static fn(): array => [
                'POST',
                '/api/week-text',
                ['text' => str_repeat('mo-fr 9-17 x; ', 70_000), 'states' => []],
            ],
        ];
        yield 'ten thousand unknown fields' => [
            static fn(): array => $element(
                array_fill_keys(array_map(static fn(int $i): string => 'x' . $i, range(1, 10_000)), 1) + self::HOURS,
            ),
        ];
        yield 'an unknown field of a megabyte' => [
            static fn(): array => $element([str_repeat('x', 1_000_000) => 1] + self::HOURS),
        ];
        yield 'fifty thousand assumptions' => [
            static fn(): array => $call(['assume' => ['phones' => array_fill(0, 50_000, ['who' => 'x'])]]),
        ];
        yield 'fifty thousand keys' => [
            static fn(): array => $call(['assume' => ['keys' => array_fill(0, 50_000, 'x')]]),
        ];
        yield 'half a million lists' => [
            static fn(): array => [
                'POST',
                '/api/trial-calls',
                '{"to":[' . implode(',', array_fill(0, 500_000, '[]')) . ']}',
            ],
        ];
        yield 'deep lists' => [static fn(): array => ['POST', '/api/trial-calls', str_repeat('[', 100_000)]];
        yield 'ten thousand bands' => [static fn(): array => $element(['week' => self::minutes(10_080)] + self::HOURS)];
        yield 'as many bands as there may be' => [
            static fn(): array => $element(['week' => self::minutes(200)] + self::HOURS),
        ];
        yield 'twenty thousand seasons' => [
            static fn(): array => $element(
                [
                    'seasons' => array_map(
                        static fn(int $i): array => [
                            'name' => 's' . $i,
                            'from' => \sprintf('%d-01-01', 1980 + ($i % 100)),
                            'to' => \sprintf('%d-01-02', 1980 + ($i % 100)),
                            'week' => [],
                        ],
                        range(0, 19_999),
                    ),
                ] + self::HOURS,
            ),
        ];
        yield 'ten thousand special days' => [
            static fn(): array => $element(
                [
                    'specialDays' => array_map(
                        static fn(int $i): array => [
                            'date' => gmdate('Y-m-d', $i * 86400),
                            'name' => 'x',
                            'bands' => [],
                        ],
                        range(0, 9_999),
                    ),
                ] + self::HOURS,
            ),
        ];
        yield 'a person with ten thousand phones' => [
            static fn(): array => $element(
                [
                    'phones' => array_map(
                        static fn(int $i): array => ['id' => 'desk' . $i, 'type' => 'desk', 'label' => 'x'],
                        range(1, 10_000),
                    ),
                ] + self::PERSON,
            ),
        ];
        yield 'a row with two thousand phones' => [
            static fn(): array => $people(
                "name,outside\nNew One," .
                    implode(
                        ';',
                        array_map(static fn(int $i): string => \sprintf('+44163296%04d', $i), range(0, 1_999)),
                    ),
            ),
        ];
        yield 'short lines' => [static fn(): array => $people("name\n" . str_repeat("a\n", 300_000))];
        yield 'twenty thousand people' => [
            static fn(): array => ['POST', '/api/plans/draft/people', ['text' => self::table(20_000)]],
        ];
        yield 'as many people as there may be' => [
            static fn(): array => ['POST', '/api/plans/draft/people', ['text' => self::table(2_000)]],
        ];
        yield 'a column of a megabyte' => [static fn(): array => $people(str_repeat('x', 1_000_000) . ",name\n")];
        yield 'empty cards' => [static fn(): array => $people(str_repeat("BEGIN:VCARD\r\nEND:VCARD\r\n", 300_000))];
        yield 'a card of numbers' => [
            static fn(): array => $people(
                "BEGIN:VCARD\r\nVERSION:4.0\r\nFN:New One\r\n" .
                    str_repeat("TEL:+441632960199\r\n", 200_000) .
                    "END:VCARD\r\n",
            ),
        ];
        yield 'weekdays by the hundred thousand' => [
            static fn(): array => $calendar(
                $event(
                    'DTSTART;VALUE=DATE:20260101' .
                        "\r\nRRULE:FREQ=YEARLY;BYDAY=" .
                        rtrim(str_repeat('MO,', 200_000), ','),
                ),
            ),
        ];
        yield 'every second of every hour' => [
            static fn(): array => $calendar(
                $event(
                    "DTSTART:20260101T000000\r\nDURATION:PT1S\r\nRRULE:FREQ=DAILY;BYHOUR=" .
                        implode(',', range(0, 23)) .
                        ';BYMINUTE=' .
                        implode(',', range(0, 59)) .
                        ';BYSECOND=' .
                        implode(',', range(0, 59)),
                ),
            ),
        ];
        yield 'yearlong four thousand times' => [
            static fn(): array => $days(
                $event("DTSTART:20260101T000000\r\nDURATION:P365D\r\nRRULE:FREQ=HOURLY;COUNT=3999"),
            ),
        ];
        yield 'five thousand daily events for ever' => [
            static fn(): array => $calendar(
                implode(
                    '',
                    array_map(
                        static fn(int $i): string => $event(
                            "DTSTART;VALUE=DATE:20260101\r\nRRULE:FREQ=DAILY",
                            'u' . $i,
                        ),
                        range(1, 4_999),
                    ),
                ),
            ),
        ];
        yield '30 February for ever' => [
            static fn(): array => $calendar(
                $event("DTSTART;VALUE=DATE:20260101\r\nRRULE:FREQ=YEARLY;BYMONTH=2;BYMONTHDAY=30"),
            ),
        ];
        yield '30 February every second' => [
            static fn(): array => $calendar(
                $event("DTSTART:20260101T000000\r\nDURATION:PT1S\r\nRRULE:FREQ=SECONDLY;BYMONTH=2;BYMONTHDAY=30"),
            ),
        ];
        yield 'no second position' => [
            static fn(): array => $calendar(
                $event("DTSTART:20260101T000000\r\nDURATION:PT1S\r\nRRULE:FREQ=SECONDLY;BYSETPOS=2"),
            ),
        ];
        yield 'two thousand replaced instances' => [
            static fn(): array => $calendar(
                $event("DTSTART:20260101T090000\r\nDURATION:PT1H\r\nRRULE:FREQ=DAILY") .
                    implode(
                        '',
                        array_map(
                            static fn(int $i): string => $event(
                                \sprintf(
                                    "RECURRENCE-ID:%s\r\nDTSTART:20260101T100000\r\nDURATION:PT1H",
                                    gmdate('Ymd\THis', 1_767_258_000 + $i * 86400),
                                ),
                            ),
                            range(0, 1_999),
                        ),
                    ),
            ),
        ];
        yield 'a duration without end' => [
            static fn(): array => $calendar($event("DTSTART:20260101T090000\r\nDURATION:P99999999999999999999D")),
        ];
        yield 'a TZID of a megabyte' => [
            static fn(): array => $calendar($event('DTSTART;TZID=' . str_repeat('x', 900_000) . ':20260101T090000')),
        ];
        yield 'many dates' => [
            static fn(): array => $calendar(
                $event(
                    "DTSTART;VALUE=DATE:20260101\r\nRDATE;VALUE=DATE:" . rtrim(str_repeat('20260102,', 90_000), ','),
                ),
            ),
        ];
        yield 'a plan of ten thousand people' => [
            static fn(): array => ['PUT', '/api/plans/draft/file', self::company(10_000)],
        ];
        yield 'a chain of two thousand journeys' => [
            static fn(): array => ['PUT', '/api/plans/draft/file', self::journeys(2_000, false)],
        ];
        yield 'a ring of two thousand journeys' => [
            static fn(): array => ['PUT', '/api/plans/draft/file', self::journeys(2_000, true)],
        ];
        yield 'rules copied to fifty thousand' => [
            static fn(): array => [
                'POST',
                '/api/plans/draft/people/per_dana/copy-rules',
                ['to' => array_fill(0, 50_000, 'per_x')],
            ],
        ];
        yield 'a number as a language' => [
            static fn(): array => $element(['kind' => 'prompt', 'name' => 'x', 'scripts' => [7 => 'x', 8 => 'x']]),
        ];
        yield 'a name that is no UTF-8' => [
            static fn(): array => [
                'POST',
                '/api/plans/draft/elements',
                '{"kind":"prompt","name":"' . "\xC3\x28" . '","scripts":{}}',
            ],
        ];
        foreach (
            [
                '/api/phone-numbers?text=%ed%a0%80&country=GB',
                '/api/phone-numbers?text=07700&country=%c3%28',
                '/api/plans/%c3%28',
                '/api/plans/draft/hours?at=%ff',
                '/api/plans/draft/hours?at=2026-11-23T10:30&zone=%ed%a0%80',
                '/api/plans/draft/hours/%c3%28/year?year=2026',
                '/api/plans/draft/elements/%ff/uses',
                '/api/plans/draft/history?before=%ff',
                '/api/plans/draft/history/1?after=%c3%28',
                '/api/plans/draft/hours?at[]=1',
                '/api/plans/draft/hours/hrs_bookings/year?year[]=1',
                '/api/plans/draft/hours/hrs_bookings/changes?at=2026-11-23T10:30&most=abc',
                '/api/phone-numbers?text=x%00y&country=GB',
                '/api/phone-numbers?text=' . str_repeat('x', 5000) . '&country=GB',
                '/api/plans/' . str_repeat('x', 5000),
                '/api/plans/draft/hours?at=' . str_repeat('x', 5000),
                '/api/plans/draft/calendars/cal_england/dates?from=' . str_repeat('x', 500),
            ]
            as $path
        ) {
            yield substr($path, 0, 80) => [static fn(): array => ['GET', $path, null]];
        }
    }

    public function testPeopleWhoAllForwardToTheNext(): void
    {
        $people = [];
        for ($i = 0; $i < 61; ++$i) {
            $next = \sprintf('per_%d', min(60, $i + 1));
            $then =
                $i < 60
                    ? [
                        'next' => ['nobody' => $next, 'busy' => $next, 'unreachable' => $next],
                        'greetings' => new \stdClass(),
                    ]
                    : [];
            $people[] =
                [
                    'id' => 'per_' . $i,
                    'name' => 'Person ' . $i,
                    'site' => 'sit_a',
                    'phones' => [['id' => 'desk', 'type' => 'desk', 'label' => 'Desk']],
                    'rules' => [
                        [
                            'id' => 'always',
                            'name' => 'Always',
                            'on' => true,
                            'when' => new \stdClass(),
                            'stages' => [['phones' => ['desk'], 'after' => 0, 'seconds' => 15]],
                        ] + $then,
                    ],
                ] + self::PERSON;
        }
        $this->send('PUT', '/api/plans/draft/file', self::plan($people), $this->draftRevision());
        $this->assertStatus(200, json_encode($this->answer()->getContent()) ?: '');
        $this->weigh('GET', '/api/plans/draft/findings', null);
        $this->weigh('POST', '/api/editions', ['note' => 'x']);
    }

    public function testTheLargestHoursThereMayBe(): void
    {
        $week = self::minutes(Limits::WEEK_BANDS);
        $day = static fn(int $i): string => gmdate('m-d', 86_400 * 3 * $i);
        $hours =
            [
                'id' => 'hrs_large',
                'week' => $week,
                'seasons' => array_map(
                    static fn(int $i): array => [
                        'name' => 'S' . $i,
                        'from' => $day($i),
                        'to' => gmdate('m-d', 86_400 * (3 * $i + 1)),
                        'week' => \array_slice($week, 0, 40),
                    ],
                    range(0, Limits::SEASONS - 1),
                ),
                'specialDays' => array_map(
                    static fn(int $i): array => [
                        'date' => gmdate('Y-m-d', 1_795_000_000 + 86_400 * $i),
                        'name' => 'x',
                        'bands' => [['from' => '09:00', 'to' => '10:00', 'state' => 'open']],
                    ],
                    range(0, Limits::SPECIAL_DAYS - 1),
                ),
                'calendars' => [
                    ['calendar' => 'cal_england', 'state' => 'closed', 'exceptions' => []],
                    ['calendar' => 'cal_france', 'state' => 'closed', 'exceptions' => []],
                ],
            ] + self::HOURS;
        $this->weigh('POST', '/api/plans/draft/elements', $hours);
        self::assertSame(201, $this->answer()->getStatusCode(), (string) $this->answer()->getContent());
        $this->weigh('POST', '/api/plans/draft/elements', [
            'id' => 'jrn_large',
            'kind' => 'journey',
            'name' => 'Large',
            'steps' => array_map(
                static fn(int $i): array => ['id' => 's' . $i, 'do' => 'hours', 'hours' => 'hrs_large', 'exits' => []],
                range(1, Limits::STEPS),
            ),
        ]);
        self::assertSame(201, $this->answer()->getStatusCode(), (string) $this->answer()->getContent());
        $this->weigh('POST', '/api/plans/draft/elements', [
            'kind' => 'number',
            'name' => 'Large',
            'number' => '+441632960177',
            'site' => 'sit_ternwick',
            'language' => 'en',
            'target' => 'jrn_large',
        ]);
        foreach (
            [
                'hours?at=2026-11-23T10:30',
                'hours/hrs_large/changes?at=2026-11-23T10:30&most=60',
                'hours/hrs_large/year?year=2027&with=hrs_port',
                'hours/hrs_large.ics',
                'findings',
            ]
            as $question
        ) {
            $this->weigh('GET', '/api/plans/draft/' . $question, null);
        }
        foreach (['trial-calls', 'trial-calls/next-change', 'trial-calls/previous-change'] as $question) {
            $this->weigh('POST', '/api/' . $question, [
                'to' => '+441632960177',
                'at' => '2026-11-23T10:30',
                'zone' => 'Europe/Paris',
            ]);
        }
    }

    public function testTheLargestTeamThereMayBe(): void
    {
        $phones = array_map(
            static fn(int $i): array => ['id' => 'p' . $i, 'type' => 'desk', 'label' => 'Desk ' . $i],
            range(1, Limits::PHONES),
        );
        $stages = array_map(
            static fn(int $i): array => ['phones' => array_column($phones, 'id'), 'after' => $i, 'seconds' => 20],
            range(1, Limits::STAGES),
        );
        $rules = array_map(
            static fn(int $i): array => [
                'id' => 'r' . $i,
                'name' => 'R',
                'on' => true,
                'when' => $i < Limits::RULES ? ['statuses' => ['on leave']] : new \stdClass(),
                'stages' => $stages,
            ],
            range(1, Limits::RULES),
        );
        $people = array_map(
            static fn(int $i): array => [
                'id' => 'per_' . $i,
                'site' => 'sit_a',
                'phones' => $phones,
                'rules' => $i < 4 ? $rules : [$rules[Limits::RULES - 1]],
            ] + self::PERSON,
            range(1, Limits::MEMBERS),
        );
        $team = [
            'id' => 'team_all',
            'kind' => 'team',
            'name' => 'All',
            'pattern' => 'widening',
            'widenSeconds' => 1,
            'followRules' => true,
            'members' => array_map(static fn(int $i): array => ['who' => 'per_' . $i], range(1, Limits::MEMBERS)),
        ];
        $this->request(
            'PUT',
            '/api/plans/draft/file',
            (string) json_encode(
                self::plan([
                    ...$people,
                    $team,
                    [
                        'id' => 'num_a',
                        'kind' => 'number',
                        'name' => 'All',
                        'number' => self::BOOKINGS,
                        'site' => 'sit_a',
                        'language' => 'en',
                        'target' => 'team_all',
                    ],
                ]),
            ),
            $this->draftRevision(),
        );
        self::assertContains($this->answer()->getStatusCode(), [200, 413], (string) $this->answer()->getContent());
        $call = ['to' => '+441632960110', 'at' => '2026-11-23T10:30', 'zone' => 'Europe/London'];
        $preview = [
            'call' => $call,
            'step' => ['id' => 's1', 'do' => 'ring', 'target' => 'team_all', 'seconds' => 600],
            'direct' => true,
        ];
        $this->weigh('POST', '/api/ring-previews', $preview);
        self::assertSame(
            422,
            $this->answer()->getStatusCode(),
            'Fifteen thousand phones in thirty stages are too much at once.',
        );
        $this->weigh(
            'POST',
            '/api/ring-previews',
            ['element' => ['followRules' => false, 'members' => \array_slice($team['members'], 0, 300)] + $team] +
                $preview,
        );
        self::assertSame(200, $this->answer()->getStatusCode(), 'Nine thousand phones are not.');
        $this->weigh('GET', '/api/plans/draft/findings', null);
    }

    public function testWhatIsOverAndWhatIsGoneDoesNotSlowCallsDown(): void
    {
        $database = self::getContainer()->get(Connection::class);
        $database->executeStatement(
            "INSERT INTO hours_override (hours, state, reason, ends, until_at, who, set_at, lifted_at) SELECT 'hrs_gone' || i, 'open', 'x', 'lifted', NULL, 'x', 1700000000, NULL FROM generate_series(1, 3000) AS i",
        );
        $database->executeStatement(
            "INSERT INTO hours_override (hours, state, reason, ends, until_at, who, set_at, lifted_at) SELECT 'hrs_bookings', 'open', 'x', 'at', 1700000001, 'x', 1700000000, NULL FROM generate_series(1, 3000)",
        );
        $database->executeStatement(
            "INSERT INTO person_status (person, status, until_at, who, set_at) SELECT 'per_gone' || i, 'away', NULL, 'x', 1 FROM generate_series(1, 3000) AS i",
        );
        $this->weigh('POST', '/api/trial-calls', ['to' => self::BOOKINGS, 'at' => '2026-11-23T10:30']);
        $this->weigh('GET', '/api/overrides', null);
        $this->weigh('GET', '/api/statuses', null);
    }

    public function testListsOfLargeEditsAreShort(): void
    {
        $this->send('PUT', '/api/plans/draft/file', self::company(3_000), $this->draftRevision());
        $this->undo();
        foreach (['/api/plans/draft/history', '/api/editions', '/api/plans/draft/pending'] as $list) {
            $this->weigh('GET', $list, null);
            self::assertLessThan(self::MOST_ANSWERED, \strlen((string) $this->answer()->getContent()), $list);
        }
    }

    /** @return list<array<string, mixed>> */
    private static function minutes(int $count): array
    {
        return array_map(
            static fn(int $i): array => [
                'days' => [['mo', 'tu', 'we', 'th', 'fr', 'sa', 'su'][intdiv($i, 1440)]],
                'from' => \sprintf('%02d:%02d', intdiv($i % 1440, 60), $i % 60),
                'to' => \sprintf('%02d:%02d', intdiv(($i % 1440) + 1, 60), ($i + 1) % 60),
                'state' => ['open', 'closed'][$i % 2],
            ],
            range(0, $count - 1),
        );
    }

    private static function table(int $people): string
    {
        return "name,extension,desk,outside\n" .
            implode(
                "\n",
                array_map(
                    static fn(int $i): string => \sprintf(
                        'Person %d,%d,Desk phone,07700 900%03d',
                        $i,
                        10_000 + $i,
                        $i % 1000,
                    ),
                    range(0, $people - 1),
                ),
            );
    }

    /** @return array<string, mixed> */
    private static function company(int $people): array
    {
        return self::plan(
            array_map(
                static fn(int $i): array => [
                    'id' => 'per_' . $i,
                    'name' => 'Person ' . $i,
                    'site' => 'sit_a',
                    'extension' => (string) (10_000 + $i),
                    'phones' => [['id' => 'desk', 'type' => 'desk', 'label' => 'Desk']],
                ] + self::PERSON,
                range(0, $people - 1),
            ),
        );
    }

    /** @return array<string, mixed> */
    private static function journeys(int $count, bool $closed): array
    {
        return self::plan(
            array_map(
                static fn(int $i): array => [
                    'id' => 'jrn_' . $i,
                    'kind' => 'journey',
                    'name' => 'Journey ' . $i,
                    'steps' =>
                        $i + 1 < $count || $closed
                            ? [['id' => 's1', 'do' => 'go', 'journey' => 'jrn_' . ($i + 1) % $count]]
                            : [['id' => 's1', 'do' => 'end']],
                ],
                range(0, $count - 1),
            ),
        );
    }

    /**
     * @param list<array<string, mixed>> $elements
     *
     * @return array<string, mixed>
     */
    private static function plan(array $elements): array
    {
        return [
            'meandros' => 1,
            'name' => 'Large',
            'elements' => [
                [
                    'id' => 'sit_a',
                    'kind' => 'site',
                    'name' => 'Here',
                    'zone' => 'Europe/London',
                    'country' => 'GB',
                    'language' => 'en',
                    'address' => '',
                    'cadence' => null,
                ],
                ...$elements,
            ],
        ];
    }
}
