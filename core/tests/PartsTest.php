<?php

declare(strict_types=1);

namespace Meandros\Core\Tests;

use PHPUnit\Framework\TestCase;

/** Values are made of parts: nobody counts arguments. */
final class PartsTest extends TestCase
{
    private const MOST = 6;

    public function testNothingTakesMoreArgumentsThanCanBeTakenInAtAGlance(): void
    {
        $root = \dirname(__DIR__) . '/src/';
        $seen = 0;
        $long = [];
        foreach (
            new \RecursiveIteratorIterator(new \RecursiveDirectoryIterator($root, \FilesystemIterator::SKIP_DOTS))
            as $file
        ) {
            \assert($file instanceof \SplFileInfo);
            $class = 'Meandros\\Core\\' . strtr(substr($file->getPathname(), \strlen($root), -4), '/', '\\');
            $constructor = class_exists($class) ? (new \ReflectionClass($class))->getConstructor() : null;
            ++$seen;
            if (null !== $constructor && $constructor->getNumberOfParameters() > self::MOST) {
                $long[] = $class;
            }
        }
        self::assertGreaterThan(500, $seen);
        self::assertSame([], $long);
    }
}
