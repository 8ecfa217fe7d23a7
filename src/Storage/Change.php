<?php

declare(strict_types=1);

namespace Meandros\Server\Storage;

use Meandros\Core\Plan\Element;

/** What a write did to the draft. */
final readonly class Change
{
    /**
     * @param array<string, Element|null> $elements by id; null where the element is gone
     * @param string|null                 $undo     label of the edit that undo would take back
     */
    public function __construct(public string $label, public int $revision, public array $elements, public ?string $undo, public ?string $redo)
    {
    }

    /** @return array<string, mixed> */
    public function toJson(): array
    {
        return [
            'label' => $this->label,
            'revision' => $this->revision,
            'elements' => (object) array_map(static fn (?Element $element): ?array => $element?->toJson(), $this->elements),
            'undo' => $this->undo,
            'redo' => $this->redo,
        ];
    }
}
