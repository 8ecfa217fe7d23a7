<?php

declare(strict_types=1);

namespace Meandros\Server\Storage;

/** An edit as undo and redo are asked for it. */
final readonly class EditName
{
    /** @param string|null $nameBefore the plan's name before and after; null where the edit did not change it */
    public function __construct(
        public int $edit,
        public string $label,
        public ?string $nameBefore,
        public ?string $nameAfter,
    ) {}

    /** @return array{edit: int, label: string} */
    public function toJson(): array
    {
        return ['edit' => $this->edit, 'label' => $this->label];
    }
}
