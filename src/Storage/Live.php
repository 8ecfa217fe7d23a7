<?php

declare(strict_types=1);

namespace Meandros\Server\Storage;

use Meandros\Core\Live\LiveState;
use Meandros\Core\Plan\Plan;
use Meandros\Server\Now;

/** Everything that is not plan and takes effect at once. */
final readonly class Live
{
    public function __construct(private Overrides $overrides, private Statuses $statuses, private SignIns $signIns, private Now $now)
    {
    }

    /** @param int|null $instant of the call (Unix seconds): what was over long before is left out; null for all of it */
    public function state(Plan $plan, ?int $instant = null): LiveState
    {
        return new LiveState($this->overrides->forced($plan, $instant), $this->statuses->now($this->now->second()), $this->signIns->now());
    }
}
