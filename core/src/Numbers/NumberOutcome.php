<?php

declare(strict_types=1);

namespace Meandros\Core\Numbers;

use Meandros\Core\Plan\Element\Journey;
use Meandros\Core\Plan\Element\Number;
use Meandros\Core\Reading\Problem;

/** What becomes of one row of a file of numbers. */
final readonly class NumberOutcome
{
    /**
     * @param Number|null            $number   as it would be; null where the row cannot be taken
     * @param Number|null            $before   as it is; null where it is new, or the row cannot be taken
     * @param array<string, Problem> $problems by column
     * @param Journey|null           $made     a journey that is made for it, since nothing has that name yet
     */
    public function __construct(
        public NumberRow $row,
        public ?Number $number,
        public ?Number $before,
        public array $problems,
        public bool $unchanged = false,
        public ?Journey $made = null,
    ) {}
}
