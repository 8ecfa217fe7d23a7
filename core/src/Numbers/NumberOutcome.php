<?php

declare(strict_types=1);

namespace Meandros\Core\Numbers;

use Meandros\Core\Plan\Element\Journey;
use Meandros\Core\Plan\Element\Number;
use Meandros\Core\Reading\RowReport;

/** What becomes of one row of a file of numbers. */
final readonly class NumberOutcome
{
    /**
     * @param Number|null           $number   as it would be; null where the row cannot be taken
     * @param array<string, string> $problems by column
     * @param Journey|null          $made     a journey that is made for it, since nothing has that name yet
     */
    public function __construct(
        public NumberRow $row,
        public ?Number $number,
        public bool $known,
        public array $problems = [],
        public bool $unchanged = false,
        public ?Journey $made = null,
    ) {}

    /** @return array{line: int, name: string, outcome: string, problems: list<string>, makes: string|null} */
    public function toJson(): array
    {
        return RowReport::of(
            $this->row->line,
            trim($this->row->number . ' ' . ($this->number?->name() ?? $this->row->label)),
            null !== $this->number,
            $this->known,
            $this->unchanged,
            $this->problems,
        ) + ['makes' => $this->made?->name()];
    }
}
