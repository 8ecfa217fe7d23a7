<?php

declare(strict_types=1);

namespace Meandros\Core\Routing\Lookup;

use Meandros\Core\Plan\PlanHours;

/** Whether an instant has passed at a second of the call. */
final readonly class InstantLookup implements Lookup
{
    public const PASSED = 'passed';
    public const TO_COME = 'to come';

    /** @param int $passes Unix seconds */
    public function __construct(public int $passes, private int $second) {}

    public function at(int $instant, PlanHours $hours): Found
    {
        $edge = $this->passes - $this->second;

        return $instant >= $edge ? new Found(self::PASSED, $edge, null) : new Found(self::TO_COME, null, $edge);
    }
}
