<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Check;

use Meandros\Core\Check\Check;
use Meandros\Core\Check\Checks;
use Meandros\Core\Check\Finding;
use Meandros\Core\Tests\PlanBuilder;
use Meandros\Core\Tests\Proof\YearChecksTest;
use Meandros\Core\Wording\Catalog;
use Meandros\Core\Wording\FindingWords;
use PHPUnit\Framework\TestCase;

/** What every check must have: an entry in the registry, an example that it speaks of, words, and a remedy. */
final class ChecksTest extends TestCase
{
    public function testEveryCheckIsRegistered(): void
    {
        $classes = array_map(
            static fn(string $file): string => 'Meandros\Core\Check\\' . basename($file, '.php'),
            glob(\dirname(__DIR__, 2) . '/src/Check/*.php') ?: [],
        );
        $checks = array_filter(
            $classes,
            static fn(string $class): bool => Check::class !== $class && is_a($class, Check::class, true),
        );
        self::assertEqualsCanonicalizing($checks, Checks::ALL);
    }

    public function testEverythingThatHasWordsIsFoundInAnExampleAndCanBeSaid(): void
    {
        $found = YearChecksTest::findings();
        foreach ([...CheckTableTest::all(), ...FixTest::surprises(), ...FindingsTest::findings()] as [$builder]) {
            \assert($builder instanceof PlanBuilder);
            array_push($found, ...Checks::in($builder->plan(), CheckTableTest::now()));
        }
        $said = [];
        foreach ($found as $finding) {
            self::assertNotSame('', FindingWords::message($finding) . FindingWords::remedy($finding));
            self::assertDoesNotMatchRegularExpression(
                '/[{}]/',
                FindingWords::message($finding) . FindingWords::remedy($finding) . FindingWords::fix($finding),
                'Every argument is given.',
            );
            $said[$finding->code] = true;
        }
        $codes = array_filter(
            Catalog::of('findings')->codes(),
            static fn(string $code): bool => !str_contains($code, '.'),
        );
        self::assertEqualsCanonicalizing(array_values($codes), array_keys($said));
    }

    /** What is found of one element is what is found of it among all: screens ask for one. */
    public function testOneElementAloneIsFoundTheSame(): void
    {
        foreach ([...CheckTableTest::all(), ...FixTest::surprises()] as [$builder]) {
            \assert($builder instanceof PlanBuilder);
            $plan = $builder->plan();
            $of = static fn(Finding ...$findings): array => array_map(FindingWords::report(...), $findings);
            $alone = [];
            foreach ($plan->elements() as $element) {
                array_push($alone, ...Checks::of($element, $plan));
            }
            self::assertSame($of(...Checks::in($plan)), $of(...$alone));
        }
    }
}
