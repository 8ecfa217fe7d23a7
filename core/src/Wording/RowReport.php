<?php

declare(strict_types=1);

namespace Meandros\Core\Wording;

use Meandros\Core\Call\PhoneNumber;
use Meandros\Core\Numbers\NumberOutcome;
use Meandros\Core\Numbers\NumberTable;
use Meandros\Core\People\PeopleTable;
use Meandros\Core\People\PersonOutcome;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Reading\Problem;

/** What becomes of a row of a file, as it is told before anything is written. */
final class RowReport
{
    /** @return array{line: int, name: string, outcome: string, changes: list<string>, problems: list<string>} */
    public static function person(PersonOutcome $outcome, Plan $plan): array
    {
        [$before, $after] = [$outcome->before, $outcome->person];

        return [
            'line' => $outcome->row->line,
            'name' => $outcome->row->name,
            'outcome' => self::outcome(null !== $after, null !== $before, $outcome->unchanged),
            'changes' =>
                null === $before || null === $after
                    ? []
                    : self::changes(
                        PeopleTable::COLUMNS,
                        PeopleTable::cells($before, $plan),
                        PeopleTable::cells($after, $plan),
                    ),
            'problems' => self::problems($outcome->problems),
        ];
    }

    /** @return array{line: int, name: string, outcome: string, changes: list<string>, problems: list<string>, makes: string|null} */
    public static function number(NumberOutcome $outcome, Plan $plan): array
    {
        [$before, $after] = [$outcome->before, $outcome->number];
        $plan = null === $outcome->made ? $plan : $plan->with($outcome->made);

        return [
            'line' => $outcome->row->line,
            'name' =>
                null === $after
                    ? trim($outcome->row->range->number . ' ' . $outcome->row->label)
                    : trim(PhoneNumber::international($after->range->number) . ' ' . $after->name()),
            'outcome' => self::outcome(null !== $after, null !== $before, $outcome->unchanged),
            'changes' =>
                null === $before || null === $after
                    ? []
                    : self::changes(
                        NumberTable::COLUMNS,
                        NumberTable::cells($before, $plan),
                        NumberTable::cells($after, $plan),
                    ),
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
     * What is in a column now, and what will be.
     *
     * @param list<string> $columns
     * @param list<string> $before
     * @param list<string> $after
     *
     * @return list<string>
     */
    private static function changes(array $columns, array $before, array $after): array
    {
        $changes = [];
        foreach ($columns as $i => $column) {
            if ($before[$i] !== $after[$i]) {
                [$was, $is] = array_map(static fn(string $cell): string => '' === $cell ? 'none' : "“{$cell}”", [
                    $before[$i],
                    $after[$i],
                ]);
                $changes[] = \sprintf('%s: %s becomes %s', $column, $was, $is);
            }
        }

        return $changes;
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
