<?php

declare(strict_types=1);

namespace Meandros\Core\Callers;

use Meandros\Core\Call\PhoneNumber;
use Meandros\Core\Plan\Element\CallerEntry;
use Meandros\Core\Reading\Input;
use Meandros\Core\Reading\InvalidData;
use Meandros\Core\Reading\Limits;
use Meandros\Core\Reading\Problem;

/** Entries of a list of callers as they are pasted: a line each, "number, name, label" (RFC 4180, or parted by semicolons or tabs). */
final class CallerLines
{
    /**
     * @param string $country whose national format is understood
     *
     * @return array{list<CallerEntry>, list<Problem>} entries, and problems at "/" and the number of the line, from 1
     */
    public static function read(string $text, string $country): array
    {
        $entries = $problems = [];
        foreach (preg_split('/\r\n|\n|\r/', $text) ?: [] as $i => $line) {
            if ('' === trim($line)) {
                continue;
            }
            $parted = str_contains($line, "\t") ? "\t" : (str_contains($line, ';') ? ';' : ',');
            $cells = array_map(static fn (?string $cell): string => trim((string) $cell), str_getcsv($line, $parted, '"', ''));
            try {
                $entry = self::entry($cells, $country);
                if (isset($entries[$entry->match])) {
                    $problems[] = new Problem('/'.($i + 1), \sprintf('%s stands here twice.', $entry->match), 'Remove one of the two.');
                }
                $entries[$entry->match] ??= $entry;
            } catch (InvalidData $invalid) {
                $problems[] = new Problem('/'.($i + 1), $invalid->problems[0]->message, $invalid->problems[0]->remedy);
            }
            if (\count($problems) >= Limits::PROBLEMS || \count($entries) >= Limits::CALLER_ENTRIES) {
                break;
            }
        }

        return [array_values($entries), $problems];
    }

    /**
     * @param list<string> $cells
     *
     * @throws InvalidData
     */
    private static function entry(array $cells, string $country): CallerEntry
    {
        $match = $cells[0] ?? '';
        $isNumber = 1 === preg_match('/\d/', $match) && !str_ends_with($match, '*');
        $match = $isNumber ? PhoneNumber::parse($match, $country) : (1 === preg_match('/^[a-z]{2}$/iD', $match) ? strtoupper($match) : (str_ends_with($match, '*') ? str_replace(' ', '', $match) : strtolower($match)));

        return Input::read(['match' => $match, 'name' => $cells[1] ?? '', 'label' => $cells[2] ?? ''], CallerEntry::fromJson(...));
    }
}
