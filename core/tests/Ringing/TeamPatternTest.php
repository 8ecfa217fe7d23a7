<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Ringing;

use Meandros\Core\Reading\InvalidData;
use Meandros\Core\Ringing\Rung;
use Meandros\Core\Routing\EndingKind;
use Meandros\Core\Routing\Trace;
use Meandros\Core\Tests\PlanBuilder;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * Worked by hand on a grid of seconds. Ann, Ben, Cid and Dee have a phone each and ring for 40 s in all; in turn means
 * 10 s each. A widening team adds a tier every 10 s: Ann and Ben are tier 1, Cid tier 2, Dee tier 3.
 *
 *     widening   0         10        20        30        40
 *     Ann (1)    ========================================
 *     Ben (1)    ========================================
 *     Cid (2)              ==============================
 *     Dee (3)                        ====================
 */
final class TeamPatternTest extends TestCase
{
    private const TIERS = ['ann' => 1, 'ben' => 1, 'cid' => 2, 'dee' => 3];

    /**
     * @param array<string, mixed>                $assume  assumptions
     * @param array<string, string>               $bars    by person
     * @param array<string, array<string, mixed>> $members changes to members
     */
    #[DataProvider('grids')]
    public function testTheGrid(string $pattern, array $assume, array $bars, array $members = []): void
    {
        $drawn = [];
        foreach (self::call($pattern, $assume, $members)->passage->rung as $rung) {
            $drawn[(string) $rung->phone->owner->person] = \sprintf(
                '%d–%d %s',
                $rung->times->from,
                $rung->times->until,
                $rung->outcome,
            );
        }
        ksort($drawn);
        self::assertSame($bars, $drawn);
    }

    /** @return iterable<string, array{0: string, 1: array<string, mixed>, 2: array<string, string>, 3?: array<string, array<string, mixed>>}> */
    public static function grids(): iterable
    {
        $no = 'not answered';
        $phone = static fn(string $who, string $does, int $after): array => [
            'who' => $who,
            'does' => $does,
            'after' => $after,
        ];
        yield 'widening, nobody answers' => [
            'widening',
            [],
            ['ann' => "0–40 $no", 'ben' => "0–40 $no", 'cid' => "10–40 $no", 'dee' => "20–40 $no"],
        ];
        yield 'widening, the late one answers' => [
            'widening',
            ['phones' => [$phone('dee', 'answers', 3)]],
            [
                'ann' => '0–23 taken elsewhere',
                'ben' => '0–23 taken elsewhere',
                'cid' => '10–23 taken elsewhere',
                'dee' => '20–23 answered',
            ],
        ];
        yield 'widening, answered before the last tier joins' => [
            'widening',
            ['phones' => [$phone('cid', 'answers', 5)]],
            [
                'ann' => '0–15 taken elsewhere',
                'ben' => '0–15 taken elsewhere',
                'cid' => '10–15 answered',
                'dee' => '15–15 not reached',
            ],
        ];
        yield 'widening, a member with an alert time of her own' => [
            'widening',
            [],
            ['ann' => "0–12 $no", 'ben' => "0–40 $no", 'cid' => "10–40 $no", 'dee' => "20–40 $no"],
            ['ann' => ['seconds' => 12]],
        ];
        yield 'somebody who is off is left out' => [
            'all at once',
            [],
            ['ann' => "0–40 $no", 'cid' => "0–40 $no", 'dee' => "0–40 $no"],
            ['ben' => ['on' => false]],
        ];
        yield 'rotating, after Ben' => [
            'rotating',
            ['earlier' => ['last' => [['team' => 'team_four', 'who' => 'ben']]]],
            ['ann' => "20–30 $no", 'ben' => "30–40 $no", 'cid' => "0–10 $no", 'dee' => "10–20 $no"],
        ];
        yield 'rotating, after one who is off now' => [
            'rotating',
            ['earlier' => ['last' => [['team' => 'team_four', 'who' => 'ben']]]],
            ['ann' => "20–30 $no", 'cid' => "0–10 $no", 'dee' => "10–20 $no"],
            ['ben' => ['on' => false]],
        ];
        yield 'rotating, nobody rang yet' => [
            'rotating',
            [],
            ['ann' => "0–10 $no", 'ben' => "10–20 $no", 'cid' => "20–30 $no", 'dee' => "30–40 $no"],
        ];
        yield 'longest idle first; who never rang is idle longest' => [
            'longest idle first',
            [
                'earlier' => [
                    'members' => [
                        ['who' => 'ann', 'idle' => 60],
                        ['who' => 'ben', 'idle' => 600],
                        ['who' => 'dee', 'idle' => 61],
                    ],
                ],
            ],
            ['ann' => "30–40 $no", 'ben' => "10–20 $no", 'cid' => "0–10 $no", 'dee' => "20–30 $no"],
        ];
        yield 'fewest calls first; equals in the order of the team' => [
            'fewest calls first',
            ['earlier' => ['members' => [['who' => 'ann', 'calls' => 2], ['who' => 'cid', 'calls' => 1]]]],
            ['ann' => "30–40 $no", 'ben' => "0–10 $no", 'cid' => "20–30 $no", 'dee' => "10–20 $no"],
        ];
        yield 'one who refuses passes it on at once' => [
            'one after the other',
            ['phones' => [$phone('ann', 'refuses', 3), $phone('ben', 'answers', 2)]],
            ['ann' => '0–3 refused', 'ben' => '3–5 answered', 'cid' => '5–5 not reached', 'dee' => '5–5 not reached'],
        ];
        yield 'asked first: pressing 1 takes 4 s, in which others may be faster' => [
            'all at once',
            ['phones' => [$phone('ann', 'answers', 5), $phone('ben', 'answers', 8)]],
            [
                'ann' => '0–8 taken elsewhere',
                'ben' => '0–8 answered',
                'cid' => '0–8 taken elsewhere',
                'dee' => '0–8 taken elsewhere',
            ],
            ['ann' => ['askFirst' => true]],
        ];
        yield 'asked first, and alone' => [
            'all at once',
            ['phones' => [$phone('ann', 'answers', 5)]],
            [
                'ann' => '0–9 answered',
                'ben' => '0–9 taken elsewhere',
                'cid' => '0–9 taken elsewhere',
                'dee' => '0–9 taken elsewhere',
            ],
            ['ann' => ['askFirst' => true]],
        ];
    }

