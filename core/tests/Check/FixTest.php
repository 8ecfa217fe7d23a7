<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Check;

use Meandros\Core\Check\Checks;
use Meandros\Core\Check\Finding;
use Meandros\Core\Plan\Json\PlanCodec;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Tests\PlanBuilder;
use Meandros\Core\Wording\FindingWords;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Swaggest\JsonDiff\JsonPatch;

/** What a warning offers with one click mends it: the patch (RFC 6902) is applied with a library, and the warning is gone. */
final class FixTest extends TestCase
{
    private const MOBILE = ['id' => 'mobile', 'type' => 'outside', 'label' => 'Mobile', 'number' => '+447700900101'];

    #[DataProvider('surprises')]
    public function testTheFixMendsIt(
        PlanBuilder $builder,
        string $on,
        string $pointer,
        string $message,
        string $label,
    ): void {
        $plan = $builder->plan();
        $found = self::saying($plan, $message);
        self::assertNotNull(
            $found,
            implode(
                "\n",
                array_map(static fn(Finding $finding): string => FindingWords::message($finding), Checks::in($plan)),
            ),
        );
        self::assertSame([$on, $pointer, $label], [$found->element->id(), $found->pointer, FindingWords::fix($found)]);
        $fix = $found->fix;
        self::assertNotNull($fix);
        self::assertEquals(
            [
                'id' => $on,
                'kind' => $found->element->kind()->value,
                'name' => $found->element->name(),
                'blocks' => $found->blocksPublishing,
                'pointer' => $pointer,
                'code' => $found->code,
                'detail' => $message,
                'remedy' => FindingWords::remedy($found),
                'silenced' => null,
                'fix' => ['label' => $label, 'element' => $fix->element, 'patch' => $fix->patch],
            ],
            FindingWords::report($found),
        );
        $element = json_decode(
            PlanCodec::encodeElement($plan->find($fix->element) ?? throw new \LogicException()),
            false,
            64,
            \JSON_THROW_ON_ERROR,
        );
        JsonPatch::import(
            json_decode(json_encode($fix->patch, \JSON_THROW_ON_ERROR), false, 64, \JSON_THROW_ON_ERROR),
        )->apply($element);
        $mended = PlanCodec::element(
            json_decode(json_encode($element, \JSON_THROW_ON_ERROR), true, 64, \JSON_THROW_ON_ERROR),
        );
        self::assertNull(self::saying($plan->with($mended), $message), 'It is gone.');
    }

    public function testHalfWayIsHalfWay(): void
    {
        $plan = self::ann([self::MOBILE])
            ->prompt('prm_hello', 4)
            ->journey('jrn_main', [
                [
                    'id' => 'ring',
                    'do' => 'ring',
                    'target' => 'ann',
                    'seconds' => 30,
                    'greeting' => 'prm_hello',
                    'greetAfter' => 40,
                ],
            ])
            ->plan();
        $fix = self::saying(
            $plan,
            'The greeting is never heard: it would begin after 40 s, and the step is over after 30 s.',
        )?->fix;
        self::assertSame(['op' => 'replace', 'path' => '/steps/0/greetAfter', 'value' => 15], $fix->patch[0] ?? null);
    }

    public function testAStepThatRingsANumberOfAJourneyIsNotOfferedTheJourney(): void
    {
        $plan = (new PlanBuilder())
            ->journey('jrn_more', [['id' => 'ring', 'do' => 'ring', 'target' => PlanBuilder::NUMBER, 'seconds' => 20]])
            ->plan();
        $found = self::saying(
            $plan,
            'This is our own number “Main line”: the call comes in there once more, as one from inside.',
        );
        self::assertSame(['jrn_more', null], [$found?->element->id(), $found?->fix]);
    }

    public function testNothingIsOfferedThatWouldNotMendIt(): void
    {
        foreach (
            [
                ['pattern' => 'one after the other', 'memberSeconds' => 30, 'members' => ['ann', 'ben']],
                ['pattern' => 'widening', 'widenSeconds' => 30, 'members' => ['ann', ['who' => 'ben', 'tier' => 2]]],
            ]
            as $team
        ) {
            $plan = self::ann([self::MOBILE])
                ->person('ben')
                ->with($team + ['id' => 'team_one', 'kind' => 'team', 'name' => 'One'])
                ->journey('jrn_main', [['id' => 'ring', 'do' => 'ring', 'target' => 'team_one', 'seconds' => 1]])
                ->plan();
            $found = array_values(
                array_filter(
                    Checks::in($plan),
                    static fn(Finding $finding): bool => str_contains(
                        FindingWords::message($finding),
                        'for longer than 1 s',
                    ),
                ),
            );
            self::assertSame([1, null], [\count($found), $found[0]->fix]);
        }
    }

