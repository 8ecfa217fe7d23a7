<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Ringing;

use Meandros\Core\Call\Assumptions;
use Meandros\Core\Outside\Lines;
use Meandros\Core\Plan\Element\Person;
use Meandros\Core\Ringing\AllAtOnce;
use Meandros\Core\Ringing\InTurn;
use Meandros\Core\Ringing\Phones;
use Meandros\Core\Ringing\RingMember;
use Meandros\Core\Ringing\Round;
use Meandros\Core\Ringing\Rung;
use Meandros\Core\Ringing\TeamOrder;
use Meandros\Core\Routing\Router;
use Meandros\Core\Routing\Trace;
use Meandros\Core\Tests\PlanBuilder;
use Meandros\Core\Tests\Soak;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What became of a round counts for others only where nothing is different that matters. */
final class RoundsTest extends TestCase
{
    /** @param array<string, mixed> $other what is different: in the other round, or as it is let ring */
    #[DataProvider('others')]
    public function testWhatBecameOfARoundIsKnown(bool $isKnown, array $other): void
    {
        $plan = (new PlanBuilder())->person('ann')->person('ben')->plan();
        $phones = new Phones(new Lines($plan));
        $round = static function (array $what) use ($plan, $phones): Round {
            $members = array_map(
                static fn(string $who): RingMember => RingMember::all(
                    $who,
                    $phones->all($plan->get(Person::class, $who) ?? throw new \LogicException($who), false),
                ),
                $what['members'] ?? ['ann', 'ben'],
            );

            return new Round(
                $members,
                $what['pattern'] ?? new AllAtOnce(),
                $what['seconds'] ?? 30,
                Assumptions::fromData(
                    $what['assumed'] ?? ['phones' => [['who' => 'ben', 'does' => 'answers', 'after' => 20]]],
                ),
                $what['rangBefore'] ?? ['ben' => 10],
                $what['inUse'] ?? ['line_quay' => 1],
            );
        };
        $known = $phones->rounds->ring($round($other['first'] ?? []), $other['firstLeft'] ?? 100);
        $result = $phones->rounds->ring($round($other), $other['left'] ?? 100);
        self::assertSame($isKnown, $known === $result);
        self::assertEquals(
            (new Phones(new Lines($plan)))->rounds->ring($round($other), $other['left'] ?? 100),
            $result,
        );
    }

    /** @return iterable<string, array{bool, array<string, mixed>}> */
    public static function others(): iterable
    {
        yield 'nothing is different' => [true, []];
        yield 'the same was said of them at another second' => [
            true,
            ['assumed' => ['phones' => [['who' => 'ben', 'does' => 'answers', 'after' => 20, 'from' => 40]]]],
        ];
        yield 'somebody else rings' => [false, ['members' => ['ann']]];
        yield 'they ring one after the other' => [false, ['pattern' => new InTurn(20, new TeamOrder())]];
        yield 'for less time' => [false, ['seconds' => 29]];
        yield 'it is answered later' => [
            false,
            ['assumed' => ['phones' => [['who' => 'ben', 'does' => 'answers', 'after' => 21]]]],
        ];
        yield 'a site is down' => [
            false,
            [
                'assumed' => [
                    'phones' => [['who' => 'ben', 'does' => 'answers', 'after' => 20]],
                    'down' => ['sit_harbour'],
                ],
            ],
        ];
        yield 'it rang for longer before' => [false, ['rangBefore' => ['ben' => 11]]];
        yield 'another channel is taken' => [false, ['inUse' => ['line_quay' => 2]]];
        yield 'the caller is gone by then' => [false, ['left' => 10]];
        yield 'the caller is gone in that very second' => [
            false,
            ['left' => 20, 'rangBefore' => [], 'first' => ['rangBefore' => []]],
        ];
        yield 'the caller is gone a second later' => [
            true,
            ['left' => 21, 'rangBefore' => [], 'first' => ['rangBefore' => []]],
        ];
        yield 'the caller was gone the first time' => [false, ['firstLeft' => 10]];
    }

    /** Through one router, which remembers, and through a new one for each. */
    public function testCallsAreTheSameWhateverRangBefore(): void
    {
        mt_srand(Soak::seed());
        $plan = RandomRounds::plan();
        $call = PlanBuilder::trial('2026-11-23T10:30');
        $router = new Router();
        $told = static fn(Trace $trace): array => [
            $trace->ending->toJson(),
            $trace->seconds,
            array_map(static fn(Rung $rung): array => $rung->toJson(), $trace->passage->rung),
        ];
        for ($i = Soak::count(400); $i > 0; --$i) {
            $assumed = RandomRounds::assumed();
            self::assertSame(
                $told((new Router())->trace($plan, $call, Assumptions::fromData($assumed))),
                $told($router->trace($plan, $call, Assumptions::fromData($assumed))),
                json_encode($assumed, \JSON_THROW_ON_ERROR),
            );
        }
    }
}
