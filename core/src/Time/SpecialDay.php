<?php

declare(strict_types=1);

namespace Meandros\Core\Time;

/** One date on which hours follow other bands. Where no band covers it, the hours' default state holds. */
final readonly class SpecialDay
{
    /**
     * @param int        $day   days since 1970-01-01
     * @param list<Band> $bands
     */
    public function __construct(public int $day, public string $name, public array $bands) {}
}
