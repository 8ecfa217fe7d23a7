<?php

declare(strict_types=1);

namespace Meandros\Core\Numbers;

/** A row of a file of numbers, as it stands there. */
final readonly class NumberRow
{
    /** @param string|null $target null where the file has no such column */
    public function __construct(
        public int $line,
        public RowRange $range,
        public string $label,
        public string $site,
        public string $language,
        public ?string $target,
    ) {}
}
