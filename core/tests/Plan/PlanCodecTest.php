<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Plan;

use Meandros\Core\Plan\Json\PlanCodec;
use Meandros\Core\Reading\InvalidData;
use Meandros\Core\Reading\Limits;
use Meandros\Core\Tests\PlanBuilder;
use Meandros\Core\Wording\ProblemWords;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class PlanCodecTest extends TestCase
{
    private const DEMO = __DIR__ . '/../../../demo/ternwick-ferries.json';

    public function testTheDemoPlanComesOutAsItWentIn(): void
    {
        $json = (string) file_get_contents(self::DEMO);
        self::assertSame($json, PlanCodec::encode(PlanCodec::decode($json), true));
        $plan = (new PlanBuilder())->with(['id' => 'jrn', 'kind' => 'journey', 'name' => 'Quai <B> & “C”'])->plan();
        self::assertStringContainsString('"name":"Quai <B> & “C”"', PlanCodec::encode($plan));
    }

    public function testAQueueOfAnEarlierVersionKeepsItsMusic(): void
    {
        $queue = PlanCodec::element([
            'id' => 'que',
            'kind' => 'queue',
            'name' => 'Queue',
            'members' => [],
            'waiting' => ['longestSeconds' => 60, 'music' => 'prm_waltz'],
        ])->toJson();
        self::assertSame(['pieces' => ['prm_waltz'], 'shuffled' => false], $queue['music']);
        \assert(\is_array($queue['waiting']));
        self::assertArrayNotHasKey('music', $queue['waiting']);
    }

    /** @param array<string, mixed> $element */
    #[DataProvider('badInput')]
    public function testBadInputIsRefusedAtTheField(array $element, string $pointer, string $words): void
    {
        $builder = (new PlanBuilder())
            ->prompt('prm_hello', 2)
            ->person('dana')
            ->with([
                'extension' => '201',
                'name' => 'Eve',
                'id' => 'eve',
                'kind' => 'person',
                'site' => 'sit_harbour',
                'phones' => [],
                'mailbox' => null,
            ]);
        try {
            $builder->with($element)->plan();
            self::fail('This must be refused.');
        } catch (InvalidData $invalid) {
            $found = array_filter(
                $invalid->problems,
                static fn($problem): bool => str_ends_with($problem->pointer, $pointer) &&
                    str_contains(ProblemWords::message($problem) . ' ' . ProblemWords::remedy($problem), $words),
            );
            self::assertNotEmpty($found, $invalid->getMessage());
            self::assertStringStartsWith('/elements/', array_values($found)[0]->pointer);
        }
    }

    /** @return iterable<string, array{array<string, mixed>, string, string}> */
    public static function badInput(): iterable
    {
        $queue = static fn(array $more): array => $more + [
            'id' => 'que',
            'kind' => 'queue',
            'name' => 'Queue',
            'members' => [],
        ];
        yield 'one key for two things' => [
            $queue(['waiting' => ['leaveKey' => '5'], 'callback' => ['offer' => ['key' => '5']]]),
            '/callback/offer/key',
            'leaves the queue already',
        ];
        yield 'a code that is none' => [$queue(['duty' => ['codeIn' => '31']]), '/duty/codeIn', 'not a code'];
        yield 'one code for two things' => [
            $queue(['duty' => ['codeIn' => '*31', 'codeOut' => '*31']]),
            '/duty/codeOut',
            'stands here twice',
        ];
        yield 'a place that is kept for no time' => [
            $queue(['callback' => ['window' => ['keptMinutes' => 0]]]),
            '/callback/window/keptMinutes',
            'minutes',
        ];
        yield 'a notice to no address' => [
            $queue(['promise' => ['notify' => ['the boss']]]),
            '/promise/notify/0',
            'not an e-mail address',
        ];
        $callers = static fn(string ...$matches): array => [
            'id' => 'clr',
            'kind' => 'callers',
            'name' => 'Callers',
            'entries' => array_map(static fn(string $match): array => ['match' => $match], array_values($matches)),
        ];
        yield 'a pattern that matches everything' => [$callers('+*'), '/entries/0/match', 'tells no callers apart'];
        yield 'a country that is none' => [$callers('XX'), '/entries/0/match', 'is not a country'];
        yield 'a caller twice' => [$callers('GB', 'FR', 'GB'), '/entries/2/match', 'twice'];
        yield 'a step that goes back by less than nothing' => [
            [
                'id' => 'jrn_main',
                'kind' => 'journey',
                'name' => 'Main',
                'steps' => [['id' => 's1', 'do' => 'again', 'up' => -1]],
            ],
            '/steps/0/up',
            'menus',
        ];
        $number = [
            'id' => 'num_two',
            'kind' => 'number',
            'name' => 'Two',
            'number' => '+441632960102',
            'site' => 'sit_harbour',
            'language' => 'en',
            'target' => null,
        ];
        yield 'a number that is not a number' => [
            ['number' => '+44 abc'] + $number,
            '/number',
            'not in international form',
        ];
        yield 'a number too short' => [['number' => '+441632'] + $number, '/number', 'too short'];
        yield 'a number not in international form' => [['number' => '01632 960102'] + $number, '/number', 'plus sign'];
        yield 'a number that is there already' => [
            ['number' => PlanBuilder::NUMBER] + $number,
            '/number',
            'in the plan already, as "Main line"',
        ];
        yield 'a target that is gone' => [
            ['target' => 'jrn_gone'] + $number,
            '/target',
            '"jrn_gone" is not in the plan',
        ];
        yield 'a target of the wrong kind' => [
            ['target' => 'prm_hello'] + $number,
            '/target',
            'which cannot stand here',
        ];
        yield 'an unknown field' => [['colour' => 'red'] + $number, '/colour', 'not known'];
        yield 'an unknown kind' => [['id' => 'x_y', 'kind' => 'parrot'], '/kind', '"parrot" is not a kind of element'];
        yield 'an unknown zone' => [
            [
                'id' => 'sit_two',
                'kind' => 'site',
                'name' => 'Two',
                'zone' => 'Europe/Pariss',
                'country' => 'FR',
                'language' => 'fr',
            ],
            '/zone',
            'the closest is Europe/Paris',
        ];
        yield 'an unknown country' => [
            [
                'id' => 'sit_two',
                'kind' => 'site',
                'name' => 'Two',
                'zone' => 'Europe/Paris',
                'country' => 'XX',
                'language' => 'fr',
            ],
            '/country',
            'is not a country',
        ];
        yield 'an extension that is taken' => [
            [
                'id' => 'per_two',
                'kind' => 'person',
                'name' => 'Two',
                'extension' => '201',
                'site' => 'sit_harbour',
                'phones' => [],
                'mailbox' => null,
            ],
            '/extension',
            'Extension 201 belongs to Eve',
        ];
        yield 'a member twice' => [
            [
                'id' => 'team_two',
                'kind' => 'team',
                'name' => 'Two',
                'pattern' => 'all at once',
                'members' => ['dana', 'dana'],
            ],
            '/members/1',
            'in the team twice',
        ];
        yield 'an unknown pattern' => [
            ['id' => 'team_two', 'kind' => 'team', 'name' => 'Two', 'pattern' => 'backwards', 'members' => []],
            '/pattern',
            'one after the other',
        ];
        yield 'an address that is none' => [
            [
                'id' => 'mbx_two',
                'kind' => 'mailbox',
                'name' => 'Two',
                'owners' => [],
                'notify' => ['nobody'],
                'greeting' => null,
            ],
            '/notify/0',
            'not an e-mail address',
        ];
        $hours = static fn(array $week, array $special = []): array => [
            'id' => 'hrs_two',
            'kind' => 'hours',
            'name' => 'Two',
            'site' => 'sit_harbour',
            'default' => 'closed',
            'week' => $week,
            'specialDays' => $special,
            'states' => [
                ['key' => 'open', 'name' => 'Open', 'open' => true],
                ['key' => 'closed', 'name' => 'Closed', 'open' => false],
            ],
        ];
        $band = static fn(string $from, string $to, array $days = ['mo'], string $state = 'open'): array => [
            'days' => $days,
            'from' => $from,
            'to' => $to,
            'state' => $state,
        ];
        yield 'a band that ends before it starts' => [
            $hours([$band('17:00', '09:00')]),
            '/week/0/to',
            'for an end on the next day write 33:00',
        ];
        yield 'a band of no length' => [$hours([$band('17:00', '17:00')]), '/week/0/to', 'ends at 17:00'];
        yield 'overlapping bands' => [
            $hours([$band('09:00', '12:00'), $band('11:59:59', '13:00')]),
            '/week/1',
            'overlaps the one at',
        ];
        yield 'a night that overlaps the next morning' => [
            $hours([$band('22:00', '30:00', ['su']), $band('05:00', '09:00')]),
            '/week/1',
            'overlaps',
        ];
        yield 'a time that does not exist' => [$hours([$band('09:60', '12:00')]), '/week/0/from', 'is not a time'];
        yield 'a state that is not there' => [
            $hours([$band('09:00', '12:00', ['mo'], 'ajar')]),
            '/week/0/state',
            'is not a state of these hours',
        ];
        yield 'a date that does not exist' => [
            $hours([], [['date' => '2026-02-30', 'name' => 'No day', 'bands' => []]]),
            '/specialDays/0/date',
            'The date "2026-02-30" does not exist',
        ];
        yield 'a date twice' => [
            $hours([], array_fill(0, 2, ['date' => '2026-12-25', 'name' => 'Twice', 'bands' => []])),
            '/specialDays/1/date',
            'two special days',
        ];
        $journey = static fn(array ...$steps): array => [
            'id' => 'jrn_two',
            'kind' => 'journey',
            'name' => 'Two',
            'steps' => $steps,
        ];
        $exit = static fn(string $on, array ...$steps): array => ['on' => $on, 'label' => '', 'steps' => $steps];
        $menu = static fn(array ...$exits): array => [
            'id' => 's1',
            'do' => 'menu',
            'prompt' => null,
            'wait' => 5,
            'tries' => 2,
            'exits' => $exits,
        ];
        yield 'a menu key used twice' => [
            $journey($menu($exit('1'), $exit('1'))),
            '/steps/0/exits/1/on',
            '"1" is used twice',
        ];
        yield 'a key that no phone has' => [$journey($menu($exit('10'))), '/steps/0/exits/0/on', 'not a way out'];
        yield 'a kind of step that is none' => [
            $journey(['id' => 's1', 'do' => 'sing']),
            '/steps/0/do',
            '"sing" is not a kind of step',
        ];
        yield 'a ring of no seconds' => [
            $journey(['id' => 's1', 'do' => 'ring', 'target' => 'dana', 'seconds' => 0, 'exits' => []]),
            '/steps/0/seconds',
            'from 1 to 600',
        ];
        yield 'two steps with one id' => [
            $journey(['id' => 's1', 'do' => 'end'], ['id' => 's1', 'do' => 'end']),
            '/steps',
            'Two steps have the id',
        ];
        yield 'a journey that goes to itself for ever' => [
            $journey(
                ['id' => 's1', 'do' => 'say', 'prompt' => 'prm_hello'],
                ['id' => 's2', 'do' => 'go', 'journey' => 'jrn_two'],
            ),
            '/steps/1/journey',
            'go round here for ever',
        ];
    }

    public function testARoundThroughAnotherJourneyIsFoundToo(): void
    {
        $this->expectExceptionMessage('/elements/2/steps/0/journey: endless-journey');
        (new PlanBuilder())
            ->journey('jrn_main', [['id' => 's1', 'do' => 'go', 'journey' => 'jrn_two']])
            ->journey('jrn_two', [['id' => 's1', 'do' => 'go', 'journey' => 'jrn_main']])
            ->plan();
    }

    #[DataProvider('brokenFiles')]
    public function testABrokenFileIsRefused(string $json, string $words): void
    {
        $this->expectException(InvalidData::class);
        $this->expectExceptionMessage($words);
        PlanCodec::decode($json);
    }

    /** @return iterable<array{string, string}> */
    public static function brokenFiles(): iterable
    {
        yield ['{"meandros": 1, ', '/: not-a-plan-file'];
        yield ['[]', '/elements: elements-missing'];
        yield ['"plan"', '/: not-an-object'];
        yield ['{"meandros": 2, "name": "x", "elements": []}', '/meandros: not-this-format'];
        yield [str_repeat('[', 1000), '/: not-a-plan-file'];
        yield ['{"meandros": 1, "name": "x", "elements": {"a": 1}}', '/elements: not-a-list'];
        $list = ['kind' => 'callers', 'id' => 'clr_a', 'name' => 'Callers', 'entries' => '+441632960150'];
        $plan = static fn(array ...$elements): string => (string) json_encode([
            'meandros' => 1,
            'name' => 'x',
            'elements' => $elements,
        ]);
        yield [$plan($list, $list), '/elements/1/id: element-id-twice'];
        $scripts = array_fill_keys(
            array_map(
                static fn(int $i): string => \chr(97 + intdiv($i, 26)) . \chr(97 + ($i % 26)),
                range(0, Limits::LANGUAGES),
            ),
            'Hello.',
        );
        $prompt = ['kind' => 'prompt', 'id' => 'prm_a', 'name' => 'Hello', 'scripts' => $scripts];
        yield [$plan($prompt), '/elements/0/scripts: too-many-entries'];
    }
}
