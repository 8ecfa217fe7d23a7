<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Numbers;

use Meandros\Core\Numbers\NumberImport;
use Meandros\Core\Numbers\NumberTable;
use Meandros\Core\People\PeopleImport;
use Meandros\Core\People\PeopleTable;
use Meandros\Core\Plan\Json\PlanCodec;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** A file that was taken away comes back without a change, whichever of its columns are left in it. */
final class FewerColumnsTest extends TestCase
{
    /** @param list<string> $columns the first of which stays */
    #[DataProvider('files')]
    public function testWhatAFileDoesNotSayStaysAsItIs(string $file, array $columns, \Closure $changed): void
    {
        $rows = array_map(
            static fn(string $line): array => array_combine($columns, str_getcsv($line)),
            explode("\r\n", trim($file)),
        );
        self::assertGreaterThan(10, \count($rows));
        for ($left = 0; $left < 1 << (\count($columns) - 1); ++$left) {
            $kept = array_filter(
                $columns,
                static fn(int $i): bool => 0 === $i || 0 !== (($left >> ($i - 1)) & 1),
                \ARRAY_FILTER_USE_KEY,
            );
            $lines = array_map(
                static fn(array $row): string => '"' .
                    implode('","', array_intersect_key($row, array_flip($kept))) .
                    '"',
                $rows,
            );
            self::assertSame([], $changed(implode("\n", $lines)), implode(' ', $kept));
        }
    }

    /** @return iterable<string, array{string, list<string>, \Closure(string): list<int>}> */
    public static function files(): iterable
    {
        $demo = (string) file_get_contents(__DIR__ . '/../../../demo/ternwick-ferries.json');
        $plan = PlanCodec::decode($demo);
        $id = static fn(): string => 'new';
        $changed = static fn(array $outcomes): array => array_keys(
            array_filter($outcomes, static fn($one): bool => !$one->unchanged),
        );
        yield 'numbers' => [
            NumberTable::write($plan),
            NumberTable::COLUMNS,
            static fn(string $file): array => $changed(
                NumberImport::outcomes($plan, NumberTable::read($file), false, $id),
            ),
        ];
        yield 'people' => [
            PeopleTable::write($plan),
            PeopleTable::COLUMNS,
            static fn(string $file): array => $changed(PeopleImport::outcomes($plan, PeopleTable::read($file), $id)),
        ];
    }
}
