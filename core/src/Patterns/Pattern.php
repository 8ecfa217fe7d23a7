<?php

declare(strict_types=1);

namespace Meandros\Core\Patterns;

use Meandros\Core\Plan\Plan;

/** A way in which many journeys begin. What it makes is an ordinary journey afterwards. */
interface Pattern
{
    /** @return non-empty-list<Ask> */
    public function asks(): array;

    /**
     * @param array<string, string> $answers ids of elements, by what they are asked for; optional ones may be missing
     *
     * @return list<array<string, mixed>> steps as in a plan, without ids
     */
    public function steps(Plan $plan, array $answers): array;
}
