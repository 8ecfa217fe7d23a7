<?php

declare(strict_types=1);

namespace Meandros\Core\Ringing;

/** Each member's phones ring for so many seconds, or until all of them have refused; then the next member's. */
final readonly class OneAfterTheOther implements Pattern
{
    public function __construct(private int $memberSeconds, private Order $order = new TeamOrder())
    {
    }

    public function alerts(array $members, int $seconds, \Closure $silentAfter): array
    {
        $alerts = [];
        $from = 0;
        foreach ($this->order->of($members) as $member) {
            $turn = $member->seconds ?? $this->memberSeconds;
            $until = min($from + min($turn, $silentAfter($member) ?? $turn, $member->stagesEnd() ?? $turn), $seconds);
            if ($from >= $seconds) {
                break;
            }
            array_push($alerts, ...$member->alerts($from, min($from + $turn, $seconds), $silentAfter));
            $from = $until;
        }

        return $alerts;
    }
}
