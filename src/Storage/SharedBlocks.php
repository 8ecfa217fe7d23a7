<?php

declare(strict_types=1);

namespace Meandros\Server\Storage;

use Meandros\Core\Time\BlockShelf;
use Meandros\Core\Time\CompiledHours;

/** Compiled blocks of hours in shared memory, under a name that says all that they were compiled from. */
final readonly class SharedBlocks implements BlockShelf
{
    public function __construct(private SharedMemory $memory, private string $name) {}

    public function find(string $block): ?CompiledHours
    {
        $kept = $this->memory->get($this->name . ' ' . $block);

        return $kept instanceof CompiledHours ? $kept : null;
    }

    public function keep(string $block, CompiledHours $compiled): void
    {
        $this->memory->keep($this->name . ' ' . $block, $compiled);
    }
}
