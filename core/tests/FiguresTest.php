<?php

declare(strict_types=1);

namespace Meandros\Core\Tests;

use PHPUnit\Framework\TestCase;

/** Figures that somebody chose: how much there may be, how long it is waited, from when something is said. None is changed in passing. */
final class FiguresTest extends TestCase
{
    public function testAllOfThem(): void
    {
        $root = \dirname(__DIR__) . '/src/';
        $told = [];
        foreach (
            new \RecursiveIteratorIterator(new \RecursiveDirectoryIterator($root, \FilesystemIterator::SKIP_DOTS))
            as $file
        ) {
            \assert($file instanceof \SplFileInfo);
            $name = strtr(substr($file->getPathname(), \strlen($root), -\strlen('.php')), '/', '\\');
            $class = 'Meandros\Core\\' . $name;
            if (
                str_contains($name, 'messages') ||
                (!class_exists($class) && !interface_exists($class) && !trait_exists($class))
            ) {
                continue;
            }
            foreach ((new \ReflectionClass($class))->getReflectionConstants() as $constant) {
                $figures = self::figures($constant->getValue());
                if ($constant->getDeclaringClass()->getName() === $class && [] !== $figures) {
                    $told[] = \sprintf("%s::%s %s\n", $name, $constant->getName(), Told::json($constant->getValue()));
                }
            }
        }
        sort($told);
        Told::same(__DIR__ . '/told/figures.txt', implode('', $told));
    }

    /** @return list<int|float> in a constant, or in the list that it is */
    private static function figures(mixed $value): array
    {
        if (\is_array($value)) {
            return array_merge(...array_map(self::figures(...), array_values($value)));
        }

        return \is_int($value) || \is_float($value) ? [$value] : [];
    }
}
