<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Proof;

use Meandros\Core\Proof\Intervals;
use Meandros\Core\Proof\PackedIntervals;
use PHPUnit\Framework\TestCase;

/** Stretches of time, held against the seconds that are in them. */
final class IntervalsTest extends TestCase
{
    public function testThoseThatOverlapOrMeetAreOne(): void
    {
        self::assertSame([], Intervals::union([]));
        self::assertSame(
            [[1, 6], [7, 9], [11, 20]],
            Intervals::union([[7, 9], [1, 3], [3, 6], [2, 4], [12, 13], [11, 15], [14, 20]]),
        );
    }

    public function testWhatIsTakenAwayIsInNone(): void
    {
        mt_srand(7);
        for ($i = 0; $i < 200; ++$i) {
            [$some, $others] = [Intervals::union(self::drawn()), self::drawn()];
            $seconds = array_values(array_diff(self::seconds($some), self::seconds($others)));
            self::assertSame($seconds, self::seconds(Intervals::without($some, $others)));
        }
    }

    public function testWhatLiesWithinIsCutToIt(): void
    {
        mt_srand(8);
        for ($i = 0; $i < 200; ++$i) {
            $some = Intervals::union(self::drawn());
            $from = mt_rand(0, 70);
            $until = $from + mt_rand(1, 20);
            $seconds = array_values(array_intersect(self::seconds($some), range($from, $until - 1)));
            self::assertSame([] !== $seconds, Intervals::meet($some, $from, $until));
            $packed = [] === $some ? null : PackedIntervals::of($some);
            self::assertSame($some, $packed?->all() ?? []);
            self::assertSame(\count($some), $packed?->count() ?? 0);
            $within = $packed?->within($from, $until);
            self::assertSame($seconds, self::seconds($within?->all() ?? []));
            self::assertSame($seconds[0] ?? null, $within?->since());
            self::assertSame(\array_slice($some, 0, 2), $packed?->first(2) ?? []);
        }
    }

    /** @return list<array{int, int}> */
    private static function drawn(): array
    {
        $drawn = [];
        for ($i = mt_rand(0, 6); $i > 0; --$i) {
            $from = mt_rand(0, 60);
            $drawn[] = [$from, $from + mt_rand(1, 12)];
        }

        return $drawn;
    }

    /**
     * @param list<array{int, int}> $intervals
     *
     * @return list<int>
     */
    private static function seconds(array $intervals): array
    {
        return array_merge(...array_map(static fn(array $one): array => range($one[0], $one[1] - 1), $intervals));
    }

    public function testTheyAreNearWhereEachBeginsAndEndsAboutThen(): void
    {
        self::assertTrue(Intervals::areNear([[0, 100], [200, 300]], [[5, 95], [200, 305]], 5));
        self::assertFalse(Intervals::areNear([[0, 100], [200, 300]], [[5, 95], [200, 305]], 4));
        self::assertFalse(Intervals::areNear([[0, 100]], [[0, 100], [200, 203]], 5), 'However short one is.');
        self::assertFalse(Intervals::areNear([[0, 100], [200, 203]], [[0, 100]], 5));
        self::assertFalse(Intervals::areNear([[0, 3]], [[700, 703]], 5));
        self::assertFalse(Intervals::areNear([[0, 100]], [[5, 200]], 5), 'Only one end is near.');
    }

    public function testWhatNoMoreThanSomeSecondsPart(): void
    {
        self::assertSame([[0, 15], [21, 30]], Intervals::bridged([[0, 5], [10, 15], [21, 30]], 5));
        self::assertSame([[0, 30]], Intervals::bridged([[0, 5], [10, 15], [21, 30]], 6));
        self::assertSame([[3, 5]], Intervals::bridged([[3, 5]], 5));
    }

    public function testWhatOnlyAGapParts(): void
    {
        self::assertSame(
            [[0, 20], [30, 40]],
            Intervals::across([[0, 10], [12, 20], [30, 40]], [[10, 12], [20, 25], [28, 30]]),
        );
    }
}
