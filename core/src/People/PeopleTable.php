<?php

declare(strict_types=1);

namespace Meandros\Core\People;

use Meandros\Core\Plan\Element\Mailbox;
use Meandros\Core\Plan\Element\Person;
use Meandros\Core\Plan\Element\Phone;
use Meandros\Core\Plan\Element\PhoneType;
use Meandros\Core\Plan\Element\Site;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Reading\Input;
use Meandros\Core\Reading\InvalidData;
use Meandros\Core\Reading\Limits;

/** People as comma-separated values (RFC 4180): one header line, one line each; cells may hold quotes and line breaks. */
final class PeopleTable
{
    public const COLUMNS = ['name', 'extension', 'site', 'desk', 'soft', 'outside', 'mailbox'];
    /** An apostrophe among them, so that one that stands there comes back too. */
    private const FORMULA = "/^[=+\\-@'\t\r]/";
    private const MOST_BYTES = 4_000_000;

    /**
     * @param int $most people that one file brings
     *
     * @return list<PersonRow>
     *
     * @throws InvalidData at "/text" when the file cannot be a table of people
     */
    public static function read(string $text, int $most = Limits::PEOPLE): array
    {
        if (\strlen($text) > self::MOST_BYTES) {
            throw self::refused(\sprintf('The file is larger than %d kB.', self::MOST_BYTES / 1000), 'Split it.');
        }
        if (!mb_check_encoding($text, 'UTF-8')) {
            $lines = preg_split('/\r\n|\n|\r/', $text) ?: [];
            $wrong = array_key_first(array_filter($lines, static fn (string $line): bool => !mb_check_encoding($line, 'UTF-8')));
            throw self::refused(\sprintf('Line %d is not UTF-8: the file mixes encodings, or has another.', 1 + (int) $wrong), 'Save it as "CSV UTF-8".');
        }
        $text = preg_replace('/^\x{FEFF}/u', '', $text) ?? $text;
        if (1 === substr_count($text, '"') % 2) {
            throw self::refused('A quotation mark is opened and never closed.', 'Close it; a quotation mark within a cell is written twice.');
        }

        return self::rows($text, $most);
    }

    /** @return list<PersonRow> */
    private static function rows(string $text, int $most): array
    {
        $stream = fopen('php://memory', 'w+');
        \assert(false !== $stream);
        fwrite($stream, $text);
        rewind($stream);
        $line = 1;
        $counted = 0;
        $columns = null;
        $rows = [];
        while (false !== $cells = fgetcsv($stream, null, ',', '"', '')) {
            $cells = array_map(static fn (?string $cell): string => self::armed(trim((string) $cell)), $cells);
            $columns ??= self::header($cells);
            if (1 < $line && [''] !== $cells) {
                if (\count($rows) >= $most) {
                    throw self::refused(\sprintf('The file has more than %d people.', $most), 'Split it, and bring in one after the other.');
                }
                if (\count($cells) !== \count($columns)) {
                    throw self::refused(\sprintf('Line %d has %d cells, and the header has %d.', $line, \count($cells), \count($columns)), 'Put cells that hold a comma in quotation marks.');
                }
                $rows[] = self::row($line, array_combine($columns, $cells));
            }
            $read = (int) ftell($stream);
            $line += substr_count($text, "\n", $counted, $read - $counted);
            $counted = $read;
        }
        fclose($stream);
        if (null === $columns) {
            throw self::refused('The file is empty.', 'Its first line names the columns: '.implode(',', self::COLUMNS).'.');
        }

        return $rows;
    }

    /**
     * @param list<string> $cells
     *
     * @return list<string>
     */
    private static function header(array $cells): array
    {
        $columns = array_map(strtolower(...), $cells);
        $unknown = array_diff($columns, self::COLUMNS);
        if (!\in_array('name', $columns, true) || [] !== $unknown || \count($columns) !== \count(array_unique($columns))) {
            throw self::refused([] === $unknown ? 'The first line does not name the columns, each once, with "name" among them.' : \sprintf('The column "%s" is not known.', Input::quote(implode('", "', $unknown))), 'The first line names the columns: '.implode(',', self::COLUMNS).'. All but the name may be left out.');
        }

        return $columns;
    }

    /** @param array<string, string> $cells */
    private static function row(int $line, array $cells): PersonRow
    {
        $list = static fn (string $column): array => array_values(array_filter(array_map(trim(...), explode(';', $cells[$column] ?? '')), static fn (string $one): bool => '' !== $one));

        return new PersonRow($line, $cells['name'], $cells['extension'] ?? '', $cells['site'] ?? '', $list('desk'), $list('soft'), $list('outside'), $cells['mailbox'] ?? '');
    }

    public static function write(Plan $plan): string
    {
        $stream = fopen('php://memory', 'w+');
        \assert(false !== $stream);
        fputcsv($stream, self::COLUMNS, ',', '"', '', "\r\n");
        foreach ($plan->all(Person::class) as $person) {
            $labels = static fn (PhoneType $type): string => implode('; ', array_map(
                static fn (Phone $phone): string => trim($phone->label.' '.$phone->number),
                array_filter($person->phones, static fn (Phone $phone): bool => $phone->type === $type),
            ));
            fputcsv($stream, array_map(self::defused(...), [
                $person->name(), $person->extension, $plan->get(Site::class, $person->site)?->name() ?? '',
                $labels(PhoneType::Desk), $labels(PhoneType::Soft), $labels(PhoneType::Outside),
                $plan->get(Mailbox::class, $person->mailbox)?->name() ?? '',
            ]), ',', '"', '', "\r\n");
        }
        rewind($stream);

        return (string) stream_get_contents($stream);
    }

    /** A cell that a spreadsheet would take for a formula is written after an apostrophe (OWASP, CSV Injection). */
    private static function defused(string $cell): string
    {
        return 1 === preg_match(self::FORMULA, $cell) ? "'".$cell : $cell;
    }

    /** The same taken back: a cell that came out so comes in as it was. */
    private static function armed(string $cell): string
    {
        return str_starts_with($cell, "'") && 1 === preg_match(self::FORMULA, substr($cell, 1)) ? substr($cell, 1) : $cell;
    }

    private static function refused(string $message, string $remedy): InvalidData
    {
        return InvalidData::at('/text', $message, $remedy);
    }
}
