<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Check;

use Meandros\Core\Check\Checks;
use Meandros\Core\Check\Finding;
use Meandros\Core\Tests\PlanBuilder;
use Meandros\Core\Time\Moment;
use Meandros\Core\Wording\FindingWords;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Each check just before it speaks, and just when it does: everything that is found, word for word. */
final class CheckTableTest extends TestCase
{
    private const MOBILE = ['id' => 'mobile', 'type' => 'outside', 'label' => 'Mobile', 'number' => '+447700900101'];

    /** @param list<string> $found "element pointer message" */
    #[DataProvider('rules')]
    #[DataProvider('mailboxes')]
    #[DataProvider('times')]
    #[DataProvider('lines')]
    #[DataProvider('numbers')]
    #[DataProvider('takes')]
    #[DataProvider('boxes')]
    #[DataProvider('scripts')]
    #[DataProvider('sites')]
    #[DataProvider('menus')]
    public function testWhatIsFound(PlanBuilder $plan, array $found): void
    {
        $messages = array_map(
            static fn(Finding $finding): string => \sprintf(
                '%s %s %s',
                $finding->element->id(),
                $finding->pointer,
                FindingWords::message($finding),
            ),
            Checks::in($plan->plan(), self::now()),
        );
        sort($messages);
        sort($found);
        self::assertSame($found, $messages);
    }

    /** @return list<array{PlanBuilder, list<string>}> */
    public static function all(): array
    {
        return [
            ...array_values(iterator_to_array(self::rules())),
            ...array_values(iterator_to_array(self::mailboxes())),
            ...array_values(iterator_to_array(self::times())),
            ...array_values(iterator_to_array(self::lines())),
            ...array_values(iterator_to_array(self::numbers())),
            ...array_values(iterator_to_array(self::takes())),
            ...array_values(iterator_to_array(self::boxes())),
            ...array_values(iterator_to_array(self::scripts())),
            ...array_values(iterator_to_array(self::sites())),
            ...array_values(iterator_to_array(self::menus())),
        ];
    }

    /** @return iterable<string, array{PlanBuilder, list<string>}> what keys do, and who calls */
    public static function menus(): iterable
    {
        $menu = static fn(string $id, array $keys): array => [
            'id' => $id,
            'do' => 'menu',
            'prompt' => 'prm_' . $id,
            'exits' => array_map(
                static fn(string $key, string $label): array => ['on' => $key, 'label' => $label, 'steps' => []],
                array_map(strval(...), array_keys($keys)),
                $keys,
            ),
        ];
        $says = static fn(PlanBuilder $plan, string $id, string $script): PlanBuilder => $plan->with([
            'id' => 'prm_' . $id,
            'kind' => 'prompt',
            'name' => ucfirst($id),
            'scripts' => ['en' => $script],
        ]);
        $dials = static fn(string $extension): PlanBuilder => (new PlanBuilder())
            ->prompt('prm_hello', 2)
            ->with([
                'id' => 'ann',
                'kind' => 'person',
                'name' => 'Ann',
                'extension' => $extension,
                'site' => 'sit_harbour',
                'phones' => [['id' => 'desk', 'type' => 'desk', 'label' => 'Desk']],
            ])
            ->journey('jrn_main', [
                [
                    'id' => 'ask',
                    'do' => 'menu',
                    'prompt' => 'prm_hello',
                    'dial' => ['digitSeconds' => 2],
                    'exits' => [['on' => '2', 'label' => 'Sales', 'steps' => []]],
                ],
            ]);
        $waits = ['jrn_main /steps/0/dial Whoever presses 2 waits for 2 s, in which an extension could go on.'];
        yield 'an extension that goes on with the first digit' => [$dials('20'), $waits];
        yield 'with the last one' => [$dials('299'), $waits];
        yield 'one that begins otherwise' => [$dials('300'), []];

        $script = 'For bookings, press 1. For freight, press 2.';
        $keys = ['1' => 'Freight', '2' => 'New booking'];
        yield 'two menus whose keys may be interchanged' => [
            $says($says(new PlanBuilder(), 'ask', $script), 'again', $script)->journey('jrn_main', [
                $menu('ask', $keys),
                $menu('again', $keys),
            ]),
            [
                'jrn_main /steps/0/exits “Ask” says “bookings” for key 1, which perhaps is key 2, “New booking”.',
                'jrn_main /steps/1/exits “Again” says “bookings” for key 1, which perhaps is key 2, “New booking”.',
            ],
        ];

        $round = static fn(bool $tells): PlanBuilder => (new PlanBuilder())
            ->with(['id' => 'clr', 'kind' => 'callers', 'name' => 'Known', 'entries' => 'GB'])
            ->with([
                'id' => 'num_quiet',
                'kind' => 'number',
                'name' => 'Old line',
                'number' => '+441632960199',
                'site' => 'sit_harbour',
                'language' => 'en',
                'target' => 'jrn_front',
                'tellsCaller' => $tells,
            ])
            ->prompt('prm_hello', 2)
            ->journey('jrn_front', [
                ['id' => 'hello', 'do' => 'say', 'prompt' => 'prm_hello'],
                ['id' => 'go', 'do' => 'go', 'journey' => 'jrn_main'],
            ])
            ->journey('jrn_main', [
                ['id' => 'who', 'do' => 'caller', 'exits' => [['on' => 'clr', 'label' => '', 'steps' => []]]],
                [
                    'id' => 'ask',
                    'do' => 'menu',
                    'prompt' => 'prm_hello',
                    'exits' => [
                        [
                            'on' => '1',
                            'label' => '',
                            'steps' => [['id' => 'go', 'do' => 'go', 'journey' => 'jrn_front']],
                        ],
                    ],
                ],
            ]);
        yield 'journeys that lead to each other, of lines that tell who calls' => [$round(true), []];
        yield 'and of one that does not' => [
            $round(false),
            [
                'jrn_main /steps/0 The line of “Old line” delivers no numbers of callers: by it everybody is withheld here.',
            ],
        ];
    }

    /** When it is looked at: Monday 23 November 2026, noon in London. */
    public static function now(): int
    {
        return Moment::parse('2026-11-23T12:00', 'Europe/London');
    }

