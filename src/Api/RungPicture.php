<?php

declare(strict_types=1);

namespace Meandros\Server\Api;

use Meandros\Core\Plan\Element\Number;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Proof\AllNumbers;
use Meandros\Core\Proof\Intervals;
use Meandros\Core\Proof\LookedUp;
use Meandros\Core\Proof\Times;
use Meandros\Core\Time\Moment;
use Meandros\Core\Time\YearPicture;
use Meandros\Core\Wording\BranchWords;
use Meandros\Core\Wording\TimesWords;

/** When somebody is rung over a year as JSON: the picture, and by which numbers. */
final class RungPicture
{
    public const RUNG = 'rung';
    public const NOT_RUNG = 'not rung';

    /**
     * @param list<array{list<Number>, non-empty-list<array{int, int}>}> $found
     *
     * @return array<string, mixed>
     */
    public static function of(
        array $found,
        AllNumbers $all,
        LookedUp $lookedUp,
        Plan $plan,
        string $zone,
        int $year,
    ): array {
        [$from, $until] = [$lookedUp->from, $lookedUp->until];
        $words = new BranchWords($plan);
        $union = Intervals::union(array_merge(...array_map(static fn(array $one): array => $one[1], $found)));
        $starts = [$from];
        $states = [self::NOT_RUNG];
        foreach ($union as [$since, $ends]) {
            if ($since === $starts[\count($starts) - 1]) {
                $states[\count($states) - 1] = self::RUNG;
            } else {
                [$starts[], $states[]] = [$since, self::RUNG];
            }
            [$starts[], $states[]] = [$ends, self::NOT_RUNG];
        }
        $picture = YearPicture::draw($starts, $states, $zone, $year);

        return [
            'year' => $year,
            'zone' => $zone,
            'days' => $picture->days,
            'clockChanges' => YearReport::clockChanges($picture, $zone),
            'seconds' => self::seconds($union),
            'lines' => array_map(
                static fn(array $one): array => [
                    'numbers' => array_map(static fn(Number $number): string => $number->name(), $one[0]),
                    'number' => $one[0][0]->range->example(),
                    'during' =>
                        $words->during($one[1], $all->of($one[0][0])->at($one[1][0][0]), $lookedUp, $zone) ?? '',
                    'when' => TimesWords::of(Times::of($one[1], $from, $until, $zone)),
                    'seconds' => self::seconds($one[1]),
                    'first' => Moment::format($one[1][0][0], $zone),
                ],
                $found,
            ),
        ];
    }

    /** @param list<array{int, int}> $intervals */
    private static function seconds(array $intervals): int
    {
        return array_sum(array_map(static fn(array $one): int => $one[1] - $one[0], $intervals));
    }
}
