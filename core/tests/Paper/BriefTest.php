<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Paper;

use Meandros\Core\Paper\Brief;
use Meandros\Core\Paper\Chapter;
use Meandros\Core\Paper\Line;
use Meandros\Core\Paper\Markdown;
use Meandros\Core\Paper\Paper;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Proof\Fares\Fares;
use Meandros\Core\Proof\Reach;
use Meandros\Core\Tests\PlanBuilder;
use Meandros\Core\Time\Moment;
use Meandros\Core\Wording\Listed;
use PHPUnit\Framework\TestCase;

/** What a director reads: every sentence is of a call that was tried, and what differs from another plan is marked. */
final class BriefTest extends TestCase
{
    public function testWhatCallersHearAndWhoAnswers(): void
    {
        $chapter = self::brief(self::plan('17:00'))->chapters[0];
        self::assertSame(
            [
                'Main line, +44 1632 960100',
                'In a usual week somebody may be reached for 40.0 hours. On 104 of 365 days nobody can be reached at all.',
            ],
            $chapter->sentences,
        );
        self::assertSame(
            [
                [0, 'While hrs are “Open”: callers hear “Menu”; rings Ann, then mbx.'],
                [0, 'While hrs are “Closed”: callers hear “Closed”; a message with mbx.'],
                [0, 'Whoever presses 1:'],
                [1, 'While hrs are “Open”: callers hear “Menu”; rings Ben, then Ann, then mbx.'],
                [0, 'Whoever presses 2 fares as whoever presses nothing.'],
            ],
            self::lines($chapter),
        );
        self::assertSame(
            [[0, 32400, 'message'], [32400, 61200, 'person'], [61200, 86400, 'message']],
            array_map(
                static fn(array $one): array => [$one[0], $one[1], $one[2]->value],
                $chapter->picture->days[0] ?? [],
            ),
        );
    }

    public function testHoursThatAreNamedAreToldByTheirStates(): void
    {
        $band = static fn(string $from, string $to): array => self::band($from, $to, 'open');
        $fair = ['date' => '2027-05-03', 'name' => 'Fair', 'bands' => [self::times('10:00', '12:00', 'lunch')]];
        $plan = self::plan('17:00', [$band('09:00', '12:00'), $band('13:00', '17:00')], [$fair]);
        [$calls, $states] = self::brief($plan)->chapters;
        self::assertSame(
            [0, 'While hrs are “Open” or “Lunch”: callers hear “Menu”; rings Ann, then mbx.'],
            self::lines($calls)[0],
        );
        self::assertSame('Hours, state by state', $states->heading->text);
        self::assertSame(
            [
                [0, 'hrs'],
                [1, '“Open”: Mon–Fri 09:00–12:00, 13:00–17:00.'],
                [1, '“Lunch”: on Mon 3 May 2027.'],
                [1, '“Closed”: at all other times.'],
            ],
            self::lines($states),
        );
    }

    public function testNumbersThatFareAlikeAreToldTogetherAndNoneIsLost(): void
    {
        $number = static fn(string $id, string $last, string $name, string $target): array => [
            'id' => $id,
            'kind' => 'number',
            'name' => $name,
            'number' => '+4416329609' . $last,
            'site' => 'sit_harbour',
            'language' => 'en',
            'target' => $target,
        ];
        $plan = (new PlanBuilder())->mailbox('mbx')->with($number('num_b', '01', 'Main line', 'mbx'));
        $headings = static fn(PlanBuilder $builder): array => array_map(
            static fn(Chapter $one): string => $one->heading->text,
            self::brief($builder->plan())->chapters,
        );
        self::assertSame(['Main line', 'Main line'], $headings($plan), 'Two of one name lead elsewhere.');
        $plan->with($number('num_c', '02', 'After hours', 'mbx'));
        self::assertSame(['Main line', 'mbx'], $headings($plan), 'Many are called after what they lead to.');
    }

