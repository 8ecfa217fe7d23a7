<?php

declare(strict_types=1);

namespace Meandros\Server\Storage;

use Meandros\Core\Plan\Element;

/** What a write did to the draft. */
final readonly class Change
{
    /** With more elements than this, the answer leaves them out: whoever shows the draft fetches it anew. */
    private const MOST_TOLD = 500;

    /**
     * @param int                         $revision of the draft, and of every element that was written
     * @param array<string, Element|null> $elements by id; null where the element is gone
     * @param EditName|null               $undo     the edit that undo would take back
     */
    public function __construct(
        public string $label,
        public int $revision,
        public array $elements,
        public ?EditName $undo,
        public ?EditName $redo,
    ) {}

    /** @return array<string, mixed> */
    public function toJson(): array
    {
        $isTold = \count($this->elements) <= self::MOST_TOLD;

        return [
            'label' => $this->label,
            'revision' => $this->revision,
            'changed' => \count($this->elements),
            'isTold' => $isTold,
            'elements' => (object) ($isTold
                ? array_map(static fn(?Element $element): ?array => $element?->toJson(), $this->elements)
                : []),
            'undo' => $this->undo?->toJson(),
            'redo' => $this->redo?->toJson(),
        ];
    }
}
