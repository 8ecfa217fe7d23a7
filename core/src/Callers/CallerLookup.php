<?php

declare(strict_types=1);

namespace Meandros\Core\Callers;

use Meandros\Core\Call\Caller;
use Meandros\Core\Outside\PhoneRange;
use Meandros\Core\Plan\Element\CallerEntry;
use Meandros\Core\Plan\Element\CallerList;

/** Finds callers in lists, however long: by their number, then the longest beginning, then country and kind. */
final class CallerLookup
{
    /** @var \WeakMap<CallerList, array<string, CallerEntry>> entries by what they match, by list */
    private \WeakMap $entries;
    /** @var array<string, PhoneRange> what libphonenumber says of callers, by number */
    private array $ranges = [];

    public function __construct()
    {
        $this->entries = new \WeakMap();
    }

    /** The entry that holds for a caller; null where they are not in the list. */
    public function find(CallerList $list, Caller $caller): ?CallerEntry
    {
        $entries = $this->entries[$list] ??= array_combine(array_map(static fn (CallerEntry $entry): string => $entry->match, $list->entries), $list->entries);
        if (Caller::WITHHELD === $caller->text || $caller->isExtension()) {
            return $entries[$caller->isExtension() ? CallerEntry::INTERNAL : Caller::WITHHELD] ?? null;
        }
        $number = $entries[$caller->text] ?? null;
        for ($length = \strlen($caller->text); null === $number && $length > 1; --$length) {
            $number = $entries[substr($caller->text, 0, $length).'*'] ?? null;
        }

        return $number ?? $this->byRange($entries, $caller->text);
    }

    /** @param array<string, CallerEntry> $entries */
    private function byRange(array $entries, string $number): ?CallerEntry
    {
        $range = $this->ranges[$number] ??= PhoneRange::of($number);

        return $entries[$range->country] ?? $entries[$range->isMobile ? CallerEntry::MOBILE : CallerEntry::FIXED] ?? null;
    }
}
