<?php

declare(strict_types=1);

namespace Meandros\Core\Proof\Fares;

use Meandros\Core\Call\Caller;
use Meandros\Core\Call\PhoneNumber;
use Meandros\Core\Callers\CallerLookup;
use Meandros\Core\Plan\Element\CallerEntry;
use Meandros\Core\Plan\Element\CallerList;
use Meandros\Core\Plan\Element\Number;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Proof\Touched;

/** Callers who stand for all that are told apart: one of each list, and one who is in none. */
final class StandIns
{
    /** Numbers that no one has: Ofcom's and Arcep's for drama, and those of +1 555 01xx (from memory). */
    private const NOBODYS = ['+447700900123', '+441632960998', '+33639980123', '+33261910998', '+12025550143'];
    private const LONGEST = 12;
    private const ENTRIES = 20;

    private readonly CallerLookup $lookup;
    /** @var array<string, array<string, Number>> numbers whose calls may be looked up in a list, by its id and what is dialled */
    private array $touched = [];
    /** Found when one is first wanted. */
    private ?Caller $ordinary = null;

    public function __construct(private readonly Plan $plan)
    {
        $this->lookup = new CallerLookup();
    }

    /**
     * @param list<string> $lists none for anybody
     *
     * @return list<Caller>
     */
    public function of(array $lists, Number $number): array
    {
        $callers = [] === $lists ? [$this->ordinary()] : [];
        foreach ([] === $lists ? $this->toldApart($number) : $lists as $id) {
            $list = $this->plan->get(CallerList::class, $id);
            $caller = null === $list ? null : $this->example($list);
            null === $caller || ($callers[] = $caller);
        }

        return $callers;
    }

    /** @return list<string> lists that are looked at on the way, by id */
    private function toldApart(Number $number): array
    {
        $ids = [];
        foreach ($this->plan->all(CallerList::class) as $list) {
            $this->touched[$list->id()] ??= Touched::numbers($this->plan, [$list->id()]);
            isset($this->touched[$list->id()][$number->range->number]) && ($ids[] = $list->id());
        }

        return $ids;
    }

    /** Somebody who is in no list; withheld, where there is nobody left. */
    public function ordinary(): Caller
    {
        return $this->ordinary ??= $this->unlisted() ?? Caller::withheld();
    }

    private function unlisted(): ?Caller
    {
        $lists = $this->plan->all(CallerList::class);
        foreach (self::NOBODYS as $number) {
            $caller = Caller::parse($number, PhoneNumber::ANYWHERE);
            $isListed = array_filter(
                $lists,
                fn(CallerList $list): bool => null !== $this->lookup->find($list, $caller),
            );
            if ([] === $isListed) {
                return $caller;
            }
        }

        return null;
    }

    private function example(CallerList $list): ?Caller
    {
        $count = 0;
        foreach ($list->entries as $entry) {
            $caller = $this->caller($entry, $list);
            if (null !== $caller || ++$count >= self::ENTRIES) {
                return $caller;
            }
        }

        return null;
    }

    private function caller(CallerEntry $entry, CallerList $list): ?Caller
    {
        if (str_ends_with($entry->match, '*')) {
            return Caller::parse(str_pad(substr($entry->match, 0, -1), self::LONGEST, '0'), PhoneNumber::ANYWHERE);
        }
        if (str_starts_with($entry->match, '+') || Caller::WITHHELD === $entry->match) {
            return Caller::parse($entry->match, PhoneNumber::ANYWHERE);
        }
        if (CallerEntry::INTERNAL === $entry->match) {
            return Caller::inside();
        }
        foreach (self::NOBODYS as $number) {
            $caller = Caller::parse($number, PhoneNumber::ANYWHERE);
            if ($this->lookup->find($list, $caller)?->match === $entry->match) {
                return $caller;
            }
        }

        return null;
    }
}
