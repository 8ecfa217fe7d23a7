<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Check;

use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\Problem;

/** Something in the plan that callers would not want. It may be saved; whether it may be published depends on how bad it is. */
final readonly class Finding
{
    /** @param Fix|null $fix what would mend it, where one thing would */
    public function __construct(public Element $element, public Problem $problem, public bool $blocksPublishing, public ?Fix $fix = null)
    {
    }

    public static function warning(Element $element, string $pointer, string $message, string $remedy, ?Fix $fix = null): self
    {
        return new self($element, new Problem($pointer, $message, $remedy), false, $fix);
    }

    /** @return array<string, mixed> */
    public function toJson(): array
    {
        return [
            'id' => $this->element->id(), 'kind' => $this->element->kind()->value, 'name' => $this->element->name(), 'blocks' => $this->blocksPublishing,
        ] + $this->problem->toJson() + ['fix' => $this->fix?->toJson()];
    }
}
