<?php

declare(strict_types=1);

namespace Meandros\Core\Time;

/** Dates in which hours follow a week of their own. */
final readonly class Season
{
    /** @param array<int, list<Band>> $week by weekday, 0 for Monday */
    public function __construct(public string $name, public DateSpan $span, public array $week) {}
}
