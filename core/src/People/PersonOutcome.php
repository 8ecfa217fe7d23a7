<?php

declare(strict_types=1);

namespace Meandros\Core\People;

use Meandros\Core\Plan\Element\Person;
use Meandros\Core\Reading\RowReport;

/** What becomes of one row of a file of people. */
final readonly class PersonOutcome
{
    /**
     * @param Person|null           $person   as they would be; null where the row cannot be taken
     * @param array<string, string> $problems by column
     */
    public function __construct(
        public PersonRow $row,
        public ?Person $person,
        public bool $known,
        public array $problems,
        public bool $unchanged = false,
    ) {}

    /** @return array{line: int, name: string, outcome: string, problems: list<string>} */
    public function toJson(): array
    {
        return RowReport::of(
            $this->row->line,
            $this->row->name,
            null !== $this->person,
            $this->known,
            $this->unchanged,
            $this->problems,
        );
    }
}
