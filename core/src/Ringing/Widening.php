<?php

declare(strict_types=1);

namespace Meandros\Core\Ringing;

/** The first tier rings from the start; each further tier joins after so many seconds, and all go on ringing. */
final readonly class Widening implements Pattern
{
    public function __construct(private int $widenSeconds)
    {
    }

    public function alerts(array $members, int $seconds, \Closure $silentAfter): array
    {
        $alerts = [];
        foreach ($members as $member) {
            $from = ($member->tier - 1) * $this->widenSeconds;
            $until = min($seconds, null === $member->seconds ? $seconds : $from + $member->seconds);
            if ($from < $until) {
                array_push($alerts, ...$member->alerts($from, $until, $silentAfter));
            }
        }

        return $alerts;
    }
}
