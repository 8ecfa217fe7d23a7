<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Routing;

use Meandros\Core\Call\Assumptions;
use Meandros\Core\Reading\InvalidData;
use Meandros\Core\Routing\Event;
use Meandros\Core\Routing\Trace;
use Meandros\Core\Routing\Visit;
use Meandros\Core\Tests\PlanBuilder;
use Meandros\Core\Wording\EventWords;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Menus, key by key and second by second; worked out by hand. The prompt takes 10 s, the one of the second try 4, after a wrong key 2. */
final class MenuTest extends TestCase
{
    /**
     * @param array<string, mixed>                   $menu
     * @param list<string|array<string, string|int>> $keys
     * @param list<string>                           $told
     */
    #[DataProvider('menus')]
    public function testWhatHappens(array $menu, array $keys, array $told): void
    {
        $plan = self::plan($menu);
        $words = new EventWords($plan->plan());
        $trace = $plan->call(['keys' => $keys]);
        self::assertSame(
            $told,
            array_map(
                static fn(Event $event): string => $event->second . ' ' . $words->what($event->happening),
                \array_slice($trace->passage->events, 1, -1),
            ),
        );
    }

    #[DataProvider('said')]
    public function testWhyAWordIsUnderstoodOrNot(string $says, string $why): void
    {
        $words = [['on' => '1', 'language' => 'en', 'say' => ['sales', 'bookings']]];
        $plan = self::plan(['words' => $words, 'tries' => 1]);
        $asked = $plan->call(['keys' => [['says' => $says]]])->passage->events[1]->happening;
        self::assertStringEndsWith($why, (new EventWords($plan->plan()))->because($asked));
    }

    /** @return iterable<array{string, string}> */
    public static function said(): iterable
    {
        yield ['ventes', 'None of the words in the language of the call is near enough.'];
        yield ['sales', '“sales” is one of the words for key 1.'];
        yield ['the sales please', '“sales” is among it, a word for key 1.'];
        yield ['bookingz', 'It differs from “bookings”, a word for key 1, in one letter.'];
    }

