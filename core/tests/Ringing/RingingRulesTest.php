<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Ringing;

use Meandros\Core\Ringing\Rung;
use Meandros\Core\Routing\Trace;
use Meandros\Core\Tests\PlanBuilder;
use Meandros\Core\Wording\AnswerSentence;
use Meandros\Core\Wording\TraceReport;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * The table of docs/ringing.md, row by row: a ring step of so many seconds, then a message. Ann has a desk and a soft
 * phone; Ben and Cid a desk phone each; Mo a mobile. Worked by hand; a bar is "phone from–until how it ended".
 */
final class RingingRulesTest extends TestCase
{
    private const NO = 'not answered';

    /**
     * @param array<string, mixed> $step   the ring step
     * @param array<string, mixed> $assume
     * @param list<string>         $bars
     * @param array{string, int}   $end    how the call leaves the step, and the second in which it is over
     * @param array<string, mixed> $teams  members of teams that ring one after the other for 15 s each, or a whole team
     */
    #[DataProvider('rows')]
    public function testARow(
        array $step,
        array $assume,
        array $bars,
        array $end,
        array $people = [],
        array $teams = [],
    ): void {
        $trace = self::call($step, $assume, $people, $teams);
        self::assertSame($bars, self::bars($trace));
        self::assertSame($end, [$trace->passage->visits[0]->exit ?? $trace->ending->kind->value, $trace->seconds]);
    }

