<?php

declare(strict_types=1);

namespace Meandros\Core\Routing;

use Meandros\Core\Plan\Element\LengthFrom;

/** A prompt as a caller hears it. */
final readonly class Heard
{
    public function __construct(
        public ?string $prompt,
        public string $language,
        public int $seconds,
        public LengthFrom $from = LengthFrom::Words,
    ) {}
}
