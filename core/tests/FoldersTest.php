<?php

declare(strict_types=1);

namespace Meandros\Core\Tests;

use PHPUnit\Framework\TestCase;

/** The folders of core use each other in one direction: the graph is drawn from the `use` lines. */
final class FoldersTest extends TestCase
{
    public function testNoFolderComesBackToItself(): void
    {
        $uses = self::uses();
        self::assertContains('Reading', $uses['Plan']);
        foreach (array_keys($uses) as $folder) {
            self::assertSame([], self::wayBack($uses, $folder, $folder), $folder . ' uses what uses it.');
        }
    }

    public function testWhatStandsBelowUsesNothingAbove(): void
    {
        $uses = self::uses();
        self::assertSame([[], ['Value'], ['Value']], [$uses['Value'], $uses['Reading'], $uses['Time']]);
        self::assertEqualsCanonicalizing(['Reading', 'Value'], $uses['Call']);
        self::assertSame([], array_intersect($uses['Plan'], ['Outside', 'Ringing', 'Check', 'Routing', 'Wording']));
        self::assertNotContains('Wording', $uses['Routing']);
    }

    /** @return array<string, list<string>> folders by folder */
    private static function uses(): array
    {
        $uses = [];
        $root = \dirname(__DIR__) . '/src/';
        foreach (
            new \RecursiveIteratorIterator(new \RecursiveDirectoryIterator($root, \FilesystemIterator::SKIP_DOTS))
            as $file
        ) {
            \assert($file instanceof \SplFileInfo);
            $folder = explode('/', substr($file->getPathname(), \strlen($root)))[0];
            preg_match_all(
                '/^use (?:function )?Meandros\\\\Core\\\\(\w+)/m',
                (string) file_get_contents($file->getPathname()),
                $found,
            );
            $uses[$folder] = array_values(array_unique([...$uses[$folder] ?? [], ...array_diff($found[1], [$folder])]));
        }

        return $uses;
    }

    /**
     * @param array<string, list<string>> $uses
     * @param array<string, true>         $seen
     *
     * @return list<string> the folders on the way
     */
    private static function wayBack(array $uses, string $from, string $to, array &$seen = []): array
    {
        foreach (isset($seen[$from]) ? [] : $uses[$from] ?? [] as $next) {
            $way = $next === $to ? [$to] : self::wayBack($uses, $next, $to, $seen);
            if ([] !== $way) {
                return [$from, ...$way];
            }
        }
        $seen[$from] = true;

        return [];
    }
}
