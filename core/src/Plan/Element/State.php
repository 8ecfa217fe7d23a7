<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Element;

use Meandros\Core\Reading\Input;
use Meandros\Core\Reading\Limits;

/** A state that hours can be in. Its key is stable: journeys branch on it, and its name may change. */
final readonly class State
{
    public function __construct(public string $key, public string $name, public bool $open) {}

    public static function fromJson(Input $in): self
    {
        $in->onlyFields(['key', 'name', 'open']);

        return new self(
            $in->field('key')->id(),
            $in->field('name')->text(Limits::SHORT_NAME),
            $in->field('open')->flag(false),
        );
    }

    /** @return array{key: string, name: string, open: bool} */
    public function toJson(): array
    {
        return ['key' => $this->key, 'name' => $this->name, 'open' => $this->open];
    }
}
