<?php

declare(strict_types=1);

namespace Meandros\Core\Reading;

/** What becomes of a row of a file, as it is told before anything is written. */
final class RowReport
{
    /**
     * @param array<string, string> $problems by column
     *
     * @return array{line: int, name: string, outcome: string, problems: list<string>}
     */
    public static function of(
        int $line,
        string $name,
        bool $isTaken,
        bool $isKnown,
        bool $isUnchanged,
        array $problems,
    ): array {
        $outcome = match (true) {
            !$isTaken => 'refused',
            $isUnchanged => 'unchanged',
            $isKnown => 'changed',
            default => 'added',
        };

        return [
            'line' => $line,
            'name' => $name,
            'outcome' => $outcome,
            'problems' => array_map(
                static fn(string $column, string $problem): string => $column . ': ' . $problem,
                array_keys($problems),
                array_values($problems),
            ),
        ];
    }
}