    /** @return iterable<string, array{array<string, mixed>, list<string|array<string, string|int>>, list<string>}> */
    public static function menus(): iterable
    {
        $box = static fn(int $second): string => $second . ' Leaves a message with mbx';
        yield 'at the end of the prompt' => [[], ['1'], ['0 Presses 1', $box(10)]];
        yield 'while it plays' => [[], [['press' => '1', 'after' => 3]], ['0 Presses 1', $box(3)]];
        yield 'after it' => [[], [['press' => '1', 'after' => 12]], ['0 Presses 1', $box(12)]];
        yield 'too late' => [
            ['tries' => 1],
            [['press' => '1', 'after' => 15]],
            ['0 Presses nothing for 5 s', '15 Rings Ben for 20 s'],
        ];
        yield 'in the last second' => [['tries' => 1], [['press' => '1', 'after' => 14]], ['0 Presses 1', $box(14)]];
        yield 'words that must be heard' => [
            ['duringPrompt' => false, 'tries' => 1],
            [['press' => '1', 'after' => 3]],
            ['0 Presses nothing for 5 s', '15 Rings Ben for 20 s'],
        ];
        yield 'though keys count at their end' => [
            ['duringPrompt' => false],
            [['press' => '1', 'after' => 10]],
            ['0 Presses 1', $box(10)],
        ];
        yield 'other words for the second try' => [
            ['secondPrompt' => 'prm_second'],
            [],
            ['0 Presses nothing for 5 s', '15 Presses nothing for 5 s', '24 Rings Ben for 20 s'],
        ];
        yield 'and after a wrong key' => [
            ['secondPrompt' => 'prm_second', 'wrongPrompt' => 'prm_wrong'],
            ['9', '1'],
            ['0 Presses 9, which leads nowhere', '10 Presses 1', $box(12)],
        ];
        yield 'the first key of several where none can be dialled' => [[], ['12'], ['0 Presses 1', $box(10)]];
        $dial = ['dial' => ['digitSeconds' => 3]];
        // Two digits more, a second each, and 3 s in which a fourth could follow; Ann does not answer for 25 s.
        yield 'an extension' => [
            $dial,
            [['press' => '201', 'after' => 2]],
            ['0 Dials 201', '7 Reaches extension 201, Ann', '7 Rings Ann for 25 s', '32 Rings Ben for 20 s'],
        ];
        yield 'ended by #' => [
            $dial,
            [['press' => '201#', 'after' => 2]],
            ['0 Dials 201', '4 Reaches extension 201, Ann', '4 Rings Ann for 25 s', '29 Rings Ben for 20 s'],
        ];
        yield 'a key waits for digits' => [$dial, [['press' => '1', 'after' => 2]], ['0 Presses 1', $box(5)]];
        yield 'a star does not' => [
            $dial + [
                'exits' => [['on' => '*', 'steps' => [['id' => 'message', 'do' => 'message', 'mailbox' => 'mbx']]]],
            ],
            [['press' => '*', 'after' => 2]],
            ['0 Presses *', $box(2)],
        ];
        yield 'nobody has it' => [
            $dial + ['tries' => 1],
            ['299'],
            ['0 Dials 299, which leads nowhere', '15 Rings Ben for 20 s'],
        ];
        yield 'not one of those who may be dialled' => [
            ['dial' => ['scope' => 'some', 'people' => ['ben']], 'tries' => 1],
            ['201'],
            ['0 Dials 201, which leads nowhere', '15 Rings Ben for 20 s'],
        ];
        yield 'one of them' => [
            ['dial' => ['scope' => 'some', 'people' => ['ann']]],
            ['201'],
            ['0 Dials 201', '15 Reaches extension 201, Ann', '15 Rings Ann for 25 s', '40 Rings Ben for 20 s'],
        ];
        yield 'an extension of two digits' => [
            $dial,
            ['42'],
            ['0 Dials 42', '14 Reaches extension 42, Dan', '14 Rings Dan for 25 s', '39 Rings Ben for 20 s'],
        ];
        yield 'at the site' => [
            ['dial' => ['scope' => 'site', 'site' => 'sit_harbour']],
            ['201#'],
            ['0 Dials 201', '12 Reaches extension 201, Ann', '12 Rings Ann for 25 s', '37 Rings Ben for 20 s'],
        ];
        yield 'the exit for whoever was dialled in vain' => [
            $dial + [
                'exits' => [
                    ['on' => 'dialled', 'steps' => [['id' => 'message', 'do' => 'message', 'mailbox' => 'mbx']]],
                ],
            ],
            ['201#'],
            ['0 Dials 201', '12 Reaches extension 201, Ann', '12 Rings Ann for 25 s', $box(37)],
        ];
        // Cid has a mailbox, and the hours are closed.
        yield 'when it is closed the mailbox takes it' => [
            ['dial' => ['hours' => 'hrs']],
            ['202#'],
            ['0 Dials 202', '12 Reaches extension 202, Cid', '12 Leaves a message with mbx'],
        ];
        yield 'whoever has none is rung' => [
            ['dial' => ['hours' => 'hrs']],
            ['201#'],
            ['0 Dials 201', '12 Reaches extension 201, Ann', '12 Rings Ann for 25 s', '37 Rings Ben for 20 s'],
        ];
        $words = [
            'words' => [
                ['on' => '1', 'language' => 'en', 'say' => ['sales', 'bookings']],
                ['on' => '1', 'language' => 'fr', 'say' => ['ventes']],
                ['on' => '7', 'language' => 'en', 'say' => ['seven']],
            ],
        ];
        yield 'a word' => [
            $words,
            [['says' => 'Sales', 'after' => 3]],
            ['0 Says “Sales”, as if 1 was pressed', $box(3)],
        ];
        yield 'a word that is not understood' => [
            $words + ['tries' => 1],
            [['says' => 'ventes']],
            ['0 Says “ventes”, which is not understood', '10 Rings Ben for 20 s'],
        ];
        yield 'a word for a key that leads nowhere' => [
            $words + ['tries' => 1],
            [['says' => 'seven']],
            ['0 Says “seven”, which leads nowhere', '10 Rings Ben for 20 s'],
        ];
        yield 'a word while nothing counts' => [
            $words + ['tries' => 1, 'duringPrompt' => false],
            [['says' => 'sales', 'after' => 3]],
            ['0 Presses nothing for 5 s', '15 Rings Ben for 20 s'],
        ];
        $again = static fn(int $up): array => ['id' => 'again' . $up, 'do' => 'again', 'up' => $up];
        yield 'once more' => [
            [
                'exits' => [
                    ['on' => '*', 'steps' => [$again(0)]],
                    ['on' => '1', 'steps' => [['id' => 'message', 'do' => 'message', 'mailbox' => 'mbx']]],
                ],
            ],
            ['*', '1'],
            ['0 Presses *', '10 Goes back to the menu', '10 Presses 1', $box(20)],
        ];
        $inner = [
            'id' => 'inner',
            'do' => 'menu',
            'prompt' => 'prm_wrong',
            'exits' => [['on' => '#', 'steps' => [$again(1)]]],
        ];
        yield 'a level up' => [
            [
                'exits' => [
                    ['on' => '2', 'steps' => [$inner]],
                    ['on' => '1', 'steps' => [['id' => 'message', 'do' => 'message', 'mailbox' => 'mbx']]],
                ],
            ],
            ['2', '#', '1'],
            ['0 Presses 2', '10 Presses #', '12 Goes up 1 menu', '12 Presses 1', $box(22)],
        ];
    }