    /**
     * @param array<string, mixed> $team   changes to the team
     * @param array<string, mixed> $assume
     * @param list<string>         $told
     */
    #[DataProvider('passedOver')]
    public function testWhoIsPassedOver(array $team, array $assume, array $told, ?string $exit): void
    {
        $phones = static fn(string $who, int $calls): array => [
            'id' => $who,
            'kind' => 'person',
            'name' => $who,
            'extension' => '',
            'site' => 'sit_harbour',
            'mailbox' => null,
            'phones' => [
                ['id' => 'desk', 'type' => 'desk', 'label' => 'desk', 'calls' => $calls],
                ['id' => 'laptop', 'type' => 'soft', 'label' => 'laptop'],
            ],
        ];
        $trace = (new PlanBuilder())
            ->with($phones('ann', 2))
            ->with($phones('ben', 1))
            ->with(
                $team + [
                    'id' => 'pair',
                    'kind' => 'team',
                    'name' => 'Pair',
                    'pattern' => 'all at once',
                    'members' => ['ann', 'ben'],
                ],
            )
            ->journey('jrn_main', [
                ['id' => 'ring', 'do' => 'ring', 'target' => 'pair', 'seconds' => 20, 'exits' => []],
            ])
            ->call($assume);
        $drawn = array_map(
            static fn(Rung $rung): string => \sprintf('%s %s', $rung->phone->id, $rung->outcome),
            $trace->passage->rung,
        );
        sort($drawn);
        self::assertSame($told, $drawn);
        self::assertSame($exit, $trace->passage->visits[0]->exit);
    }

