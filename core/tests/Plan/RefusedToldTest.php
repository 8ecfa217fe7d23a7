<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Plan;

use Meandros\Core\Plan\Json\PlanCodec;
use Meandros\Core\Reading\InvalidData;
use Meandros\Core\Reading\Problem;
use Meandros\Core\Tests\Told;
use Meandros\Core\Wording\ProblemWords;
use PHPUnit\Framework\TestCase;

/** What becomes of every field of the schema where something stands in it that may not belong there, and the words of what is refused. */
final class RefusedToldTest extends TestCase
{
    private const TRIED = [
        null,
        true,
        -1,
        1,
        1.5,
        1_000_000_000,
        '',
        ' x ',
        'x',
        'ex am/ple',
        '+44',
        '08:61',
        '2026-02-30',
        [],
        ['x'],
        [[]],
        ['x' => 1],
    ];

    public function testOfEveryField(): void
    {
        $words = [];
        $told = '';
        foreach ((new SchemaPlaces())->ofDemo() as [$element, $pointer, , $data]) {
            if ('' === $pointer) {
                continue;
            }
            $told .= "# {$pointer} of {$element['id']}\n";
            $isList = \is_array($data) && array_is_list($data) && [] !== $data;
            $said = [];
            foreach ([...self::TRIED, ...$isList ? [[...$data, ...$data], array_reverse($data)] : []] as $value) {
                $shown = $isList && \is_array($value) && \count($value) >= \count($data) ? '…' : Told::json($value);
                try {
                    $kept = self::at(
                        PlanCodec::element(SchemaPlaces::put($element, $pointer, $value))->toJson(),
                        $pointer,
                    );
                    $said['…' === $shown || $kept === $value ? 'taken' : 'taken as ' . Told::json($kept)][] = $shown;
                } catch (InvalidData $invalid) {
                    $said[self::said($invalid, $pointer)][] = $shown;
                    foreach ($invalid->problems as $problem) {
                        $words[$problem->code] ??= ProblemWords::both($problem);
                    }
                }
            }
            foreach ($said as $what => $values) {
                $told .= implode('  ', $values) . "\n    " . $what . "\n";
            }
        }
        ksort($words);
        foreach ($words as $code => $both) {
            $told .= "{$code}: {$both}\n";
        }
        Told::same(__DIR__ . '/refused.en.txt', $told);
    }

    /** What stands in the field itself is not said again. */
    private static function said(InvalidData $invalid, string $pointer): string
    {
        $codes = array_map(
            static fn(Problem $one): string => \sprintf('%s %s', str_replace($pointer, '.', $one->pointer), $one->code),
            $invalid->problems,
        );

        return implode(', ', array_unique($codes));
    }

    private static function at(mixed $data, string $pointer): mixed
    {
        foreach (\array_slice(explode('/', $pointer), 1) as $name) {
            $data = $data[$name] ?? null;
        }

        return $data;
    }
}
