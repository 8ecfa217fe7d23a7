<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Time;

use Meandros\Core\Time\TakenTime;
use PHPUnit\Framework\TestCase;

final class TakenTimeTest extends TestCase
{
    public function testOnlyFreeTimeIsTaken(): void
    {
        $taken = new TakenTime();
        self::assertNull($taken->claim(100, 200, 'b'));
        self::assertNull($taken->claim(0, 100, 'a'), 'What ends when another starts does not meet it.');
        self::assertNull($taken->claim(200, 300, 'c'));
        foreach (
            [
                [150, 160, 'b'],
                [99, 101, 'a'],
                [199, 201, 'b'],
                [100, 200, 'b'],
                [299, 400, 'c'],
                [-5, 500, 'a'],
                [250, 260, 'c'],
            ]
            as [$start, $end, $name]
        ) {
            self::assertSame($name, $taken->claim($start, $end, 'x'), "$start to $end");
        }
        self::assertNull($taken->claim(300, 301, 'd'), 'What was refused took nothing.');
    }

    public function testAgreesWithLookingAtEach(): void
    {
        mt_srand(7);
        $taken = new TakenTime();
        $all = [];
        for ($i = 0; $i < 2000; ++$i) {
            $start = mt_rand(0, 5000);
            $end = $start + mt_rand(1, 9);
            $free = [] === array_filter($all, static fn(array $other): bool => $start < $other[1] && $other[0] < $end);
            self::assertSame($free, null === $taken->claim($start, $end, 'x'));
            if ($free) {
                $all[] = [$start, $end];
            }
        }
    }
}
