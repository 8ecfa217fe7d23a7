<?php

declare(strict_types=1);

namespace Meandros\Core\Proof;

use Meandros\Core\Time\CivilDate;
use Meandros\Core\Time\Weekday;
use Meandros\Core\Time\Zone;
use Meandros\Core\Value\Lists;

/** Many intervals as people say them: always, every week at the same times, and on single days. */
final readonly class Times
{
    /** Of the weeks there are: what comes that often is said of every week. */
    private const MOST_WEEKS = 0.75;
    private const FEWEST_WEEKS = 3;
    /** Weekdays that begin and end so near to each other have the same season. */
    private const TOGETHER_DAYS = 14;
    /** So near to the ends of the stretch a season is none: a holiday may lie there. */
    private const NEAR_DAYS = 21;

    /**
     * @param bool         $always throughout
     * @param list<Weekly> $weekly
     * @param list<int>    $days   days since 1970 on which the others begin, each once
     */
    private function __construct(public bool $always, public array $weekly, public array $days) {}

    /**
     * @param non-empty-list<array{int, int}> $intervals in order, within the stretch
     * @param int                             $from      first instant of the stretch
     * @param int                             $until     first instant after it
     */
    public static function of(array $intervals, int $from, int $until, string $zoneName): self
    {
        if ([[$from, $until]] === $intervals) {
            return new self(true, [], []);
        }
        $zone = Zone::over($zoneName, $from, $until);
        $byShape = $cut = [];
        foreach ($intervals as [$since, $ends]) {
            $local = $zone->localOf($since);
            $day = CivilDate::ofLocalSecond($local);
            $localEnd = $zone->localOf($ends);
            $later = CivilDate::ofLocalSecond($localEnd - 1) - $day;
            $to = $localEnd - ($day + $later) * CivilDate::SECONDS_PER_DAY;
            if ($since === $from || $ends === $until) {
                $cut[] = [$local, $localEnd, $since > $from, $ends < $until];
                continue;
            }
            $byShape[self::shape($local - $day * CivilDate::SECONDS_PER_DAY, $later, $to)][] = $day;
        }
        $weekly = $days = [];
        foreach ($cut as $one) {
            $whole = self::whole($byShape, ...$one);
            if (null === $whole) {
                $days[] = CivilDate::ofLocalSecond($one[0]);
            } else {
                $byShape[$whole[0]][] = $whole[1];
            }
        }
        foreach ($byShape as $shape => $begin) {
            sort($begin);
            $byShape[$shape] = $begin;
        }
        $first = CivilDate::ofLocalSecond($zone->localOf($from));
        $last = CivilDate::ofLocalSecond($zone->localOf($until - 1));
        foreach ($byShape as $shape => $begin) {
            [$usual, $others] = self::everyWeek($begin, $first, $last);
            array_push($days, ...$others);
            array_push($weekly, ...self::inSeasons($shape, $usual));
        }
        $place = static fn(Weekly $one): array => [$one->season[0] ?? 0, $one->days[0]->index(), $one->from];
        usort($weekly, static fn(Weekly $a, Weekly $b): int => $place($a) <=> $place($b));
        sort($days);

        return new self(false, $weekly, array_values(array_unique($days)));
    }

    private static function shape(int $from, int $later, int $to): string
    {
        return \sprintf('%d %d %d', $from, $later, $to);
    }

    /**
     * An interval that the stretch cuts off is one of those of the same weekday that begin, or end, as it does.
     *
     * @param array<string, list<int>> $byShape the days on which whole ones begin
     *
     * @return array{string, int}|null its shape, and the day on which it begins; null where it is none of them
     */
    private static function whole(array $byShape, int $local, int $localEnd, bool $begins, bool $ends): ?array
    {
        $first = CivilDate::ofLocalSecond($local);
        $last = CivilDate::ofLocalSecond($localEnd - 1);
        foreach ($byShape as $shape => $days) {
            [$from, $later, $to] = array_map(intval(...), explode(' ', $shape));
            $day = $begins ? $first : $last - $later;
            $isSame =
                (!$begins || $day * CivilDate::SECONDS_PER_DAY + $from === $local) &&
                (!$ends || ($day + $later) * CivilDate::SECONDS_PER_DAY + $to === $localEnd) &&
                $day * CivilDate::SECONDS_PER_DAY + $from <= $local &&
                ($day + $later) * CivilDate::SECONDS_PER_DAY + $to >= $localEnd;
            if ($isSame && Lists::has(array_map(static fn(int $one): int => $one % 7, $days), $day % 7)) {
                return [$shape, $day];
            }
        }

        return null;
    }

    /**
     * @param list<int> $days on which intervals of one shape begin
     *
     * @return array{list<array{Weekday, int, bool, int, int}>, list<int>} weekdays of most weeks: how many, whether throughout, the first and the last one; and the other days
     */
    private static function everyWeek(array $days, int $first, int $last): array
    {
        $usual = $others = [];
        foreach (Weekday::cases() as $place => $weekday) {
            $these = array_filter($days, static fn(int $day): bool => CivilDate::weekday($day) === $place);
            foreach (self::runs(array_values($these)) as $run) {
                $count = \count($run);
                [$begins, $ends] = [$run[0], $run[$count - 1] ?? $run[0]];
                if ($count >= max(self::FEWEST_WEEKS, self::MOST_WEEKS * (intdiv($ends - $begins, 7) + 1))) {
                    $isThroughout = $begins - $first < self::NEAR_DAYS && $last - $ends < self::NEAR_DAYS;
                    $usual[] = [$weekday, $count, $isThroughout, $begins, $ends];
                } else {
                    array_push($others, ...$run);
                }
            }
        }

        return [$usual, $others];
    }

    /**
     * Weekdays that come together are said together.
     *
     * @param list<array{Weekday, int, bool, int, int}> $usual
     *
     * @return list<Weekly>
     */
    private static function inSeasons(string $shape, array $usual): array
    {
        [$from, $later, $to] = array_map(intval(...), explode(' ', $shape));
        $seasons = [];
        foreach ($usual as $one) {
            foreach ($seasons as $i => [$other]) {
                if (
                    $one[2] === $other[2] &&
                    ($one[2] ||
                        (abs($one[3] - $other[3]) < self::TOGETHER_DAYS &&
                            abs($one[4] - $other[4]) < self::TOGETHER_DAYS))
                ) {
                    $seasons[$i][] = $one;
                    continue 2;
                }
            }
            $seasons[] = [$one];
        }

        return array_map(
            static fn(array $season): Weekly => new Weekly(
                array_column($season, 0),
                $from,
                $later,
                $to,
                array_sum(array_column($season, 1)),
                $season[0][2] ? null : [min(array_column($season, 3)), max(array_column($season, 4))],
            ),
            array_values($seasons),
        );
    }

    /**
     * @param list<int> $days in order
     *
     * @return list<non-empty-list<int>> days between which there are no more than a few weeks
     */
    private static function runs(array $days): array
    {
        $runs = [];
        $run = [];
        foreach ($days as $i => $day) {
            if ([] !== $run && $day - $days[$i - 1] > self::NEAR_DAYS) {
                $runs[] = $run;
                $run = [];
            }
            $run[] = $day;
        }

        return [] === $run ? $runs : [...$runs, $run];
    }
}
