<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Check;

use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\Problem;

/** Something in the plan that callers would not want. It may be saved; whether it may be published depends on how bad it is. */
final readonly class Finding
{
    public function __construct(public Element $element, public Problem $problem, public bool $blocksPublishing)
    {
    }

    /** @return array<string, mixed> */
    public function toJson(): array
    {
        return ['id' => $this->element->id(), 'kind' => $this->element->kind()->value, 'name' => $this->element->name(), 'blocks' => $this->blocksPublishing] + $this->problem->toJson();
    }
}
