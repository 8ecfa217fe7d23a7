<?php

declare(strict_types=1);

namespace Meandros\Core\Routing\Lookup;

use Meandros\Core\Plan\Element\Hours;
use Meandros\Core\Plan\PlanHours;
use Meandros\Core\Time\Reading;

/** The state of hours at a second of the call. */
final readonly class HoursLookup implements Lookup
{
    public function __construct(public Hours $hours, private int $second) {}

    public function at(int $instant, PlanHours $hours): Found
    {
        return $this->found($hours->read($this->hours, $instant + $this->second));
    }

    /** What this reading says of calls. */
    public function found(Reading $reading): Found
    {
        return new Found(
            $reading->state,
            null === $reading->since ? null : $reading->since - $this->second,
            null === $reading->until ? null : $reading->until - $this->second,
        );
    }
}