    /** @return iterable<string, array{PlanBuilder, list<string>}> where sites are, and which clocks they keep */
    public static function sites(): iterable
    {
        $site = static fn(string $country, string $zone): PlanBuilder => (new PlanBuilder())->with([
            'id' => 'sit',
            'kind' => 'site',
            'name' => 'Site',
            'zone' => $zone,
            'country' => $country,
            'language' => 'en',
        ]);
        $found = static fn(string $zone, string $country): array => [
            "sit /zone Its clock is that of $zone, which nobody keeps in its country, $country.",
        ];
        yield 'a zone of its country' => [$site('GB', 'Europe/London'), []];
        yield 'one of many' => [$site('US', 'America/Denver'), []];
        yield 'one whose clocks show the same' => [$site('GB', 'Europe/Dublin'), []];
        yield 'one that shows the same in winter only' => [
            $site('GB', 'Africa/Abidjan'),
            $found('Africa/Abidjan', 'United Kingdom'),
        ];
        yield 'an hour later' => [$site('GB', 'Europe/Paris'), $found('Europe/Paris', 'United Kingdom')];
        yield 'none of many' => [$site('US', 'Europe/London'), $found('Europe/London', 'United States')];
        yield 'a country of which the database has no zone' => [$site('AC', 'Europe/Paris'), []];
    }

    /** @return iterable<string, array{PlanBuilder, list<string>}> mailboxes: who listens, what they say, and what keys do */
    public static function boxes(): iterable
    {
        $box = static fn(array $more): PlanBuilder => (new PlanBuilder())
            ->person('ann')
            ->prompt('prm', 4)
            ->with($more + ['id' => 'mbx', 'kind' => 'mailbox', 'name' => 'Box', 'owners' => ['ann']]);
        yield 'owned' => [$box([]), []];
        yield 'told of' => [$box(['owners' => [], 'notify' => ['office@example.com']]), []];
        yield 'neither' => [
            $box(['owners' => []]),
            ['mbx /owners Nobody owns this mailbox and nobody is told of its messages.'],
        ];
        yield 'neither, and no messages' => [$box(['owners' => [], 'takesMessages' => false, 'greeting' => 'prm']), []];
        yield 'an announcement without words' => [
            $box(['takesMessages' => false]),
            ['mbx /greeting This mailbox takes no messages and has nothing to say: the call ends in silence.'],
        ];
        yield 'nor has it once its owner is back' => [
            $box([
                'takesMessages' => false,
                'away' => ['greeting' => 'prm', 'until' => '2026-12-01T08:00'],
            ]),
            ['mbx /greeting This mailbox takes no messages and has nothing to say: the call ends in silence.'],
        ];
        yield 'its name is something to say' => [$box(['takesMessages' => false, 'nameRecording' => 'prm']), []];
        $away = static fn(string $until): array => ['away' => ['greeting' => 'prm', 'until' => $until]];
        yield 'away for another minute' => [$box($away('2026-11-23T12:01')), []];
        yield 'away until now' => [
            $box($away('2026-11-23T12:00')),
            ['mbx /away The greeting for a while ended on Mon 23 Nov 2026 12:00; the usual ones are heard again.'],
        ];
        $dated = static fn(string $date, string $until = '2026-12-01T08:00'): PlanBuilder => $box([
            'away' => ['greeting' => 'prm', 'until' => $until],
        ])->with(['id' => 'prm', 'kind' => 'prompt', 'name' => 'Away', 'scripts' => ['en' => "Away until $date."]]);
        yield 'a greeting that names today' => [$dated('23 November'), []];
        yield 'a greeting that names yesterday' => [
            $dated('Sunday the twenty-second of November'),
            [
                'mbx /away/greeting “Away” says “twenty-second of November” in English: that has passed, and it is still heard.',
            ],
        ];
        yield 'one that is over says nothing of its date' => [
            $dated('22 November', '2026-11-22T08:00'),
            ['mbx /away The greeting for a while ended on Sun 22 Nov 2026 08:00; the usual ones are heard again.'],
        ];
        $key = ['leave' => '0'];
        yield 'a key for somebody' => [$box(['keys' => $key + ['leaveTo' => 'ann']]), []];
        yield 'a key for nobody' => [
            $box(['keys' => $key]),
            ['mbx /keys/leaveTo Key 0 leaves this mailbox for nobody: the call goes on with the next step.'],
        ];
    }

