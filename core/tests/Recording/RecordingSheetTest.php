<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Recording;

use Meandros\Core\Paper\SheetOnPaper;
use Meandros\Core\Plan\Element\Prompt;
use Meandros\Core\Plan\Json\PlanCodec;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Recording\FileNames;
use Meandros\Core\Recording\RecordingSheet;
use Meandros\Core\Recording\SheetWish;
use Meandros\Core\Recording\TakeState;
use Meandros\Core\Recording\Wanted;
use Meandros\Core\Tests\PlanBuilder;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What is to be recorded, how its files are named, and how they find back. */
final class RecordingSheetTest extends TestCase
{
    /** @param list<string> $lines */
    #[DataProvider('wishes')]
    public function testWhatASheetHolds(SheetWish $wish, array $lines): void
    {
        self::assertSame(
            $lines,
            array_map(
                static fn(Wanted $row): string => \sprintf('%s %s %d s', $row->file, $row->state->value, $row->seconds),
                RecordingSheet::of(self::plan(), $wish),
            ),
        );
    }

    /** @return iterable<string, array{SheetWish, list<string>}> */
    public static function wishes(): iterable
    {
        $free = 'free.en no take 1 s';
        $closed = ['closed.en other words 2 s', 'closed.fr no take 1 s'];
        yield 'what is missing' => [new SheetWish(), [$free, ...$closed]];
        yield 'everything' => [new SheetWish(false), [$free, 'welcome.en recorded 1 s', ...$closed]];
        yield 'in one language' => [new SheetWish(language: 'fr'), [$closed[1]]];
        yield 'for one voice' => [new SheetWish(voice: 'Odile'), $closed];
        yield 'for whom nobody is named' => [new SheetWish(voice: ''), [$free]];
        yield 'behind a journey, in its mailbox too' => [
            new SheetWish(false, journey: 'jrn_main'),
            [$free, 'welcome.en recorded 1 s'],
        ];
    }

    #[DataProvider('names')]
    public function testFilesFindTheirPrompts(string $file, ?string $prompt): void
    {
        $found = FileNames::of(self::named())->find($file);
        self::assertSame($prompt, null === $found ? null : $found[0] . ' ' . $found[1]->key());
    }

    /** @return iterable<array{string, string|null}> */
    public static function names(): iterable
    {
        yield ['public-holiday.en.wav', 'prm_a en'];
        yield ['Public Holiday.EN.mp3', 'prm_a en'];
        yield ['public_holiday_en.flac', 'prm_a en'];
        yield ['studio/takes\\public-holiday.en.wav', 'prm_a en'];
        yield ['public-holiday-2.en.wav', 'prm_b en'];
        yield ['Fermé, à bientôt.fr.wav', 'prm_c fr'];
        yield ['ferme-a-bientot.fr.m4a', 'prm_c fr'];
        yield ['gang-kou.zh.wav', 'prm_d zh'];
        yield ['港口.zh.wav', 'prm_d zh'];
        yield ['prompt.en.wav', 'prm_e en'];
        yield ['blanks.en.wav', 'prm_f en'];
        yield ['Blanks part 2.en.wav', 'prm_f en/2'];
        yield ['blanks-part-3.en.wav', null];
        yield ['public-holiday.de.wav', null];
        yield ['public-holiday.wav', null];
        yield ['holiday.en.wav', null];
        yield ['../public-holiday.en.wav', 'prm_a en'];
        yield ['', null];
    }

    public function testEveryFileOfTheDemoIsNamedOnce(): void
    {
        $plan = PlanCodec::decode((string) file_get_contents(__DIR__ . '/../../../demo/ternwick-ferries.json'));
        $rows = RecordingSheet::of($plan, new SheetWish(false));
        $files = array_map(static fn(Wanted $row): string => $row->file, $rows);
        self::assertSame($files, array_unique($files));
        $names = FileNames::of($plan);
        foreach ($rows as $row) {
            self::assertEquals([$row->prompt->id(), $row->part], $names->find($row->file . '.wav'), $row->file);
        }
    }

    public function testTheNameOfAFileIsNoLongerThanSixtyLetters(): void
    {
        $plan = (new PlanBuilder())
            ->with([
                'id' => 'prm_long',
                'kind' => 'prompt',
                'name' => str_repeat('a', 70),
                'scripts' => ['en' => 'Hello.'],
            ])
            ->plan();
        $rows = RecordingSheet::of($plan, new SheetWish());
        self::assertSame([str_repeat('a', 60) . '.en'], array_map(static fn(Wanted $row): string => $row->file, $rows));
    }