    /**
     * Whoever is dialled rings as part of the menu: what comes after it begins when that is over.
     *
     * @param array<string, mixed> $menu
     * @param array<string, mixed> $assume
     * @param list<string>         $visits
     */
    #[DataProvider('visits')]
    public function testCallersAreAtTheMenuWhileWhoeverIsDialledRings(array $menu, array $assume, array $visits): void
    {
        $trace = self::plan($menu)->call($assume);
        self::assertSame($visits, self::visited($trace));
    }

    /** @return iterable<string, array{array<string, mixed>, array<string, mixed>, list<string>}> */
    public static function visits(): iterable
    {
        $dial = ['dial' => []];
        $ann = ['keys' => ['201#']];
        yield 'nobody answers' => [$dial, $ann, ['menu 0–37 dialled (not listed)', 'ring 37–57 nobody (not listed)']];
        yield 'nobody answers, and there is an exit for it' => [
            $dial + [
                'exits' => [
                    ['on' => 'dialled', 'steps' => [['id' => 'message', 'do' => 'message', 'mailbox' => 'mbx']]],
                ],
            ],
            $ann,
            ['menu 0–37 dialled', 'message 37–37  (not listed)'],
        ];
        yield 'somebody answers' => [
            $dial,
            $ann + ['phones' => [['who' => 'ann', 'does' => 'answers', 'after' => 3]]],
            ['menu 0–15  (not listed)'],
        ];
        yield 'the caller gives up' => [$dial, $ann + ['patience' => 20], ['menu 0–20  (not listed)']];
        yield 'their mailbox takes it' => [$dial, ['keys' => ['202#']], ['menu 0–37  (not listed)']];
    }

    /** Cid rings in vain, and so does Ben, for whom the caller leaves Cid's mailbox: the menu is over then, by the exit for it. */
    public function testWhoeverLeavesTheMailboxOfSomebodyDialledIsStillAtTheMenu(): void
    {
        $plan = self::plan([
            'dial' => [],
            'exits' => [['on' => 'dialled', 'steps' => [['id' => 'end', 'do' => 'end']]]],
        ]);
        $plan->with(
            ['greeting' => 'prm_second', 'keys' => ['leave' => '0', 'leaveTo' => 'ben']] + $plan->element('mbx'),
        );
        $trace = $plan->call(['keys' => ['202#'], 'meanwhile' => [['press' => '0', 'after' => 1]]]);
        self::assertSame(['menu 0–63 dialled', 'end 63–63  (not listed)'], self::visited($trace));
    }

    /** Eve is refused at once and her rule leads to a queue, where the place is kept when the wait is over: nobody is asked for a message then. */
    public function testWhoeverKeepsAPlaceBehindSomebodyDialledIsCalledBack(): void
    {
        $eve = [
            'extension' => '205',
            'rules' => [
                [
                    'id' => 'one',
                    'name' => 'One',
                    'on' => true,
                    'when' => [],
                    'stages' => [['phones' => ['desk'], 'after' => 0, 'seconds' => 10]],
                    'next' => ['nobody' => 'que'],
                ],
            ],
        ];
        $plan = self::plan([
            'dial' => [],
            'exits' => [['on' => 'dialled', 'steps' => [['id' => 'message', 'do' => 'message', 'mailbox' => 'mbx']]]],
        ])->person('eve');
        $plan->with($eve + $plan->element('eve'))->with([
            'id' => 'que',
            'kind' => 'queue',
            'name' => 'que',
            'members' => [['who' => 'ben']],
            'waiting' => ['longestSeconds' => 60],
            'mailbox' => 'mbx',
            'callback' => ['offer' => ['key' => '5', 'afterSeconds' => 10, 'atTheEnd' => true]],
        ]);
        $trace = $plan->call(['keys' => ['205#']], from: '+441632960777');
        self::assertSame(['menu 0–82  (not listed)', 'menu 82–3622  (not listed)'], self::visited($trace));
        self::assertStringStartsWith('callback', $trace->ending->kind->value);
        self::assertNotContains(
            'message',
            array_map(static fn(Event $one): string => $one->happening->kind(), $trace->passage->events),
        );
    }