    /** @return iterable<string, array{PlanBuilder, list<string>}> what scripts say of hours, which are open 08:00–12:00 and 13:00–17:00, and what they leave open */
    public static function scripts(): iterable
    {
        $plan = static fn(string $script, array $more = [], bool $inExit = true): PlanBuilder => (new PlanBuilder())
            ->hours('hrs', [
                ['days' => ['mo'], 'from' => '08:00', 'to' => '12:00', 'state' => 'open'],
                ['days' => ['mo'], 'from' => '13:00', 'to' => '17:00', 'state' => 'open'],
                ['days' => ['mo'], 'from' => '12:00', 'to' => '13:00', 'state' => 'closed'],
            ])
            ->with($more + ['id' => 'prm', 'kind' => 'prompt', 'name' => 'P', 'scripts' => ['en' => $script]])
            ->journey('jrn_main', [
                [
                    'id' => 's1',
                    'do' => 'hours',
                    'hours' => $inExit ? 'hrs' : null,
                    'exits' => [['on' => 'closed', 'steps' => [['id' => 's2', 'do' => 'say', 'prompt' => 'prm']]]],
                ],
            ]);
        $other = static fn(string $words): array => [
            \sprintf(
                'prm /scripts/en It says “%s”, but hrs are not open like that in any week: they are 08:00–12:00, 13:00–17:00.',
                $words,
            ),
        ];
        yield 'times as they are' => [$plan('We are here from eight to five.'), []];
        yield 'one half of them' => [$plan('We are here from eight to noon and from one to five.'), []];
        yield 'other times in words' => [$plan('We are here from nine to five.'), $other('from nine to five')];
        yield 'in the morning and in the evening' => [
            $plan('Call from 8 p.m. to 5 p.m.'),
            $other('from 8 p.m. to 5 p.m.'),
        ];
        yield 'of bands that meet' => [
            $plan('We are here from nine to five.')->hours('hrs', [
                ['days' => ['mo'], 'from' => '16:00', 'to' => '17:00', 'state' => 'open'],
                ['days' => ['mo'], 'from' => '12:00', 'to' => '15:00', 'state' => 'open'],
                ['days' => ['mo'], 'from' => '08:00', 'to' => '12:00', 'state' => 'open'],
                ['days' => ['tu'], 'from' => '12:00', 'to' => '15:00', 'state' => 'open'],
            ]),
            [
                'prm /scripts/en It says “from nine to five”, but hrs are not open like that in any week: they are 08:00–15:00, 16:00–17:00, 12:00–15:00.',
            ],
        ];
        yield 'of its own hours' => [
            $plan('We are here from nine to five.', ['hours' => 'hrs'], false),
            [...$other('from nine to five'), 'jrn_main /steps/0/hours This step has no hours yet.'],
        ];
        yield 'the next opening, in the exit of hours' => [$plan('Again {opening}.'), []];
        $nowhere = (new PlanBuilder())
            ->with(['id' => 'prm', 'kind' => 'prompt', 'name' => 'P', 'scripts' => ['en' => '{opening} {date} {wait}']])
            ->journey('jrn_main', [['id' => 's1', 'do' => 'say', 'prompt' => 'prm']]);
        yield 'the next opening and the wait of nothing' => [
            $nowhere,
            [
                'prm /scripts/en Nothing is ever said for the blank “opening”: no hours are looked at before this prompt is heard.',
                'prm /scripts/en Nothing is ever said for the blank “wait”: this prompt is not heard in a queue.',
            ],
        ];
    }

    /** @return iterable<string, array{PlanBuilder, list<string>}> takes that callers hear: ten words, four seconds at an ordinary pace */
    public static function takes(): iterable
    {
        $script = 'We are closed now and open again tomorrow at eight';
        $prompt = static fn(array $take, bool $inUse = true): PlanBuilder => (new PlanBuilder())->with([
            'id' => 'prm',
            'kind' => 'prompt',
            'name' => 'Closed',
            'scripts' => ['en' => $script],
            'takes' => [
                ['id' => 'old', 'language' => 'en', 'sound' => str_repeat('0', 64), 'milliseconds' => 1],
                $take + [
                    'id' => 'new',
                    'language' => 'en',
                    'sound' => str_repeat('a', 64),
                    'milliseconds' => 4000,
                    'words' => $script,
                ],
            ],
            'inUse' => $inUse ? ['en' => 'new'] : [],
        ]);
        $measured = static fn(array $measures): PlanBuilder => $prompt(['measures' => $measures]);
        $stale = 'prm /takes/1 The take in use in English was recorded from other words than the script says now.';
        yield 'a good take' => [$prompt([]), []];
        yield 'recorded from other words' => [$prompt(['words' => 'We are closed']), [$stale]];
        yield 'that still fit' => [$prompt(['words' => 'We are closed', 'fits' => $script]), []];
        yield 'that did fit' => [$prompt(['words' => 'We are closed', 'fits' => 'We are shut']), [$stale]];
        yield 'but for spaces' => [$prompt(['words' => ' ' . str_replace(' ', "\n ", $script)]), []];
        yield 'nobody said from what' => [$prompt(['words' => '']), []];
        yield 'not in use' => [$prompt(['words' => 'We are closed'], false), []];
        $length = static fn(int $seconds): string => \sprintf(
            'prm /takes/1 The take in use lasts %d s; its script takes about 4 s. Is it another file?',
            $seconds,
        );
        yield 'as long as it may be' => [$prompt(['milliseconds' => 10_000]), []];
        yield 'longer' => [$prompt(['milliseconds' => 10_001]), [$length(11)]];
        yield 'as short as it may be' => [$prompt(['milliseconds' => 1600]), []];
        yield 'shorter' => [$prompt(['milliseconds' => 1599]), [$length(2)]];
        yield 'loud' => [$measured(['clipped' => 19]), []];
        yield 'too loud' => [
            $measured(['clipped' => 20]),
            ['prm /takes/1 The take in use crackles: 20 samples of the file that came in are at full scale.'],
        ];
        yield 'quiet' => [$measured(['loudness' => -40]), []];
        yield 'too quiet' => [
            $measured(['loudness' => -41]),
            [
                'prm /takes/1 The take in use came in very quiet (-41 LUFS): brought to the usual level, its noise is heard too.',
            ],
        ];
        yield 'half of it silent' => [$measured(['silence' => 50]), []];
        yield 'more than half of it' => [
            $measured(['silence' => 51]),
            ['prm /takes/1 The take in use is silent for 51 % of its time.'],
        ];
    }