    public function testPartsOfAScriptAreRecordedOneByOne(): void
    {
        $rows = RecordingSheet::of(self::named(), new SheetWish());
        $parts = array_values(array_filter($rows, static fn(Wanted $row): bool => 'prm_f' === $row->prompt->id()));
        self::assertSame(
            [['blanks.en', 1, 'open'], ['blanks-part-2.en', 2, 'again']],
            array_map(static fn(Wanted $row): array => [$row->file, $row->part->number, $row->part->words], $parts),
        );
    }

    public function testWhatIsToldOfAllPartsIsWhatWantsMostLookingAfter(): void
    {
        $prompt = self::plan()->get(Prompt::class, 'prm_closed');
        self::assertNotNull($prompt);
        self::assertSame(
            [TakeState::OtherWords, TakeState::None],
            [TakeState::ofScript($prompt, 'en'), TakeState::ofScript($prompt, 'fr')],
        );
        $welcome = self::plan()->get(Prompt::class, 'prm_welcome');
        self::assertSame(TakeState::Recorded, null === $welcome ? null : TakeState::ofScript($welcome, 'en'));
    }

    public function testASheetOnPaper(): void
    {
        $plan = self::plan();
        $paper = SheetOnPaper::of($plan, RecordingSheet::of($plan, new SheetWish()), 'en', 20783);
        self::assertSame('Recording sheet: Test', $paper->title);
        self::assertStringStartsWith('Thu 26 Nov 2026. 3 scripts, about a minute of speech.', $paper->about);
        self::assertSame(
            ['Any voice, English', 'Odile, English', 'Odile, French'],
            array_map(static fn($chapter): string => $chapter->heading->text, $paper->chapters),
        );
        self::assertSame(
            [['2', 'Closed', 'one two three four five', '2 s', 'closed.en.wav']],
            $paper->chapters[1]->tables[0]->rows,
        );
        self::assertSame(
            'Odile, français',
            SheetOnPaper::of($plan, RecordingSheet::of($plan, new SheetWish()), 'fr', 20783)->chapters[2]->heading
                ->text,
        );
    }

    private static function plan(): Plan
    {
        $take = static fn(string $words): array => [
            'takes' => [
                [
                    'id' => 'take',
                    'language' => 'en',
                    'sound' => str_repeat('a', 64),
                    'milliseconds' => 900,
                    'words' => $words,
                ],
            ],
            'inUse' => ['en' => 'take'],
        ];
        $prompt = static fn(string $id, string $name, array $more): array => $more + [
            'id' => $id,
            'kind' => 'prompt',
            'name' => $name,
        ];

        return (new PlanBuilder())
            ->with(
                $prompt(
                    'prm_closed',
                    'Closed',
                    [
                        'voice' => 'Odile',
                        'scripts' => ['en' => 'one two three four five', 'fr' => 'un'],
                    ] + $take('one two'),
                ),
            )
            ->with(
                $prompt(
                    'prm_welcome',
                    'Welcome',
                    ['voice' => 'Eve', 'scripts' => ['en' => 'one two', 'fr' => '']] + $take('one two'),
                ),
            )
            ->with($prompt('prm_free', 'Free', ['scripts' => ['en' => 'one']]))
            ->with(['id' => 'mbx', 'kind' => 'mailbox', 'name' => 'Box', 'greeting' => 'prm_free', 'owners' => []])
            ->journey('jrn_main', [
                ['id' => 'say', 'do' => 'say', 'prompt' => 'prm_welcome'],
                ['id' => 'leave', 'do' => 'message', 'mailbox' => 'mbx'],
            ])
            ->plan();
    }

    private static function named(): Plan
    {
        $builder = new PlanBuilder();
        $prompts = [
            ['prm_b', 'Public holiday!', 'en'],
            ['prm_a', 'Public holiday', 'en'],
            ['prm_c', 'Fermé, à bientôt', 'fr'],
            ['prm_d', '港口', 'zh'],
            ['prm_e', '!?', 'en'],
            ['prm_f', 'Blanks', 'en', 'open {opening} again'],
        ];
        foreach ($prompts as $prompt) {
            [$id, $name, $language] = $prompt;
            $builder = $builder->with([
                'id' => $id,
                'kind' => 'prompt',
                'name' => $name,
                'scripts' => [$language => $prompt[3] ?? 'words'],
            ]);
        }

        return $builder->plan();
    }
}
