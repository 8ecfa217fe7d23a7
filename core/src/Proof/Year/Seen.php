<?php

declare(strict_types=1);

namespace Meandros\Core\Proof\Year;

use Meandros\Core\Call\Caller;
use Meandros\Core\Plan\Element\Number;
use Meandros\Core\Proof\Course;

/** How calls fare for one combination of what they look up: from a caller who stands for others, with some keys pressed. */
final readonly class Seen
{
    /** @param list<string> $keys */
    public function __construct(
        public Number $number,
        public Caller $caller,
        public array $keys,
        public Course $course,
    ) {}

    /** Unix seconds at which such a call comes in. */
    public function instant(): int
    {
        return $this->course->trace->call->instant;
    }
}
