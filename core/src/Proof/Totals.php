<?php

declare(strict_types=1);

namespace Meandros\Core\Proof;

use Meandros\Core\Time\CivilDate;
use Meandros\Core\Time\Zone;

/** A coverage in a few figures. */
final readonly class Totals
{
    private const WEEK = 7;

    /**
     * @param array<string, int> $seconds     of the whole stretch, by Reach
     * @param int                $usualWeek   seconds in which somebody may be reached, in the median of its whole weeks from Monday on
     * @param int                $days        whole local days
     * @param int                $daysWithout those on which nobody may be reached at any time
     */
    private function __construct(
        public array $seconds,
        public int $usualWeek,
        public int $days,
        public int $daysWithout,
    ) {}

    public static function of(Coverage $coverage, string $zoneName): self
    {
        $zone = Zone::over($zoneName, $coverage->starts[0], $coverage->until);
        $day = CivilDate::ofLocalSecond($zone->localOf($coverage->starts[0]));
        if ($zone->midnightOf($day) < $coverage->starts[0]) {
            ++$day;
        }
        $days = $weeks = [];
        $i = 0;
        for (; ($end = $zone->midnightOf($day + 1)) <= $coverage->until; ++$day) {
            $start = $zone->midnightOf($day);
            while (isset($coverage->starts[$i + 1]) && $coverage->starts[$i + 1] <= $start) {
                ++$i;
            }
            $seconds = 0;
            for ($j = $i; isset($coverage->starts[$j]) && $coverage->starts[$j] < $end; ++$j) {
                if ($coverage->courses[$j]->reach->isSomebody()) {
                    $until = $coverage->starts[$j + 1] ?? $coverage->until;
                    $seconds += min($until, $end) - max($coverage->starts[$j], $start);
                }
            }
            $days[] = $seconds;
            $weeks[$day - CivilDate::weekday($day)][] = $seconds;
        }
        $whole = array_map(
            array_sum(...),
            array_filter($weeks, static fn(array $week): bool => self::WEEK === \count($week)),
        );
        sort($whole);

        return new self(
            $coverage->seconds(),
            $whole[intdiv(\count($whole), 2)] ?? 0,
            \count($days),
            \count(array_filter($days, static fn(int $seconds): bool => 0 === $seconds)),
        );
    }

    /** @return array{seconds: array<string, int>, usualWeek: int, days: int, daysWithout: int} */
    public function toJson(): array
    {
        return [
            'seconds' => $this->seconds,
            'usualWeek' => $this->usualWeek,
            'days' => $this->days,
            'daysWithout' => $this->daysWithout,
        ];
    }
}