    /** @return iterable<string, array{PlanBuilder, list<string>}> blocks, numbers that were given up, and the number that somebody shows */
    public static function numbers(): iterable
    {
        $number = static fn(array $more): PlanBuilder => (new PlanBuilder())
            ->mailbox('mbx')
            ->person('ann', ['desk'], 'mbx')
            ->with(
                $more + [
                    'id' => 'num_more',
                    'kind' => 'number',
                    'name' => 'More',
                    'number' => '+441632960200',
                    'site' => 'sit_harbour',
                ],
            );
        $block = static fn(string $extension): array => [
            'block' => ['last' => '+441632960299', 'extension' => $extension],
        ];
        yield 'a block for extensions, with nothing for free ones' => [
            $number($block('200')),
            ['num_more /target Numbers of this block whose extension nobody has lead nowhere.'],
        ];
        yield 'a block for nobody' => [$number($block('')), ['num_more /target Calls to this number lead nowhere.']];
        yield 'a block with both' => [$number($block('200') + ['target' => 'mbx']), []];
        yield 'given up, and nowhere' => [$number(['keptUntil' => '2027-06-01']), []];
        yield 'given up, and a journey tells callers' => [
            $number(['keptUntil' => '2027-06-01', 'target' => 'jrn_main']),
            [],
        ];
        yield 'given up, and somebody is rung' => [
            $number(['keptUntil' => '2027-06-01', 'target' => 'ann']),
            [
                'num_more /target It was given up and is kept free until Tue 1 Jun 2027, and still rings Ann, who is not meant.',
            ],
        ];
        $shows = static fn(array $more, array $block): PlanBuilder => $number($block)->with(
            $more + [
                'id' => 'ann',
                'kind' => 'person',
                'name' => 'Ann',
                'site' => 'sit_harbour',
                'phones' => [['id' => 'desk', 'type' => 'desk', 'label' => 'Desk']],
            ],
        );
        $toMailbox = ['target' => 'mbx'];
        yield 'shows a number of the block' => [
            $shows(['shows' => 'own', 'extension' => '214'], $block('200') + $toMailbox),
            [],
        ];
        yield 'shows a number that leads there' => [$shows(['shows' => 'own'], ['target' => 'ann']), []];
        yield 'shows one of the company' => [$shows(['shows' => 'num_main'], $toMailbox), []];
        yield 'shows none' => [$shows(['shows' => 'withheld'], $toMailbox), []];
        yield 'shows one that is not there' => [
            $shows(['shows' => 'own', 'extension' => '314'], $block('200') + $toMailbox),
            ['ann /shows Calls to outside show their own number, and there is none.'],
        ];
        $begins = ['number' => '+4416329602*'] + $toMailbox;
        $are =
            'Calls to outside are to show +4416329602*: these are all numbers that begin so, and a call can show but one.';
        yield 'shows all that begin so' => [$shows(['shows' => 'num_more'], $begins), ['ann /shows ' . $are]];
        yield 'a step shows them' => [
            $number($begins)->journey('jrn_main', [
                ['id' => 's1', 'do' => 'forward', 'number' => '+441632960987', 'shows' => 'num_more'],
            ]),
            ['jrn_main /steps/0/shows ' . $are],
        ];
    }

    /** @return iterable<string, array{PlanBuilder, list<string>}> which rule makes another one never hold, and who calls come back to */
    public static function rules(): iterable
    {
        $two = static fn(
            array $wide,
            array $narrow,
            array $first = [],
            array $second = [],
        ): PlanBuilder => self::people([
            'ann' => [$first + self::rule('one', $wide), $second + self::rule('two', $narrow)],
        ]);
        $never = ['ann /rules/1 “Two” never holds: “One” before it holds whenever it would.'];
        yield 'the same rule twice' => [$two([], []), $never];
        yield 'one that is off' => [$two([], [], ['on' => false]), []];
        yield 'or the second is' => [$two([], [], [], ['on' => false]), []];
        yield 'one that ends' => [$two([], [], ['until' => '2030-01-01T00:00']), []];
        $hours = static fn(string ...$states): array => ['hours' => 'hrs', 'states' => $states];
        yield 'more states than the second' => [$two($hours('open', 'closed'), $hours('open')), $never];
        yield 'fewer' => [$two($hours('open'), $hours('open', 'closed')), []];
        yield 'hours, and the second has none' => [$two($hours('open'), []), []];
        yield 'other hours' => [$two($hours('open'), ['hours' => 'hrs_more', 'states' => ['open']]), []];
        yield 'no hours, and the second has some' => [$two([], $hours('open')), $never];
        $window = static fn(string $from): array => [
            'windows' => [['days' => ['mo'], 'from' => $from, 'to' => '17:00']],
        ];
        yield 'the same times' => [$two($window('09:00'), $window('09:00')), $never];
        yield 'other times' => [$two($window('09:00'), $window('10:00')), []];
        yield 'no times, and the second has some' => [$two([], $window('10:00')), $never];
        yield 'more statuses' => [$two(['statuses' => ['away', 'available']], ['statuses' => ['away']]), $never];
        yield 'none means available' => [$two([], ['statuses' => ['available']]), $never];
        yield 'and not away' => [$two([], ['statuses' => ['away']]), []];
        yield 'however they come' => [$two([], ['via' => 'team']), $never];
        yield 'directly, and through a team' => [$two(['via' => 'direct'], ['via' => 'team']), []];
        yield 'directly both' => [$two(['via' => 'direct'], ['via' => 'direct']), $never];
        yield 'directly, and however' => [$two(['via' => 'direct'], []), []];
        yield 'from more callers' => [$two(['callers' => ['+44', 'withheld']], ['callers' => ['withheld']]), $never];
        yield 'from fewer' => [$two(['callers' => ['+44']], ['callers' => ['+44', 'withheld']]), []];
        yield 'from some, and from everybody' => [$two(['callers' => ['+44']], []), []];
        yield 'from everybody, and from some' => [$two([], ['callers' => ['+44']]), $never];
        yield 'three: each is told once' => [
            self::people(['ann' => [self::rule('one'), self::rule('two'), self::rule('three')]]),
            [...$never, 'ann /rules/2 “Three” never holds: “One” before it holds whenever it would.'],
        ];
        yield 'the third alone is covered' => [
            self::people([
                'ann' => [
                    self::rule('one', ['via' => 'team']),
                    self::rule('two', ['via' => 'direct']),
                    self::rule('three', ['via' => 'direct']),
                ],
            ]),
            ['ann /rules/2 “Three” never holds: “Two” before it holds whenever it would.'],
        ];
        yield 'a state that hours lack' => [
            self::people(['ann' => [self::rule('one', $hours('open', 'foggy'))]]),
            ['ann /rules/0 hrs has no state “foggy” any more.'],
        ];

        $to = static fn(string $to, array $more = []): array => $more + ['next' => ['nobody' => $to, 'busy' => $to]] +
            self::rule('one');
        yield 'calls that come back at once' => [
            self::people(['ann' => [$to('ann')]]),
            ['ann /rules/0 Calls that Ann passes on come back to Ann.'],
        ];
        yield 'by way of two others' => [
            self::people(['ann' => [$to('ben')], 'ben' => [$to('cid')], 'cid' => [$to('ann')]]),
            [
                'ann /rules/0 Calls that Ann passes on come back to Ann.',
                'ben /rules/0 Calls that Ben passes on come back to Ben.',
                'cid /rules/0 Calls that Cid passes on come back to Cid.',
            ],
        ];
        yield 'somebody else\'s ring is not ours' => [
            self::people(['ann' => [$to('ben')], 'ben' => [$to('cid')], 'cid' => [$to('ben')]]),
            [
                'ben /rules/0 Calls that Ben passes on come back to Ben.',
                'cid /rules/0 Calls that Cid passes on come back to Cid.',
            ],
        ];
        yield 'a rule that is off passes nothing on' => [
            self::people(['ann' => [$to('ben')], 'ben' => [$to('ann', ['on' => false])]]),
            [],
        ];
        yield 'by the second of two ways' => [
            self::people([
                'ann' => [['next' => ['nobody' => 'mbx', 'unreachable' => 'ben']] + self::rule('one')],
                'ben' => [$to('ann')],
            ]),
            [
                'ann /rules/0 Calls that Ann passes on come back to Ann.',
                'ben /rules/0 Calls that Ben passes on come back to Ben.',
            ],
        ];
        yield 'each person is told once for each rule' => [
            self::people([
                'ann' => [
                    ['when' => ['via' => 'team']] + $to('ann'),
                    ['id' => 'two', 'name' => 'Two', 'when' => ['via' => 'direct']] + $to('ann'),
                ],
            ]),
            [
                'ann /rules/0 Calls that Ann passes on come back to Ann.',
                'ann /rules/1 Calls that Ann passes on come back to Ann.',
            ],
        ];
    }