    public function testOfOneNumberItIsToldWhatIsPromisedOfIt(): void
    {
        $number = static fn(string $id, string $last, string $target): array => [
            'id' => $id,
            'kind' => 'number',
            'name' => $id,
            'number' => '+4416329609' . $last,
            'site' => 'sit_harbour',
            'target' => $target,
        ];
        $promise = static fn(string $id, array $to): array => [
            'id' => $id,
            'kind' => 'expectation',
            'name' => $id,
            'calls' => ['to' => $to],
            'promise' => ['that' => 'ends with', 'outcomes' => ['message']],
        ];
        $plan = static fn(string $ends): Plan => (new PlanBuilder())
            ->mailbox('mbx')
            ->journey('jrn_ends', [['id' => 's1', 'do' => 'end']])
            ->with($number('num_box', '01', 'mbx'))
            ->with($number('num_ends', '02', $ends))
            ->with($promise('exp_any', []))
            ->with($promise('exp_box', ['num_box']))
            ->with($promise('exp_both', ['num_box', 'num_ends']))
            ->with($promise('exp_ends', ['num_ends']))
            ->plan();
        $promised = static fn(array $ids, ?Plan $before = null): array => array_map(
            static fn(Line $line): string => ($line->mark ?? '') .
                strstr($line->text, ':', true) .
                strrchr(rtrim($line->text, '.'), '.'),
            \array_slice(self::brief($plan('jrn_ends'), $before, ids: $ids)->chapters, -1)[0]->lines,
        );
        self::assertSame(['exp_any', 'exp_box', 'exp_both'], $promised(['num_box']));
        $ends = ['exp_any. This is not kept', 'exp_both. This is not kept', 'exp_ends. This is not kept'];
        self::assertSame($ends, $promised(['num_ends']), 'Held against calls to it alone.');
        self::assertEqualsCanonicalizing([...$ends, 'exp_box'], $promised([]));
        $removed = Line::REMOVED;
        $added = Line::ADDED;
        self::assertEqualsCanonicalizing(
            [
                ...array_map(static fn(string $one): string => $added . $one, $ends),
                "{$removed}exp_any",
                "{$removed}exp_both",
                "{$removed}exp_ends",
            ],
            $promised(['num_ends'], $plan('mbx')),
        );
    }

    public function testItIsGivenUpWhereThereIsNoTime(): void
    {
        $fares = new Fares(self::plan('17:00'), 1_800_000_000, 1_800_000_000 + 86400);
        foreach ([0 => true, 1 => true, 2 => false] as $looks => $isGivenUp) {
            $goOn = static function () use (&$looks): bool {
                return $looks-- > 0;
            };
            self::assertSame($isGivenUp, null === Brief::of($fares, '', [], $fares, $goOn));
        }
    }

    public function testAPictureIsOfAWholeWeekOrThereIsNone(): void
    {
        // A Friday: the first whole week ends ten days later.
        $from = Moment::parse('2027-01-01T00:00', 'Europe/London');
        foreach ([-1 => true, 0 => false] as $seconds => $isNone) {
            $fares = new Fares(self::plan('17:00'), $from, $from + 10 * 86400 + $seconds);
            $picture = Brief::of($fares, '', [], null, static fn(): bool => true)?->chapters[0]->picture;
            self::assertSame($isNone, null === $picture);
        }
    }

    public function testWhatTakesCallsAlikeIsOneStretchOfThePicture(): void
    {
        $message = static fn(string $id): array => ['id' => $id, 'do' => 'message', 'mailbox' => $id];
        $plan = (new PlanBuilder())
            ->mailbox('mbx_one')
            ->mailbox('mbx_two')
            ->hours('hrs', [self::band('09:00', '12:00', 'open')])
            ->journey('jrn_main', [
                [
                    'id' => 'h1',
                    'do' => 'hours',
                    'hours' => 'hrs',
                    'exits' => [['on' => 'closed', 'steps' => [$message('mbx_one')]]],
                ],
                $message('mbx_two'),
            ])
            ->plan();
        self::assertSame([[0, 86400, Reach::Message]], self::brief($plan)->chapters[0]->picture?->days[0]);
    }

