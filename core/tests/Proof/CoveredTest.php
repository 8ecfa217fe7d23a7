<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Proof;

use Meandros\Core\Call\Assumptions;
use Meandros\Core\Live\LiveState;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Proof\Endings;
use Meandros\Core\Proof\Ways\Acts;
use Meandros\Core\Proof\Ways\Covered;
use Meandros\Core\Proof\Ways\Leg;
use Meandros\Core\Proof\Ways\Soonest;
use Meandros\Core\Proof\Ways\Stand;
use Meandros\Core\Routing\Router;
use Meandros\Core\Tests\PlanBuilder;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** Where it is known what phones did in the very second, nothing else comes of calls than where it is not, if they come there as well. */
final class CoveredTest extends TestCase
{
    use HoldsEndings;

    /**
     * From the step before, calls come to a place after no seconds, and to the one beside it after some.
     *
     * @param array{int, int}|null $beside    seconds to the one beside it, at least and at most; null where no way leads there from that step
     * @param int|null             $otherwise seconds in which calls come there by another step; null where none leads there
     * @param int                  $most      seconds after which calls come to the place at most
     */
    #[TestWith([[1, 20], 0, 0, true])]
    #[TestWith([[1, 20], null, 0, false], 'a second later than they might')]
    #[TestWith([[0, 20], null, 20, true])]
    #[TestWith([[0, 20], null, 21, false], 'for less long')]
    #[TestWith([null, 0, 0, false], 'by that step they come only where it is known')]
    #[TestWith([null, null, 0, false], 'no way leads there')]
    public function testItNeedNotBeFollowed(?array $beside, ?int $otherwise, int $most, bool $isCovered): void
    {
        $stands = self::stands();
        null === $beside || $stands['step']->leads('beside', self::leg($beside[0], $beside[1]), false);
        $stands['step']->leads('place', self::leg(0, $most), false);
        null === $otherwise || $stands['other']->leads('beside', self::leg($otherwise, $otherwise), false);
        self::assertSame(
            $isCovered ? [] : ['place'],
            self::covered($stands)->open($stands, new Soonest($stands, 'start'), true),
        );
    }

    public function testWhereWaysGoRoundBeforeTheyHaveToBeforeTheOtherToo(): void
    {
        foreach ([[false, ['place']], [true, []]] as [$goesRound, $open]) {
            $stands = self::stands();
            $stands['step']->leads('beside', self::leg(0, 20), $goesRound);
            $stands['step']->leads('place', self::leg(0, 0), true);
            self::assertSame($open, self::covered($stands)->open($stands, new Soonest($stands, 'start'), true));
        }
    }

    public function testWhatIsOpenIsToldOnceAndAllWhereNotEverythingWasTried(): void
    {
        $stands = self::stands();
        $stands['step']->leads('beside', self::leg(0, 20), false);
        $stands['step']->leads('place', self::leg(0, 0), false);
        $covered = self::covered($stands);
        self::assertSame([], $covered->open($stands, new Soonest($stands, 'start'), true));
        self::assertSame(['place'], $covered->open($stands, new Soonest($stands, 'start'), false));
        self::assertSame([], $covered->open($stands, new Soonest($stands, 'start'), false));
    }

    /** Whoever was just busy is so still in the very second in which the next one's turn comes: a second later is too late for that. */
    public function testWhatIsSoonerIsFollowed(): void
    {
        $endings = Endings::of(self::plan([]), PlanBuilder::trial('2026-11-23T10:30'));
        self::assertSame([[], 6], [$endings->notTried, $endings->places]);
        self::assertSame(
            ['answered ann 0 29', 'answered ben 0 29', 'ended by plan  0 30', 'caller gave up  1 30'],
            self::told($endings),
        );
    }

    /** Who presses nothing, or comes there later, finds both free: twelve seconds of prompt, five of waiting, ten with Ann, twenty with both. */
    public function testWhereOthersComeAsSoon(): void
    {
        $menu = ['id' => 'menu', 'do' => 'menu', 'prompt' => 'prm', 'wait' => 5, 'tries' => 1];
        $team = ['id' => 'team', 'do' => 'ring', 'target' => 'team', 'seconds' => 20];
        $exits = [
            'exits' => [
                ['on' => '1', 'steps' => [['id' => 'ann', 'do' => 'ring', 'target' => 'ann', 'seconds' => 10]]],
            ],
        ];
        $endings = Endings::of(self::plan([$menu + $exits, $team]), PlanBuilder::trial('2026-11-23T10:30'));
        self::assertSame([], $endings->notTried);
        self::assertSame(
            ['ran out of steps  0 46', 'answered ann 0 45', 'answered ben 0 45', 'caller gave up  1 46'],
            self::told($endings),
        );
    }

    /** @param list<array<string, mixed>> $steps none for a ring of one, and of both */
    private static function plan(array $steps): Plan
    {
        $ring = static fn(string $whom, int $seconds): array => [
            'id' => $whom,
            'do' => 'ring',
            'target' => $whom,
            'seconds' => $seconds,
        ];

        return (new PlanBuilder())
            ->prompt('prm', 12)
            ->person('ann')
            ->person('ben')
            ->team('team', ['ann', 'ben'])
            ->journey(
                'jrn_main',
                [] === $steps ? [$ring('ann', 10), $ring('team', 20), ['id' => 'end', 'do' => 'end']] : $steps,
            )
            ->plan();
    }

    /** @return array<string, Stand> a start, two steps after it, a place at which it is known what phones did, and the one beside it */
    private static function stands(): array
    {
        [$walk, $way] =
            (new Router())->begin(
                self::plan([]),
                PlanBuilder::trial('2026-11-23T10:30'),
                new Assumptions(),
                new LiveState(),
            ) ?? self::fail('It is no call.');
        $stands = [];
        foreach (['start', 'step', 'other', 'place', 'beside'] as $key) {
            $stands[$key] = new Stand($walk, $way, new Acts());
            $stands[$key]->key = $stands[$key]->beside = $key;
        }
        $stands['place']->beside = 'beside';
        $stands['start']->leads('step', self::leg(2, 2), false);
        $stands['start']->leads('other', self::leg(2, 2), false);

        return $stands;
    }

    /** @param array<string, Stand> $stands */
    private static function covered(array $stands): Covered
    {
        $covered = new Covered();
        $covered->add($stands['place']);

        return $covered;
    }

    private static function leg(int $least, int $most): Leg
    {
        return new Leg($least, new Acts(), $most, new Acts());
    }
}
