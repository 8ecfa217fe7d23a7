<?php

declare(strict_types=1);

namespace Meandros\Core\Wording;

use Meandros\Core\Numbers\NumberOutcome;
use Meandros\Core\People\PersonOutcome;
use Meandros\Core\Reading\Problem;

/** What becomes of a row of a file, as it is told before anything is written. */
final class RowReport
{
    /** @return array{line: int, name: string, outcome: string, problems: list<string>} */
    public static function person(PersonOutcome $outcome): array
    {
        return [
            'line' => $outcome->row->line,
            'name' => $outcome->row->name,
            'outcome' => self::outcome(null !== $outcome->person, $outcome->known, $outcome->unchanged),
            'problems' => self::problems($outcome->problems),
        ];
    }

    /** @return array{line: int, name: string, outcome: string, problems: list<string>, makes: string|null} */
    public static function number(NumberOutcome $outcome): array
    {
        return [
            'line' => $outcome->row->line,
            'name' => trim($outcome->row->range->number . ' ' . ($outcome->number?->name() ?? $outcome->row->label)),
            'outcome' => self::outcome(null !== $outcome->number, $outcome->known, $outcome->unchanged),
            'problems' => self::problems($outcome->problems),
            'makes' => $outcome->made?->name(),
        ];
    }

    private static function outcome(bool $isTaken, bool $isKnown, bool $isUnchanged): string
    {
        return match (true) {
            !$isTaken => 'refused',
            $isUnchanged => 'unchanged',
            $isKnown => 'changed',
            default => 'added',
        };
    }

    /**
     * @param array<string, Problem> $problems by column
     *
     * @return list<string>
     */
    private static function problems(array $problems): array
    {
        return array_map(
            static fn(string $column, Problem $problem): string => $column . ': ' . ProblemWords::both($problem),
            array_keys($problems),
            array_values($problems),
        );
    }
}