    /** @return iterable<string, array{PlanBuilder, list<string>}> own mailboxes that can take a call; a mobile rings 3 s after it is dialled */
    public static function mailboxes(): iterable
    {
        $mo = static fn(array $phone): PlanBuilder => (new PlanBuilder())
            ->prompt('prm_hello', 2)
            ->person('ben')
            ->with([
                'id' => 'mo',
                'kind' => 'person',
                'name' => 'Mo',
                'extension' => '',
                'site' => 'sit_harbour',
                'phones' => [$phone + self::MOBILE],
            ]);
        $step = static fn(PlanBuilder $plan, array $step): PlanBuilder => $plan->journey('jrn_main', [
            $step + ['id' => 'ring', 'do' => 'ring', 'target' => 'mo', 'seconds' => 20],
        ]);
        $answers = static fn(int $at, string $where, int $for): array => [
            \sprintf(
                'mo /phones/0 The own mailbox of “Mobile” answers after %d s, and %s rings it for up to %d s: the caller ends up there.',
                $at,
                $where,
                $for,
            ),
        ];
        $off = [
            'mo /phones/0 When “Mobile” is off or busy, or the call is declined, its own mailbox takes the calls of jrn_main at once.',
        ];
        yield 'in the last second' => [$step($mo(['ownMailbox' => 16]), []), $answers(19, 'jrn_main', 20)];
        yield 'when the step is over' => [$step($mo(['ownMailbox' => 17]), []), $off];
        yield 'a mailbox that takes no declined calls' => [
            $step($mo(['ownMailbox' => 17, 'mailboxWhenBusy' => false]), []),
            ['mo /phones/0 When “Mobile” is off, its own mailbox takes the calls of jrn_main at once.'],
        ];
        yield 'asked first' => [$step($mo(['ownMailbox' => 5, 'askFirst' => true]), []), []];
        yield 'switched off in the plan' => [$step($mo(['ownMailbox' => 5, 'on' => false]), []), []];
        yield 'no mailbox' => [$step($mo([]), []), []];
        yield 'nobody rings it' => [$mo(['ownMailbox' => 5]), []];
        yield 'after the greeting' => [
            $step($mo(['ownMailbox' => 16]), ['greeting' => 'prm_hello', 'greetAfter' => 18]),
            $answers(19, 'jrn_main', 20),
        ];
        yield 'with the greeting' => [
            $step($mo(['ownMailbox' => 15]), ['greeting' => 'prm_hello', 'greetAfter' => 18]),
            [
                'mo /phones/0 The own mailbox of “Mobile” answers after 18 s, before jrn_main greets after 18 s: the caller ends up there.',
            ],
        ];
        $team = static fn(array $team, int $seconds = 40, array $phone = ['ownMailbox' => 10]): PlanBuilder => $step(
            $mo($phone)->with(
                $team + [
                    'id' => 'team',
                    'kind' => 'team',
                    'name' => 'Team',
                    'pattern' => 'all at once',
                    'members' => ['mo', 'ben'],
                ],
            ),
            ['target' => 'team', 'seconds' => $seconds],
        );
        yield 'a team, all at once' => [$team([]), $answers(13, 'jrn_main', 40)];
        yield 'a member with seconds of their own' => [
            $team(['members' => [['who' => 'mo', 'seconds' => 14]]]),
            $answers(13, 'jrn_main', 14),
        ];
        yield 'too few' => [$team(['members' => [['who' => 'mo', 'seconds' => 13]]]), $off];
        yield 'in turn, the team\'s seconds' => [
            $team(['pattern' => 'one after the other', 'memberSeconds' => 14]),
            $answers(13, 'jrn_main', 14),
        ];
        yield 'in turn, too few' => [$team(['pattern' => 'rotating', 'memberSeconds' => 13]), $off];
        yield 'cut by the step' => [
            $team(['pattern' => 'one after the other', 'memberSeconds' => 30], 14),
            [
                'team /memberSeconds Only the first rings: each has 30 s, and no step rings this team for longer than 14 s.',
                ...$answers(13, 'jrn_main', 14),
            ],
        ];
        $tiers = static fn(int $tier): array => [
            'pattern' => 'widening',
            'widenSeconds' => 10,
            'members' => ['ben', ['who' => 'mo', 'tier' => $tier]],
        ];
        yield 'widening, from the second tier on' => [$team($tiers(2)), $answers(13, 'jrn_main', 30)];
        yield 'widening, with too little left' => [$team($tiers(2), 23), $off];
        yield 'widening, a second more' => [$team($tiers(2), 24), $answers(13, 'jrn_main', 14)];
        yield 'asked first by the team' => [$team(['members' => [['who' => 'mo', 'askFirst' => true]]]), []];
        yield 'off in the team' => [$team(['members' => [['who' => 'mo', 'on' => false], 'ben']]), []];
        yield 'another phone of theirs' => [
            $step(
                $mo(['ownMailbox' => 10])
                    ->with([
                        'id' => 'mo',
                        'kind' => 'person',
                        'name' => 'Mo',
                        'extension' => '',
                        'site' => 'sit_harbour',
                        'phones' => [
                            ['ownMailbox' => 10] + self::MOBILE,
                            ['id' => 'desk', 'type' => 'desk', 'label' => 'Desk'],
                        ],
                    ])
                    ->team('team', ['mo/desk']),
                ['target' => 'team'],
            ),
            [],
        ];
        $stage = static fn(int $seconds, array $rule = []): PlanBuilder => $mo([])->with([
            'id' => 'mo',
            'kind' => 'person',
            'name' => 'Mo',
            'extension' => '',
            'site' => 'sit_harbour',
            'phones' => [['ownMailbox' => 10] + self::MOBILE],
            'rules' => [
                $rule + [
                    'id' => 'one',
                    'name' => 'One',
                    'stages' => [['phones' => ['mobile'], 'after' => 0, 'seconds' => $seconds]],
                ],
            ],
        ]);
        yield 'a stage' => [$stage(14), $answers(13, 'the rule “One”', 14)];
        yield 'a shorter one' => [
            $stage(13),
            [
                'mo /phones/0 When “Mobile” is off or busy, or the call is declined, its own mailbox takes the calls of the rule “One” at once.',
            ],
        ];
        yield 'of a rule that is off' => [$stage(14, ['on' => false]), []];
        yield 'the longest counts' => [
            $stage(20)->journey('jrn_main', [['id' => 'ring', 'do' => 'ring', 'target' => 'mo', 'seconds' => 15]]),
            $answers(13, 'the rule “One”', 20),
        ];
    }