    public function testInFrench(): void
    {
        $markdown = Markdown::of(self::brief(self::plan('17:00'), null, 'fr'));
        foreach (
            [
                "# Test\n\nThe draft. L’année à partir du ven. 1 janv. 2027. Un appel consulte les horaires ",
                "quelqu’un peut être joint pendant 40,0 heures. 104 jours sur 365, personne ne peut être joint.\n",
                "- Tant que hrs est à «\u{a0}Open\u{a0}»\u{a0}: les appelants entendent «\u{a0}Menu\u{a0}»\u{a0}; fait sonner Ann, puis mbx.\n",
                "\n- Si l’on presse la touche 1\u{a0}:\n  - Tant que hrs",
                "\n- Si l’on presse la touche 2, il en va comme si rien n’est pressé.\n",
                "## Les horaires, état par état\n\n- hrs\n  - «\u{a0}Open\u{a0}»\u{a0}: lun.–ven. 09:00–17:00.\n",
                "\u{a0}: le reste du temps.\n",
                "- Answers\u{a0}: Appels à n’importe quel numéro · toujours · ne jamais finir sans un message.\n",
                "\n\nNom\u{a0}: ____",
            ]
            as $said
        ) {
            self::assertStringContainsString($said, $markdown);
        }
    }

    public function testKeysAndNumbersBesideOneAnother(): void
    {
        self::assertSame('1, then 2 or 3 or 4', Listed::each(['1, then 2', '3', '4'], 'or'));
        self::assertSame('2, puis 1', Listed::each(['2', '1'], 'then', 'fr'));
        self::assertSame(['', 'one'], [Listed::each([], 'or'), Listed::words(['one'], 'and')]);
        self::assertSame('un, deux et trois', Listed::words(['un', 'deux', 'trois'], 'and', 'fr'));
        self::assertSame(['a', 'a et 1 de plus'], [Listed::more('a', 0), Listed::more('a', 1, 'fr')]);
        self::assertSame('Édition 3', Listed::capital('édition 3'));
    }

    public function testBesideAnotherPlan(): void
    {
        $brief = self::brief(self::plan('16:00'), self::plan('17:00'));
        $marks = static fn(Chapter $chapter): array => array_map(
            static fn(Line $line): string => ($line->mark ?? 'same') . ' ' . mb_substr($line->text, 0, 24),
            $chapter->lines,
        );
        self::assertSame(
            [
                'same While hrs are “Open”: ca',
                'same While hrs are “Closed”: ',
                'same Whoever presses 1:',
                'same While hrs are “Open”: ca',
                'same Whoever presses 2 fares ',
            ],
            $marks($brief->chapters[0]),
        );
        self::assertSame(
            [
                'same hrs',
                'removed “Open”: Mon–Fri 09:00–17',
                'added “Open”: Mon–Fri 09:00–16',
                'same “Closed”: at all other t',
            ],
            $marks($brief->chapters[1]),
        );
        self::assertSame(
            'Answers: Calls to any number · always · never end without a message.',
            $brief->chapters[2]->lines[0]->text,
        );
        self::assertNull($brief->chapters[2]->lines[0]->mark);
        $same = self::brief(self::plan('17:00'), self::plan('17:00'));
        self::assertSame(
            [null],
            array_values(
                array_unique(array_map(static fn(Line $line): ?string => $line->mark, $same->chapters[0]->lines)),
            ),
        );
    }

    public function testNumbersOfABlockAreToldOneByOneAndComparedByWhatIsDialled(): void
    {
        $plan = static fn(string $target): Plan => (new PlanBuilder())
            ->person('ann')
            ->mailbox('mbx')
            ->mailbox('box')
            ->with(['extension' => '203', 'name' => 'Ann'] + (new PlanBuilder())->person('ann')->element('ann'))
            ->with([
                'id' => 'num_direct',
                'kind' => 'number',
                'name' => 'Direct',
                'number' => '+441632960200',
                'site' => 'sit_harbour',
                'target' => $target,
                'block' => ['last' => '+441632960209', 'extension' => '200'],
            ])
            ->journey('jrn_main', [['id' => 's1', 'do' => 'end']])
            ->plan();
        $told = [];
        foreach (self::brief($plan('box'), $plan('mbx'))->chapters as $chapter) {
            $told[$chapter->sentences[0]] = array_map(
                static fn(Line $line): array => [$line->mark, $line->text],
                $chapter->lines,
            );
        }
        self::assertSame(
            [
                'Direct, such as +44 1632 960200' => [
                    [Line::REMOVED, 'Always: a message with mbx.'],
                    [Line::ADDED, 'Always: a message with box.'],
                ],
                'Direct (Ann), +44 1632 960203' => [[null, 'Always: rings Ann.']],
                'Main line, +44 1632 960100' => [[null, 'Always: nobody: the call ends.']],
            ],
            $told,
        );
    }

