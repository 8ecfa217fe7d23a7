<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Queueing;

use Meandros\Core\Queueing\Occupation;
use PHPUnit\Framework\TestCase;

final class OccupationTest extends TestCase
{
    public function testWhoHasOneCallAtATimeIsFreeAfterItAndItsNotes(): void
    {
        $now = new Occupation(0, 0);
        $now->take(100, 60, 10, 1);
        self::assertSame([170, 170, 1, 60], [$now->freeAt, $now->idleSince, $now->calls, $now->talk]);
        $now->take(200, 30, 0, 1);
        self::assertSame([230, 230, 2, 90], [$now->freeAt, $now->idleSince, $now->calls, $now->talk]);
    }

    public function testWhoHasTwoAtATimeIsFreeForTheSecondAtOnce(): void
    {
        $now = new Occupation(0, 0);
        $now->take(0, 60, 10, 2);
        self::assertSame(0, $now->freeAt);
        $now->take(20, 10, 10, 2);
        self::assertSame(
            [40, 70],
            [$now->freeAt, $now->idleSince],
            'The shorter one is over first; idle since the last.',
        );
        $now->take(40, 5, 5, 2);
        self::assertSame(50, $now->freeAt);
        // In the second in which a call and its notes are over it counts no more.
        $now->take(70, 20, 0, 2);
        self::assertSame(70, $now->freeAt);
    }

    public function testMissedCallsCountUntilOneIsTaken(): void
    {
        $now = new Occupation(0, 0);
        self::assertSame([1, 2], [$now->miss(10, 5), $now->miss(20, 5)]);
        self::assertSame(25, $now->freeAt);
        $now->take(30, 60, 0, 1);
        self::assertSame(1, $now->miss(100, 5));
    }
}