    /** @return iterable<string, array{array<string, mixed>, array<string, mixed>, list<string>, string|null}> */
    public static function passedOver(): iterable
    {
        $no = 'not answered';
        $onACall = ['phones' => [['who' => '*', 'does' => 'on a call']]];
        $annOnACall = ['phones' => [['who' => 'ann/desk', 'does' => 'on a call']]];
        $ago = static fn(int $seconds): array => ['earlier' => ['members' => [['who' => 'ben', 'idle' => $seconds]]]];
        yield 'on a call: a phone that takes two at the same time rings' => [
            [],
            $onACall,
            ["ann/desk $no", 'ann/laptop busy', 'ben/desk busy', 'ben/laptop busy'],
            'nobody',
        ];
        yield 'on a call, and the team passes over who is' => [
            ['skipBusy' => true],
            $annOnACall,
            ['ann/desk busy', 'ann/laptop busy', "ben/desk $no", "ben/laptop $no"],
            'nobody',
        ];
        yield 'all are on a call' => [
            ['skipBusy' => true],
            $onACall,
            ['ann/desk busy', 'ann/laptop busy', 'ben/desk busy', 'ben/laptop busy'],
            'busy',
        ];
        yield 'in the minute after a call' => [
            ['pauseSeconds' => 60],
            $ago(59),
            ["ann/desk $no", "ann/laptop $no", 'ben/desk pausing after a call', 'ben/laptop pausing after a call'],
            'nobody',
        ];
        yield 'when the minute is over' => [
            ['pauseSeconds' => 60],
            $ago(60),
            ["ann/desk $no", "ann/laptop $no", "ben/desk $no", "ben/laptop $no"],
            'nobody',
        ];
        yield 'paging: everybody inside who is free hears it' => [
            ['pattern' => 'paging', 'members' => ['ann', ['who' => '+447700900123'], 'ben']],
            $annOnACall,
            [
                '+447700900123 cannot be paged',
                'ann/desk busy',
                'ann/laptop hears it',
                'ben/desk hears it',
                'ben/laptop hears it',
            ],
            null,
        ];
        yield 'paging: nobody is free' => [
            ['pattern' => 'paging'],
            ['phones' => [['who' => '*', 'does' => 'busy', 'after' => 0]]],
            ['ann/desk busy', 'ann/laptop busy', 'ben/desk busy', 'ben/laptop busy'],
            'busy',
        ];
    }

    public function testAPauseGoesOnWhileTheCallIsOnItsWay(): void
    {
        $outcome = static fn(int $prompt): string => (new PlanBuilder())
            ->person('ann')
            ->prompt('prm_hello', $prompt)
            ->with([
                'id' => 'pair',
                'kind' => 'team',
                'name' => 'Pair',
                'pattern' => 'all at once',
                'members' => ['ann'],
                'pauseSeconds' => 60,
            ])
            ->journey('jrn_main', [
                ['id' => 'say', 'do' => 'say', 'prompt' => 'prm_hello'],
                ['id' => 'ring', 'do' => 'ring', 'target' => 'pair', 'seconds' => 5],
            ])
            ->call(['earlier' => ['members' => [['who' => 'ann', 'idle' => 50]]]])->passage->rung[0]->outcome;
        self::assertSame(['pausing after a call', 'not answered'], [$outcome(8), $outcome(10)]);
    }

    public function testDigitsAreSentOnceItIsPickedUp(): void
    {
        $phone = [
            'id' => 'agency',
            'type' => 'outside',
            'label' => 'Agency',
            'number' => '+442079460123',
            'digits' => ',,42#',
            'shows' => 'num_main',
            'askFirst' => true,
        ];
        $trace = (new PlanBuilder())
            ->with([
                'id' => 'ann',
                'kind' => 'person',
                'name' => 'Ann',
                'extension' => '',
                'site' => 'sit_harbour',
                'mailbox' => null,
                'phones' => [$phone],
            ])
            ->journey('jrn_main', [['id' => 'ring', 'do' => 'ring', 'target' => 'ann', 'seconds' => 30]])
            ->call(['phones' => [['who' => 'ann', 'does' => 'answers', 'after' => 5]]]);
        self::assertSame(
            [13, 9],
            [$trace->seconds, $trace->passage->rung[0]->times->askedAt],
            'Two seconds until it rings, picked up after 5 s, two commas of a second each, 4 s to press 1.',
        );
        self::assertSame('num_main', $trace->passage->rung[0]->toJson()['shows']);
    }

