<?php

declare(strict_types=1);

namespace Meandros\Server\Storage;

use Meandros\Core\Live\LiveState;
use Meandros\Server\Now;

/** Everything that is not plan and takes effect at once. */
final readonly class Live
{
    public function __construct(private Overrides $overrides, private Statuses $statuses, private Now $now)
    {
    }

    public function state(): LiveState
    {
        return new LiveState($this->overrides->forced(), $this->statuses->now($this->now->second()));
    }
}
