<?php

declare(strict_types=1);

namespace Meandros\Core\Tests;

use Meandros\Core\Time\BlockShelf;
use Meandros\Core\Time\CompiledHours;

/** Compiled hours that are put by, as an application puts them by: for whoever asks for the same hours again. */
final class KeptBlocks implements BlockShelf
{
    /** @var \ArrayObject<string, CompiledHours> by hours and block */
    private \ArrayObject $kept;
    private string $hours = '';

    public function __construct()
    {
        $this->kept = new \ArrayObject();
    }

    public function for(string $hours): self
    {
        $one = clone $this;
        $one->hours = $hours;

        return $one;
    }

    public function find(string $block): ?CompiledHours
    {
        return $this->kept[$this->hours . ' ' . $block] ?? null;
    }

    public function keep(string $block, CompiledHours $compiled): void
    {
        $this->kept[$this->hours . ' ' . $block] = $compiled;
    }
}
