<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Element;

use Meandros\Core\Plan\Kind;
use Meandros\Core\Reading\Input;
use Meandros\Core\Reading\Limits;
use Meandros\Core\Value\Copied;

/** What every element has, of whatever kind it is. */
final readonly class About
{
    use Copied;

    public const FIELDS = ['id', 'kind', 'name', 'why'];

    /**
     * @param string $id  stable, and never shown; the name is for people
     * @param string $why it is as it is, for whoever comes after; empty where nobody said
     */
    public function __construct(public string $id, public string $name, public string $why = '') {}

    /** @param Input $in the element */
    public static function fromJson(Input $in): self
    {
        return new self(
            $in->field('id')->id(),
            $in->field('name')->text(),
            $in->field('why')->optionalText(Limits::WHY),
        );
    }

    public function named(string $name): self
    {
        return $this->with(name: $name);
    }

    /** @return array{id: string, kind: string, name: string, why?: string} fields of the element */
    public function toJson(Kind $kind): array
    {
        $why = '' === $this->why ? [] : ['why' => $this->why];

        return ['id' => $this->id, 'kind' => $kind->value, 'name' => $this->name] + $why;
    }
}
