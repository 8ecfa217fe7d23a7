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
    /** @var array<string, list<string>> what a caller may be matched by, the most particular first */
    private array $names = [];

    public function __construct()
    {
        $this->entries = new \WeakMap();
    }

    /** The entry that holds for a caller; null where they are not in the list. */
    public function find(CallerList $list, Caller $caller): ?CallerEntry
    {
        $entries = $this->entries[$list] ??= array_combine(array_map(static fn (CallerEntry $entry): string => $entry->match, $list->entries), $list->entries);
        foreach ($this->names[$caller->text] ??= self::names($caller) as $name) {
            if (isset($entries[$name])) {
                return $entries[$name];
            }
        }

        return null;
    }

    /** @return list<string> */
    private static function names(Caller $caller): array
    {
        if (Caller::WITHHELD === $caller->text || $caller->isExtension()) {
            return [$caller->isExtension() ? CallerEntry::INTERNAL : Caller::WITHHELD];
        }
        $names = [$caller->text];
        for ($length = \strlen($caller->text); $length > 1; --$length) {
            $names[] = substr($caller->text, 0, $length).'*';
        }
        $range = PhoneRange::of($caller->text);

        return [...$names, $range->country, $range->isMobile ? CallerEntry::MOBILE : CallerEntry::FIXED];
    }
}
