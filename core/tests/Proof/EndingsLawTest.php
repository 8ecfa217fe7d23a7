<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Proof;

use Meandros\Core\Call\Caller;
use Meandros\Core\Call\TrialCall;
use Meandros\Core\Plan\Json\PlanCodec;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Proof\Endings;
use Meandros\Core\Tests\PlanBuilder;
use Meandros\Core\Tests\Soak;
use Meandros\Core\Wording\EndingsReport;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** Two laws: whatever is assumed, a call ends in one of the endings that are listed, within its times; and each is reproduced by what it takes. */
final class EndingsLawTest extends TestCase
{
    use HoldsEndings;

    public function testRandomPlans(): void
    {
        mt_srand(Soak::seed());
        $complete = $checked = 0;
        for ($i = 0, $count = Soak::count(40); $i < $count; ++$i) {
            $plan = RandomPlans::one();
            $call = PlanBuilder::trial(
                \sprintf('2027-0%d-%02dT%02d:%02d', mt_rand(1, 9), mt_rand(1, 28), mt_rand(6, 20), mt_rand(0, 59)),
            );
            $endings = Endings::of($plan, $call);
            self::reproduce($plan, $call, $endings);
            if ([] === $endings->notTried) {
                ++$complete;
                for ($j = 0; $j < 40; ++$j) {
                    $checked += self::contains(
                        $plan,
                        $call,
                        $endings,
                        DrawnAssumptions::of(['ann/desk', 'ben/desk', 'cid/desk']),
                    );
                }
            }
        }
        self::assertGreaterThan($count / 4, $complete);
        self::assertSame($complete * 40, $checked);
    }

    public function testRandomPlansOfAllKinds(): void
    {
        // With the seed itself, one of the plans has more ways than are tried, which takes long.
        mt_srand(Soak::seed() + 1);
        $complete = 0;
        // Some time passes before it.
        $says = array_map(
            static fn(int $i): array => ['id' => 'w' . $i, 'do' => 'say', 'prompt' => 'prm_b'],
            range(1, 5),
        );
        $queue = [
            ...$says,
            ['id' => 's2', 'do' => 'queue', 'queue' => 'que'],
            ['id' => 's3', 'do' => 'message', 'mailbox' => 'mbx'],
        ];
        for ($i = 0, $count = Soak::count(40); $i < $count; ++$i) {
            $plan = RandomPlans::ofAllKinds(0 === $i % 2 ? $queue : null);
            $call = PlanBuilder::trial(
                \sprintf('2027-0%d-%02dT%02d:%02d', mt_rand(1, 9), mt_rand(1, 28), mt_rand(6, 20), mt_rand(0, 59)),
                from: ['', '+441632960777'][mt_rand(0, 1)],
            );
            $endings = Endings::of($plan, $call);
            self::reproduce($plan, $call, $endings);
            $complete += [] === $endings->notTried ? 1 : 0;
            for ($j = 0; [] === $endings->notTried && $j < 40; ++$j) {
                self::contains(
                    $plan,
                    $call,
                    $endings,
                    // Every other one presses keys later.
                    DrawnAssumptions::of(
                        ['ann/desk', 'ben/desk', 'cid/desk', '+441632960987'],
                        ['ann', 'ben'],
                        0 === $j % 2 ? 14 : 90,
                    ),
                );
            }
        }
        self::assertGreaterThan($count / 4, $complete);
    }

    #[TestWith([false, false])]
    #[TestWith([true, false])]
    #[TestWith([false, true])]
    public function testPeopleOfTwoPhonesThatAreRungAgainAtOnce(bool $queue, bool $paged): void
    {
        mt_srand(Soak::seed());
        $call = PlanBuilder::trial('2026-11-23T10:30');
        $checked = 0;
        for ($i = 0, $count = Soak::count($queue || $paged ? 30 : 60); $i < $count; ++$i) {
            $plan = PeopleOfTwoPhones::plan($queue, $paged);
            $endings = Endings::of($plan, $call);
            self::reproduce($plan, $call, $endings);
            for ($j = 0; [] === $endings->notTried && $j < 60; ++$j) {
                $checked += self::contains(
                    $plan,
                    $call,
                    $endings,
                    DrawnAssumptions::of(PeopleOfTwoPhones::PHONES, $queue ? ['ann', 'ben'] : []),
                );
            }
        }
        self::assertGreaterThan($count * 40, $checked);
    }

    #[TestWith([false, false, 40])]
    #[TestWith([true, false, 40])]
    #[TestWith([false, true, 25])]
    public function testPeopleWithMobilesAndNumbersOutsideInTeamsOfEveryOrder(
        bool $allHaveMobiles,
        bool $haveManners,
        int $least,
    ): void {
        mt_srand(Soak::seed());
        $call = PlanBuilder::trial('2026-11-23T10:30');
        $checked = 0;
        for ($i = 0, $count = Soak::count($haveManners ? 30 : 60); $i < $count; ++$i) {
            [$plan, $phones] = PeopleOutside::drawn($allHaveMobiles, $haveManners);
            $endings = Endings::of($plan, $call);
            self::reproduce($plan, $call, $endings);
            for ($j = 0; [] === $endings->notTried && $j < 60; ++$j) {
                $checked += self::contains($plan, $call, $endings, DrawnAssumptions::of($phones));
            }
        }
        self::assertGreaterThan($count * $least, $checked);
    }

    public function testTheDemoWithSomeSettingsDrawnAnew(): void
    {
        mt_srand(Soak::seed());
        $demo = new ChangedDemo(json_decode(self::text(), true, 64, \JSON_THROW_ON_ERROR));
        $checked = 0;
        for ($i = 0, $count = Soak::count(15); $i < $count; ++$i) {
            [$plan, $call, $phones] = $demo->drawn() ?? [null, null, []];
            if (null === $plan) {
                continue;
            }
            $endings = Endings::of($plan, $call);
            self::reproduce($plan, $call, $endings);
            $ways = EndingsReport::of($endings, $plan)['endings'];
            $ways = [...array_column($ways, 'leastBy'), ...array_column($ways, 'mostBy')];
            for ($j = 0; [] === $endings->notTried && $j < 40; ++$j) {
                $by = ChangedDemo::near($ways[mt_rand(0, \count($ways) - 1)], $phones);
                $checked += self::contains($plan, $call, $endings, $by);
            }
        }
        self::assertGreaterThan($count * 20, $checked);
    }

    #[DataProvider('numbers')]
    public function testTheDemo(string $number): void
    {
        $plan = self::demo();
        $call = new TrialCall($number, Caller::parse('', 'GB'), (int) gmmktime(10, 30, 0, 11, 23, 2026));
        $endings = Endings::of($plan, $call);
        self::assertSame([], $endings->notTried);
        self::reproduce($plan, $call, $endings);
        mt_srand(Soak::seed());
        for ($j = 0; $j < 300; ++$j) {
            self::contains($plan, $call, $endings, DrawnAssumptions::of(DrawnAssumptions::phones($plan)));
        }
    }

    /** @return iterable<array{string}> */
    public static function numbers(): iterable
    {
        yield ['+441632960290'];
        yield ['+441632960140'];
        yield ['+441632960110'];
        yield ['+441632960100'];
        yield ['+441632960101'];
        yield ['+442079460130'];
        yield ['+33261910100'];
    }

    private static function demo(): Plan
    {
        return PlanCodec::decode(self::text());
    }

    private static function text(): string
    {
        return (string) file_get_contents(__DIR__ . '/../../../demo/ternwick-ferries.json');
    }
}
