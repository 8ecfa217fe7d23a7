<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Ringing;

use Meandros\Core\Ringing\Rung;
use Meandros\Core\Tests\PlanBuilder;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * Worked by hand on a grid of seconds. A team of Ann, Ben and Cid, a phone each, rings for 30 s; one after the other
 * means 12 s each, so Cid has the last 6 s. A bar is written "from–until how it ended".
 */
final class RingSimulationTest extends TestCase
{
    /**
     * @param array<string, array{string, int}> $assume
     * @param array<string, string>             $bars
     */
    #[DataProvider('grids')]
    public function testTheGrid(string $pattern, array $assume, array $bars): void
    {
        $plan = (new PlanBuilder())
            ->person('ann')
            ->person('ben')
            ->person('cid')
            ->team('team_three', ['ann', 'ben', 'cid'], $pattern, 12)
            ->journey('jrn_main', [
                ['id' => 'ring', 'do' => 'ring', 'target' => 'team_three', 'seconds' => 30, 'exits' => []],
            ]);
        $phones = [];
        foreach ($assume as $who => [$does, $after]) {
            $phones[] = ['who' => $who, 'does' => $does, 'after' => $after];
        }
        $drawn = [];
        foreach ($plan->call(['phones' => $phones])->passage->rung as $rung) {
            $drawn[(string) $rung->phone->owner->person] = \sprintf(
                '%d–%d %s',
                $rung->times->from,
                $rung->times->until,
                $rung->outcome,
            );
        }
        ksort($drawn);
        self::assertSame($bars, $drawn);
    }

    /** @return iterable<string, array{string, array<string, array{string, int}>, array<string, string>}> */
    public static function grids(): iterable
    {
        $all = 'all at once';
        $each = 'one after the other';
        yield 'together, nobody answers' => [
            $all,
            [],
            ['ann' => '0–30 not answered', 'ben' => '0–30 not answered', 'cid' => '0–30 not answered'],
        ];
        yield 'together, the first to answer wins' => [
            $all,
            ['ben' => ['answers', 9], 'cid' => ['answers', 10]],
            ['ann' => '0–9 taken elsewhere', 'ben' => '0–9 answered', 'cid' => '0–9 taken elsewhere'],
        ];
        yield 'together, a tie goes to the one listed first' => [
            $all,
            ['*' => ['answers', 5]],
            ['ann' => '0–5 answered', 'ben' => '0–5 taken elsewhere', 'cid' => '0–5 taken elsewhere'],
        ];
        yield 'together, too late by a second' => [
            $all,
            ['ann' => ['answers', 30]],
            ['ann' => '0–30 not answered', 'ben' => '0–30 not answered', 'cid' => '0–30 not answered'],
        ];
        yield 'in turn, nobody answers' => [
            $each,
            [],
            ['ann' => '0–12 not answered', 'ben' => '12–24 not answered', 'cid' => '24–30 not answered'],
        ];
        yield 'in turn, the second answers after 3 s' => [
            $each,
            ['ben' => ['answers', 3]],
            ['ann' => '0–12 not answered', 'ben' => '12–15 answered', 'cid' => '15–15 not reached'],
        ];
        yield 'in turn, slower than their turn' => [
            $each,
            ['ann' => ['answers', 12]],
            ['ann' => '0–12 not answered', 'ben' => '12–24 not answered', 'cid' => '24–30 not answered'],
        ];
        yield 'in turn, the busy one is passed over at once' => [
            $each,
            ['ann' => ['busy', 0], 'cid' => ['answers', 2]],
            ['ann' => '0–0 busy', 'ben' => '0–12 not answered', 'cid' => '12–14 answered'],
        ];
        yield 'answered at the first second' => [
            $each,
            ['ann' => ['answers', 0]],
            ['ann' => '0–0 answered', 'ben' => '0–0 not reached', 'cid' => '0–0 not reached'],
        ];
    }

    public function testATeamIsBusyWhenSomebodyIsAndNobodyCanRing(): void
    {
        $plan = (new PlanBuilder())
            ->person('ann')
            ->person('ben')
            ->team('team_two', ['ann', 'ben'])
            ->journey('jrn_main', [
                ['id' => 'ring', 'do' => 'ring', 'target' => 'team_two', 'seconds' => 30, 'exits' => []],
            ]);
        $exit = static fn(string $ann, string $ben): ?string => $plan->call([
            'phones' => [
                ['who' => 'ann', 'does' => $ann, 'after' => 0],
                ['who' => 'ben', 'does' => $ben, 'after' => 0],
            ],
        ])->passage->visits[0]->exit;
        self::assertSame('busy', $exit('busy', 'busy'));
        self::assertSame('busy', $exit('unreachable', 'busy'));
        self::assertSame('unreachable', $exit('unreachable', 'unreachable'));
        self::assertSame('nobody', $exit('rings', 'busy'));
    }

    public function testAnOutsideNumberRingsAndOnePhoneOfTwoAnswers(): void
    {
        $plan = (new PlanBuilder())
            ->person('ann', ['desk', 'laptop'])
            ->journey('jrn_main', [
                ['id' => 'out', 'do' => 'ring', 'target' => '+447700900123', 'seconds' => 10, 'exits' => []],
                ['id' => 'ring', 'do' => 'ring', 'target' => 'ann', 'seconds' => 20, 'exits' => []],
            ]);
        $trace = $plan->call(['phones' => [['who' => 'ann/laptop', 'does' => 'answers', 'after' => 4]]]);
        self::assertSame(
            ['+447700900123', 'ann/desk', 'ann/laptop'],
            array_map(static fn(Rung $rung): string => $rung->phone->id, $trace->passage->rung),
        );
        self::assertSame([10, 14], [$trace->passage->rung[2]->times->from, $trace->passage->rung[2]->times->until]);
        self::assertSame('ann/laptop', $trace->ending->phone);
    }
}
