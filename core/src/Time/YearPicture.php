<?php

declare(strict_types=1);

namespace Meandros\Core\Time;

/** A year of hours as it is drawn: for every local date its stretches on the wall clock, and the days on which clocks change. */
final readonly class YearPicture
{
    /**
     * @param list<list<array{from: int, to: int, state: string}>>    $days         from 1 January; seconds since local midnight
     * @param list<array{at: int, day: int, before: int, after: int}> $clockChanges instants, local days and offsets in seconds
     */
    private function __construct(public int $year, public array $days, public array $clockChanges) {}

    /**
     * @param non-empty-list<int>    $starts first instants of stretches; together they cover the year
     * @param non-empty-list<string> $states
     */
    public static function draw(array $starts, array $states, string $zoneName, int $year): self
    {
        [$first, $last] = [CivilDate::of($year, 1, 1), CivilDate::of($year + 1, 1, 1)];
        $zone = self::zone($zoneName, $year);
        $days = [];
        $i = 0;
        $dayStart = $zone->instantOf($first * CivilDate::SECONDS_PER_DAY);
        for ($day = $first; $day < $last; ++$day) {
            $midnight = $day * CivilDate::SECONDS_PER_DAY;
            $dayEnd = $zone->instantOf($midnight + CivilDate::SECONDS_PER_DAY);
            $stretches = [];
            while (isset($starts[$i + 1]) && $starts[$i + 1] <= $dayStart) {
                ++$i;
            }
            for ($j = $i; isset($starts[$j]) && $starts[$j] < $dayEnd; ++$j) {
                $until = $starts[$j + 1] ?? $dayEnd;
                $from = $starts[$j] <= $dayStart ? 0 : $zone->localOf($starts[$j]) - $midnight;
                $to = $until >= $dayEnd ? TimeOfDay::DAY : $zone->localOf($until) - $midnight;
                // In the hour that happens twice a stretch may end on the clock where it began: it is too thin to draw.
                if ($from < $to) {
                    $stretches[] = ['from' => $from, 'to' => $to, 'state' => $states[$j]];
                }
            }
            $days[] = $stretches;
            $dayStart = $dayEnd;
        }

        return new self($year, $days, self::clockChanges($zone, $first, $last));
    }

    /** @return array{int, int} the first instant of a year in a zone, and the first one after it */
    public static function instants(string $zoneName, int $year): array
    {
        $zone = self::zone($zoneName, $year);

        return [$zone->midnightOf(CivilDate::of($year, 1, 1)), $zone->midnightOf(CivilDate::of($year + 1, 1, 1))];
    }

    public static function zone(string $zone, int $year): Zone
    {
        return Zone::over(
            $zone,
            CivilDate::of($year, 1, 1) * CivilDate::SECONDS_PER_DAY,
            CivilDate::of($year + 1, 1, 1) * CivilDate::SECONDS_PER_DAY,
        );
    }

    /** @return list<array{at: int, day: int, before: int, after: int}> */
    private static function clockChanges(Zone $zone, int $first, int $last): array
    {
        $changes = [];
        foreach ($zone->changes() as [$instant, $before, $after]) {
            $day = CivilDate::ofLocalSecond($instant + $before);
            if ($day >= $first && $day < $last) {
                $changes[] = ['at' => $instant, 'day' => $day, 'before' => $before, 'after' => $after];
            }
        }

        return $changes;
    }
}
