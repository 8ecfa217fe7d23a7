<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\ICalendar;

use Meandros\Core\ICalendar\Effort;
use Meandros\Core\ICalendar\Recurrence;
use Meandros\Core\ICalendar\RecurrenceRule;
use Meandros\Core\Tests\PythonReference;
use PHPUnit\Framework\TestCase;

/** Random RRULEs beside python-dateutil's rrule, which implements RFC 5545 independently. */
final class RecurrenceReferenceTest extends TestCase
{
    private const DAYS = ['MO', 'TU', 'WE', 'TH', 'FR', 'SA', 'SU'];

    public function testRandomRulesAgree(): void
    {
        mt_srand(5545);
        $cases = [];
        for ($i = 0; $i < 300; ++$i) {
            $start = 1_700_000_000 + mt_rand(0, 90_000_000);
            $cases[] = [gmdate('Y-m-d\TH:i:s', $start), self::rule(), gmdate('Y-m-d\TH:i:s', $start + 6 * 366 * 86400)];
        }
        $theirs = PythonReference::ask(__DIR__ . '/rrule_reference.py', $cases);
        $named = 0;
        foreach ($cases as $i => [$start, $rule, $until]) {
            $first = (int) strtotime($start . 'Z');
            $ours = \array_slice(
                Recurrence::of(RecurrenceRule::parse($rule), $first, new Effort())->occurrences(
                    null,
                    (int) strtotime($until . 'Z'),
                    31,
                ),
                1,
                30,
            );
            self::assertSame(
                $theirs[$i],
                array_map(static fn(int $local): string => gmdate('Y-m-d\TH:i:s', $local), $ours),
                "$start $rule",
            );
            $named += \count($ours);
        }
        self::assertGreaterThan(3000, $named, 'Most rules must name something.');
    }

    private static function rule(): string
    {
        $frequency = ['YEARLY', 'MONTHLY', 'WEEKLY', 'DAILY', 'HOURLY'][mt_rand(0, 4)];
        $parts = ['FREQ=' . $frequency, 'INTERVAL=' . mt_rand(1, 4), 'WKST=' . self::DAYS[mt_rand(0, 1) * 6]];
        $some = static fn(int $least, int $most, int $count): string => implode(
            ',',
            array_unique(array_map(static fn(): int => mt_rand($least, $most), range(1, $count))),
        );
        if (0 === mt_rand(0, 2)) {
            $parts[] = 'BYMONTH=' . $some(1, 12, 2);
        }
        if (0 === mt_rand(0, 2) && 'WEEKLY' !== $frequency) {
            $parts[] = 'BYMONTHDAY=' . (0 === mt_rand(0, 1) ? $some(1, 28, 3) : $some(-28, -1, 2));
        }
        if (0 === mt_rand(0, 1)) {
            $nth = 'MONTHLY' === $frequency && 0 === mt_rand(0, 1) ? (string) [1, 2, -1, -2][mt_rand(0, 3)] : '';
            $parts[] =
                'BYDAY=' .
                $nth .
                self::DAYS[mt_rand(0, 6)] .
                (0 === mt_rand(0, 1) ? ',' . $nth . self::DAYS[mt_rand(0, 6)] : '');
        } elseif ('YEARLY' === $frequency && 0 === mt_rand(0, 2)) {
            $parts[] = 'BYYEARDAY=' . $some(1, 365, 2);
        }
        if (0 === mt_rand(0, 2) && 'HOURLY' !== $frequency) {
            $parts[] = 'BYHOUR=' . $some(0, 23, 2);
        }
        // Not for weeks: dateutil counts BYSETPOS in the first week from the start of the event, we from the start of
        // the week, since RFC 5545 3.3.10 counts within the whole set of one interval.
        if (0 === mt_rand(0, 3) && \in_array($frequency, ['YEARLY', 'MONTHLY'], true)) {
            $parts[] = 'BYSETPOS=' . [1, 2, -1][mt_rand(0, 2)];
        }

        return implode(';', $parts);
    }
}
