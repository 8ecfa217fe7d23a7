<?php

declare(strict_types=1);

namespace Meandros\Core\Time;

/** Who forced hours into a state, and why. */
final readonly class ForcedBy
{
    public function __construct(public string $who, public string $reason = '') {}
}
