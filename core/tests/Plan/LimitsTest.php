<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Plan;

use Meandros\Core\Call\Assumptions;
use Meandros\Core\Plan\Json\PlanCodec;
use Meandros\Core\Reading\Input;
use Meandros\Core\Reading\InvalidData;
use Meandros\Core\Reading\Limits;
use Meandros\Core\Wording\ProblemWords;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** How much there may be of anything: the reader and the schema say the same, and refusals are short. */
final class LimitsTest extends TestCase
{
    private const SCHEMA = __DIR__ . '/../../schema/plan.schema.json';
    private const RULE = '/$defs/answeringRule/properties';

    #[DataProvider('depths')]
    public function testListsOfStepsLieInEachOtherTwentyDeep(int $lists, array $said): void
    {
        $steps = [];
        for ($i = 1; $i < $lists; ++$i) {
            $exits = [['key' => 'no-answer', 'steps' => $steps]];
            $steps = [['id' => "stp_$i", 'do' => 'ring', 'target' => 'per_bea', 'seconds' => 20, 'exits' => $exits]];
        }
        $journey = ['kind' => 'journey', 'id' => 'jrn_deep', 'name' => 'Deep', 'steps' => $steps];
        $inmost = '/steps' . str_repeat('/0/exits/0/steps', $lists - 1);

        self::assertSame($said, self::said($inmost, $journey));
    }

    /** @return iterable<string, array{int, list<string>}> */
    public static function depths(): iterable
    {
        yield 'twenty' => [20, []];
        yield 'twenty-one' => [21, ['steps-too-deep']];
    }

    /** @param \Closure(list<null>): array<string, mixed> $element */
    #[DataProvider('lists')]
    public function testOneMoreThanTheLimitIsRefusedByReaderAndSchema(
        string $schema,
        int $most,
        string $pointer,
        \Closure $element,
    ): void {
        self::assertSame($most, self::at($schema)['maxItems'] ?? null, 'The schema says the same.');
        self::assertNotContains('list-too-long', self::said($pointer, $element(array_fill(0, $most, null))));
        self::assertContains('list-too-long', self::said($pointer, $element(array_fill(0, $most + 1, null))));
    }

