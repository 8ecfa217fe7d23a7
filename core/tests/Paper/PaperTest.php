<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Paper;

use Meandros\Core\Paper\Chapter;
use Meandros\Core\Paper\Paper;
use Meandros\Core\Paper\PaperOfPlan;
use Meandros\Core\Paper\PaperWords;
use Meandros\Core\Paper\Row;
use Meandros\Core\Paper\Table;
use Meandros\Core\Plan\Element\AgentOrder;
use Meandros\Core\Plan\Element\Journey;
use Meandros\Core\Plan\Element\Number;
use Meandros\Core\Plan\Element\Prompt;
use Meandros\Core\Plan\Element\RingPattern;
use Meandros\Core\Plan\Json\PlanCodec;
use Meandros\Core\Plan\Step;
use Meandros\Core\Tests\PlanBuilder;
use Meandros\Core\Wording\Catalog;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class PaperTest extends TestCase
{
    /** 26 November 2026. */
    private const DAY = 20783;

    #[TestWith(['paper'])]
    #[TestWith(['promises'])]
    #[TestWith(['courses'])]
    #[TestWith(['times'])]
    #[TestWith(['lists'])]
    public function testWhatIsSaidOnPaperIsSaidInEveryLanguage(string $subject): void
    {
        foreach (PaperWords::LANGUAGES as $language) {
            self::assertSame(
                Catalog::of($subject, 'en')->codes(),
                Catalog::of($subject, $language)->codes(),
                $language,
            );
        }
    }

    /** Another kind of step, order or exit needs its words in every language. */
    public function testEveryKindHasItsWordsInEveryLanguage(): void
    {
        foreach (PaperWords::LANGUAGES as $language) {
            $catalog = Catalog::of('paper', $language);
            foreach (array_keys(Step::KINDS) as $do) {
                self::assertTrue($catalog->has('step.' . $do), "$language step.$do");
            }
            foreach ([...RingPattern::cases(), ...AgentOrder::cases()] as $order) {
                self::assertTrue($catalog->has('order.' . $order->value), "$language order.{$order->value}");
            }
        }
    }

    /** @param list<string> $lines */
    #[DataProvider('steps')]
    public function testSteps(array $step, array $lines, string $language = 'en'): void
    {
        $plan = (new PlanBuilder())
            ->mailbox('mbx')
            ->prompt('prm', 1)
            ->person('ann')
            ->journey('jrn_two', [])
            ->journey('jrn_main', [['id' => 'one'] + $step])
            ->plan();
        $rows = self::chapter(PaperOfPlan::of($plan, $language, '', self::DAY), 'jrn_main')->outline;
        self::assertSame(
            $lines,
            array_map(
                static fn(Row $row): string => str_repeat('  ', $row->depth) . rtrim($row->text . ' ' . $row->words),
                $rows,
            ),
        );
    }

    /** @return iterable<string, array{0: array<string, mixed>, 1: list<string>, 2?: string}> */
    public static function steps(): iterable
    {
        $past = 'Calls that come past this end: nothing follows.';
        yield 'say' => [['do' => 'say', 'prompt' => 'prm'], ['Callers hear prm. “word word”', $past]];
        yield 'say nothing yet' => [['do' => 'say', 'prompt' => null], ['Callers hear —.', $past]];
        yield 'ring, with exits' => [
            [
                'do' => 'ring',
                'target' => 'ann',
                'seconds' => 20,
                'againMinutes' => 2,
                'exits' => [
                    ['on' => 'busy', 'steps' => [['id' => 'two', 'do' => 'end']]],
                    ['on' => 'nobody', 'label' => 'too bad', 'steps' => []],
                ],
            ],
            [
                'Ann rings for 20 s, again and again for 2 min.',
                '  Everybody is busy:',
                '    The call ends.',
                '  Nobody answers too bad: goes on below.',
                $past,
            ],
        ];
        yield 'the same in French' => [
            [
                'do' => 'ring',
                'target' => 'ann',
                'seconds' => 20,
                'handOver' => true,
                'exits' => [['on' => 'refused', 'steps' => [['id' => 'two', 'do' => 'end']]]],
            ],
            [
                'Ann sonne pendant 20 s, et l’appel lui reste.',
                "  Refusé\u{a0}:",
                '    L’appel se termine.',
                "Les appels qui passent ici se terminent\u{a0}: rien ne suit.",
            ],
            'fr',
        ];
        yield 'menu, once' => [
            [
                'do' => 'menu',
                'prompt' => 'prm',
                'wait' => 5,
                'tries' => 1,
                'exits' => [['on' => '1', 'label' => 'Sales', 'steps' => []]],
            ],
            ['Menu prm: a key within 5 s, once. “word word”', '  Key 1 Sales: goes on below.', $past],
        ];
        yield 'forward' => [
            ['do' => 'forward', 'number' => '+447700900101'],
            ['The call goes on to +44 7700 900101.', $past],
        ];
        yield 'go and come back' => [
            ['do' => 'go', 'journey' => 'jrn_two', 'comesBack' => true],
            ['It goes on in jrn_two, and comes back.', $past],
        ];
        yield 'tag' => [
            ['do' => 'tag', 'label' => 'Gold', 'urgency' => 'urgent'],
            ['From here on the call carries the label “Gold” the urgency urgent.', $past],
        ];
        yield 'message' => [['do' => 'message', 'mailbox' => 'mbx'], ['Callers leave a message with mbx.']];
    }

    /** Whatever a manager sees of the demo by name is on the paper, in both languages. */
    public function testThePaperOfTheDemoHasEverything(): void
    {
        $plan = PlanCodec::decode((string) file_get_contents(__DIR__ . '/../../../demo/ternwick-ferries.json'));
        foreach (PaperWords::LANGUAGES as $language) {
            $paper = PaperOfPlan::of($plan, $language, '7', self::DAY);
            $text = self::text($paper);
            foreach ($plan->elements() as $element) {
                if (
                    !\in_array(
                        $element->kind()->value,
                        ['line', 'callers', 'calendar', 'expectation', 'settings'],
                        true,
                    )
                ) {
                    self::assertStringContainsString($element->name(), $text, $language);
                }
            }
            foreach ($plan->all(Prompt::class) as $prompt) {
                foreach ($prompt->languages() as $spoken) {
                    foreach ($prompt->scriptParts($spoken) as $part) {
                        self::assertStringContainsString($part->words, $text);
                    }
                }
            }
            foreach ($plan->elements() as $element) {
                self::assertStringContainsString($element->about()->why, $text);
            }
            self::assertDoesNotMatchRegularExpression('/[{}]/', $text, 'Every argument is given.');
        }
        self::assertSame('Édition 7, imprimée le jeu. 26 nov. 2026.', $paper->about);
        self::assertCount(
            2 + \count($plan->all(Journey::class)) + 4 + \count($plan->all(\Meandros\Core\Plan\Element\Hours::class)),
            $paper->chapters,
        );
        self::assertCount(\count($plan->all(Number::class)), $paper->chapters[0]->tables[0]->rows);
    }

    public function testWhoAnswers(): void
    {
        $plan = (new PlanBuilder())
            ->prompt('prm', 1)
            ->with([
                'id' => 'mbx',
                'kind' => 'mailbox',
                'name' => 'Desk mailbox',
                'owners' => ['ann'],
                'notify' => ['desk@ternwick.example'],
                'greeting' => 'prm',
            ])
            ->with([
                'id' => 'ann',
                'kind' => 'person',
                'name' => 'Ann',
                'extension' => '201',
                'site' => 'sit_harbour',
                'mailbox' => 'mbx',
                'phones' => [
                    ['id' => 'desk', 'type' => 'desk', 'label' => 'Desk'],
                    ['id' => 'old', 'type' => 'desk', 'label' => 'Old', 'on' => false],
                    ['id' => 'mobile', 'type' => 'outside', 'label' => 'Mobile', 'number' => '+447700900101'],
                ],
                'rules' => [['id' => 'one', 'name' => 'Weekends'], ['id' => 'two', 'name' => 'Off', 'on' => false]],
            ])
            ->person('ben', [])
            ->team('team', ['ann/desk', ['who' => 'ann', 'on' => false]], 'widening')
            ->with([
                'id' => 'que',
                'kind' => 'queue',
                'name' => 'Queue',
                'members' => [['who' => 'ann'], ['who' => 'ben', 'on' => false]],
                'waiting' => ['longestSeconds' => 240],
                'promise' => ['percent' => 90, 'seconds' => 15],
            ])
            ->plan();
        $tables = self::chapter(PaperOfPlan::of($plan, 'en', '', self::DAY), 'Who answers')->tables;
        self::assertSame(
            [
                [
                    ['Ann', '201', '—', 'Desk, Mobile +44 7700 900101', 'Weekends', 'Desk mailbox'],
                    ['Ben', '—', '—', '—', '—', '—'],
                ],
                [['team', 'widening', 'Ann, Desk']],
                [['Queue', 'longest idle first', 'Ann', '240 s', '90 % within 15 s']],
                [['Desk mailbox', 'Ann', 'desk@ternwick.example', '“word word”']],
            ],
            array_map(static fn(Table $table): array => $table->rows, $tables),
        );
    }

    public function testNumbersInOrderAndChaptersByName(): void
    {
        $number = static fn(string $id, string $number, array $more): array => $more + [
            'id' => $id,
            'kind' => 'number',
            'name' => ucfirst($id),
            'number' => $number,
            'site' => 'sit_harbour',
            'target' => 'mbx',
        ];
        $plan = (new PlanBuilder())
            ->mailbox('mbx')
            ->with($number('late', '+441632960300', ['keptUntil' => '2027-06-01', 'target' => null]))
            ->with($number('plain', '+441632960290', []))
            ->with($number('block', '+441632960200', ['block' => ['last' => '+441632960219', 'extension' => '200']]))
            ->with($number('row', '+441632960400', ['block' => ['last' => '+441632960409']]))
            ->journey('jrn_10', [])
            ->journey('jrn_9', [])
            ->plan();
        $paper = PaperOfPlan::of($plan, 'en', '', self::DAY);
        self::assertSame('Draft of Thu 26 Nov 2026. Not in force.', $paper->about);
        self::assertSame(
            [
                ['+44 1632 960100', 'Main line', 'jrn_main'],
                ['+44 1632 960200 – +44 1632 960219', 'Block', 'extensions 200 to 219; free ones: mbx'],
                ['+44 1632 960290', 'Plain', 'mbx'],
                ['+44 1632 960300', 'Late', 'given up, kept free until 2027-06-01; —'],
                ['+44 1632 960400 – +44 1632 960409', 'Row', 'mbx'],
            ],
            array_map(
                static fn(array $row): array => [$row[0], $row[1], $row[4]],
                $paper->chapters[0]->tables[0]->rows,
            ),
        );
        self::assertSame(
            [
                '2 Numbers',
                '2 What callers go through',
                '3 jrn_9',
                '3 jrn_10',
                '3 jrn_main',
                '2 Hours, and holidays of the year ahead',
                '2 Who answers',
                '2 What callers hear',
            ],
            array_map(
                static fn(Chapter $one): string => $one->heading->level . ' ' . $one->heading->text,
                $paper->chapters,
            ),
        );
        self::assertSame(['No number leads here.'], self::chapter($paper, 'jrn_9')->sentences);
        self::assertSame(['Reached by Main line (+44 1632 960100).'], self::chapter($paper, 'jrn_main')->sentences);
    }

    public function testHoursWithSeasonsHolidaysAndSpecialDaysOfTheYearAhead(): void
    {
        $plan = (new PlanBuilder())
            ->with([
                'id' => 'cal',
                'kind' => 'calendar',
                'name' => 'Holidays',
                'holidays' => [
                    [
                        'id' => 'xmas',
                        'name' => 'Christmas',
                        'rule' => ['on' => 'yearly', 'date' => '12-25'],
                        'substitute' => null,
                    ],
                    ['id' => 'feast', 'name' => 'Feast', 'rule' => ['on' => 'yearly', 'date' => '01-06']],
                ],
            ])
            ->with([
                'id' => 'hrs',
                'kind' => 'hours',
                'name' => 'Desk',
                'site' => 'sit_harbour',
                'states' => [
                    ['key' => 'open', 'name' => 'Open', 'open' => true],
                    ['key' => 'closed', 'name' => 'Closed'],
                ],
                'default' => 'closed',
                'week' => [
                    ['days' => ['mo', 'tu'], 'from' => '13:00', 'to' => '17:00', 'state' => 'open'],
                    ['days' => ['mo'], 'from' => '09:00', 'to' => '12:00', 'state' => 'open'],
                ],
                'seasons' => [['name' => 'Summer', 'from' => '06-01', 'to' => '08-31', 'week' => []]],
                'calendars' => [
                    [
                        'calendar' => 'cal',
                        'state' => 'closed',
                        'exceptions' => [['holiday' => 'feast', 'state' => null]],
                    ],
                ],
                'specialDays' => [
                    [
                        'date' => '2026-12-24',
                        'name' => 'Eve',
                        'bands' => [['from' => '09:00', 'to' => '12:00', 'state' => 'open']],
                    ],
                    ['date' => '2026-11-25', 'name' => 'Yesterday', 'bands' => []],
                    ['date' => '2026-11-26', 'name' => 'Today', 'bands' => []],
                    ['date' => '2027-11-26', 'name' => 'In a year', 'bands' => []],
                    ['date' => '2027-11-27', 'name' => 'Beyond', 'bands' => []],
                ],
            ])
            ->plan();
        $chapter = self::chapter(PaperOfPlan::of($plan, 'en', '', self::DAY), 'Desk');
        self::assertSame(['Time zone Europe/London; outside these times: Closed.'], $chapter->sentences);
        self::assertSame(
            [
                [['Every week', 'Times'], ['Mon', '09:00–12:00 Open, 13:00–17:00 Open'], ['Tue', '13:00–17:00 Open']],
                [['Summer, 1 June to 31 August', 'Times'], ['Mon', '—'], ['Tue', '—']],
            ],
            array_map(
                static fn(Table $table): array => [$table->head, ...\array_slice($table->rows, 0, 2)],
                \array_slice($chapter->tables, 0, 2),
            ),
        );
        self::assertSame(
            [
                ['Thu 26 Nov 2026', 'Today', '—'],
                ['Thu 24 Dec 2026', 'Eve', '09:00–12:00 Open'],
                ['Fri 25 Dec 2026', 'Christmas', 'Closed'],
                ['Wed 6 Jan 2027', 'Feast', 'not kept'],
                ['Fri 26 Nov 2027', 'In a year', '—'],
            ],
            $chapter->tables[2]->rows,
        );
    }

    private static function chapter(Paper $paper, string $heading): Chapter
    {
        foreach ($paper->chapters as $chapter) {
            if ($chapter->heading->text === $heading) {
                return $chapter;
            }
        }
        self::fail("There is no chapter $heading.");
    }

    private static function text(Paper $paper): string
    {
        $text = [$paper->title, $paper->about, ...$paper->signing];
        foreach ($paper->chapters as $chapter) {
            array_push($text, $chapter->heading->text, ...$chapter->sentences);
            foreach ($chapter->outline as $row) {
                array_push($text, $row->text, $row->words);
            }
            foreach ($chapter->tables as $table) {
                array_push($text, ...$table->head, ...array_merge(...$table->rows));
            }
        }

        return implode("\n", $text);
    }
}