    /** @return iterable<string, array{0: array<string, mixed>, 1: array<string, mixed>, 2: list<string>, 3: array{string, int}, 4?: array<string, mixed>, 5?: array<string, mixed>}> */
    public static function rows(): iterable
    {
        $no = self::NO;
        $does = static fn(string $who, string $does, ?int $after = null): array => ['who' => $who, 'does' => $does] +
            (null === $after ? [] : ['after' => $after]);
        $phones = static fn(array ...$phones): array => ['phones' => $phones];
        $stages = static fn(array ...$stages): array => [
            'rules' => [
                [
                    'id' => 'one',
                    'name' => 'One',
                    'stages' => array_map(
                        static fn(array $stage): array => [
                            'phones' => $stage[0],
                            'after' => $stage[1],
                            'seconds' => $stage[2],
                            'teams' => $stage[3] ?? [],
                        ],
                        $stages,
                    ),
                ],
            ],
        ];
        $ann = static fn(int $seconds): array => ['target' => 'ann', 'seconds' => $seconds];
        $team = static fn(int $seconds): array => ['target' => 'team_one', 'seconds' => $seconds];
        $follow = static fn(array $members): array => ['team_one' => ['members' => $members, 'followRules' => true]];

        yield 'patience before the first stage: the caller is gone' => [
            $ann(20),
            ['patience' => 3],
            ['desk 3–3 not reached'],
            ['caller gave up', 3],
            ['ann' => $stages([['desk'], 5, 10])],
        ];
        yield 'the first stage comes after five seconds' => [
            $ann(20),
            [],
            ["desk 5–15 $no"],
            ['nobody', 15],
            ['ann' => $stages([['desk'], 5, 10])],
        ];
        yield 'who gives up in the second of the answer is gone' => [
            $ann(20),
            ['patience' => 8] + $phones($does('ann/desk', 'answers', 8)),
            ["desk 0–8 $no", "soft 0–8 $no"],
            ['caller gave up', 8],
        ];
        yield 'refused after the time is up is not refused' => [
            $ann(11),
            $phones($does('ann', 'refuses', 24)),
            ["desk 0–11 $no", "soft 0–11 $no"],
            ['nobody', 11],
        ];
        yield 'refused in the last second' => [
            $ann(11),
            $phones($does('ann', 'refuses', 10)),
            ['desk 0–10 refused', 'soft 0–10 refused'],
            ['refused', 10],
        ];
        yield 'refused in the second in which the time is up' => [
            $ann(11),
            $phones($does('ann', 'refuses', 11)),
            ["desk 0–11 $no", "soft 0–11 $no"],
            ['nobody', 11],
        ];
        yield 'one of two refuses' => [
            $ann(11),
            $phones($does('ann/desk', 'refuses', 3)),
            ['desk 0–3 refused', "soft 0–11 $no"],
            ['nobody', 11],
        ];
        yield 'rounds of 12 s, for a minute' => [
            $ann(12) + ['againMinutes' => 1],
            $phones($does('ann/soft', 'busy')),
            [
                "desk 0–12 $no",
                'soft 0–0 busy',
                "desk 17–29 $no",
                'soft 17–17 busy',
                "desk 34–46 $no",
                'soft 34–34 busy',
                "desk 51–60 $no",
                'soft 51–51 busy',
            ],
            ['nobody', 60],
        ];
        yield 'everybody busy, for a minute' => [
            $ann(12) + ['againMinutes' => 1],
            $phones($does('ann', 'busy')),
            [
                'desk 0–0 busy',
                'soft 0–0 busy',
                'desk 25–25 busy',
                'soft 25–25 busy',
                'desk 50–50 busy',
                'soft 50–50 busy',
            ],
            ['busy', 60],
        ];
        yield 'no round that would begin when the time is up' => [
            $ann(55) + ['againMinutes' => 1],
            $phones($does('ann/soft', 'busy')),
            ["desk 0–55 $no", 'soft 0–0 busy'],
            ['nobody', 55],
        ];
        yield 'a turn by rules is over when its phone has refused' => [
            $team(40),
            $phones($does('ann/desk', 'refuses', 3)),
            ['desk 10–13 refused', "ben 13–28 $no"],
            ['nobody', 28],
            ['ann' => $stages([['desk'], 10, 20])],
            $follow(['ann', 'ben']),
        ];
        yield 'somebody who refused by a single phone is not rung again' => [
            $team(40),
            $phones($does('ann/desk', 'refuses', 3), $does('ann/soft', 'busy')),
            ['desk 0–3 refused', "ben 3–18 $no", 'soft 0–0 busy'],
            ['nobody', 18],
            [],
            ['team_one' => ['ann/desk', 'ann', 'ben']],
        ];
        yield 'the same for an own mailbox that was turned away' => [
            $team(60),
            [],
            ['mobile 0–18 own mailbox turned away', "ben 18–33 $no"],
            ['nobody', 33],
            ['mo' => ['ownMailbox' => 5, 'askFirst' => true]],
            ['team_one' => [['who' => 'mo/mobile', 'seconds' => 30], 'mo', 'ben']],
        ];
        yield 'a stage of busy phones takes no time' => [
            $team(40),
            $phones($does('ann/soft', 'busy')),
            ["desk 0–5 $no", "ben 5–20 $no", 'soft 0–0 busy'],
            ['nobody', 20],
            ['ann' => $stages([['desk'], 0, 5], [['soft'], 10, 5])],
            $follow(['ann', 'ben']),
        ];
        yield 'and where it is the last of a step' => [
            $ann(40),
            $phones($does('ann/soft', 'busy')),
            ["desk 0–5 $no", 'soft 0–0 busy'],
            ['nobody', 5],
            ['ann' => $stages([['desk'], 0, 5], [['soft'], 10, 5])],
        ];
        yield 'a stage of teams takes no time where a team rings its owner' => [
            $team(40),
            [],
            ["desk 0–5 $no", "ben 5–20 $no"],
            ['nobody', 20],
            ['ann' => $stages([['desk'], 0, 5], [[], 10, 5, ['team_two']])],
            $follow(['ann', 'ben']) + ['team_two' => ['cid']],
        ];
        yield 'but waits where another stage is still to come' => [
            $ann(40),
            $phones($does('ann/desk', 'busy')),
            ["soft 10–15 $no", 'desk 0–0 busy'],
            ['nobody', 15],
            ['ann' => $stages([['desk'], 0, 5], [['soft'], 10, 5])],
        ];
        yield 'a later stage that does not touch rings one who refused anew' => [
            $ann(40),
            $phones($does('ann/desk', 'refuses', 2)),
            ['desk 0–2 refused', 'desk 20–22 refused'],
            ['refused', 22],
            ['ann' => $stages([['desk'], 0, 5], [['desk'], 20, 5])],
        ];
        yield 'one that touches does not' => [
            $ann(40),
            $phones($does('ann/desk', 'refuses', 2)),
            ['desk 0–2 refused'],
            ['refused', 5],
            ['ann' => $stages([['desk'], 0, 5], [['desk'], 5, 5])],
        ];
        yield 'stretches that touch are one ring' => [
            $ann(40),
            $phones($does('ann/desk', 'answers', 9)),
            ['desk 0–9 answered'],
            ['answered', 9],
            ['ann' => $stages([['desk'], 0, 5], [['desk'], 5, 5])],
        ];
        yield 'people answer after so long in all' => [
            $ann(40),
            $phones($does('ann/desk', 'answers', 7)),
            ["desk 0–5 $no", 'desk 20–22 answered'],
            ['answered', 22],
            ['ann' => $stages([['desk'], 0, 5], [['desk'], 20, 5])],
        ];
        yield 'being asked counts as ringing' => [
            ['target' => 'mo', 'seconds' => 60],
            $phones($does('mo', 'answers', 12)),
            ['mobile 0–9 own mailbox turned away', 'mobile 30–37 answered'],
            ['answered', 37],
            [
                'mo' =>
                    ['ownMailbox' => 4, 'askFirst' => true, 'setUp' => 0, 'confirm' => 5] +
                    $stages([['mobile'], 0, 20], [['mobile'], 30, 20]),
            ],
        ];
        yield 'somebody on leave is no member, their single phone is' => [
            $team(40),
            ['statuses' => [['who' => 'ann', 'status' => 'on leave']]],
            ["desk 0–15 $no", 'desk 0–0 not available', 'soft 0–0 not available'],
            ['nobody', 15],
            [],
            ['team_one' => ['ann/desk', 'ann']],
        ];
        yield 'the same in a stage' => [
            ['target' => 'ben', 'seconds' => 40],
            ['statuses' => [['who' => 'ann', 'status' => 'on leave']]],
            ["desk 0–15 $no", 'desk 0–0 not available', 'soft 0–0 not available'],
            ['nobody', 15],
            ['ben' => $stages([[], 0, 40, ['team_one']])],
            ['team_one' => ['ann/desk', 'ann']],
        ];
        yield 'do not disturb is busy, by rules' => [
            $team(40),
            ['statuses' => [['who' => 'ben', 'status' => 'do not disturb']]],
            ['ben 0–0 do not disturb'],
            ['busy', 0],
            [],
            $follow(['ben']),
        ];
        yield 'and without' => [
            $team(40),
            ['statuses' => [['who' => 'ben', 'status' => 'do not disturb']]],
            ['ben 0–0 do not disturb'],
            ['busy', 0],
            [],
            ['team_one' => ['ben']],
        ];
        yield 'on leave is unreachable' => [
            $team(40),
            ['statuses' => [['who' => 'ben', 'status' => 'on leave']]],
            ['ben 0–0 not available'],
            ['unreachable', 0],
            [],
            ['team_one' => ['ben']],
        ];
        yield 'a team that is paged in a stage answers by itself' => [
            ['target' => 'ben', 'seconds' => 40],
            [],
            ['cid 0–10 taken elsewhere', 'desk 10–10 hears it', 'soft 10–10 hears it'],
            ['announced', 10],
            ['ben' => $stages([[], 0, 40, ['team_two']], [[], 10, 10, ['team_one']])],
            ['team_one' => ['pattern' => 'paging', 'members' => ['ann']], 'team_two' => ['cid']],
        ];
        yield 'picked up in the last second, connected after it' => [
            ['target' => 'mo', 'seconds' => 20],
            $phones($does('mo', 'answers', 16)),
            ['mobile 0–21 answered'],
            ['answered', 21],
            ['mo' => ['digits' => ',,']],
        ];
        yield 'whoever is asked is not cut by the limit' => [
            ['target' => 'mo', 'seconds' => 20],
            $phones($does('mo', 'answers', 16)),
            ['mobile 0–23 answered'],
            ['answered', 23],
            ['mo' => ['askFirst' => true]],
        ];
        yield 'nor by the end of their turn' => [
            $team(60),
            $phones($does('mo', 'answers', 11)),
            ['mobile 0–18 answered', 'ben 15–18 taken elsewhere'],
            ['answered', 18],
            ['mo' => ['askFirst' => true]],
            ['team_one' => ['mo', 'ben']],
        ];
        yield 'a mailbox that is asked blocks nothing else' => [
            $team(60),
            $phones($does('ben', 'answers', 4)),
            ['mobile 0–19 taken elsewhere', 'ben 15–19 answered'],
            ['answered', 19],
            ['mo' => ['askFirst' => true, 'ownMailbox' => 10]],
            ['team_one' => ['mo', 'ben']],
        ];
        yield 'and costs its whole time where nobody else rings' => [
            ['target' => 'mo', 'seconds' => 20],
            [],
            ['mobile 0–23 own mailbox turned away'],
            ['nobody', 23],
            ['mo' => ['askFirst' => true, 'ownMailbox' => 10]],
        ];
        yield 'cut before its mailbox, which counts from the first ring' => [
            ['target' => 'mo', 'seconds' => 20],
            [],
            ["mobile 0–20 $no"],
            ['nobody', 20],
            ['mo' => ['ownMailbox' => 17]],
        ];
        yield 'and one second later it is not' => [
            ['target' => 'mo', 'seconds' => 21],
            [],
            ['mobile 0–20 own mailbox'],
            ['own mailbox', 20],
            ['mo' => ['ownMailbox' => 17]],
        ];
        yield 'a landline needs two seconds' => [
            ['target' => 'mo', 'seconds' => 21],
            $phones($does('mo', 'answers', 5)),
            ['mobile 0–7 answered'],
            ['answered', 7],
            ['mo' => ['number' => '+441632960201']],
        ];
        yield 'another set-up time' => [
            ['target' => 'mo', 'seconds' => 21],
            $phones($does('mo', 'answers', 5)),
            ['mobile 0–13 answered'],
            ['answered', 13],
            ['mo' => ['setUp' => 8]],
        ];
        yield 'declined: the mailbox of a mobile takes it' => [
            ['target' => 'mo', 'seconds' => 40],
            $phones($does('mo', 'refuses', 4)),
            ['mobile 0–7 own mailbox'],
            ['own mailbox', 7],
            ['mo' => ['ownMailbox' => 20]],
        ];
        yield 'declined, and its mailbox does not take that' => [
            ['target' => 'mo', 'seconds' => 40],
            $phones($does('mo', 'refuses', 4)),
            ['mobile 0–7 refused'],
            ['refused', 7],
            ['mo' => ['ownMailbox' => 20, 'mailboxWhenBusy' => false]],
        ];
        yield 'busy, and its mailbox does not take that' => [
            ['target' => 'mo', 'seconds' => 40],
            $phones($does('mo', 'busy')),
            ['mobile 0–0 busy'],
            ['busy', 0],
            ['mo' => ['ownMailbox' => 20, 'mailboxWhenBusy' => false]],
        ];
        yield 'a landline\'s mailbox does not, unless it is said' => [
            ['target' => 'mo', 'seconds' => 40],
            $phones($does('mo', 'busy')),
            ['mobile 0–0 busy'],
            ['busy', 0],
            ['mo' => ['ownMailbox' => 20, 'number' => '+441632960201']],
        ];
        yield 'on a call, a mobile takes another' => [
            ['target' => 'mo', 'seconds' => 40],
            $phones($does('mo', 'on a call', 6)),
            ['mobile 0–9 answered'],
            ['answered', 9],
        ];
        yield 'or rings on' => [
            ['target' => 'mo', 'seconds' => 40],
            $phones($does('mo', 'on a call')),
            ["mobile 0–40 $no"],
            ['nobody', 40],
        ];
        yield 'or not, where it takes one call only' => [
            ['target' => 'mo', 'seconds' => 40],
            $phones($does('mo', 'on a call', 6)),
            ['mobile 0–0 busy'],
            ['busy', 0],
            ['mo' => ['calls' => 1]],
        ];
        yield 'declining silences one phone' => [
            $ann(30),
            $phones($does('ann/desk', 'refuses', 4), $does('ann/soft', 'answers', 9)),
            ['desk 0–4 refused', 'soft 0–9 answered'],
            ['answered', 9],
        ];
        yield 'or all, where it is said so' => [
            $ann(30),
            $phones($does('ann/desk', 'refuses', 4), $does('ann/soft', 'answers', 9)),
            ['desk 0–4 refused', 'soft 0–4 refused'],
            ['refused', 4],
            ['ann' => ['refusesForAll' => true]],
        ];
        yield 'also those that would ring later' => [
            $ann(30),
            $phones($does('ann/desk', 'refuses', 4)),
            ['desk 0–4 refused', 'soft 10–10 not reached'],
            ['refused', 10],
            ['ann' => ['refusesForAll' => true] + $stages([['desk'], 0, 10], [['soft'], 10, 10])],
        ];
        yield 'a member\'s seconds take the place of the team\'s' => [
            $team(60),
            [],
            ["desk 0–25 $no", "soft 0–25 $no", "ben 25–40 $no"],
            ['nobody', 40],
            [],
            ['team_one' => [['who' => 'ann', 'seconds' => 25], 'ben']],
        ];
        yield 'a tier of busy phones still takes its seconds' => [
            $team(30),
            $phones($does('ann', 'busy')),
            ["ben 10–30 $no", 'desk 0–0 busy', 'soft 0–0 busy'],
            ['nobody', 30],
            [],
            ['team_one' => ['pattern' => 'widening', 'members' => ['ann', ['who' => 'ben', 'tier' => 2]]]],
        ];
        yield 'a rule without a stage rings nobody, where a step tries' => [
            $ann(30),
            [],
            [],
            ['unreachable', 0],
            ['ann' => ['rules' => [['id' => 'one', 'name' => 'One', 'next' => ['nobody' => 'ben']]]]],
        ];
        yield 'handed over, it passes calls on by its first way' => [
            $ann(30) + ['handOver' => true],
            [],
            ["ben 0–25 $no"],
            ['nobody', 25],
            ['ann' => ['rules' => [['id' => 'one', 'name' => 'One', 'next' => ['nobody' => 'ben']]]]],
        ];
        yield 'a team that a rule passes calls to rings for 25 s' => [
            $ann(30) + ['handOver' => true],
            [],
            ["ben 0–15 $no", "cid 15–25 $no"],
            ['nobody', 25],
            ['ann' => ['rules' => [['id' => 'one', 'name' => 'One', 'next' => ['nobody' => 'team_one']]]]],
            ['team_one' => ['ben', 'cid']],
        ];
        yield 'handed over, the step is not tried again and greets nobody' => [
            ['target' => 'ben', 'seconds' => 10, 'handOver' => true, 'againMinutes' => 1, 'greeting' => 'prm_hello'],
            [],
            ["ben 0–25 $no"],
            ['nobody', 25],
        ];
        yield 'refused by somebody whose call it is for good, it goes the way of nobody' => [
            ['target' => 'ben', 'seconds' => 10, 'handOver' => true],
            $phones($does('ben', 'refuses', 4)),
            ['ben 0–4 refused'],
            ['nobody', 4],
            ['ben' => $stages([['desk'], 0, 20])],
        ];
        yield 'busy keeps its own way' => [
            ['target' => 'ben', 'seconds' => 10, 'handOver' => true],
            $phones($does('ben', 'busy')),
            ['ben 0–0 busy', "cid 0–25 $no"],
            ['nobody', 25],
            [
                'ben' => [
                    'rules' => [
                        [
                            'id' => 'one',
                            'name' => 'One',
                            'stages' => [['phones' => ['desk'], 'after' => 0, 'seconds' => 20]],
                            'next' => ['busy' => 'cid'],
                        ],
                    ],
                ],
            ],
        ];
        yield 'in the same second the one listed first, not the one who rang first' => [
            $ann(30),
            $phones($does('ann/desk', 'answers', 0), $does('ann/soft', 'answers', 10)),
            ['soft 0–10 answered', 'desk 10–10 taken elsewhere'],
            ['answered', 10],
            ['ann' => $stages([['soft'], 0, 20], [['desk'], 10, 10])],
        ];
    }

