<?php

declare(strict_types=1);

namespace Meandros\Core\Numbers;

use Meandros\Core\Plan\Element\Journey;
use Meandros\Core\Plan\Element\Number;

/** What becomes of one row of a file of numbers. */
final readonly class NumberOutcome
{
    /**
     * @param Number|null           $number   as it would be; null where the row cannot be taken
     * @param array<string, string> $problems by column
     * @param Journey|null          $made     a journey that is made for it, since nothing has that name yet
     */
    public function __construct(public NumberRow $row, public ?Number $number, public bool $known, public array $problems = [], public bool $unchanged = false, public ?Journey $made = null)
    {
    }

    /** @return array{line: int, name: string, outcome: string, problems: list<string>, makes: string|null} */
    public function toJson(): array
    {
        $problems = [];
        foreach ($this->problems as $column => $problem) {
            $problems[] = $column.': '.$problem;
        }

        return [
            'line' => $this->row->line,
            'name' => trim($this->row->number.' '.($this->number?->name() ?? $this->row->label)),
            'outcome' => match (true) {
                null === $this->number => 'refused',
                $this->unchanged => 'unchanged',
                $this->known => 'changed',
                default => 'added',
            },
            'problems' => $problems,
            'makes' => $this->made?->name(),
        ];
    }
}
