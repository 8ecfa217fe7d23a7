<?php

declare(strict_types=1);

namespace Meandros\Core\Proof;

use Meandros\Core\Plan\Element\Number;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Value\Lists;

/** When somebody's phones ring, or a team's or a queue's: by which numbers, and in which intervals. */
final class Rung
{
    /**
     * @param string              $who  a person, a team or a queue, by id
     * @param \Closure(int): bool $goOn asked before each number, with how many were looked at; whether there is time for it
     *
     * @return array{list<array{list<Number>, non-empty-list<array{int, int}>}>, int} numbers that ring them in the same intervals, with those; and how many numbers were not looked at
     */
    public static function find(Plan $plan, string $who, AllNumbers $all, \Closure $goOn): array
    {
        $found = [];
        $numbers = Touched::numbers($plan, [$who]);
        $looked = 0;
        foreach ($numbers as $number) {
            if (!$goOn($looked)) {
                break;
            }
            ++$looked;
            $intervals = self::intervals($all->of($number), $who);
            if ([] !== $intervals) {
                $key = serialize($intervals);
                $found[$key] = [[...$found[$key][0] ?? [], $number], $intervals];
            }
        }

        return [array_values($found), \count($numbers) - $looked];
    }

    /** @return list<array{int, int}> */
    private static function intervals(Coverage $coverage, string $who): array
    {
        $intervals = [];
        foreach ($coverage->courses as $i => $course) {
            if (Lists::has($course->people, $who) || Lists::has($course->takes, $who)) {
                $intervals[] = [$coverage->starts[$i] ?? 0, $coverage->starts[$i + 1] ?? $coverage->until];
            }
        }

        return Intervals::union($intervals);
    }
}