    public function testALineIsTakenForAsLongAsAPhoneRingsAndAskedForWhenItIsNeeded(): void
    {
        $members = ['team_one' => ['+441632960201', '+441632960202']];
        $trace = self::call(
            ['target' => 'team_one', 'seconds' => 40],
            ['phones' => [['who' => '+441632960201', 'does' => 'refuses', 'after' => 1]]],
            [],
            $members,
            2,
        );
        self::assertSame(['+441632960201 0–3 refused', '+441632960202 3–18 not answered'], self::bars($trace));
        $trace = self::call(
            ['target' => 'team_one', 'seconds' => 40],
            ['lines' => [['line' => 'line_quay', 'taken' => 1]]],
            [],
            ['team_one' => ['+441632960201', 'ben']],
            2,
        );
        self::assertSame(
            ['ben 0–15 not answered', '+441632960201 0–0 all lines in use'],
            self::bars($trace),
            'Whoever gets no line has no turn.',
        );
    }

    public function testTheCallThatComesInByALineTakesAChannelOfIt(): void
    {
        $call = static fn(string $from): array => self::bars(
            self::call(['target' => '+441632960201', 'seconds' => 10], [], [], [], 1, $from),
        );
        self::assertSame(['+441632960201 0–0 all lines in use'], $call(''));
        self::assertSame(['+441632960201 0–10 not answered'], $call('201'), 'Somebody inside comes in by none.');
        $second = [
            'id' => 'line_second',
            'kind' => 'line',
            'name' => 'Second',
            'site' => 'sit_harbour',
            'destinations' => ['local', 'national'],
            'channels' => 1,
        ];
        $both = static fn(int $taken): array => self::bars(
            self::builder([], [], 1)
                ->with($second)
                ->journey('jrn_main', [['id' => 'ring', 'do' => 'ring', 'target' => '+441632960201', 'seconds' => 10]])
                ->call(['lines' => [['line' => 'line_quay', 'taken' => $taken]]]),
        );
        self::assertSame(
            [['+441632960201 0–10 not answered'], ['+441632960201 0–0 all lines in use']],
            [$both(0), $both(1)],
            'Where the first line is full it came in by the second.',
        );
    }

