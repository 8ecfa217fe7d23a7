<?php

declare(strict_types=1);

namespace Meandros\Core\People;

use Meandros\Core\Plan\Element\Person;

/** What becomes of one row of a file of people. */
final readonly class PersonOutcome
{
    /**
     * @param Person|null           $person   as they would be; null where the row cannot be taken
     * @param array<string, string> $problems by column
     */
    public function __construct(public PersonRow $row, public ?Person $person, public bool $known, public array $problems, public bool $unchanged = false)
    {
    }

    /** @return array{line: int, name: string, outcome: string, problems: list<string>} */
    public function toJson(): array
    {
        $problems = [];
        foreach ($this->problems as $column => $problem) {
            $problems[] = $column.': '.$problem;
        }

        return [
            'line' => $this->row->line,
            'name' => $this->row->name,
            'outcome' => match (true) {
                null === $this->person => 'refused',
                $this->unchanged => 'unchanged',
                $this->known => 'changed',
                default => 'added',
            },
            'problems' => $problems,
        ];
    }
}