    /** @return iterable<string, array{string, int, string, \Closure(list<null>): array<string, mixed>}> schema, limit, pointer, and an element with such a list */
    public static function lists(): iterable
    {
        $field = static fn(string $kind, string $name): \Closure => static fn(array $list): array => [
            'kind' => $kind,
            $name => $list,
        ];
        $inHours = static fn(string $name, array $part, string $list): \Closure => static fn(array $items): array => [
            'kind' => 'hours',
            'states' => [['key' => 'open', 'name' => 'Open']],
            $name => [[$list => $items] + $part],
        ];
        $inRule = static fn(\Closure $rule): \Closure => static fn(array $list): array => [
            'kind' => 'person',
            'rules' => [$rule($list)],
        ];
        yield 'takes' => ['/$defs/prompt/properties/takes', Limits::TAKES, '/takes', $field('prompt', 'takes')];
        yield 'states' => ['/$defs/hours/properties/states', Limits::STATES, '/states', $field('hours', 'states')];
        yield 'bands of a week' => [
            '/$defs/hours/properties/week',
            Limits::WEEK_BANDS,
            '/week',
            $field('hours', 'week'),
        ];
        yield 'days of a band' => [
            '/$defs/weekBand/properties/days',
            Limits::DAYS,
            '/week/0/days',
            static fn(array $list): array => ['kind' => 'hours', 'week' => [['days' => $list]]],
        ];
        yield 'seasons' => ['/$defs/hours/properties/seasons', Limits::SEASONS, '/seasons', $field('hours', 'seasons')];
        yield 'bands of a season' => [
            '/$defs/season/properties/week',
            Limits::WEEK_BANDS,
            '/seasons/0/week',
            $inHours('seasons', [], 'week'),
        ];
        yield 'calendars' => [
            '/$defs/hours/properties/calendars',
            Limits::CALENDARS,
            '/calendars',
            $field('hours', 'calendars'),
        ];
        yield 'exceptions' => [
            '/$defs/calendarUse/properties/exceptions',
            Limits::EXCEPTIONS,
            '/calendars/0/exceptions',
            $inHours('calendars', [], 'exceptions'),
        ];
        yield 'special days' => [
            '/$defs/hours/properties/specialDays',
            Limits::SPECIAL_DAYS,
            '/specialDays',
            $field('hours', 'specialDays'),
        ];
        yield 'bands of a day' => [
            '/$defs/specialDay/properties/bands',
            Limits::DAY_BANDS,
            '/specialDays/0/bands',
            $inHours('specialDays', ['date' => '2026-12-24', 'name' => 'x'], 'bands'),
        ];
        yield 'codes' => ['/$defs/hours/properties/codes', Limits::CODES, '/codes', $field('hours', 'codes')];
        yield 'holidays' => [
            '/$defs/calendar/properties/holidays',
            Limits::HOLIDAYS,
            '/holidays',
            $field('calendar', 'holidays'),
        ];
        yield 'dates' => [
            '/$defs/holidayRule/oneOf/0/properties/dates',
            Limits::DATES,
            '/holidays/0/rule/dates',
            static fn(array $list): array => [
                'kind' => 'calendar',
                'holidays' => [['rule' => ['on' => 'dates', 'dates' => $list]]],
            ],
        ];
        yield 'days of a substitute' => [
            '/$defs/holiday/properties/substitute/properties/on',
            Limits::DAYS,
            '/holidays/0/substitute/on',
            static fn(array $list): array => ['kind' => 'calendar', 'holidays' => [['substitute' => ['on' => $list]]]],
        ];
        yield 'years left out' => [
            '/$defs/holiday/properties/years/properties/except',
            Limits::YEARS,
            '/holidays/0/years/except',
            static fn(array $list): array => ['kind' => 'calendar', 'holidays' => [['years' => ['except' => $list]]]],
        ];
        yield 'phones' => ['/$defs/person/properties/phones', Limits::PHONES, '/phones', $field('person', 'phones')];
        yield 'rules' => ['/$defs/person/properties/rules', Limits::RULES, '/rules', $field('person', 'rules')];
        yield 'stages' => [
            self::RULE . '/stages',
            Limits::STAGES,
            '/rules/0/stages',
            $inRule(static fn(array $list): array => ['stages' => $list]),
        ];
        yield 'phones of a stage' => [
            self::RULE . '/stages/items/properties/phones',
            Limits::PHONES,
            '/rules/0/stages/0/phones',
            $inRule(static fn(array $list): array => ['stages' => [['phones' => $list]]]),
        ];
        yield 'teams of a stage' => [
            self::RULE . '/stages/items/properties/teams',
            Limits::TEAMS,
            '/rules/0/stages/0/teams',
            $inRule(static fn(array $list): array => ['stages' => [['teams' => $list]]]),
        ];
        foreach (
            [
                'states' => Limits::STATES,
                'windows' => Limits::WEEK_BANDS,
                'statuses' => Limits::STATUSES,
                'callers' => Limits::CALLERS,
            ]
            as $name => $most
        ) {
            yield $name . ' of a rule' => [
                self::RULE . '/when/properties/' . $name,
                $most,
                '/rules/0/when/' . $name,
                $inRule(static fn(array $list): array => ['when' => [$name => $list]]),
            ];
        }
        yield 'days of a window' => [
            self::RULE . '/when/properties/windows/items/properties/days',
            Limits::DAYS,
            '/rules/0/when/windows/0/days',
            $inRule(static fn(array $list): array => ['when' => ['windows' => [['days' => $list]]]]),
        ];
        yield 'members' => ['/$defs/team/properties/members', Limits::MEMBERS, '/members', $field('team', 'members')];
        yield 'agents' => ['/$defs/queue/properties/members', Limits::MEMBERS, '/members', $field('queue', 'members')];
        yield 'pieces of music' => [
            '/$defs/queueMusic/properties/pieces',
            Limits::PIECES,
            '/music/pieces',
            static fn(array $list): array => ['kind' => 'queue', 'music' => ['pieces' => $list]],
        ];
        yield 'who is told of a wait' => [
            '/$defs/servicePromise/properties/notify',
            Limits::NOTIFY,
            '/promise/notify',
            static fn(array $list): array => ['kind' => 'queue', 'promise' => ['notify' => $list]],
        ];
        yield 'owners' => ['/$defs/mailbox/properties/owners', Limits::OWNERS, '/owners', $field('mailbox', 'owners')];
        yield 'who is told' => [
            '/$defs/mailbox/properties/notify',
            Limits::NOTIFY,
            '/notify',
            $field('mailbox', 'notify'),
        ];
        yield 'destinations' => [
            '/$defs/line/properties/destinations',
            Limits::DESTINATIONS,
            '/destinations',
            $field('line', 'destinations'),
        ];
        $promised = static fn(string $part, string $name): \Closure => static fn(array $list): array => [
            'kind' => 'expectation',
            $part => [$name => $list],
        ];
        foreach (
            [
                'numbers of a promise' => ['expectedCalls', 'calls', 'to', Limits::ELEMENTS],
                'callers of a promise' => ['expectedCalls', 'calls', 'from', Limits::CALLERS],
                'states of a promise' => ['expectedTimes', 'when', 'states', Limits::STATES],
                'windows of a promise' => ['expectedTimes', 'when', 'windows', Limits::WEEK_BANDS],
            ]
            as $name => [$def, $part, $list, $most]
        ) {
            yield $name => ["/\$defs/$def/properties/$list", $most, "/$part/$list", $promised($part, $list)];
        }
        yield 'days of a promise' => [
            '/$defs/expectedTimes/properties/windows/items/properties/days',
            Limits::DAYS,
            '/when/windows/0/days',
            static fn(array $list): array => ['kind' => 'expectation', 'when' => ['windows' => [['days' => $list]]]],
        ];
        yield 'silences' => [
            '/$defs/settings/properties/silences',
            Limits::SILENCES,
            '/silences',
            $field('settings', 'silences'),
        ];
        yield 'keys of a promise' => [
            '/$defs/expectedCalls/properties/keys',
            Limits::PRESSES,
            '/calls/keys',
            $promised('calls', 'keys'),
        ];
        yield 'outcomes of a promise' => [
            '/$defs/promiseEndsWith/properties/outcomes',
            4,
            '/promise/outcomes',
            static fn(array $list): array => [
                'kind' => 'expectation',
                'promise' => ['that' => 'ends with', 'outcomes' => $list],
            ],
        ];
        yield 'steps' => ['/$defs/steps', Limits::STEPS, '/steps', $field('journey', 'steps')];
        yield 'people who may be dialled' => [
            '/$defs/menuDialling/properties/people',
            Limits::MEMBERS,
            '/steps/0/dial/people',
            static fn(array $list): array => [
                'kind' => 'journey',
                'steps' => [['id' => 's1', 'do' => 'menu', 'dial' => ['people' => $list]]],
            ],
        ];
        yield 'callers of a list of an earlier plan' => [
            '/$defs/callerEntries/anyOf/1',
            Limits::CALLER_ENTRIES,
            '/entries',
            $field('callers', 'entries'),
        ];
        yield 'park places' => [
            '/$defs/site/properties/parkPlaces',
            Limits::PARK_PLACES,
            '/parkPlaces',
            $field('site', 'parkPlaces'),
        ];
        yield 'words of a menu' => [
            '/$defs/menu/properties/words',
            Limits::MENU_WORDS,
            '/steps/0/words',
            static fn(array $list): array => [
                'kind' => 'journey',
                'steps' => [['id' => 's1', 'do' => 'menu', 'words' => $list]],
            ],
        ];
        yield 'words of a key' => [
            '/$defs/menuWord/properties/say',
            Limits::WORDS,
            '/steps/0/words/0/say',
            static fn(array $list): array => [
                'kind' => 'journey',
                'steps' => [['id' => 's1', 'do' => 'menu', 'words' => [['on' => '1', 'say' => $list]]]],
            ],
        ];
        $named = [
            'exits' => 'hours',
            'menuExits' => 'menu',
            'ringExits' => 'ring',
            'queueExits' => 'queue',
            'forwardExits' => 'forward',
            'sayExits' => 'say',
            'messageExits' => 'message',
            'directoryExits' => 'directory',
            'parkExits' => 'park',
        ];
        foreach ($named as $name => $do) {
            yield $name => [
                '/$defs/' . $name,
                Limits::EXITS,
                '/steps/0/exits',
                static fn(array $list): array => [
                    'kind' => 'journey',
                    'steps' => [['id' => 's1', 'do' => $do, 'exits' => $list]],
                ],
            ];
        }
    }

