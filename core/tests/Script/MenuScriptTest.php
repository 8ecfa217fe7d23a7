<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Script;

use Meandros\Core\Script\MenuScript;
use Meandros\Core\Script\MenuWriter;
use Meandros\Core\Script\Promised;
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
                $missed[] = \sprintf("%s\n  by hand %s\n  read    %s", $script, json_encode($keys, \JSON_UNESCAPED_UNICODE | \JSON_THROW_ON_ERROR), json_encode($found, \JSON_UNESCAPED_UNICODE | \JSON_THROW_ON_ERROR));
            }
        }
        $report = \sprintf("precision %.3f, recall %.3f of %d keys in %d scripts\n%s", $right / $read, $right / $true, $true, \count(self::scripts()), implode("\n", $missed));
        self::assertGreaterThanOrEqual(60, \count(self::scripts()));
        self::assertSame([], $missed, $report);
    }

    public function testWhatIsWrittenPromisesWhatItWasWrittenFrom(): void
    {
        $keys = [new Promised('1', 'New booking'), new Promised('2', 'VAT'), new Promised('0', 'reception'), new Promised('*', 'hearing this again')];
        self::assertSame('For new booking, press one. For VAT, press two. For reception, press zero. For hearing this again, press star.', MenuWriter::write($keys, 'en'));
        self::assertSame('Pour nouvelle réservation, tapez un.', MenuWriter::write([new Promised('1', 'Nouvelle réservation')], 'fr'));
        self::assertNull(MenuWriter::write($keys, 'cy'));
        foreach (['en', 'fr'] as $language) {
            self::assertSame(['1' => 'new booking', '2' => 'VAT', '0' => 'reception', '*' => 'hearing this again'], self::read((string) MenuWriter::write($keys, $language), $language));
        }
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
        return require __DIR__.'/menu_scripts.php';
    }
}
