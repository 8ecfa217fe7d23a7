<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Script;

use Meandros\Core\Plan\Element\Journey;
use Meandros\Core\Script\MenuKeys;
use Meandros\Core\Script\MenuScript;
use Meandros\Core\Script\MenuWriter;
use Meandros\Core\Script\Promised;
use Meandros\Core\Script\PromisedWord;
use Meandros\Core\Tests\PlanBuilder;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What menu scripts promise, against sixty that were read by hand. */
final class MenuScriptTest extends TestCase
{
    public function testSixtyScriptsReadByHand(): void
    {
        $right = $read = $true = 0;
        $missed = [];
        foreach (self::scripts() as [$language, $script, $keys]) {
            $found = self::read($script, $language);
            foreach ($found as $key => $destination) {
                ++$read;
                $right += ($keys[$key] ?? null) === $destination ? 1 : 0;
            }
            $true += \count($keys);
            if ($found != $keys) {
                $missed[] = \sprintf(
                    "%s\n  by hand %s\n  read    %s",
                    $script,
                    json_encode($keys, \JSON_UNESCAPED_UNICODE | \JSON_THROW_ON_ERROR),
                    json_encode($found, \JSON_UNESCAPED_UNICODE | \JSON_THROW_ON_ERROR),
                );
            }
        }
        $report = \sprintf(
            "precision %.3f, recall %.3f of %d keys in %d scripts\n%s",
            $right / $read,
            $right / $true,
            $true,
            \count(self::scripts()),
            implode("\n", $missed),
        );
        self::assertGreaterThanOrEqual(60, \count(self::scripts()));
        self::assertSame([], $missed, $report);
    }

    public function testANumberWithNothingBeforeItIsNoKey(): void
    {
        self::assertSame(['2' => 'freight'], self::read('For freight, press 2 or 3.', 'en'));
    }

    /** Digits as ICU spells them; the two others are common practice. */
    public function testEveryKeyHasANameByWhichItIsWrittenAndRead(): void
    {
        $others = ['en' => ['*' => 'star', '#' => 'hash'], 'fr' => ['*' => 'étoile', '#' => 'dièse']];
        foreach ($others as $language => $names) {
            $spell = new \NumberFormatter($language, \NumberFormatter::SPELLOUT);
            foreach (['0', '1', '2', '3', '4', '5', '6', '7', '8', '9', '*', '#'] as $key) {
                $written = (string) MenuWriter::write([new Promised((string) $key, 'groups')], $language);
                self::assertStringEndsWith(' ' . ($names[$key] ?? $spell->format((int) $key)) . '.', $written);
                self::assertEquals([$key => 'groups'], self::read($written, $language), $written);
                self::assertEquals(
                    [$key => 'groups'],
                    self::read('en' === $language ? "For groups press {$key}" : "Pour groups tapez {$key}", $language),
                );
            }
        }
    }

    public function testWhatIsWrittenPromisesWhatItWasWrittenFrom(): void
    {
        $keys = [
            new Promised('1', 'New booking'),
            new Promised('2', 'VAT'),
            new Promised('0', 'reception'),
            new Promised('*', 'hearing this again'),
        ];
        self::assertSame(
            'For new booking, press one. For VAT, press two. For reception, press zero. For hearing this again, press star.',
            MenuWriter::write($keys, 'en'),
        );
        self::assertSame(
            'Pour nouvelle réservation, tapez un.',
            MenuWriter::write([new Promised('1', 'Nouvelle réservation')], 'fr'),
        );
        self::assertSame(
            'For English, press one. For French-speaking staff, press two. For the English desk, press three.',
            MenuWriter::write(
                [
                    new Promised('1', 'English'),
                    new Promised('2', 'French-speaking staff'),
                    new Promised('3', 'The English desk'),
                ],
                'en',
            ),
        );
        self::assertSame(
            'Pour français, tapez un.',
            MenuWriter::write([new Promised('1', 'Français')], 'fr'),
            'In French they are written small.',
        );
        self::assertNull(MenuWriter::write($keys, 'cy'));
        foreach (['en', 'fr'] as $language) {
            self::assertSame(
                ['1' => 'new booking', '2' => 'VAT', '0' => 'reception', '*' => 'hearing this again'],
                self::read((string) MenuWriter::write($keys, $language), $language),
            );
        }
    }

    public function testInAnotherLanguageAKeyIsCalledWhatItIsCalledThere(): void
    {
        $scripts = ['en' => 'Press 1 for cabins.', 'fr' => 'Pour les cabines, tapez un.'];
        $plan = (new PlanBuilder())
            ->with(['id' => 'prm', 'kind' => 'prompt', 'name' => 'Menu', 'scripts' => $scripts])
            ->journey('jrn_main', [
                [
                    'id' => 'm1',
                    'do' => 'menu',
                    'prompt' => 'prm',
                    'exits' => [['on' => '1', 'label' => 'Berths'], ['on' => '2', 'label' => 'Vehicles']],
                ],
            ])
            ->plan();
        $journey = $plan->get(Journey::class, 'jrn_main');
        self::assertNotNull($journey);
        [$menu] = [...MenuKeys::of($journey, $plan)];
        self::assertSame('For berths, press one. For vehicles, press two.', $menu->written('en'));
        self::assertSame('Pour les cabines, tapez un. Pour vehicles, tapez deux.', $menu->written('fr'));
        self::assertNull($menu->written('eo'));
    }

    public function testOtherLanguagesPromiseNothing(): void
    {
        self::assertSame([], MenuScript::read('Für Buchungen drücken Sie die 1.', 'de'));
    }

    /** @return array<int|string, string> destinations by key */
    private static function read(string $script, string $language): array
    {
        $found = [];
        foreach (MenuScript::read($script, $language) as $one) {
            $found[$one->key] = $one->destination;
        }

        return $found;
    }

    /** @return list<array{string, string, array<int|string, string>}> */
    private static function scripts(): array
    {
        return require __DIR__ . '/menu_scripts.php';
    }

    /** @param list<array{string, string|null}> $words and the key beside each */
    #[DataProvider('spoken')]
    public function testWordsToSay(string $language, string $script, array $words): void
    {
        self::assertSame(
            $words,
            array_map(
                static fn(PromisedWord $one): array => [$one->word, $one->key],
                MenuScript::words($script, $language),
            ),
        );
    }

    /** @return iterable<array{string, string, list<array{string, string|null}>}> */
    public static function spoken(): iterable
    {
        yield [
            'en',
            'For sales, press 1 or say sales. For help, press 2 or say “help me”.',
            [['sales', '1'], ['help me', '2']],
        ];
        yield ['en', 'Say bookings or press 1.', [['bookings', '1']]];
        yield ['en', 'Press 1 or say bookings, press 2 or say freight.', [['bookings', '1'], ['freight', '2']]];
        yield ['en', 'Say operator at any time.', [['operator at any time', null]]];
        yield ['fr', 'Pour le fret, tapez 2 ou dites fret.', [['fret', '2']]];
        yield ['fr', 'Dites « réservations » ou tapez 1.', [['réservations', '1']]];
        yield ['en', 'For sales, press 1.', []];
        yield ['de', 'Sagen Sie Fracht.', []];
    }
}
