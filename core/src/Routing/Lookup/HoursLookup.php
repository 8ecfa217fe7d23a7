<?php

declare(strict_types=1);

namespace Meandros\Core\Routing\Lookup;

use Meandros\Core\Plan\Element\Hours;
use Meandros\Core\Plan\PlanHours;

/** The state of hours at a second of the call. */
final readonly class HoursLookup implements Lookup
{
    public function __construct(public Hours $hours, private int $second) {}

    public function at(int $instant, PlanHours $hours): Found
    {
        return $this->found(...$hours->held($this->hours, $instant + $this->second));
    }

    /** What hours say of calls that are in a state since and until these instants. */
    public function found(string $state, ?int $since, ?int $until): Found
    {
        return new Found(
            $state,
            null === $since ? null : $since - $this->second,
            null === $until ? null : $until - $this->second,
        );
    }
}
