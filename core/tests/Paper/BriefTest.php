<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Paper;

use Meandros\Core\Paper\Brief;
use Meandros\Core\Paper\Line;
use Meandros\Core\Paper\Markdown;
use Meandros\Core\Paper\Paper;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Proof\Fares\Fares;
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
                [0, 'Mon–Thu 17:00–09:00; Fri 17:00 until Mon 09:00: callers hear “Closed”; a message with mbx.'],
                [0, 'Mon–Fri 09:00–17:00: callers hear “Menu”; rings Ann, then mbx.'],
                [0, 'Whoever presses 1:'],
                [1, 'Mon–Fri 09:00–17:00: callers hear “Menu”; rings Ben, then Ann, then mbx.'],
            ],
            array_map(static fn(Line $line): array => [$line->depth, $line->text], $chapter->lines),
        );
        self::assertSame(
            [[0, 32400, 'message'], [32400, 61200, 'person'], [61200, 86400, 'message']],
            array_map(
                static fn(array $one): array => [$one[0], $one[1], $one[2]->value],
                $chapter->picture->days[0] ?? [],
            ),
        );
    }

    public function testInFrench(): void
    {
        $markdown = Markdown::of(self::brief(self::plan('17:00'), null, 'fr'));
        foreach (
            [
                "# Test\n\nThe draft. L’année à partir du ven. 1 janv. 2027.\n",
                "quelqu’un peut être joint pendant 40,0 heures. 104 jours sur 365, personne ne peut être joint.\n",
                "- Lun.–jeu. 17:00–09:00\u{a0}; ven. 17:00 jusqu’à lun. 09:00\u{a0}: les appelants entendent «\u{a0}Closed\u{a0}»\u{a0}; un message à mbx.\n",
                "- Lun.–ven. 09:00–17:00\u{a0}: les appelants entendent «\u{a0}Menu\u{a0}»\u{a0}; fait sonner Ann, puis mbx.\n- Si l’on presse la touche 1\u{a0}:\n",
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
        $marks = array_map(
            static fn(Line $line): string => ($line->mark ?? 'same') . ' ' . mb_substr($line->text, 0, 19),
            $brief->chapters[0]->lines,
        );
        self::assertSame(
            [
                'removed Mon–Thu 17:00–09:00',
                'removed Mon–Fri 09:00–17:00',
                'added Mon–Thu 16:00–09:00',
                'added Mon–Fri 09:00–16:00',
                'same Whoever presses 1:',
                'removed Mon–Fri 09:00–17:00',
                'added Mon–Fri 09:00–16:00',
            ],
            $marks,
        );
        self::assertSame(
            'Answers: Calls to any number · always · never end without a message.',
            $brief->chapters[1]->lines[0]->text,
        );
        self::assertNull($brief->chapters[1]->lines[0]->mark);
        $same = self::brief(self::plan('17:00'), self::plan('17:00'));
        self::assertSame(
            [null],
            array_values(
                array_unique(array_map(static fn(Line $line): ?string => $line->mark, $same->chapters[0]->lines)),
            ),
        );
    }

    public function testAsMarkdown(): void
    {
        $markdown = Markdown::of(self::brief(self::plan('16:00'), self::plan('17:00')));
        self::assertStringStartsWith(
            "# Test\n\nThe draft. The year from Fri 1 Jan 2027 on.\n\n## Main line\n\n",
            $markdown,
        );
        self::assertStringContainsString(
            '- ~~Mon–Fri 09:00–17:00: callers hear “Menu”; rings Ann, then mbx.~~',
            $markdown,
        );
        self::assertStringContainsString(
            '  - **Mon–Fri 09:00–16:00: callers hear “Menu”; rings Ben, then Ann, then mbx.**',
            $markdown,
        );
        self::assertStringContainsString("\n\nSignature: ____", $markdown);
    }

    private static function brief(Plan $plan, ?Plan $before = null, string $language = 'en'): Paper
    {
        $from = Moment::parse('2027-01-01T00:00', 'Europe/London');
        $fares = static fn(Plan $one): Fares => new Fares($one, $from, $from + 365 * 86400);
        $brief = Brief::of(
            $fares($plan),
            'The draft',
            [],
            null === $before ? null : $fares($before),
            static fn(): bool => true,
            $language,
        );
        self::assertNotNull($brief);

        return $brief;
    }

    private static function plan(string $closes): Plan
    {
        $message = static fn(string $id): array => ['id' => $id, 'do' => 'message', 'mailbox' => 'mbx'];

        return (new PlanBuilder())
            ->person('ann')
            ->person('ben')
            ->mailbox('mbx')
            ->with(['id' => 'prm', 'kind' => 'prompt', 'name' => 'Closed', 'scripts' => ['en' => 'We are closed.']])
            ->with(['id' => 'prm_menu', 'kind' => 'prompt', 'name' => 'Menu', 'scripts' => ['en' => '']])
            ->hours('hrs', [
                ['days' => ['mo', 'tu', 'we', 'th', 'fr'], 'from' => '09:00', 'to' => $closes, 'state' => 'open'],
            ])
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
                    ],
                ],
                ['id' => 'r2', 'do' => 'ring', 'target' => 'ann', 'seconds' => 20],
                $message('m2'),
            ])
            ->plan();
    }
}
