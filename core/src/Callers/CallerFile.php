<?php

declare(strict_types=1);

namespace Meandros\Core\Callers;

use Meandros\Core\Call\PhoneNumber;
use Meandros\Core\Plan\Element\CallerEntry;
use Meandros\Core\Plan\Element\CallerList;
use Meandros\Core\Reading\Cards;
use Meandros\Core\Reading\Input;
use Meandros\Core\Reading\InvalidData;
use Meandros\Core\Reading\Limits;
use Meandros\Core\Reading\Problem;
use Sabre\VObject\Component\VCard;
use Sabre\VObject\Property;

/**
 * Callers as a file or as they are pasted: a line each, "number, name, label" (RFC 4180, or parted by semicolons or tabs), with
 * a header or without; or vCards (RFC 6350), whose numbers are taken with the name and the first category as a label.
 */
final class CallerFile
{
    /** A number that needs no second look. */
    private const E164 = '/^\+[1-9][0-9]{7,14}$/D';
    private const COLUMNS = ['number', 'name', 'label'];

    /**
     * @param string                     $country whose national format is understood
     * @param (\Closure(int): void)|null $each    is told how many lines were read
     *
     * @return array{list<CallerEntry>, list<Problem>} entries, and problems at "/" and the number of the line, from 1
     */
    public static function read(string $text, string $country, ?\Closure $each = null): array
    {
        $text = preg_replace('/^\x{FEFF}/u', '', $text) ?? $text;
        $entries = $problems = [];
        foreach (self::isCards($text) ? self::cards($text) : self::lines($text) as $line => $cells) {
            try {
                $entry = self::entry($cells, $country);
                if (isset($entries[$entry->match])) {
                    $problems[] = new Problem('/' . $line, 'entry-twice', ['match' => $entry->match]);
                }
                $entries[$entry->match] ??= $entry;
            } catch (InvalidData $invalid) {
                $problems[] = new Problem('/' . $line, $invalid->problems[0]->code, $invalid->problems[0]->arguments);
            }
            null === $each || $each($line);
            if (\count($problems) >= Limits::PROBLEMS || \count($entries) > Limits::CALLER_ENTRIES) {
                break;
            }
        }

        return [array_values($entries), $problems];
    }

    public static function isCards(string $text): bool
    {
        return 1 === preg_match('/^\x{FEFF}?\s*BEGIN:VCARD/iu', $text);
    }

    /** RFC 4180, with a header. */
    public static function table(CallerList $list): string
    {
        $lines = [implode(',', self::COLUMNS)];
        foreach ($list->entries as $entry) {
            $lines[] = implode(
                ',',
                array_map(
                    static fn(string $cell): string => 1 === preg_match('/[",\r\n]/', $cell)
                        ? '"' . str_replace('"', '""', $cell) . '"'
                        : $cell,
                    array_values($entry->toJson()),
                ),
            );
        }

        return implode("\r\n", $lines) . "\r\n";
    }

    /** Those of its entries that are numbers. */
    public static function writeCards(CallerList $list): string
    {
        $cards = '';
        foreach ($list->entries as $entry) {
            if (1 === preg_match(PhoneNumber::E164, $entry->match)) {
                $name = '' === $entry->name ? PhoneNumber::international($entry->match) : $entry->name;
                $cards .= (new VCard(
                    [
                        'VERSION' => '4.0',
                        'UID' => \sprintf('urn:meandros:%s:%s', $list->id(), ltrim($entry->match, '+')),
                        'FN' => $name,
                        'TEL' => $entry->match,
                    ] + ('' === $entry->label ? [] : ['CATEGORIES' => $entry->label]),
                    false,
                ))->serialize();
            }
        }

        return $cards;
    }

    /** @return iterable<int, list<string>> cells, by the number of the line */
    private static function lines(string $text): iterable
    {
        foreach (preg_split('/\r\n|\n|\r/', $text) ?: [] as $i => $line) {
            if ('' === trim($line)) {
                continue;
            }
            $parted = str_contains($line, "\t") ? "\t" : (str_contains($line, ';') ? ';' : ',');
            $cells = array_map(
                static fn(?string $cell): string => trim((string) $cell),
                str_getcsv($line, $parted, '"', ''),
            );
            if (0 !== $i || self::COLUMNS[0] !== strtolower($cells[0])) {
                yield $i + 1 => $cells;
            }
        }
    }

    /**
     * @return iterable<int, list<string>> cells, by the line at which the card begins
     *
     * @throws InvalidData at "/text"
     */
    private static function cards(string $text): iterable
    {
        foreach (Cards::in($text) as [$line, $card]) {
            foreach ($card->select('TEL') as $i => $number) {
                yield $line + (int) $i => [
                    self::text($number),
                    self::text($card->select('FN')[0] ?? null),
                    explode(',', self::text($card->select('CATEGORIES')[0] ?? null))[0],
                ];
            }
        }
    }

    private static function text(mixed $property): string
    {
        return $property instanceof Property ? trim((string) $property) : '';
    }

    /**
     * @param list<string> $cells
     *
     * @throws InvalidData
     */
    private static function entry(array $cells, string $country): CallerEntry
    {
        if (
            [] !==
            array_filter(\array_slice($cells, \count(self::COLUMNS)), static fn(string $cell): bool => '' !== $cell)
        ) {
            throw InvalidData::at('', 'cells-left-over');
        }
        $match = $cells[0] ?? '';
        $match = match (true) {
            1 === preg_match(self::E164, $match) => $match,
            str_ends_with($match, '*') => self::beginning($match, $country),
            1 === preg_match('/\d/', $match) => PhoneNumber::parse($match, $country),
            1 === preg_match('/^[a-z]{2}$/iD', $match) => strtoupper($match),
            default => strtolower($match),
        };

        return Input::read(
            ['match' => $match, 'name' => $cells[1] ?? '', 'label' => $cells[2] ?? ''],
            CallerEntry::fromJson(...),
        );
    }

    /** "020*" as it is dialled in the country, or "+44 20*". */
    private static function beginning(string $text, string $country): string
    {
        $digits = (string) preg_replace('/[^0-9+]/', '', $text);
        $international = PhoneNumber::beginning($digits, $country);

        return $international . '*';
    }
}