    /** @return iterable<string, array{PlanBuilder, string, string, string, string}> */
    public static function surprises(): iterable
    {
        $ring = static fn(array $step): array => [
            $step + ['id' => 'ring', 'do' => 'ring', 'target' => 'ann', 'seconds' => 30],
        ];
        $rule = static fn(string $id, array $stages, array $more = []): array => $more + [
            'id' => $id,
            'name' => ucfirst($id),
            'stages' => array_map(
                static fn(array $stage): array => [
                    'phones' => [$stage[0]],
                    'after' => $stage[1],
                    'seconds' => $stage[2],
                ],
                $stages,
            ),
        ];
        $swallows = ['ownMailbox' => 12] + self::MOBILE;
        yield 'an own mailbox that is faster than the step' => [
            self::ann([$swallows])->journey('jrn_main', $ring([])),
            'ann',
            '/phones/0',
            'The own mailbox of “Mobile” answers after 15 s, and jrn_main rings it for up to 30 s: the caller ends up there.',
            'Ask before connecting',
        ];
        yield 'an own mailbox that is faster than a stage' => [
            self::ann([$swallows], [$rule('one', [['mobile', 0, 20]])]),
            'ann',
            '/phones/0',
            'The own mailbox of “Mobile” answers after 15 s, and the rule “One” rings it for up to 20 s: the caller ends up there.',
            'Ask before connecting',
        ];
        yield 'an own mailbox that is faster than the greeting' => [
            self::ann([$swallows])
                ->prompt('prm_hello', 4)
                ->journey('jrn_main', $ring(['greeting' => 'prm_hello', 'greetAfter' => 15])),
            'ann',
            '/phones/0',
            'The own mailbox of “Mobile” answers after 15 s, before jrn_main greets after 15 s: the caller ends up there.',
            'Ask before connecting',
        ];
        yield 'a greeting that is never heard' => [
            self::ann([self::MOBILE])
                ->prompt('prm_hello', 4)
                ->journey('jrn_main', $ring(['greeting' => 'prm_hello', 'greetAfter' => 40])),
            'jrn_main',
            '/steps/0',
            'The greeting is never heard: it would begin after 40 s, and the step is over after 30 s.',
            'Greet half-way',
        ];
        yield 'a greeting in the second in which the step is over' => [
            self::ann([self::MOBILE])
                ->prompt('prm_hello', 4)
                ->journey('jrn_main', $ring(['greeting' => 'prm_hello', 'greetAfter' => 30])),
            'jrn_main',
            '/steps/0',
            'The greeting is never heard: it would begin after 30 s, and the step is over after 30 s.',
            'Greet half-way',
        ];
        yield 'a stage that never starts' => [
            self::ann([self::MOBILE], [$rule('one', [['mobile', 0, 10], ['mobile', 35, 10]])])->journey(
                'jrn_main',
                $ring([]),
            ),
            'jrn_main',
            '/steps/0',
            'Step “ring Ann” is over after 30 s, before stage 2 of the rule “One” starts.',
            'Ring for 45 s',
        ];
        yield 'a rule that never holds' => [
            self::ann(
                [self::MOBILE],
                [$rule('one', [['mobile', 0, 10]]), $rule('two', [], ['when' => ['via' => 'direct']])],
            ),
            'ann',
            '/rules/1',
            '“Two” never holds: “One” before it holds whenever it would.',
            'Move it before “One”',
        ];
        yield 'calls that come back' => [
            self::ann([self::MOBILE], [$rule('one', [['mobile', 0, 10]], ['next' => ['busy' => 'ben']])])->with(
                self::person('ben', [self::MOBILE], [$rule('one', [], ['next' => ['nobody' => 'ann']])]),
            ),
            'ann',
            '/rules/0',
            'Calls that Ann passes on come back to Ann.',
            'Let them go back to where they came from',
        ];
        yield 'nobody has a phone' => [
            self::ann([]),
            'ann',
            '/phones',
            'This person has no phone, so nothing rings.',
            'Add a desk phone',
        ];
        $team = static fn(array $more): PlanBuilder => self::ann([self::MOBILE])
            ->person('ben')
            ->with(
                $more + [
                    'id' => 'team_one',
                    'kind' => 'team',
                    'name' => 'One',
                    'pattern' => 'all at once',
                    'members' => ['ann', 'ben'],
                ],
            )
            ->journey('jrn_main', $ring(['target' => 'team_one']));
        yield 'everybody is off' => [
            $team(['members' => [['who' => 'ann', 'on' => false], ['who' => 'ben', 'on' => false]]]),
            'team_one',
            '/members',
            'Everybody in this team is off, so nothing rings.',
            'Switch everybody on',
        ];
        yield 'an alert time that no step leaves' => [
            $team(['members' => [['who' => 'ann', 'seconds' => 50], 'ben']]),
            'team_one',
            '/members/0',
            'This member is to ring for up to 50 s, and no step rings this team for longer than 30 s.',
            'Ring at most 30 s',
        ];
        yield 'a tier that never joins' => [
            $team(['pattern' => 'widening', 'widenSeconds' => 30, 'members' => ['ann', ['who' => 'ben', 'tier' => 2]]]),
            'team_one',
            '/members/1',
            'Tier 2 never rings: it would join after 30 s, and no step rings this team for longer than 30 s.',
            'Widen every 15 s',
        ];
        yield 'only the first has a turn' => [
            $team(['pattern' => 'one after the other', 'memberSeconds' => 30]),
            'team_one',
            '/memberSeconds',
            'Only the first rings: each has 30 s, and no step rings this team for longer than 30 s.',
            'Ring each for 15 s',
        ];
        $line = static fn(array $destinations): array => [
            'id' => 'line_one',
            'kind' => 'line',
            'name' => 'Quay',
            'site' => 'sit_harbour',
            'destinations' => $destinations,
            'channels' => 2,
        ];
        $words = 'No outside line may carry calls to +44 7700 900101 (mobile).';
        yield 'a phone that no line may carry' => [
            self::ann([self::MOBILE])->with($line(['national', 'emergency'])),
            'ann',
            '/phones/0',
            $words,
            'Let “Quay” carry mobile calls',
        ];
        yield 'a forward that no line may carry' => [
            self::ann([], [$rule('one', [], ['next' => ['nobody' => '+447700900101']])])->with($line(['national'])),
            'ann',
            '/rules/0',
            $words,
            'Let “Quay” carry mobile calls',
        ];
        yield 'a second forward of the same rule' => [
            self::ann(
                [],
                [$rule('one', [], ['next' => ['nobody' => '+441632960222', 'busy' => '+447700900101']])],
            )->with($line(['national', 'local', 'emergency'])),
            'ann',
            '/rules/0',
            $words,
            'Let “Quay” carry mobile calls',
        ];
        yield 'a member that no line may carry' => [
            $team(['members' => [['who' => '+447700900177']]])->with($line([])),
            'team_one',
            '/members/0',
            'No outside line may carry calls to +44 7700 900177 (mobile).',
            'Let “Quay” carry mobile calls',
        ];
        yield 'a step that no line may carry' => [
            self::ann([])->with($line([]))->journey('jrn_main', $ring(['target' => '+447700900101'])),
            'jrn_main',
            '/steps/0',
            $words,
            'Let “Quay” carry mobile calls',
        ];
        $narrow = ['channels' => 1] + $line(['mobile', 'emergency']);
        yield 'a line that the call itself fills' => [
            self::ann([self::MOBILE])->with($narrow),
            'ann',
            '/phones/0',
            '“Quay” carries one call at once: a call that comes in by it leaves no channel to +44 7700 900101.',
            'Let “Quay” carry two calls at once',
        ];
        yield 'a step that calls our own number' => [
            self::ann([self::MOBILE])
                ->with([
                    'id' => 'num_ann',
                    'kind' => 'number',
                    'name' => 'Ann direct',
                    'number' => '+441632960177',
                    'site' => 'sit_harbour',
                    'language' => 'en',
                    'target' => 'ann',
                ])
                ->journey('jrn_main', $ring(['target' => '+441632960177'])),
            'jrn_main',
            '/steps/0/target',
            'This is our own number “Ann direct”: the call comes in there once more, as one from inside.',
            'Use Ann instead',
        ];
        yield 'a stage in which a mobile never rings' => [
            self::ann([self::MOBILE], [$rule('one', [['mobile', 0, 3]])]),
            'ann',
            '/rules/0/stages/0/seconds',
            '“Mobile” never rings: it takes 3 s until its first ring, and is given up after 3 s.',
            'Ring it for 18 s',
        ];
        yield 'a turn in which a number never rings' => [
            $team(['pattern' => 'one after the other', 'memberSeconds' => 2, 'members' => ['+441632960222', 'ben']]),
            'team_one',
            '/memberSeconds',
            '“+44 1632 960222” never rings: it takes 2 s until its first ring, and is given up after 2 s.',
            'Ring it for 17 s',
        ];
        yield 'a turn of one\'s own, of a single phone' => [
            $team(['members' => [['who' => 'ann/mobile', 'seconds' => 1], 'ben']]),
            'team_one',
            '/members/0/seconds',
            '“Mobile” never rings: it takes 3 s until its first ring, and is given up after 1 s.',
            'Ring it for 18 s',
        ];
        yield 'a step in which a number never rings' => [
            self::ann([self::MOBILE])->journey('jrn_main', $ring(['target' => '+447700900101', 'seconds' => 2])),
            'jrn_main',
            '/steps/0/seconds',
            '“+44 7700 900101” never rings: it takes 3 s until its first ring, and is given up after 2 s.',
            'Ring it for 18 s',
        ];
        $queue = static fn(array $more): PlanBuilder => self::ann([self::MOBILE])
            ->prompt('prm_hello', 40)
            ->with($more + ['id' => 'que', 'kind' => 'queue', 'name' => 'Queue', 'members' => [['who' => 'ann']]]);
        yield 'one agent has all the time there is' => [
            $queue(['waiting' => ['longestSeconds' => 20], 'asking' => ['alertSeconds' => 20]]),
            'que',
            '/asking',
            'Only one agent is ever asked: for 20 s, and nobody may wait for longer than 20 s.',
            'Ask each for 10 s',
        ];
        yield 'a tier that joins too late' => [
            $queue([
                'members' => [['who' => 'ann'], ['who' => 'ben', 'tier' => 2]],
                'asking' => ['widenSeconds' => 40, 'spillsOver' => false],
                'waiting' => ['longestSeconds' => 40],
            ])->person('ben'),
            'que',
            '/members/1',
            'Tier 2 is never asked: it would join after 40 s, and nobody may wait for longer than 40 s.',
            'Let tiers join every 20 s',
        ];
        yield 'one that joins a second after the other at the latest' => [
            $queue([
                'members' => [['who' => 'ann'], ['who' => 'ben', 'tier' => 2]],
                'asking' => ['widenSeconds' => 40, 'spillsOver' => false],
                'waiting' => ['longestSeconds' => 3],
            ])->person('ben'),
            'que',
            '/members/1',
            'Tier 2 is never asked: it would join after 40 s, and nobody may wait for longer than 3 s.',
            'Let tiers join every 1 s',
        ];
        yield 'an introduction without end' => [
            $queue(['waiting' => ['longestSeconds' => 40, 'introduction' => 'prm_hello']]),
            'que',
            '/waiting',
            'Nobody is ever asked: the introduction takes 40 s, and nobody may wait for longer than 40 s.',
            'Let them wait for 100 s',
        ];
        $ofRank = static fn(int $rank): PlanBuilder => $queue([])
            ->with([
                'id' => 'two',
                'kind' => 'queue',
                'name' => 'Two',
                'members' => [['who' => 'ann', 'on' => false], ['who' => 'ben']],
            ])
            ->person('ben')
            ->with([
                'id' => 'three',
                'kind' => 'queue',
                'name' => 'Three',
                'rank' => $rank,
                'members' => [['who' => 'ben']],
            ])
            ->with([
                'id' => 'four',
                'kind' => 'queue',
                'name' => 'Four',
                'rank' => $rank,
                'members' => [['who' => 'ben'], ['who' => 'ann']],
            ]);
        foreach ([2 => 'after it: rank 3', 9 => 'before it: rank 8'] as $rank => $place) {
            yield 'two queues of rank ' . $rank => [
                $ofRank($rank),
                'four',
                '/rank',
                "Ben is an agent of “Three” too, which has the same rank, {$rank}: whose callers come first is not said.",
                'Let this one come ' . $place,
            ];
        }
        yield 'a callback that nobody can choose' => [
            $queue(['callback' => ['offer' => []], 'waiting' => ['leaveKey' => '1']]),
            'que',
            '/callback/offer',
            'Callers could be called back, but no key keeps the place, and whoever has waited longest goes on.',
            'Let key 2 keep the place',
        ];
        yield 'a callback by a line that may not' => [
            $queue(['callback' => ['offer' => ['key' => '5'], 'calls' => ['line' => 'line']]])
                ->with([
                    'id' => 'line',
                    'kind' => 'line',
                    'name' => 'Trunk',
                    'site' => 'sit_harbour',
                    'prefix' => '',
                    'destinations' => ['emergency', 'internal'],
                    'channels' => 1,
                ])
                ->with([
                    'id' => 'more',
                    'kind' => 'line',
                    'name' => 'More',
                    'site' => 'sit_harbour',
                    'prefix' => '',
                    'destinations' => ['mobile', 'emergency'],
                    'channels' => 1,
                ]),
            'que',
            '/callback/calls/line',
            'Callers are to be called back, but Trunk may carry no such call.',
            'Let Trunk carry national calls',
        ];
        yield 'recorded, and nobody is told' => [
            $queue(['recording' => ['on' => true]]),
            'que',
            '/recording',
            'Calls are recorded, and callers are not told.',
            'Do not record',
        ];
        yield 'a notice that goes to nobody' => [
            $queue(['promise' => ['noticeSeconds' => 60, 'notify' => []]]),
            'que',
            '/promise/notify',
            'Whoever waits for too long raises a notice, but it goes to nobody.',
            'Raise no notice',
        ];
        yield 'a notice and an introduction that fill the wait' => [
            $queue([
                'recording' => ['on' => true, 'notice' => 'prm_hello'],
                'waiting' => ['longestSeconds' => 80, 'introduction' => 'prm_hello'],
            ]),
            'que',
            '/waiting',
            'Nobody is ever asked: the introduction takes 80 s, and nobody may wait for longer than 80 s.',
            'Let them wait for 140 s',
        ];
        yield 'a long wait of which nothing is told' => [
            $queue(['waiting' => ['longestSeconds' => 660, 'announceSeconds' => 0]]),
            'que',
            '/waiting',
            'Callers may wait for 11 minutes and are told nothing meanwhile.',
            'Announce it every minute',
        ];
        $menu = static fn(array $scripts, array ...$exits): PlanBuilder => self::ann([])
            ->person('ben')
            ->with(['id' => 'prm_menu', 'kind' => 'prompt', 'name' => 'Menu', 'scripts' => $scripts])
            ->journey('jrn_main', [
                ['id' => 'menu', 'do' => 'menu', 'prompt' => 'prm_menu', 'exits' => array_values($exits)],
            ]);
        $key = static fn(string $on, string $label, string $who = 'ann'): array => [
            'on' => $on,
            'label' => $label,
            'steps' => [
                ['id' => 'ring' . ('*' === $on ? 'star' : $on), 'do' => 'ring', 'target' => $who, 'seconds' => 5],
            ],
        ];
        $again = static fn(int $up): array => ['id' => 'again', 'do' => 'again', 'up' => $up];
        yield 'back to a menu that is not there' => [
            $menu(['en' => ''], ['on' => '1', 'label' => '', 'steps' => [$again(1)]]),
            'jrn_main',
            '/steps/0/exits/0/steps/0',
            'There is only one menu around this step, so it cannot go back so far.',
            'Go back to the uppermost one',
        ];
        yield 'dialling that reaches nobody' => [
            self::ann([])->journey('jrn_main', [
                ['id' => 'menu', 'do' => 'menu', 'prompt' => null, 'dial' => ['scope' => 'some']],
            ]),
            'jrn_main',
            '/steps/0/dial',
            'Extensions may be dialled at this menu, but of nobody.',
            'Let nobody be dialled',
        ];
        $one = static fn(array $step): PlanBuilder => self::ann([])
            ->mailbox('mbx')
            ->with([
                'id' => 'sit_harbour',
                'kind' => 'site',
                'name' => 'Harbour',
                'zone' => 'Europe/London',
                'country' => 'GB',
                'language' => 'en',
                'parkPlaces' => ['701', '702'],
            ])
            ->journey('jrn_main', [$step + ['id' => 'it']]);
        yield 'a site at which nobody is' => [
            self::ann([])
                ->with([
                    'id' => 'sit_empty',
                    'kind' => 'site',
                    'name' => 'Empty',
                    'zone' => 'Europe/Paris',
                    'country' => 'FR',
                    'language' => 'fr',
                ])
                ->prompt('prm', 4)
                ->journey('jrn_main', [
                    [
                        'id' => 'it',
                        'do' => 'directory',
                        'prompt' => 'prm',
                        'dial' => ['scope' => 'site', 'site' => 'sit_empty'],
                    ],
                ]),
            'jrn_main',
            '/steps/0/dial',
            'Callers may spell names here, but nobody may be reached.',
            'Let everybody who is listed be reached',
        ];
        yield 'a word of two keys' => [
            $one([
                'do' => 'menu',
                'prompt' => null,
                'words' => [
                    ['on' => '1', 'language' => 'en', 'say' => ['Sales', 'café']],
                    ['on' => '2', 'language' => 'en', 'say' => ['freight', 'cafe']],
                    ['on' => '2', 'language' => 'fr', 'say' => ['Sales']],
                ],
                'exits' => [$key('1', 'One'), $key('2', 'Two')],
            ]),
            'jrn_main',
            '/steps/0/words',
            '“cafe” is said for key 1 and for key 2 in English: it is always taken for key 1.',
            'Take it away from key 2',
        ];
        yield 'words for a key that is not there' => [
            $one([
                'do' => 'menu',
                'prompt' => null,
                'words' => [['on' => '7', 'language' => 'en', 'say' => ['Sales']]],
                'exits' => [$key('1', 'One')],
            ]),
            'jrn_main',
            '/steps/0/words',
            'Callers may say “Sales” for key 7, which leads nowhere.',
            'Take its words away',
        ];
        yield 'a park place that is not there' => [
            $one(['do' => 'park', 'site' => 'sit_harbour', 'place' => '799']),
            'jrn_main',
            '/steps/0/place',
            'Harbour has no park place 799, so no call is parked.',
            'Park at the first that is free',
        ];
        yield 'a park place used twice' => [
            $one(['do' => 'park', 'site' => 'sit_harbour', 'place' => '702'])->journey('jrn_other', [
                ['id' => 'it', 'do' => 'park', 'site' => 'sit_harbour', 'place' => '702'],
            ]),
            'jrn_main',
            '/steps/0/place',
            'A step of jrn_other parks calls at 702 too: the second of two finds it taken.',
            'Park at the first that is free',
        ];
        yield 'a call that waits for ever' => [
            $one(['do' => 'park', 'site' => 'sit_harbour', 'seconds' => 0]),
            'jrn_main',
            '/steps/0/seconds',
            'A call that nobody takes waits here for ever.',
            'Let it come back after 2 minutes',
        ];
        yield 'a fax that may be missed' => [
            $one(['do' => 'fax', 'mailbox' => 'mbx', 'seconds' => 2]),
            'jrn_main',
            '/steps/0/seconds',
            'A fax machine may not be heard within 2 s: its tone comes every 3 to 4 s.',
            'Listen for 4 s',
        ];
        yield 'keys that wait for digits' => [
            self::ann([])->journey('jrn_main', [
                [
                    'id' => 'menu',
                    'do' => 'menu',
                    'prompt' => null,
                    'dial' => ['digitSeconds' => 5],
                    'exits' => [$key('1', 'One'), $key('*', 'Star')],
                ],
            ]),
            'jrn_main',
            '/steps/0/dial',
            'Whoever presses 1 waits for 5 s, in which an extension could go on.',
            'Wait for 3 s',
        ];
        yield 'a key that is promised and missing' => [
            $menu(['en' => 'For sales, press 1. For freight, press 2.'], $key('1', 'Sales')),
            'jrn_main',
            '/steps/0/exits',
            '“Menu” promises key 2 for “freight” in English, and it leads nowhere.',
            'Add key 2',
        ];
        yield 'a word that is promised and not understood' => [
            $menu(['en' => 'For sales, press 1 or say sales.'], $key('1', 'Sales')),
            'jrn_main',
            '/steps/0/words',
            '“Menu” tells callers in English to say “sales”, which is not understood.',
            'Let it do what key 1 does',
        ];
        yield 'a word more of a key that has some' => [
            $menu(
                ['en' => 'For sales, press 1 or say sales. For freight, press 2 or say cargo.'],
                $key('1', 'Sales'),
                $key('2', 'Freight'),
            )->journey('jrn_main', [
                [
                    'id' => 'menu',
                    'do' => 'menu',
                    'prompt' => 'prm_menu',
                    'words' => [
                        ['on' => '1', 'language' => 'en', 'say' => ['sales']],
                        ['on' => '2', 'language' => 'en', 'say' => ['freight']],
                    ],
                    'exits' => [$key('1', 'Sales'), $key('2', 'Freight')],
                ],
            ]),
            'jrn_main',
            '/steps/0/words',
            '“Menu” tells callers in English to say “cargo”, which is not understood.',
            'Let it do what key 2 does',
        ];
        yield 'a key that is never mentioned' => [
            $menu(
                [
                    'en' => 'For sales, press 1.',
                    'fr' => 'Pour les ventes, tapez 1. Pour Ben, tapez 2.',
                    'de' => 'Für Ben die 9.',
                ],
                $key('1', 'Sales'),
                $key('2', '', 'ben'),
            ),
            'jrn_main',
            '/steps/0/exits/1',
            '“Menu” says nothing of key 2 (English).',
            'Let the script name it',
        ];
        yield 'keys in another order' => [
            $menu(
                ['en' => 'For freight, press 2. For sales, press 1.'],
                $key('1', 'Sales'),
                ['on' => 'nothing', 'label' => '', 'steps' => []],
                $key('2', 'Freight'),
            ),
            'jrn_main',
            '/steps/0/exits',
            '“Menu” names the keys in English as 2 1, and they are listed as 1 2.',
            'List them as they are said',
        ];
        yield 'a key that perhaps leads elsewhere' => [
            $menu(
                ['en' => 'For bookings, press 1. For freight, press 2.'],
                $key('1', 'Freight'),
                $key('2', 'New booking'),
            ),
            'jrn_main',
            '/steps/0/exits',
            '“Menu” says “bookings” for key 1, which perhaps is key 2, “New booking”.',
            'Write the script from the keys',
        ];
        yield 'no line for emergencies' => [
            self::ann([])->with($line(['national'])),
            'line_one',
            '/destinations',
            'No outside line may carry emergency calls.',
            'Let “Quay” carry them',
        ];
    }

