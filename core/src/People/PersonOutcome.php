<?php

declare(strict_types=1);

namespace Meandros\Core\People;

use Meandros\Core\Plan\Element\Person;
use Meandros\Core\Reading\Problem;

/** What becomes of one row of a file of people. */
final readonly class PersonOutcome
{
    /**
     * @param Person|null            $person   as they would be; null where the row cannot be taken
     * @param Person|null            $before   as they are; null where they are new, or the row cannot be taken
     * @param array<string, Problem> $problems by column
     */
    public function __construct(
        public PersonRow $row,
        public ?Person $person,
        public ?Person $before,
        public array $problems,
        public bool $unchanged = false,
    ) {}
}
