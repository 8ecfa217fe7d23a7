<?php

declare(strict_types=1);

namespace Meandros\Core\Numbers;

use Meandros\Core\Plan\Element\Number;
use Meandros\Core\Plan\Element\Site;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Reading\CsvTable;
use Meandros\Core\Reading\InvalidData;
use Meandros\Core\Reading\Limits;

/** Numbers as comma-separated values: one header line, one line each. */
final class NumberTable
{
    public const COLUMNS = ['number', 'last', 'extension', 'label', 'site', 'language', 'target'];

    /**
     * @return list<NumberRow>
     *
     * @throws InvalidData at "/text" when the file cannot be a table of numbers
     */
    public static function read(string $text): array
    {
        $rows = [];
        foreach (self::table()->read($text, Limits::ELEMENTS) as $line => $cells) {
            $rows[] = new NumberRow(
                $line,
                new RowRange($cells['number'], $cells['last'] ?? null, $cells['extension'] ?? null),
                $cells['label'] ?? '',
                $cells['site'] ?? '',
                $cells['language'] ?? '',
                $cells['target'] ?? null,
            );
        }

        return $rows;
    }

    public static function write(Plan $plan): string
    {
        return self::table()->write(
            array_map(static fn(Number $number): array => self::cells($number, $plan), $plan->all(Number::class)),
        );
    }

    /** @return list<string> in the order of the columns */
    public static function cells(Number $number, Plan $plan): array
    {
        return [
            $number->range->number,
            $number->range->block->last ?? '',
            $number->range->extension(),
            $number->name(),
            $plan->get(Site::class, $number->line->site)?->name() ?? '',
            $number->line->language,
            $plan->find($number->target?->element)?->name() ?? '',
        ];
    }

    private static function table(): CsvTable
    {
        return new CsvTable(self::COLUMNS, 'number', 'numbers');
    }
}
