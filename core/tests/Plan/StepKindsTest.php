<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Plan;

use Meandros\Core\Check\Checks;
use Meandros\Core\Plan\Json\PlanCodec;
use Meandros\Core\Plan\Step;
use Meandros\Core\Reading\InvalidData;
use Meandros\Core\Routing\StepWalker;
use Meandros\Core\Routing\Walkers;
use Meandros\Core\Tests\PlanBuilder;
use Meandros\Core\Tests\Told;
use Meandros\Core\Wording\FindingWords;
use Meandros\Core\Wording\TraceReport;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * What every kind of step must have, wherever it is to be said: a kind that lacks something is named here before a call comes to it.
 * The module of the front end is asked for in the server's tests: core is tested without one.
 */
final class StepKindsTest extends TestCase
{
    private const ROOT = __DIR__ . '/../../..';
    /** Kinds of which a blank one is whole. */
    private const WHOLE_WHEN_BLANK = ['end', 'again'];
    /** Kinds that a call passes at once whatever anybody does, where nothing is chosen yet. */
    private const PASSED_UNASKED = ['say', 'hours', 'caller', 'go', 'fax', 'tag'];

    #[DataProvider('kinds')]
    public function testItIsInTheSchema(string $kind): void
    {
        $schema = json_decode(
            (string) file_get_contents(self::ROOT . '/core/schema/plan.schema.json'),
            true,
            64,
            \JSON_THROW_ON_ERROR,
        );
        $kinds = array_map(
            static fn(array $step): mixed => $schema['$defs'][basename((string) $step['$ref'])]['properties']['do'][
                'const'
            ] ?? null,
            $schema['$defs']['step']['oneOf'],
        );
        self::assertContains($kind, $kinds);
    }

    #[DataProvider('kinds')]
    public function testABlankOneIsReadWrittenAndWalked(string $kind): void
    {
        $plan = self::with($kind);
        self::assertSame(
            PlanCodec::encode($plan->plan()),
            PlanCodec::encode(PlanCodec::decode(PlanCodec::encode($plan->plan()))),
        );
        self::assertTrue(is_a(Walkers::of(Step::KINDS[$kind]), StepWalker::class, true), 'It has a walker.');
        $trace = $plan->call();
        self::assertSame('it', $trace->passage->visits[0]->step);
        $report = TraceReport::of($trace, $plan->plan(), 'Europe/London');
        foreach ($report['events'] as $event) {
            self::assertNotSame('', $event['text'], 'What happens is put into words.');
        }
    }

    #[DataProvider('kinds')]
    public function testAJourneyComesBackToItsStartWhereSomebodyIsAskedOnTheWay(string $kind): void
    {
        $steps = [['id' => 'it', 'do' => $kind], ['id' => 'back', 'do' => 'go', 'journey' => 'jrn_main']];
        try {
            (new PlanBuilder())->journey('jrn_main', $steps)->plan();
            $codes = [];
        } catch (InvalidData $invalid) {
            $codes = array_column($invalid->problems, 'code');
        }
        self::assertSame(\in_array($kind, self::PASSED_UNASKED, true) ? ['endless-journey'] : [], $codes);
    }

    #[DataProvider('kinds')]
    public function testABlankOneIsFound(string $kind): void
    {
        $blocking = array_filter(
            Checks::in(self::with($kind)->plan()),
            static fn($finding): bool => $finding->blocksPublishing && str_starts_with($finding->pointer, '/steps/0'),
        );
        self::assertCount(\in_array($kind, self::WHOLE_WHEN_BLANK, true) ? 0 : 1, $blocking);
        foreach ($blocking as $finding) {
            self::assertStringNotContainsString(
                'something',
                FindingWords::message($finding),
                'What is to be chosen has a word.',
            );
        }
    }

    public function testTheyAreDocumented(): void
    {
        Told::within(self::ROOT . '/docs/plan-format.md', '| step (`do`) |', StepTable::told());
    }

    public function testNothingElseIsWalked(): void
    {
        $walkers = array_map(
            static fn(string $file): string => 'Meandros\Core\Routing\Step\\' . basename($file, '.php'),
            glob(self::ROOT . '/core/src/Routing/Step/*Walker.php') ?: [],
        );
        self::assertEqualsCanonicalizing(array_map(Walkers::of(...), array_values(Step::KINDS)), $walkers);
    }

    /** @return iterable<string, array{string}> */
    public static function kinds(): iterable
    {
        foreach (array_keys(Step::KINDS) as $kind) {
            yield $kind => [$kind];
        }
    }

    private static function with(string $kind): PlanBuilder
    {
        return (new PlanBuilder())->journey('jrn_main', [['id' => 'it', 'do' => $kind]]);
    }
}
