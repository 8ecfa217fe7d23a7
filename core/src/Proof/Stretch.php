<?php

declare(strict_types=1);

namespace Meandros\Core\Proof;

/** A stretch of instants (Unix seconds) at which calls take the same course. */
final readonly class Stretch
{
    /**
     * @param int|null $since first instant; null for as long ago as is looked
     * @param int|null $until first instant after it; null for as far ahead as is looked
     */
    public function __construct(public ?int $since, public ?int $until, public Course $course) {}
}
