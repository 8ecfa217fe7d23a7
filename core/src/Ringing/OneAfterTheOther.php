<?php

declare(strict_types=1);

namespace Meandros\Core\Ringing;

/** Each member's phones ring for so many seconds, then the next member's, until the time is up. */
final readonly class OneAfterTheOther implements Pattern
{
    public function __construct(private int $memberSeconds)
    {
    }

    public function alerts(array $members, int $seconds): array
    {
        $alerts = [];
        $from = 0;
        foreach ($members as $phones) {
            $until = min($from + $this->memberSeconds, $seconds);
            if ($from >= $until) {
                break;
            }
            foreach ($phones as $phone) {
                $alerts[] = new Alert($phone, $from, $until);
            }
            $from = $until;
        }

        return $alerts;
    }
}
