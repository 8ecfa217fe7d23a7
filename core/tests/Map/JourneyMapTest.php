<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Map;

use Meandros\Core\Map\Box;
use Meandros\Core\Map\JourneyMap;
use Meandros\Core\Plan\Element\Journey;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Routing\Visit;
use Meandros\Core\Tests\PlanBuilder;
use Meandros\Core\Tests\Soak;
use PHPUnit\Framework\TestCase;

/** Pictures of journeys: nothing overlaps, and the way of a call passes by every label and box that it does not come to. */
final class JourneyMapTest extends TestCase
{
    public function testASmallOneByHand(): void
    {
        $plan = (new PlanBuilder())
            ->person('ann')
            ->mailbox('mbx')
            ->prompt('prm', 2)
            ->journey('jrn_main', [
                [
                    'id' => 'menu',
                    'do' => 'menu',
                    'prompt' => 'prm',
                    'exits' => [
                        [
                            'on' => '1',
                            'label' => 'Sales',
                            'steps' => [['id' => 'ring', 'do' => 'ring', 'target' => 'ann', 'seconds' => 5]],
                        ],
                        ['on' => '2', 'steps' => []],
                    ],
                ],
                ['id' => 'leave', 'do' => 'message', 'mailbox' => 'mbx'],
            ]);
        $map = self::map($plan->plan());
        $places = array_map(static fn(Box $box): array => [$box->text, $box->x, $box->y], array_values($map->boxes()));
        self::assertSame(
            [['menu prm, wait 5 s, 2 tries, 1 Sales 2', 16, 34], ['ring Ann 5s', 356, 34], ['message mbx', 16, 150]],
            $places,
        );
        self::assertSame(
            ['1 Sales', '2: goes on'],
            array_map(static fn(Box $box): string => $box->text, array_values($map->labels())),
        );
        // Down into the menu, out by key 1 on the same level, back past its column, and down to the message.
        $course = $map->course($plan->call(['keys' => ['1']])->passage->visits);
        self::assertSame(
            [[32, 16], [32, 54], [372, 54], [372, 83], [346, 83], [346, 141], [32, 141], [32, 170]],
            $course,
        );
        self::assertSame([], $map->course([new Visit('jrn_main', 'gone', 0, 5, null, false)]));
    }

    public function testStepsBelowEachOtherAreAsWideAsOne(): void
    {
        $builder = (new PlanBuilder())->mailbox('mbx')->prompt('prm', 2);
        $say = static fn(int $i): array => ['id' => 'say' . $i, 'do' => 'say', 'prompt' => 'prm'];
        $plan = $builder->journey('jrn_main', array_map($say, range(1, 5)))->plan();
        // With a margin of 16 on either side.
        self::assertSame(16 + JourneyMap::BOX_WIDTH + 16, self::map($plan)->width());
    }

    public function testRandomJourneys(): void
    {
        mt_srand(Soak::seed());
        for ($i = 0; $i < Soak::count(70); ++$i) {
            $n = 0;
            $plan = (new PlanBuilder())->journey('jrn_main', self::steps(3, $n))->plan();
            $map = self::map($plan);
            $boxes = array_values($map->boxes());
            $all = [...$boxes, ...array_values($map->labels())];
            foreach ($all as $a => $one) {
                self::assertTrue(
                    $one->x >= 0 && $one->y >= 0 && $one->right() <= $map->width() && $one->bottom() <= $map->height(),
                    'It is within the map.',
                );
                foreach (\array_slice($all, $a + 1) as $other) {
                    self::assertFalse($one->overlaps($other), $one->key . ' ' . $other->key);
                }
            }
            $visits = self::way($plan->get(Journey::class, 'jrn_main')->steps->steps ?? []);
            $come = array_fill_keys(array_map(static fn(Visit $visit): string => $visit->step, $visits), true);
            self::passes($map->course($visits), [
                ...array_values($map->labels()),
                ...array_filter($boxes, static fn(Box $box): bool => !isset($come[$box->key])),
            ]);
            self::assertEquals($map, self::map($plan), 'The same journey gives the same picture.');
        }
    }

    /**
     * @param list<array{int, int}> $course
     * @param list<Box>             $others
     */
    private static function passes(array $course, array $others): void
    {
        for ($i = 1; $i < \count($course); ++$i) {
            [[$x1, $y1], [$x2, $y2]] = [$course[$i - 1], $course[$i]];
            self::assertTrue($x1 === $x2 || $y1 === $y2, 'It runs level or upright.');
            $piece = new Box('', '', min($x1, $x2), min($y1, $y2), abs($x1 - $x2) + 1, abs($y1 - $y2) + 1);
            foreach ($others as $other) {
                self::assertFalse($piece->overlaps($other), 'It passes by ' . $other->key);
            }
        }
    }

    /**
     * Every step takes one of its exits, or none.
     *
     * @param list<\Meandros\Core\Plan\Step> $steps
     *
     * @return list<Visit>
     */
    private static function way(array $steps): array
    {
        $visits = [];
        foreach ($steps as $step) {
            $exits = $step->exits()->items;
            $exit = [] === $exits || 0 === mt_rand(0, 2) ? null : $exits[array_rand($exits)];
            $visits[] = new Visit('jrn_main', $step->id(), 0, 0, $exit?->on, null !== $exit);
            array_push($visits, ...null === $exit ? [] : self::way($exit->steps->steps));
        }

        return $visits;
    }

    /** @return list<array<string, mixed>> */
    private static function steps(int $deep, int &$n): array
    {
        $steps = [];
        for ($i = 0; $i < mt_rand(1, 4); ++$i) {
            $exits = [];
            foreach (\array_slice(['1', '2', '3', '*', 'nothing'], 0, mt_rand(0, 3)) as $on) {
                $exits[] = [
                    'on' => $on,
                    'label' => '',
                    'steps' => $deep > 0 && mt_rand(0, 2) > 0 ? self::steps($deep - 1, $n) : [],
                ];
            }
            $steps[] = ['id' => 's' . ++$n, 'do' => 'menu', 'prompt' => null, 'exits' => $exits];
        }

        return $steps;
    }

    private static function map(Plan $plan): JourneyMap
    {
        $journey = $plan->get(Journey::class, 'jrn_main');
        self::assertInstanceOf(Journey::class, $journey);

        return JourneyMap::of($journey, $plan);
    }
}
