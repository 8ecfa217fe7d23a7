<?php

declare(strict_types=1);

namespace Meandros\Core\Live;

use Meandros\Core\Call\Status;

/** What somebody says of themselves, perhaps until an instant (Unix seconds) from which on they are available again. */
final readonly class LiveStatus
{
    public function __construct(public Status $status, public ?int $until = null) {}
}
