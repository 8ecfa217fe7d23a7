<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Element;

use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\Kind;
use Meandros\Core\Plan\WithoutParts;
use Meandros\Core\Reading\Input;

/** Callers by number, beginning, country or kind: what caller steps look at. */
final readonly class CallerList implements Element
{
    use Named;
    use WithoutParts;

    public function __construct(private string $id, private string $name, public CallerEntries $entries) {}

    public static function fromJson(Input $in): static
    {
        $in->onlyFields(['id', 'kind', 'name', 'entries']);

        return new self(
            $in->field('id')->id(),
            $in->field('name')->text(),
            CallerEntries::fromJson($in->field('entries')),
        );
    }

    public function kind(): Kind
    {
        return Kind::CallerList;
    }

    public function toJson(): array
    {
        return ['id' => $this->id, 'kind' => 'callers', 'name' => $this->name, 'entries' => $this->entries->text()];
    }

    public function references(): array
    {
        return [];
    }
}