    public function testAStageLeavesATeamItsTimeAsAStepDoes(): void
    {
        $long = 'This member is to ring for up to 50 s, and no step rings this team for longer than 30 s.';
        $stages = static fn(int $seconds): array => [
            [
                'id' => 'one',
                'name' => 'One',
                'stages' => [['teams' => ['team_one'], 'after' => 0, 'seconds' => $seconds]],
            ],
        ];
        $plan = static fn(int $seconds): Plan => self::ann([self::MOBILE], $stages($seconds))
            ->person('ben')
            ->with([
                'id' => 'team_one',
                'kind' => 'team',
                'name' => 'One',
                'pattern' => 'all at once',
                'members' => [['who' => 'ben', 'seconds' => 50]],
            ])
            ->journey('jrn_main', [['id' => 'ring', 'do' => 'ring', 'target' => 'team_one', 'seconds' => 30]])
            ->plan();
        self::assertNotNull(self::saying($plan(20), $long));
        self::assertNull(self::saying($plan(60), $long));
    }

    private static function saying(Plan $plan, string $message): ?Finding
    {
        foreach (Checks::in($plan) as $finding) {
            if (FindingWords::message($finding) === $message) {
                return $finding;
            }
        }

        return null;
    }

    /**
     * @param list<array<string, mixed>> $phones
     * @param list<array<string, mixed>> $rules
     */
    private static function ann(array $phones, array $rules = []): PlanBuilder
    {
        return (new PlanBuilder())->with(self::person('ann', $phones, $rules));
    }

    /**
     * @param list<array<string, mixed>> $phones
     * @param list<array<string, mixed>> $rules
     *
     * @return array<string, mixed>
     */
    private static function person(string $id, array $phones, array $rules): array
    {
        return [
            'id' => $id,
            'kind' => 'person',
            'name' => ucfirst($id),
            'extension' => '',
            'site' => 'sit_harbour',
            'mailbox' => null,
            'phones' => $phones,
            'rules' => $rules,
        ];
    }
}