    /** @param array<string, mixed> $phone */
    #[DataProvider('badPhones')]
    public function testABadPhoneIsRefusedAtTheField(array $phone, string $field): void
    {
        try {
            (new PlanBuilder())
                ->with([
                    'id' => 'ann',
                    'kind' => 'person',
                    'name' => 'Ann',
                    'extension' => '',
                    'site' => 'sit_harbour',
                    'phones' => [$phone + ['id' => 'one', 'label' => 'One']],
                ])
                ->plan();
            self::fail('This must be refused.');
        } catch (InvalidData $invalid) {
            self::assertStringEndsWith('/phones/0/' . $field, $invalid->problems[0]->pointer);
        }
    }

    /** @return iterable<array{array<string, mixed>, string}> */
    public static function badPhones(): iterable
    {
        $mobile = ['type' => 'outside', 'number' => '+447700900123'];
        yield [$mobile + ['digits' => 'abc'], 'digits'];
        yield [$mobile + ['calls' => 0], 'calls'];
        yield [$mobile + ['setUp' => 31], 'setUp'];
        yield [$mobile + ['confirm' => 4], 'confirm'];
        yield [['type' => 'desk', 'setUp' => 2], 'setUp'];
        yield [['type' => 'soft', 'mailboxWhenBusy' => true], 'mailboxWhenBusy'];
        yield [$mobile + ['shows' => 'num_none'], 'shows'];
        yield [$mobile + ['ownMailbox' => -1], 'ownMailbox'];
        yield [['type' => 'desk', 'calls' => 0], 'calls'];
        yield [['type' => 'desk', 'digits' => '1'], 'digits'];
        yield [['type' => 'desk', 'shows' => 'num_main'], 'shows'];
    }

    public function testTwoPhonesOfOnePersonHaveNumbersOfTheirOwn(): void
    {
        $this->expectExceptionMessage('/elements/3/phones/1/number: phone-number-twice');
        $phone = static fn(string $id): array => [
            'id' => $id,
            'type' => 'outside',
            'label' => $id,
            'number' => '+447700900123',
        ];
        (new PlanBuilder())
            ->with([
                'id' => 'ann',
                'kind' => 'person',
                'name' => 'Ann',
                'extension' => '',
                'site' => 'sit_harbour',
                'phones' => [$phone('one'), $phone('two')],
            ])
            ->plan();
    }

    public function testAllWhoRingRefuse(): void
    {
        $trace = self::call('all at once', ['phones' => [['who' => '*', 'does' => 'refuses', 'after' => 6]]]);
        self::assertSame(['refused', 6], [$trace->passage->visits[0]->exit, $trace->seconds]);
    }

    public function testTheSameSeedGivesTheSameOrder(): void
    {
        $order = static fn(int $seed): array => array_map(
            static fn(Rung $rung): ?string => $rung->phone->owner->person,
            self::call('random', ['earlier' => ['seed' => $seed]])->passage->rung,
        );
        self::assertSame($order(7), $order(7));
        // Where none is stated it is the first.
        $unstated = self::call('random', [])->passage->rung;
        self::assertSame(
            $order(1),
            array_map(static fn(Rung $rung): ?string => $rung->phone->owner->person, $unstated),
        );
        self::assertCount(4, array_unique($order(7)));
        $orders = array_unique(array_map(static fn(int $seed): string => implode(' ', $order($seed)), range(1, 40)));
        self::assertGreaterThan(10, \count($orders), 'Seeds differ.');
    }

    /** @param array{string, int} $ending how it ends, and when */
    #[DataProvider('mailboxes')]
    public function testAMobileWithAMailboxOfItsOwn(
        int $ownMailbox,
        bool $askFirst,
        string $does,
        int $after,
        string $outcome,
        array $ending,
    ): void {
        $mobile = [
            'id' => 'mobile',
            'type' => 'outside',
            'label' => 'Mobile',
            'number' => '+447700900105',
            'ownMailbox' => $ownMailbox,
            'askFirst' => $askFirst,
        ];
        $trace = (new PlanBuilder())
            ->with([
                'id' => 'ines',
                'kind' => 'person',
                'name' => 'Ines',
                'extension' => '',
                'site' => 'sit_harbour',
                'mailbox' => null,
                'phones' => [$mobile],
            ])
            ->journey('jrn_main', [
                ['id' => 'ring', 'do' => 'ring', 'target' => 'ines', 'seconds' => 30, 'exits' => []],
            ])
            ->call(['phones' => [['who' => 'ines', 'does' => $does, 'after' => $after]]]);
        self::assertSame($outcome, $trace->passage->rung[0]->outcome);
        self::assertSame($ending, [$trace->ending->kind->value, $trace->seconds]);
    }

