<?php

declare(strict_types=1);

namespace Meandros\Core\Proof;

use Meandros\Core\Proof\Ways\Untried;

/** Where more may happen than was tried: at a step, or wherever calls are. */
final readonly class NotTried
{
    public function __construct(public Untried $why, public ?string $journey, public ?string $step) {}
}
