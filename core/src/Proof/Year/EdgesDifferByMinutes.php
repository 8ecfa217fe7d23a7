<?php

declare(strict_types=1);

namespace Meandros\Core\Proof\Year;

use Meandros\Core\Check\Finding;
use Meandros\Core\Plan\Element\Hours;
use Meandros\Core\Proof\Fares\Fares;
use Meandros\Core\Time\TimeOfDay;

/** Two hours of a site begin or end within minutes of one another on the same day: 16:59 and 17:00. One of them is likely a slip. */
final class EdgesDifferByMinutes implements HoursCheck
{
    /** Seconds that are nobody's intention (common practice: bands begin and end at five minutes). */
    private const NEAR = 240;

    public function found(Fares $fares): iterable
    {
        /** @var array<string, array<int, Hours>> $edges by site and weekday: the first hours with an edge there, by second */
        $edges = [];
        $all = $fares->plan->all(Hours::class);
        foreach ($all as $hours) {
            foreach (self::edges($hours) as $day => $seconds) {
                foreach (array_keys($seconds) as $second) {
                    $edges[$hours->clock->site . ' ' . $day][$second] ??= $hours;
                }
            }
        }
        foreach ($all as $hours) {
            foreach (self::edges($hours) as $day => $seconds) {
                foreach ($seconds as $second => $pointer) {
                    $other = self::near($second, $edges[$hours->clock->site . ' ' . $day]);
                    if (null !== $other) {
                        yield Finding::warning($hours, $pointer, 'edges-differ-by-minutes', [
                            'at' => TimeOfDay::format($second),
                            'other' => TimeOfDay::format($other[0]),
                            'hours' => $other[1]->name(),
                        ]);
                        continue 3;
                    }
                }
            }
        }
    }

    /** @return array<int, array<int, string>> where each edge stands, by weekday and second */
    private static function edges(Hours $hours): array
    {
        $edges = [];
        foreach ($hours->days->week as $i => $band) {
            foreach ($band->days as $day) {
                $edges[$day->index()][$band->band->fromSeconds] ??= "/week/$i/from";
                $edges[$day->index()][$band->band->toSeconds] ??= "/week/$i/to";
            }
        }

        return $edges;
    }

    /**
     * @param array<int, Hours> $edges by second
     *
     * @return array{int, Hours}|null one that is near, at a time that people say
     */
    private static function near(int $second, array $edges): ?array
    {
        foreach ($edges as $other => $hours) {
            if ($other !== $second && 0 === $other % 300 && abs($other - $second) <= self::NEAR) {
                return [$other, $hours];
            }
        }

        return null;
    }
}