    /** @return iterable<string, array{int, bool, string, int, string, array{string, int}}> */
    public static function mailboxes(): iterable
    {
        [$lost, $ran, $answered] = [
            EndingKind::OwnMailbox->value,
            EndingKind::RanOut->value,
            EndingKind::Answered->value,
        ];
        yield 'it takes the call before the time is up' => [20, false, 'rings', 0, 'own mailbox', [$lost, 23]];
        yield 'the person is faster' => [20, false, 'answers', 12, 'answered', [$answered, 15]];
        yield 'in the same second the person is faster' => [20, false, 'answers', 20, 'answered', [$answered, 23]];
        yield 'the person is too slow' => [20, false, 'answers', 21, 'own mailbox', [$lost, 23]];
        yield 'the time is up before it answers' => [40, false, 'rings', 0, 'not answered', [$ran, 30]];
        yield 'off or out of reach, it answers at once' => [20, false, 'unreachable', 0, 'own mailbox', [$lost, 3]];
        yield 'declined, it answers' => [20, false, 'refuses', 4, 'own mailbox', [$lost, 7]];
        yield 'busy, it answers at once' => [20, false, 'busy', 0, 'own mailbox', [$lost, 3]];
        yield 'asked first, it is turned away' => [20, true, 'rings', 0, 'own mailbox turned away', [$ran, 33]];
        yield 'asked first and off' => [20, true, 'unreachable', 0, 'own mailbox turned away', [$ran, 13]];
        yield 'asked first, the person takes it' => [20, true, 'answers', 12, 'answered', [$answered, 19]];
    }

    public function testATeamMayHaveSinglePhonesAndNumbersOutside(): void
    {
        $trace = (new PlanBuilder())
            ->person('ann', ['desk', 'laptop'])
            ->with([
                'id' => 'team_mixed',
                'kind' => 'team',
                'name' => 'Mixed',
                'pattern' => 'all at once',
                'members' => [['who' => 'ann/laptop'], ['who' => '+447700900123', 'askFirst' => true]],
            ])
            ->journey('jrn_main', [
                ['id' => 'ring', 'do' => 'ring', 'target' => 'team_mixed', 'seconds' => 20, 'exits' => []],
            ])
            ->call(['phones' => [['who' => '+447700900123', 'does' => 'answers', 'after' => 6]]]);
        self::assertSame(
            ['ann/laptop', '+447700900123'],
            array_map(static fn(Rung $rung): string => $rung->phone->id, $trace->passage->rung),
        );
        self::assertSame([13, 9], [$trace->seconds, $trace->passage->rung[1]->times->askedAt]);
    }

    public function testATierGapIsRefusedAtTheMember(): void
    {
        $this->expectException(InvalidData::class);
        $this->expectExceptionMessage('tier-waits {"tier":3,"waits":2}');
        self::call('widening', [], ['cid' => ['tier' => 1]]);
    }

    /**
     * @param array<string, mixed>                $assume
     * @param array<string, array<string, mixed>> $members
     */
    private static function call(string $pattern, array $assume = [], array $members = []): Trace
    {
        $builder = new PlanBuilder();
        $team = [];
        foreach (self::TIERS as $who => $tier) {
            $builder->person($who);
            $team[] = ($members[$who] ?? []) + ['who' => $who, 'tier' => $tier];
        }

        return $builder
            ->with([
                'id' => 'team_four',
                'kind' => 'team',
                'name' => 'Four',
                'pattern' => $pattern,
                'members' => $team,
                'memberSeconds' => 10,
                'widenSeconds' => 10,
            ])
            ->journey('jrn_main', [
                ['id' => 'ring', 'do' => 'ring', 'target' => 'team_four', 'seconds' => 40, 'exits' => []],
            ])
            ->call($assume);
    }
}
