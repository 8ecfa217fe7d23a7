<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Element;

use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\Kind;
use Meandros\Core\Plan\WithoutParts;
use Meandros\Core\Reading\Input;
use Meandros\Core\Reading\Limits;

/** Callers by number, beginning, country or kind: what caller steps look at. */
final readonly class CallerList implements Element
{
    use Named;
    use WithoutParts;

    /** @param list<CallerEntry> $entries none twice */
    public function __construct(private string $id, private string $name, public array $entries)
    {
    }

    public static function fromJson(Input $in): static
    {
        $in->onlyFields(['id', 'kind', 'name', 'entries']);
        $entries = [];
        foreach ($in->field('entries')->items(Limits::CALLER_ENTRIES) as $item) {
            $entry = CallerEntry::fromJson($item);
            if (isset($entries[$entry->match])) {
                $item->field('match')->complain(\sprintf('"%s" is in this list twice.', $entry->match), 'Remove one of the two.');
            }
            $entries[$entry->match] = $entry;
        }

        return new self($in->field('id')->id(), $in->field('name')->text(), array_values($entries));
    }

    public function kind(): Kind
    {
        return Kind::CallerList;
    }

    public function toJson(): array
    {
        return ['id' => $this->id, 'kind' => 'callers', 'name' => $this->name, 'entries' => array_map(static fn (CallerEntry $entry): array => $entry->toJson(), $this->entries)];
    }

    public function references(): array
    {
        return [];
    }
}
