<?php

declare(strict_types=1);

namespace Meandros\Core\Paper;

use Meandros\Core\Proof\Coverage;
use Meandros\Core\Proof\Reach;
use Meandros\Core\Time\Stretches;
use Meandros\Core\Time\Zone;

/** A week as a picture in black and white: for each day what takes the calls, and when. */
final readonly class WeekPicture
{
    /** @param list<list<array{int, int, Reach}>> $days from Monday on: stretches in seconds since midnight */
    private function __construct(public array $days) {}

    /** @param int $day of the Monday, days since 1970-01-01; the whole week lies within the coverage */
    public static function of(Coverage $coverage, int $day, string $zoneName): self
    {
        $zone = Zone::over($zoneName, $coverage->starts[0], $coverage->until);
        $days = [];
        for ($i = 0; $i < 7; ++$i) {
            [$start, $end] = [$zone->midnightOf($day + $i), $zone->midnightOf($day + $i + 1)];
            $stretches = [];
            for ($at = $start; $at < $end; $at = $until) {
                $reach = $coverage->at($at)->reach;
                $until = self::endOf($coverage, $at, $end);
                $last = \count($stretches) - 1;
                if ($last >= 0 && $stretches[$last][2] === $reach) {
                    $stretches[$last][1] = $until - $start;
                } else {
                    $stretches[] = [$at - $start, $until - $start, $reach];
                }
            }
            $days[] = $stretches;
        }

        return new self($days);
    }

    /** Of the interval of the coverage. */
    private static function endOf(Coverage $coverage, int $at, int $end): int
    {
        return min($end, $coverage->starts[Stretches::search($coverage->starts, $at) + 1] ?? $coverage->until);
    }

    /** @return list<Reach> those that there are, in their order */
    public function reaches(): array
    {
        $found = [];
        foreach ($this->days as $stretches) {
            foreach ($stretches as [, , $reach]) {
                $found[$reach->value] = true;
            }
        }

        return array_values(array_filter(Reach::cases(), static fn(Reach $one): bool => isset($found[$one->value])));
    }
}