    public function testAsMarkdown(): void
    {
        $markdown = Markdown::of(self::brief(self::plan('16:00'), self::plan('17:00')));
        self::assertStringStartsWith(
            "# Test\n\nThe draft. The year from Fri 1 Jan 2027 on. Calls look at hours some seconds or minutes after they come in: so near an edge they may fare as beside it.\n\n## Main line\n\n",
            $markdown,
        );
        self::assertStringContainsString("- hrs\n  - ~~“Open”: Mon–Fri 09:00–17:00.~~\n", $markdown);
        self::assertStringContainsString('  - **“Open”: Mon–Fri 09:00–16:00.**', $markdown);
        self::assertStringContainsString("\n\nSignature: ____", $markdown);
    }

    /** @param list<string> $ids */
    private static function brief(Plan $plan, ?Plan $before = null, string $language = 'en', array $ids = []): Paper
    {
        $from = Moment::parse('2027-01-01T00:00', 'Europe/London');
        $fares = static fn(Plan $one): Fares => new Fares($one, $from, $from + 365 * 86400);
        $brief = Brief::of(
            $fares($plan),
            'The draft',
            $ids,
            null === $before ? null : $fares($before),
            static fn(): bool => true,
            $language,
        );
        self::assertNotNull($brief);

        return $brief;
    }

    /** @return list<array{int, string}> depth and text */
    private static function lines(Chapter $chapter): array
    {
        return array_map(static fn(Line $line): array => [$line->depth, $line->text], $chapter->lines);
    }

    /** @return array<string, mixed> */
    private static function times(string $from, string $to, string $state): array
    {
        return ['from' => $from, 'to' => $to, 'state' => $state];
    }

    /** @return array<string, mixed> */
    private static function band(string $from, string $to, string $state): array
    {
        return ['days' => ['mo', 'tu', 'we', 'th', 'fr']] + self::times($from, $to, $state);
    }

    /**
     * @param list<array<string, mixed>>|null $week
     * @param list<array<string, mixed>>      $special
     */
    private static function plan(string $closes, ?array $week = null, array $special = []): Plan
    {
        $message = static fn(string $id): array => ['id' => $id, 'do' => 'message', 'mailbox' => 'mbx'];

        return (new PlanBuilder())
            ->person('ann')
            ->person('ben')
            ->mailbox('mbx')
            ->with(['id' => 'prm', 'kind' => 'prompt', 'name' => 'Closed', 'scripts' => ['en' => 'We are closed.']])
            ->with(['id' => 'prm_menu', 'kind' => 'prompt', 'name' => 'Menu', 'scripts' => ['en' => '']])
            ->hours('hrs', $week ?? [self::band('09:00', $closes, 'open')], $special)
            ->with([
                'id' => 'exp',
                'kind' => 'expectation',
                'name' => 'Answers',
                'promise' => ['that' => 'ends with', 'outcomes' => ['message']],
            ])
            ->journey('jrn_main', [
                [
                    'id' => 'h1',
                    'do' => 'hours',
                    'hours' => 'hrs',
                    'exits' => [
                        [
                            'on' => 'closed',
                            'steps' => [['id' => 's1', 'do' => 'say', 'prompt' => 'prm'], $message('m1')],
                        ],
                    ],
                ],
                [
                    'id' => 'u1',
                    'do' => 'menu',
                    'prompt' => 'prm_menu',
                    'wait' => 1,
                    'tries' => 1,
                    'exits' => [
                        ['on' => '1', 'steps' => [['id' => 'r1', 'do' => 'ring', 'target' => 'ben', 'seconds' => 20]]],
                        ['on' => '2', 'steps' => []],
                    ],
                ],
                ['id' => 'r2', 'do' => 'ring', 'target' => 'ann', 'seconds' => 20],
                $message('m2'),
            ])
            ->plan();
    }
}