    public function testANumberThatAStepRingsLeavesFromTheSiteThatWasDialled(): void
    {
        $trace = self::builder([], [], 2)
            ->with([
                'id' => 'sit_far',
                'kind' => 'site',
                'name' => 'Far',
                'zone' => 'Europe/Paris',
                'country' => 'FR',
                'language' => 'fr',
            ])
            ->with([
                'id' => 'line_a',
                'kind' => 'line',
                'name' => 'A first by name',
                'site' => 'sit_far',
                'destinations' => ['international'],
                'channels' => 2,
            ])
            ->journey('jrn_main', [['id' => 'ring', 'do' => 'ring', 'target' => '+441632960201', 'seconds' => 10]])
            ->call();
        self::assertSame('line_quay', $trace->passage->rung[0]->carried->line);
    }

    public function testAnOrderDrawnAtRandomStaysWhereSomebodyIsMissing(): void
    {
        $order = static function (array $off): array {
            $members = array_map(
                static fn(string $who): array => ['who' => $who, 'on' => !\in_array($who, $off, true)],
                ['ann', 'ben', 'cid', 'mo'],
            );
            $trace = self::call(
                ['target' => 'team_one', 'seconds' => 100],
                ['earlier' => ['seed' => 7]],
                [],
                ['team_one' => ['pattern' => 'random', 'members' => $members]],
            );

            return array_values(
                array_unique(
                    array_map(static fn(Rung $rung): ?string => $rung->phone->owner->person, $trace->passage->rung),
                ),
            );
        };
        $all = $order([]);
        foreach ($all as $missing) {
            self::assertSame(array_values(array_diff($all, [$missing])), $order([$missing]));
        }
    }