    /** @return iterable<string, array{PlanBuilder, list<string>}> stages, tiers and seconds for which no step leaves time */
    public static function times(): iterable
    {
        $team = static fn(array $team, int $seconds): PlanBuilder => (new PlanBuilder())
            ->person('ann')
            ->person('ben')
            ->with(
                $team + [
                    'id' => 'team',
                    'kind' => 'team',
                    'name' => 'Team',
                    'pattern' => 'widening',
                    'widenSeconds' => 10,
                    'members' => ['ann', ['who' => 'ben', 'tier' => 2]],
                ],
            )
            ->journey('jrn_main', [['id' => 'ring', 'do' => 'ring', 'target' => 'team', 'seconds' => $seconds]]);
        $calendar = static fn(array ...$rules): PlanBuilder => (new PlanBuilder())->with([
            'id' => 'cal',
            'kind' => 'calendar',
            'name' => 'Calendar',
            'holidays' => array_map(
                static fn(array $rule, int $i): array => $rule + ['id' => "day_$i", 'name' => "Day $i"],
                $rules,
                array_keys($rules),
            ),
        ]);
        $dates = static fn(string ...$dates): array => ['rule' => ['on' => 'dates', 'dates' => $dates]];
        $yearly = ['rule' => ['on' => 'yearly', 'date' => '05-01']];
        yield 'dates for more than a year' => [$calendar($dates('2026-12-25', '2027-11-24')), []];
        yield 'dates for a year' => [
            $calendar($dates('2026-12-25'), $dates('2027-11-23')),
            ['cal /holidays Its last holiday is Tue 23 Nov 2027: the year after it has none.'],
        ];
        yield 'dates that are past' => [
            $calendar($dates('2026-11-22')),
            ['cal /holidays Its last holiday was Sun 22 Nov 2026: it has none any more.'],
        ];
        yield 'a date that is today' => [
            $calendar($dates('2026-11-23')),
            ['cal /holidays Its last holiday is Mon 23 Nov 2026: the year after it has none.'],
        ];
        yield 'dates beside a rule for every year' => [$calendar($dates('2026-11-22'), $yearly), []];
        yield 'a rule until a year' => [
            $calendar($yearly + ['years' => ['from' => null, 'to' => 2026, 'except' => []]]),
            ['cal /holidays Its last holiday was Fri 1 May 2026: it has none any more.'],
        ];
        yield 'a rule until next year' => [
            $calendar($yearly + ['years' => ['from' => null, 'to' => 2027, 'except' => []]]),
            ['cal /holidays Its last holiday is Sat 1 May 2027: the year after it has none.'],
        ];
        yield 'a rule whose last year is left out' => [
            $calendar($yearly + ['years' => ['from' => null, 'to' => 2026, 'except' => [2026]]]),
            ['cal /holidays Its last holiday is Thu 31 Dec 2026: the year after it has none.'],
        ];
        yield 'a year that was forgotten' => [
            $calendar($dates('2026-12-25', '2028-02-07'), $yearly + ['years' => ['from' => 2029]]),
            ['cal /holidays It has no holiday after Fri 25 Dec 2026, until Mon 7 Feb 2028.'],
        ];
        yield 'a late Easter after an early one' => [
            $calendar($dates('2026-12-25', '2028-02-06'), $yearly + ['years' => ['from' => 2029]]),
            ['cal /holidays It has no holiday after Sun 6 Feb 2028, until Tue 1 May 2029.'],
        ];
        yield 'a rule that holds later' => [
            $calendar($yearly + ['years' => ['from' => 2028]]),
            ['cal /holidays Its next holiday is Mon 1 May 2028: until then it has none.'],
        ];
        yield 'a rule that holds from a year that was mistyped' => [
            $calendar($yearly + ['years' => ['from' => 2072]]),
            ['cal /holidays Its next holiday is Sun 1 May 2072: until then it has none.'],
        ];
        yield 'which begins with its first day' => [
            $calendar(['rule' => ['on' => 'yearly', 'date' => '01-01'], 'years' => ['from' => 2072]]),
            ['cal /holidays Its next holiday is Fri 1 Jan 2072: until then it has none.'],
        ];
        yield 'a date in a year that was mistyped, and a later one' => [
            $calendar($dates('2062-12-25', '2072-12-26')),
            ['cal /holidays Its next holiday is Mon 25 Dec 2062: until then it has none.'],
        ];
        $menu = static fn(array $exits): PlanBuilder => (new PlanBuilder())
            ->prompt('prm', 2)
            ->journey('jrn_main', [
                ['id' => 'menu', 'do' => 'menu', 'prompt' => 'prm', 'exits' => $exits],
                ['id' => 'end', 'do' => 'end'],
            ]);
        $again = static fn(string $key): array => ['on' => $key, 'steps' => [['id' => "a$key", 'do' => 'again']]];
        yield 'a menu that only asks again' => [
            $menu([$again('1'), $again('2')]),
            [
                'jrn_main /steps/0/exits Every key of this menu only asks again: nothing that callers press gets them out of it.',
            ],
        ];
        yield 'a menu with one way out' => [$menu([$again('1'), ['on' => '2', 'steps' => []]]), []];
        yield 'a tier that joins in the last second' => [$team([], 11), []];
        yield 'a tier that joins when the step is over' => [
            $team([], 10),
            [
                'team /members/1 Tier 2 never rings: it would join after 10 s, and no step rings this team for longer than 10 s.',
            ],
        ];
        yield 'nor is it told that it would ring for too long' => [
            $team(['members' => ['ann', ['who' => 'ben', 'tier' => 2, 'seconds' => 30]]], 10),
            [
                'team /members/1 Tier 2 never rings: it would join after 10 s, and no step rings this team for longer than 10 s.',
            ],
        ];
        yield 'off, it is no matter' => [
            $team(['members' => ['ann', ['who' => 'ben', 'tier' => 2, 'on' => false]]], 10),
            [],
        ];
        yield 'seconds of a member that a step leaves' => [
            $team(['members' => [['who' => 'ann', 'seconds' => 20]]], 20),
            [],
        ];
        yield 'one more' => [
            $team(['members' => [['who' => 'ann', 'seconds' => 21]]], 20),
            [
                'team /members/0 This member is to ring for up to 21 s, and no step rings this team for longer than 20 s.',
            ],
        ];
        $turns = ['pattern' => 'one after the other', 'members' => ['ann', 'ben']];
        yield 'a turn that leaves a second for the next' => [$team(['memberSeconds' => 19] + $turns, 20), []];
        yield 'or none' => [
            $team(['memberSeconds' => 20] + $turns, 20),
            [
                'team /memberSeconds Only the first rings: each has 20 s, and no step rings this team for longer than 20 s.',
            ],
        ];
        yield 'alone it is no matter' => [$team(['memberSeconds' => 20, 'members' => ['ann']] + $turns, 20), []];
        yield 'nor is it of a team that no step rings' => [
            $team(['memberSeconds' => 300] + $turns, 20)->journey('jrn_main', []),
            [],
        ];
        yield 'the longest of two steps counts' => [
            $team(['memberSeconds' => 20] + $turns, 20)->journey('jrn_more', [
                ['id' => 'ring', 'do' => 'ring', 'target' => 'team', 'seconds' => 21],
                ['id' => 'again', 'do' => 'ring', 'target' => 'team', 'seconds' => 5],
            ]),
            [],
        ];
        $step = static fn(array $step, array $stages): PlanBuilder => self::people([
            'ann' => [
                [
                    'stages' => array_map(
                        static fn(array $stage): array => [
                            'phones' => ['desk'],
                            'after' => $stage[0],
                            'seconds' => $stage[1],
                        ],
                        $stages,
                    ),
                ] + self::rule('one'),
            ],
        ])->journey('jrn_main', [$step + ['id' => 'ring', 'do' => 'ring', 'target' => 'ann']]);
        yield 'a stage that ends with the step' => [$step(['seconds' => 30], [[0, 10], [20, 10]]), []];
        yield 'a second later' => [
            $step(['seconds' => 29], [[0, 10], [20, 10]]),
            [
                'jrn_main /steps/0 Step “ring Ann” is over after 29 s, before stage 2 of the rule “One” has rung for its 10 s.',
            ],
        ];
        yield 'a stage that begins in the last second' => [
            $step(['seconds' => 21], [[20, 10]]),
            [
                'jrn_main /steps/0 Step “ring Ann” is over after 21 s, before stage 1 of the rule “One” has rung for its 10 s.',
            ],
        ];
        yield 'a stage after a second' => [
            $step(['seconds' => 20], [[0, 10], [1, 30]]),
            [
                'jrn_main /steps/0 Step “ring Ann” is over after 20 s, before stage 2 of the rule “One” has rung for its 30 s.',
            ],
        ];
        yield 'when the step is over already' => [
            $step(['seconds' => 20], [[20, 10]]),
            ['jrn_main /steps/0 Step “ring Ann” is over after 20 s, before stage 1 of the rule “One” starts.'],
        ];
        yield 'the first of two such stages is told' => [
            $step(['seconds' => 20], [[20, 10], [25, 10]]),
            ['jrn_main /steps/0 Step “ring Ann” is over after 20 s, before stage 1 of the rule “One” starts.'],
        ];
        yield 'a first stage is cut: that is what the limit is for' => [$step(['seconds' => 5], [[0, 10]]), []];
        yield 'handed over, the limit does not count' => [$step(['seconds' => 5, 'handOver' => true], [[20, 10]]), []];
        $round = static fn(array ...$steps): PlanBuilder => (new PlanBuilder())
            ->prompt('prm_hello', 2)
            ->person('ann')
            ->mailbox('mbx')
            ->journey('jrn_main', $steps);
        yield 'after a step that leaves' => [
            $round(
                ['id' => 'go', 'do' => 'go', 'journey' => 'jrn_more'],
                ['id' => 'end', 'do' => 'end'],
                ['id' => 'more', 'do' => 'end'],
            )->journey('jrn_more', [['id' => 'end', 'do' => 'end']]),
            [
                'jrn_main /steps/1 No call can come here: the step before it ends or leaves.',
                'jrn_main /steps/2 No call can come here: the step before it ends or leaves.',
            ],
        ];
        yield 'round through a menu is allowed' => [
            $round([
                'id' => 'ask',
                'do' => 'menu',
                'prompt' => 'prm_hello',
                'exits' => [['on' => '1', 'steps' => [['id' => 'go', 'do' => 'go', 'journey' => 'jrn_main']]]],
            ]),
            [],
        ];
        yield 'and after ringing' => [
            $round(
                ['id' => 'ring', 'do' => 'ring', 'target' => 'ann', 'seconds' => 5],
                ['id' => 'go', 'do' => 'go', 'journey' => 'jrn_main'],
            ),
            [],
        ];
    }