    /** @param array<string, int|string> $press */
    #[DataProvider('reasons')]
    public function testWhy(array $press, string $why): void
    {
        $plan = self::plan(['dial' => ['digitSeconds' => 4]]);
        self::assertSame(
            $why,
            (new EventWords($plan->plan()))->because($plan->call(['keys' => [$press]])->passage->events[1]->happening),
        );
    }

    /** @return iterable<array{array<string, int|string>, string}> */
    public static function reasons(): iterable
    {
        yield [['press' => '*'], 'After “prm_menu” of 10 s; try 1 of 2.'];
        yield [['press' => '*', 'after' => 4], '4 s into “prm_menu” of 10 s; try 1 of 2.'];
        yield [
            ['press' => '1', 'after' => 12],
            '2 s after “prm_menu” of 10 s; try 1 of 2. It takes 4 s in which more digits may follow.',
        ];
    }

    /** Somebody who goes round for ever is stopped. */
    public function testRoundAndRound(): void
    {
        $plan = self::plan(['exits' => [['on' => '*', 'steps' => [['id' => 'again', 'do' => 'again']]]]]);
        self::assertSame(
            'answered',
            self::plan([])->call(['phones' => [['who' => 'ben', 'does' => 'answers', 'after' => 2]]])->ending->kind
                ->value,
        );
        self::assertSame(
            ['caller gave up', 'loop stopped'],
            array_map(
                static fn(int $patience): string => $plan->call([
                    'keys' => array_fill(0, 200, '*'),
                    'patience' => $patience,
                ])->ending->kind->value,
                [90, 900],
            ),
        );
    }

    #[DataProvider('nonsense')]
    public function testKeysThatMakeNoSenseAreRefused(mixed $key, string $pointer): void
    {
        try {
            Assumptions::fromData(['keys' => ['1', $key]]);
            self::fail();
        } catch (InvalidData $invalid) {
            self::assertSame($pointer, $invalid->problems[0]->pointer);
        }
    }

    /** @return iterable<array{mixed, string}> */
    public static function nonsense(): iterable
    {
        yield ['x', '/keys/1'];
        yield ['', '/keys/1'];
        yield [['press' => '1', 'after' => -1], '/keys/1/after'];
        yield [['press' => 'one'], '/keys/1/press'];
        yield [['press' => '1', 'then' => 2], '/keys/1/then'];
    }

    /** @return list<string> */
    private static function visited(Trace $trace): array
    {
        return array_map(
            static fn(Visit $one): string => trim(
                \sprintf(
                    '%s %d–%d %s%s',
                    $one->step,
                    $one->from,
                    $one->until,
                    $one->exit,
                    $one->exitTaken ? '' : ' (not listed)',
                ),
            ),
            $trace->passage->visits,
        );
    }

    /** @param array<string, mixed> $menu */
    private static function plan(array $menu): PlanBuilder
    {
        $person = static fn(string $id, string $extension, ?string $mailbox): array => [
            'id' => $id,
            'kind' => 'person',
            'name' => ucfirst($id),
            'extension' => $extension,
            'site' => 'sit_harbour',
            'mailbox' => $mailbox,
            'phones' => [['id' => 'desk', 'type' => 'desk', 'label' => 'Desk']],
        ];
        $usual = [
            'id' => 'menu',
            'do' => 'menu',
            'prompt' => 'prm_menu',
            'wait' => 5,
            'tries' => 2,
            'exits' => [['on' => '1', 'steps' => [['id' => 'message', 'do' => 'message', 'mailbox' => 'mbx']]]],
        ];

        return (new PlanBuilder())
            ->with($person('ann', '201', null))
            ->with($person('cid', '202', 'mbx'))
            ->with($person('dan', '42', null))
            ->person('ben')
            ->mailbox('mbx')
            ->hours('hrs', [])
            ->prompt('prm_menu', 10)
            ->prompt('prm_second', 4)
            ->prompt('prm_wrong', 2)
            ->journey('jrn_main', [
                $menu + $usual,
                ['id' => 'ring', 'do' => 'ring', 'target' => 'ben', 'seconds' => 20],
            ]);
    }
}