    public function testEveryListOfTheSchemaIsLooked(): void
    {
        $lists = [];
        $walk = static function (mixed $part, string $pointer) use (&$walk, &$lists): void {
            if (\is_array($part) && 'array' === ($part['type'] ?? null)) {
                $lists[] = $pointer;
            }
            foreach (\is_array($part) ? $part : [] as $name => $inner) {
                $walk($inner, $pointer . '/' . $name);
            }
        };
        $walk(self::at(''), '');
        self::assertSame(Limits::ELEMENTS, self::at('/properties/elements')['maxItems'] ?? null);
        self::assertSame(Limits::LANGUAGES, self::at('/$defs/prompt/properties/scripts')['maxProperties'] ?? null);
        self::assertSame(
            [],
            array_values(array_diff($lists, ['/properties/elements'], array_column([...self::lists()], 0))),
        );
    }

    public function testNoMoreProblemsAreToldThanAnybodyReads(): void
    {
        $said = self::problems(static fn() => Assumptions::fromData(['keys' => array_fill(0, Limits::KEYS, 'x')]));
        self::assertCount(Limits::PROBLEMS, $said);
        self::assertSame(['/keys/0', '/keys/99'], [$said[0]->pointer, $said[99]->pointer]);
    }

    public function testValuesAreToldBackShort(): void
    {
        $long = str_repeat('x', 5000);
        foreach (
            [
                ['kind' => $long],
                ['kind' => 'site', 'name' => $long, 'zone' => $long, 'country' => $long, 'language' => $long],
                ['kind' => 'prompt', $long => 1],
                ['kind' => 'mailbox', 'notify' => [$long]],
                ['kind' => 'journey', 'steps' => [['do' => $long]]],
            ]
            as $element
        ) {
            foreach (self::problems(static fn() => PlanCodec::element($element)) as $problem) {
                self::assertLessThan(
                    400,
                    \strlen($problem->pointer . ProblemWords::message($problem) . ProblemWords::remedy($problem)),
                );
            }
        }
        self::assertSame(str_repeat('x', 80), Input::quote(str_repeat('x', 80)));
        self::assertSame(str_repeat('é', 79) . '…', Input::quote(str_repeat('é', 81)));
    }

    /**
     * @param array<string, mixed> $element
     *
     * @return list<string>
     */
    private static function said(string $pointer, array $element): array
    {
        $ofList = array_filter(
            self::problems(static fn() => PlanCodec::element($element)),
            static fn($problem): bool => $problem->pointer === $pointer,
        );

        return array_column($ofList, 'code');
    }

    /** @return list<\Meandros\Core\Plan\Problem> */
    private static function problems(\Closure $read): array
    {
        try {
            $read();
        } catch (InvalidData $invalid) {
            return $invalid->problems;
        }

        return [];
    }

    /** @return array<string, mixed> */
    private static function at(string $pointer): array
    {
        $part = json_decode((string) file_get_contents(self::SCHEMA), true, 64, \JSON_THROW_ON_ERROR);
        foreach ('' === $pointer ? [] : \array_slice(explode('/', $pointer), 1) as $name) {
            $part = $part[$name];
        }

        return $part;
    }
}
