<?php

declare(strict_types=1);

namespace Meandros\Core\Time;

/** Where compiled blocks of one timetable are put by, for whoever reads the same hours later. */
interface BlockShelf
{
    /** @param string $block its length and place */
    public function find(string $block): ?CompiledHours;

    public function keep(string $block, CompiledHours $compiled): void;
}