    public function testSentencesOfACallerWhoGivesUp(): void
    {
        $builder = self::builder([], [])->prompt('prm_hello', 10);
        $said = static function (array $steps, array $assume) use ($builder): string {
            $plan = $builder->journey('jrn_main', $steps)->plan();

            return AnswerSentence::of($builder->call($assume), $plan);
        };
        $menu = [
            [
                'id' => 'menu',
                'do' => 'menu',
                'prompt' => 'prm_hello',
                'wait' => 5,
                'tries' => 1,
                'exits' => [['on' => '1', 'label' => '', 'steps' => []]],
            ],
        ];
        self::assertSame(
            'Hears “prm_hello”, then the caller gives up.',
            $said($menu, ['keys' => ['1'], 'patience' => 7]),
        );
        self::assertSame('Presses nothing at “prm_hello”, then the caller gives up.', $said($menu, ['patience' => 12]));
        $builder->with([
            'id' => 'mbx_hello',
            'kind' => 'mailbox',
            'name' => 'Hello',
            'owners' => [],
            'notify' => [],
            'greeting' => 'prm_hello',
        ]);
        self::assertSame(
            'Hears “prm_hello”, then the caller gives up.',
            $said([['id' => 'leave', 'do' => 'message', 'mailbox' => 'mbx_hello']], ['patience' => 7]),
        );
        $plan = $builder
            ->journey('jrn_main', [
                [
                    'id' => 'ring',
                    'do' => 'ring',
                    'target' => 'ann',
                    'seconds' => 12,
                    'greeting' => 'prm_hello',
                    'greetAfter' => 7,
                ],
            ])
            ->plan();
        self::assertContains(
            'For 10 s; the phones ring on for 5 s of it.',
            array_column(TraceReport::of($builder->call(), $plan, 'UTC')['events'], 'reason'),
        );
    }

