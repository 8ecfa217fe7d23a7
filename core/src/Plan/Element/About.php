<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Element;

use Meandros\Core\Plan\Kind;
use Meandros\Core\Reading\Input;
use Meandros\Core\Value\Copied;

/** What every element has, of whatever kind it is. */
final readonly class About
{
    use Copied;

    public const FIELDS = ['id', 'kind', 'name'];

    /** @param string $id stable, and never shown; the name is for people */
    public function __construct(public string $id, public string $name) {}

    /** @param Input $in the element */
    public static function fromJson(Input $in): self
    {
        return new self($in->field('id')->id(), $in->field('name')->text());
    }

    public function named(string $name): self
    {
        return $this->with(name: $name);
    }

    /** @return array<string, mixed> fields of the element */
    public function toJson(Kind $kind): array
    {
        return ['id' => $this->id, 'kind' => $kind->value, 'name' => $this->name];
    }
}
