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

    public function __construct(private About $about, public CallerEntries $entries) {}

    public static function fromJson(Input $in): static
    {
        $in->onlyFields([...About::FIELDS, 'entries']);

        return new self(About::fromJson($in), CallerEntries::fromJson($in->field('entries')));
    }

    public function kind(): Kind
    {
        return Kind::CallerList;
    }

    public function toJson(): array
    {
        return [...$this->about->toJson($this->kind()), 'entries' => $this->entries->text()];
    }

    public function references(): array
    {
        return [];
    }
}
