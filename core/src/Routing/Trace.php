<?php

declare(strict_types=1);

namespace Meandros\Core\Routing;

use Meandros\Core\Call\TrialCall;
use Meandros\Core\Ringing\Rung;

/** What happens to a trial call, and for how long a call would fare the same. */
final readonly class Trace
{
    public function __construct(
        public TrialCall $call,
        public Passage $passage,
        public Ending $ending,
        public int $seconds,
        public Shown $shown,
        public Holds $holds,
    ) {}

    /** Equal for two traces exactly when the caller and everybody who could answer notice no difference. */
    public function signature(): string
    {
        $noticed = [];
        foreach ($this->passage->events as $event) {
            $what = $event->happening->noticed();
            if ([] !== $what) {
                $noticed[] = [$event->second, $event->happening->kind(), $what];
            }
        }

        return serialize([
            $this->shown->label,
            $this->shown->tone,
            $this->shown->note,
            $this->seconds,
            $noticed,
            array_map(static fn(Rung $rung): array => $rung->toJson(), $this->passage->rung),
        ]);
    }
}
