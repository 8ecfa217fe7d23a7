<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Copy;

/** What the copy of an element is called, in the plan and by people. */
final readonly class Copy
{
    public function __construct(public string $id, public string $name) {}
}
