<?php

declare(strict_types=1);

namespace Meandros\Server\Tests;

use Meandros\Core\Plan\Step;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What every kind of step must have outside core. */
final class StepKindsOnScreenTest extends TestCase
{
    private const MODULES = __DIR__ . '/../web/src/journeys/steps';

    #[DataProvider('kinds')]
    public function testTheFrontEndHasAModuleForIt(string $kind): void
    {
        self::assertFileExists(self::MODULES . '/' . $kind . '.tsx');
    }

    /** @return iterable<string, array{string}> */
    public static function kinds(): iterable
    {
        foreach (array_keys(Step::KINDS) as $kind) {
            yield $kind => [$kind];
        }
    }
}
