<?php

declare(strict_types=1);

namespace Meandros\Server\Storage;

/** So many elements of one kind are added, changed or removed. */
final readonly class DifferingCount
{
    public function __construct(public string $kind, public string $what, public int $count) {}
}
