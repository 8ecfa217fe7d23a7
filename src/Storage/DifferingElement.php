<?php

declare(strict_types=1);

namespace Meandros\Server\Storage;

/** An element that is added, changed or removed; and why it was as it was, where somebody said so. */
final readonly class DifferingElement
{
    public function __construct(
        public string $id,
        public string $kind,
        public string $name,
        public string $what,
        public ?string $why,
    ) {}
}
