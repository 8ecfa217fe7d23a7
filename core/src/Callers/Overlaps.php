<?php

declare(strict_types=1);

namespace Meandros\Core\Callers;

use Meandros\Core\Call\Caller;
use Meandros\Core\Call\PhoneNumber;
use Meandros\Core\Plan\Element\CallerList;

/** Callers who are in two lists: which entries of one are found in another, and by what. */
final class Overlaps
{
    /** Numbers whose country and kind are looked up. */
    private const MOST_RANGES = 500;
    private const MOST_EXAMPLES = 3;

    private readonly CallerLookup $lookup;

    public function __construct()
    {
        $this->lookup = new CallerLookup();
    }

    /** Null where no entry of the one is found in the other, or the other way round. */
    public function between(CallerList $list, CallerList $other): ?Overlap
    {
        $pairs = [...$this->found($list, $other, false), ...$this->found($other, $list, true)];
        $unique = [];
        foreach ($pairs as [$mine, $theirs]) {
            $unique[$mine . ' ' . $theirs] = [$mine, $theirs];
        }

        return [] === $unique
            ? null
            : new Overlap($other, \count($unique), \array_slice(array_values($unique), 0, self::MOST_EXAMPLES));
    }

    /** @return iterable<array{string, string}> what the list matches by, and what the other does */
    private function found(CallerList $from, CallerList $in, bool $isTurned): iterable
    {
        $ranges = $in->entries->hasRanges() ? self::MOST_RANGES : 0;
        foreach ($from->entries as $entry) {
            $isNumber = str_starts_with($entry->match, '+');
            $stem = rtrim($entry->match, '*');
            $found = $in->entries->find($entry->match) ?? ($isNumber ? $in->entries->beginning($stem) : null);
            if (null === $found && $isNumber && $stem === $entry->match && $ranges-- > 0) {
                $found = $this->lookup->find($in, Caller::parse($stem, PhoneNumber::ANYWHERE));
            }
            if (null !== $found) {
                yield $isTurned ? [$found->match, $entry->match] : [$entry->match, $found->match];
            }
        }
    }
}
