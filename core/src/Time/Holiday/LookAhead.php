<?php

declare(strict_types=1);

namespace Meandros\Core\Time\Holiday;

use Meandros\Core\Time\CivilDate;

/** What a holiday calendar will do in the months to come, and where somebody has to see to it. */
final readonly class LookAhead
{
    /**
     * @param list<Occasion> $occasions
     * @param list<int>      $emptyYears years in view that have no holiday at all
     * @param list<Holiday>  $passed     dated entries that will never come again
     */
    private function __construct(public array $occasions, public array $emptyYears, public array $passed) {}

    /** @param int $until first day that is not looked at any more */
    public static function over(Holidays $holidays, int $today, int $until): self
    {
        $empty = [];
        for ($year = CivilDate::year($today); $year <= CivilDate::year($until); ++$year) {
            $from = max($today, CivilDate::of($year, 1, 1));
            // A stretch of a few weeks may well have no holiday.
            $enough = min($until, CivilDate::of($year + 1, 1, 1)) - $from > 180;
            if ($enough && [] === $holidays->between($from, CivilDate::of($year + 1, 1, 1))) {
                $empty[] = $year;
            }
        }
        $passed = array_filter($holidays->entries, static fn(Holiday $holiday): bool => self::isOver($holiday, $today));

        return new self($holidays->between($today, $until), $empty, array_values($passed));
    }

    public static function isOver(Holiday $holiday, int $today): bool
    {
        $last = $holiday->rule->lastDay();
        $lastYear = $holiday->years->to;

        return (null !== $last && $last < $today) || (null !== $lastYear && $lastYear < CivilDate::year($today));
    }
}