    /** @return list<string> */
    private static function bars(Trace $trace): array
    {
        $name = static fn(Rung $rung): string => \in_array($rung->phone->owner->person, ['ben', 'cid'], true)
            ? $rung->phone->owner->person
            : $rung->phone->label;

        return array_map(
            static fn(Rung $rung): string => \sprintf(
                '%s %d–%d %s',
                $name($rung),
                $rung->times->from,
                $rung->times->until,
                $rung->outcome,
            ),
            $trace->passage->rung,
        );
    }

    /**
     * @param array<string, mixed> $step
     * @param array<string, mixed> $assume
     * @param array<string, mixed> $people changes
     * @param array<string, mixed> $teams
     */
    private static function call(
        array $step,
        array $assume,
        array $people,
        array $teams,
        int $channels = 0,
        string $from = '',
    ): Trace {
        return self::builder($people, $teams, $channels)
            ->prompt('prm_hello', 4)
            ->journey('jrn_main', [$step + ['id' => 'ring', 'do' => 'ring']])
            ->call($assume, from: $from);
    }

    /**
     * @param array<string, mixed> $people changes: to their rules, and to the phone of Mo
     * @param array<string, mixed> $teams
     */
    private static function builder(array $people, array $teams, int $channels = 0): PlanBuilder
    {
        $builder = new PlanBuilder();
        $desk = static fn(string $id, string $type = 'desk'): array => ['id' => $id, 'type' => $type, 'label' => $id];
        foreach (
            [
                'ann' => [$desk('desk'), $desk('soft', 'soft')],
                'ben' => [$desk('desk')],
                'cid' => [$desk('desk')],
                'mo' => [['id' => 'mobile', 'type' => 'outside', 'label' => 'mobile', 'number' => '+447700900101']],
            ]
            as $id => $phones
        ) {
            $change = $people[$id] ?? [];
            \assert(\is_array($change));
            $own = array_intersect_key($change, ['rules' => 1, 'refusesForAll' => 1]);
            if ('mo' === $id) {
                $phones = [array_diff_key($change, $own) + $phones[0]];
            }
            $builder->with(
                $own + [
                    'id' => $id,
                    'kind' => 'person',
                    'name' => ucfirst($id),
                    'extension' => '',
                    'site' => 'sit_harbour',
                    'mailbox' => null,
                    'phones' => $phones,
                ],
            );
        }
        foreach ($teams as $id => $team) {
            \assert(\is_array($team));
            $builder->with(
                (array_is_list($team) ? ['members' => $team] : $team) + [
                    'id' => $id,
                    'kind' => 'team',
                    'name' => $id,
                    'pattern' => 'one after the other',
                    'memberSeconds' => 15,
                ],
            );
        }

        return 0 === $channels
            ? $builder
            : $builder->with([
                'id' => 'line_quay',
                'kind' => 'line',
                'name' => 'Quay',
                'site' => 'sit_harbour',
                'destinations' => ['local', 'national', 'mobile'],
                'channels' => $channels,
            ]);
    }
}
