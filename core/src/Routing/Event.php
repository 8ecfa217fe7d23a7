<?php

declare(strict_types=1);

namespace Meandros\Core\Routing;

use Meandros\Core\Routing\Happening\Happening;

/** Something that happens in a call, at a second counted from its start, in a step. */
final readonly class Event
{
    public function __construct(
        public int $second,
        public ?string $journey,
        public ?string $step,
        public Happening $happening,
        public Shown $shown,
    ) {}
}