    /** @return iterable<string, array{PlanBuilder, list<string>}> which line may carry what */
    public static function lines(): iterable
    {
        $line = static fn(array $destinations, int $channels = 2, string $id = 'line'): array => [
            'id' => $id,
            'kind' => 'line',
            'name' => 'Quay',
            'site' => 'sit_harbour',
            'destinations' => [...$destinations, 'emergency'],
            'channels' => $channels,
        ];
        $mo = static fn(array $phone = []): PlanBuilder => (new PlanBuilder())->with([
            'id' => 'mo',
            'kind' => 'person',
            'name' => 'Mo',
            'extension' => '',
            'site' => 'sit_harbour',
            'phones' => [$phone + self::MOBILE],
        ]);
        $none = ['mo /phones/0 No outside line may carry calls to +44 7700 900101 (mobile).'];
        yield 'one that may not' => [$mo()->with($line(['national'])), $none];
        yield 'a phone that is off' => [$mo(['on' => false])->with($line(['national'])), []];
        yield 'one that may' => [$mo()->with($line(['mobile'])), []];
        yield 'without any line all calls leave' => [$mo(), []];
        $narrow = [
            'mo /phones/0 “Quay” carries one call at once: a call that comes in by it leaves no channel to +44 7700 900101.',
        ];
        yield 'its only channel is that of the call' => [$mo()->with($line(['mobile'], 1)), $narrow];
        yield 'unless another may carry it too' => [
            $mo()->with($line(['mobile'], 1))->with($line(['mobile'], 1, 'line_more')),
            [],
        ];
        yield 'a number that two people have' => [
            $mo()->with([
                'id' => 'no',
                'kind' => 'person',
                'name' => 'No',
                'extension' => '',
                'site' => 'sit_harbour',
                'phones' => [self::MOBILE],
            ]),
            [
                'mo /phones/0/number No has a phone with this number too: when both ring, the second call finds it busy.',
                'no /phones/0/number Mo has a phone with this number too: when both ring, the second call finds it busy.',
            ],
        ];
        yield 'a rule that is off calls nobody' => [
            $mo(['on' => false])
                ->with([
                    'id' => 'no',
                    'kind' => 'person',
                    'name' => 'No',
                    'extension' => '',
                    'site' => 'sit_harbour',
                    'phones' => [['id' => 'desk', 'type' => 'desk', 'label' => 'Desk']],
                    'rules' => [['on' => false, 'next' => ['nobody' => '+447700900105']] + self::rule('one')],
                ])
                ->with($line([])),
            [],
        ];
        yield 'a stage in which it rings for a second' => [
            self::people(['ann' => []])->with([
                'id' => 'mo',
                'kind' => 'person',
                'name' => 'Mo',
                'extension' => '',
                'site' => 'sit_harbour',
                'phones' => [self::MOBILE],
                'rules' => [
                    [
                        'id' => 'one',
                        'name' => 'One',
                        'stages' => [['phones' => ['mobile'], 'after' => 0, 'seconds' => 4]],
                    ],
                ],
            ]),
            [],
        ];
        yield 'a set-up time that is longer' => [
            self::people(['ann' => []])->with([
                'id' => 'mo',
                'kind' => 'person',
                'name' => 'Mo',
                'extension' => '',
                'site' => 'sit_harbour',
                'phones' => [['setUp' => 4] + self::MOBILE],
                'rules' => [
                    [
                        'id' => 'one',
                        'name' => 'One',
                        'stages' => [['phones' => ['mobile'], 'after' => 0, 'seconds' => 4]],
                    ],
                ],
            ]),
            [
                'mo /rules/0/stages/0/seconds “Mobile” never rings: it takes 4 s until its first ring, and is given up after 4 s.',
            ],
        ];
        yield 'of a rule, or a member, that is off it is no matter' => [
            self::people(['ann' => []])
                ->with([
                    'id' => 'mo',
                    'kind' => 'person',
                    'name' => 'Mo',
                    'extension' => '',
                    'site' => 'sit_harbour',
                    'phones' => [self::MOBILE],
                    'rules' => [
                        [
                            'id' => 'one',
                            'name' => 'One',
                            'on' => false,
                            'stages' => [['phones' => ['mobile'], 'after' => 0, 'seconds' => 1]],
                        ],
                    ],
                ])
                ->with([
                    'id' => 'team',
                    'kind' => 'team',
                    'name' => 'Team',
                    'members' => [['who' => 'mo/mobile', 'on' => false, 'seconds' => 1], 'ann'],
                ]),
            [],
        ];
    }

    /**
     * @param array<string, mixed> $when
     *
     * @return array<string, mixed>
     */
    private static function rule(string $id, array $when = []): array
    {
        return [
            'id' => $id,
            'name' => ucfirst($id),
            'when' => $when,
            'stages' => [['phones' => ['desk'], 'after' => 0, 'seconds' => 10]],
        ];
    }

    /** @param array<string, list<array<string, mixed>>> $rules by person; the people are Ann, Ben and Cid, with a desk phone each */
    private static function people(array $rules): PlanBuilder
    {
        $builder = (new PlanBuilder())->mailbox('mbx')->hours('hrs', [])->hours('hrs_more', []);
        foreach ($rules + ['ann' => [], 'ben' => [], 'cid' => []] as $id => $own) {
            $builder->with([
                'id' => $id,
                'kind' => 'person',
                'name' => ucfirst($id),
                'extension' => '',
                'site' => 'sit_harbour',
                'phones' => [['id' => 'desk', 'type' => 'desk', 'label' => 'Desk']],
                'rules' => $own,
            ]);
        }

        return $builder;
    }
}
