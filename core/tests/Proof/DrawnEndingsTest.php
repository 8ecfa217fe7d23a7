<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Proof;

use Meandros\Core\Proof\Endings;
use Meandros\Core\Proof\NotTried;
use Meandros\Core\Proof\PossibleEnding;
use Meandros\Core\Proof\StepOutlook;
use Meandros\Core\Routing\Ending;
use Meandros\Core\Tests\Told;
use Meandros\Core\Wording\EndingsReport;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * What drawn calls may come to, and by what, is as it was when each that is complete was held against two thousand drawn assumptions. After a
 * change that is meant to change it, and once the laws hold: MEANDROS_DRAW=1 vendor/bin/phpunit --testsuite core --filter DrawnEndingsTest.
 */
final class DrawnEndingsTest extends TestCase
{
    private const EACH = 12;

    #[DataProvider('kinds')]
    public function testTheyAreAsTheyWere(string $kind): void
    {
        $drawn = '';
        for ($seed = 1; $seed <= self::EACH; ++$seed) {
            $drawn .= self::told($kind, $seed);
        }
        $file = \sprintf('%s/drawn/%s.txt', __DIR__, strtr($kind, ' ', '-'));
        if (false !== getenv('MEANDROS_DRAW')) {
            file_put_contents($file, $drawn);
            self::markTestIncomplete('Drawn anew.');
        }
        self::assertStringEqualsFile($file, $drawn);
    }

    /** @return iterable<string, array{string}> */
    public static function kinds(): iterable
    {
        foreach (DrawnCalls::KINDS as $kind) {
            yield $kind => [$kind];
        }
    }

    private static function told(string $kind, int $seed): string
    {
        $drawn = DrawnCalls::of($kind, $seed);
        $endings = Endings::of($drawn->plan, $drawn->call, $drawn->given);
        $who = static fn(Ending $one): string => trim($one->kind->value . ' ' . $one->who);

        return implode("\n", [
            \sprintf('# %d, in %d places', $seed, $endings->places),
            ...array_map(
                static fn(PossibleEnding $one, array $by): string => \sprintf(
                    "%s: %d to %s s\n  %s\n  %s",
                    $who($one->ending),
                    $one->least,
                    $one->most ?? 'any',
                    Told::json(array_filter($by['leastBy'])),
                    Told::json(array_filter($by['mostBy'])),
                ),
                $endings->endings,
                EndingsReport::of($endings, $drawn->plan)['endings'],
            ),
            ...array_map(
                static fn(StepOutlook $one): string => \sprintf(
                    'from %s at most %s s: %s',
                    $one->step,
                    $one->most ?? 'any',
                    implode(', ', array_map($who, $one->endings)),
                ),
                $endings->steps,
            ),
            ...array_map(
                static fn(NotTried $one): string => \sprintf('not tried at %s: %s', $one->step, $one->why->value),
                $endings->notTried,
            ),
            '',
            '',
        ]);
    }
}
