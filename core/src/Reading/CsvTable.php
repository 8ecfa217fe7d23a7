<?php

declare(strict_types=1);

namespace Meandros\Core\Reading;

use Meandros\Core\Value\Lists;

/**
 * Comma-separated values (RFC 4180) with a header: one line each; cells may hold quotes and line breaks. What spreadsheets write
 * where the comma is a decimal point is read too: semicolons or tabs between the cells.
 */
final readonly class CsvTable
{
    /** An apostrophe among them, so that one that stands there comes back too. */
    private const FORMULA = "/^[=+\\-@'\t\r]/";
    private const MOST_BYTES = 4_000_000;

    /**
     * @param list<string> $columns that there may be
     * @param string       $needed  the one that must be there
     * @param string       $what    rows are called
     */
    public function __construct(private array $columns, private string $needed, private string $what) {}

    /**
     * @param int $most rows that one file brings
     *
     * @return array<int, array<string, string>> cells by column, by line
     *
     * @throws InvalidData at "/text" when the file cannot be such a table
     */
    public function read(string $text, int $most): array
    {
        if (\strlen($text) > self::MOST_BYTES) {
            throw self::refused('table-too-large', ['most' => self::MOST_BYTES / 1000]);
        }
        if (!mb_check_encoding($text, 'UTF-8')) {
            $lines = preg_split('/\r\n|\n|\r/', $text) ?: [];
            $wrong = array_key_first(
                array_filter($lines, static fn(string $line): bool => !mb_check_encoding($line, 'UTF-8')),
            );
            throw self::refused('line-not-utf-8', ['line' => 1 + (int) $wrong]);
        }
        $text = preg_replace('/^\x{FEFF}/u', '', $text) ?? $text;
        if (1 === substr_count($text, '"') % 2) {
            throw self::refused('quote-not-closed');
        }

        return $this->rows($text, $most);
    }

    /** @return array<int, array<string, string>> */
    private function rows(string $text, int $most): array
    {
        $stream = fopen('php://memory', 'w+');
        \assert(false !== $stream);
        fwrite($stream, $text);
        rewind($stream);
        $line = 1;
        $counted = 0;
        $columns = null;
        $rows = [];
        $parted = self::parted($text);
        while (false !== ($cells = fgetcsv($stream, null, $parted, '"', ''))) {
            $cells = array_map(static fn(?string $cell): string => self::armed(trim((string) $cell)), $cells);
            $columns ??= $this->header($cells);
            if (1 < $line && [''] !== $cells) {
                if (\count($rows) >= $most) {
                    throw self::refused('table-too-long', ['most' => $most, 'what' => $this->what]);
                }
                if (\count($cells) !== \count($columns)) {
                    throw self::refused('cells-differ', [
                        'line' => $line,
                        'cells' => \count($cells),
                        'columns' => \count($columns),
                    ]);
                }
                $rows[$line] = array_combine($columns, $cells);
            }
            $read = (int) ftell($stream);
            $line += substr_count($text, "\n", $counted, $read - $counted);
            $counted = $read;
        }
        fclose($stream);
        if (null === $columns) {
            throw self::refused('file-empty', ['columns' => $this->columns]);
        }

        return $rows;
    }

    /** What stands between the cells: whatever the header has most of. */
    private static function parted(string $text): string
    {
        $header = (string) strtok($text, "\r\n");
        $found = array_map(static fn(string $mark): int => substr_count($header, $mark), [
            ',' => ',',
            ';' => ';',
            "\t" => "\t",
        ]);
        arsort($found);

        return (string) array_key_first($found);
    }

    /**
     * @param list<string> $cells
     *
     * @return list<string>
     */
    private function header(array $cells): array
    {
        $columns = array_map(strtolower(...), $cells);
        $unknown = array_diff($columns, $this->columns);
        if (
            !Lists::has($columns, $this->needed) ||
            [] !== $unknown ||
            \count($columns) !== \count(array_unique($columns))
        ) {
            throw self::refused([] === $unknown ? 'columns-not-named' : 'column-not-known', [
                'unknown' => Input::quote(implode('", "', $unknown)),
                'columns' => $this->columns,
                'needed' => $this->needed,
            ]);
        }

        return $columns;
    }

    /** @param iterable<list<string>> $rows cells in the order of the columns */
    public function write(iterable $rows): string
    {
        $stream = fopen('php://memory', 'w+');
        \assert(false !== $stream);
        fputcsv($stream, $this->columns, ',', '"', '', "\r\n");
        foreach ($rows as $cells) {
            fputcsv($stream, array_map(self::defused(...), $cells), ',', '"', '', "\r\n");
        }
        rewind($stream);

        return (string) stream_get_contents($stream);
    }

    /** A cell that a spreadsheet would take for a formula is written after an apostrophe (OWASP, CSV Injection). */
    private static function defused(string $cell): string
    {
        return 1 === preg_match(self::FORMULA, $cell) ? "'" . $cell : $cell;
    }

    /** The same taken back: a cell that came out so comes in as it was. */
    private static function armed(string $cell): string
    {
        return str_starts_with($cell, "'") && 1 === preg_match(self::FORMULA, substr($cell, 1))
            ? substr($cell, 1)
            : $cell;
    }

    /** @param array<string, string|int|list<string>> $arguments */
    private static function refused(string $code, array $arguments = []): InvalidData
    {
        return InvalidData::at('/text', $code, $arguments);
    }
}
