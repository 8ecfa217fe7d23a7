<?php

declare(strict_types=1);

namespace Meandros\Core\Wording;

use Meandros\Core\Proof\Change;
use Meandros\Core\Proof\Times;

/** What another plan changes for the calls to one number, as JSON: the data, and beside it the words. */
final class ImpactReport
{
    /**
     * @param list<Change> $changes
     * @param int          $from    first instant of the stretch that was looked at
     * @param int          $until   first instant after it
     *
     * @return list<array{severity: string, when: string, what: string, first: int, seconds: int, intervals: int}>
     */
    public static function of(array $changes, CourseWords $words, int $from, int $until, string $zone): array
    {
        return array_map(
            static fn(Change $change): array => [
                'severity' => $change->severity->value,
                'when' => TimesWords::of(Times::of($change->intervals, $from, $until, $zone)),
                'what' => $words->change($change),
                'first' => $change->intervals[0][0],
                'seconds' => $change->seconds,
                'intervals' => \count($change->intervals),
            ],
            $changes,
        );
    }
}
