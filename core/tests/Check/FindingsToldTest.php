<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Check;

use Meandros\Core\Check\Checks;
use Meandros\Core\Check\Finding;
use Meandros\Core\Plan\Json\PlanCodec;
use Meandros\Core\Reading\InvalidData;
use Meandros\Core\Tests\Plan\SchemaPlaces;
use Meandros\Core\Tests\PlanBuilder;
use Meandros\Core\Tests\Proof\YearChecksTest;
use Meandros\Core\Tests\Told;
use Meandros\Core\Tests\Tried;
use Meandros\Core\Wording\FindingWords;
use PHPUnit\Framework\TestCase;

/** What is found in every example, with its words, its remedy and what mends it; and in the demo with one of its fields changed. */
final class FindingsToldTest extends TestCase
{
    private const DEMO = __DIR__ . '/../../../demo/ternwick-ferries.json';

    public function testOfTheExamples(): void
    {
        $examples = [...CheckTableTest::all(), ...FixTest::surprises(), ...FindingsTest::findings()];
        $told = '';
        foreach ($examples as [$builder]) {
            \assert($builder instanceof PlanBuilder);
            $told .= self::told('an example', self::reports(Checks::in($builder->plan(), CheckTableTest::now())));
        }
        $told .= self::told('of a year', self::reports(YearChecksTest::findings()));
        Told::same(__DIR__ . '/findings.en.txt', $told);
    }

    /** Each field of the demo with nothing in it, or turned into its opposite. */
    public function testOfTheDemoWithOneFieldChanged(): void
    {
        $rare = PlanCodec::fromData(SchemaPlaces::rare())->elements();
        $demo = PlanCodec::decode((string) file_get_contents(self::DEMO))->withAll($rare);
        $seen = array_flip(self::reports(Checks::in($demo, CheckTableTest::now())));
        $told = '';
        foreach ((new SchemaPlaces())->all() as [$element, $pointer, , $data]) {
            if ('' === $pointer) {
                continue;
            }
            $other = match (true) {
                \is_bool($data) => !$data,
                \is_array($data) && array_is_list($data) => [],
                \is_int($data) => 0,
                default => null,
            };
            try {
                $changed = PlanCodec::element(Tried::put($element, $pointer, $other));
            } catch (InvalidData) {
                continue;
            }
            $found = self::reports(Checks::of($changed, $demo->with($changed), CheckTableTest::now()));
            $told .= self::told($pointer . ' of ' . $element['id'], array_diff($found, array_keys($seen)));
        }
        Told::same(__DIR__ . '/findings-of-the-demo.en.txt', $told);
    }

    /**
     * @param iterable<Finding> $findings
     *
     * @return list<string>
     */
    private static function reports(iterable $findings): array
    {
        $reports = [];
        foreach ($findings as $finding) {
            $reports[] = Told::json(FindingWords::report($finding));
        }

        return $reports;
    }

    /** @param array<string> $reports */
    private static function told(string $of, array $reports): string
    {
        return [] === $reports ? '' : \sprintf("# %s\n%s\n", $of, implode("\n", $reports));
    }
}
