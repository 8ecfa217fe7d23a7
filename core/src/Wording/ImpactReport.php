<?php

declare(strict_types=1);

namespace Meandros\Core\Wording;

use Meandros\Core\Proof\Change;
use Meandros\Core\Proof\Rung;
use Meandros\Core\Proof\Times;
use Meandros\Core\Time\Moment;

/** What another plan changes for the calls to one number, as JSON: the data, and beside it the words. Changes that read the same are one. */
final class ImpactReport
{
    /**
     * @param list<Change> $changes the worst first
     * @param int          $from    first instant of the stretch that was looked at
     * @param int          $until   first instant after it
     *
     * @return list<array{severity: string, when: string, what: string, first: string, seconds: int, intervals: int}>
     */
    public static function of(array $changes, CourseWords $words, int $from, int $until, string $zone): array
    {
        $intervals = [];
        foreach ($changes as $change) {
            $key = $change->severity->value . "\n" . $words->change($change);
            $intervals[$key] = [...$intervals[$key] ?? [], ...$change->intervals];
        }
        $report = [];
        foreach ($intervals as $key => $times) {
            [$severity, $what] = explode("\n", $key, 2);
            $times = Rung::union($times) ?: $times;
            $report[] = [
                'severity' => $severity,
                'when' => TimesWords::of(Times::of($times, $from, $until, $zone)),
                'what' => $what,
                'first' => Moment::format($times[0][0], $zone),
                'seconds' => array_sum(array_map(static fn(array $one): int => $one[1] - $one[0], $times)),
                'intervals' => \count($times),
            ];
        }

        return $report;
    }
}
