<?php

declare(strict_types=1);

namespace Meandros\Core\Callers;

use Meandros\Core\Call\Caller;
use Meandros\Core\Outside\PhoneRange;
use Meandros\Core\Plan\Element\CallerEntries;
use Meandros\Core\Plan\Element\CallerEntry;
use Meandros\Core\Plan\Element\CallerList;

/** Finds callers in lists, however long: by their number, then the longest beginning, then country and kind. */
final class CallerLookup
{
    /** @var array<string, PhoneRange> what libphonenumber says of callers, by number */
    private array $ranges = [];

    /** The entry that holds for a caller; null where they are not in the list. */
    public function find(CallerList $list, Caller $caller): ?CallerEntry
    {
        $entries = $list->entries;
        if (Caller::WITHHELD === $caller->text || $caller->isExtension()) {
            return $entries->find($caller->isExtension() ? CallerEntry::INTERNAL : Caller::WITHHELD);
        }

        return $entries->find($caller->text) ??
            ($entries->beginning($caller->text) ?? $this->byRange($entries, $caller->text));
    }

    private function byRange(CallerEntries $entries, string $number): ?CallerEntry
    {
        $range = $this->ranges[$number] ??= PhoneRange::of($number);

        return $entries->find($range->country) ??
            $entries->find($range->isMobile ? CallerEntry::MOBILE : CallerEntry::FIXED);
    }
}
