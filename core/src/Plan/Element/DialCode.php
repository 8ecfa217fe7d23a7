<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Element;

/** A code that staff dial to force hours into a state, or to lift what is forced. */
final readonly class DialCode
{
    public const PATTERN = '/^[*#][0-9]{1,6}$/D';

    /** @param string|null $state null lifts the override */
    public function __construct(public string $code, public ?string $state, public OverrideEnd $ends) {}

    /** @return array{code: string, state: string|null, ends: string} */
    public function toJson(): array
    {
        return ['code' => $this->code, 'state' => $this->state, 'ends' => $this->ends->value];
    }
}
