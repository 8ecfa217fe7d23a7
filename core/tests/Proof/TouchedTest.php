<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Proof;

use Meandros\Core\Call\Assumptions;
use Meandros\Core\Call\Caller;
use Meandros\Core\Call\TrialCall;
use Meandros\Core\Plan\Element\Number;
use Meandros\Core\Plan\Json\PlanCodec;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Proof\Course;
use Meandros\Core\Proof\EachNumber;
use Meandros\Core\Proof\PlanImpact;
use Meandros\Core\Proof\Touched;
use Meandros\Core\Routing\Router;
use Meandros\Core\Tests\PlanBuilder;
use Meandros\Core\Tests\Soak;
use PHPUnit\Framework\TestCase;

/** No call fares differently but those to numbers that may come to what was changed. */
final class TouchedTest extends TestCase
{
    public function testLinesTouchWhoeverCallsOutside(): void
    {
        $builder = (new PlanBuilder())->person('ann')->person('ben')->mailbox('mbx');
        $mobile = ['id' => 'mobile', 'type' => 'outside', 'label' => 'Mobile', 'number' => '+447700900101'];
        $target = static fn(int $last, string $target): array => [
            'id' => 'num_' . $target,
            'kind' => 'number',
            'name' => $target,
            'number' => '+44163296010' . $last,
            'site' => 'sit_harbour',
            'target' => $target,
        ];
        $queue = ['kind' => 'queue', 'members' => [['who' => 'ben']]];
        $plan = $builder
            ->with(['phones' => [$mobile]] + $builder->element('ann'))
            ->team('team', ['+447700900102'])
            ->with(['id' => 'waits', 'name' => 'Waits'] + $queue)
            ->with(['id' => 'calls_back', 'name' => 'Calls back', 'callback' => ['offer' => null]] + $queue)
            ->journey('jrn_main', [['id' => 's1', 'do' => 'forward', 'number' => '+441632960987']])
            ->with($target(1, 'ann'))
            ->with($target(2, 'ben'))
            ->with($target(3, 'team'))
            ->with($target(4, 'waits'))
            ->with($target(5, 'calls_back'))
            ->with([
                'id' => 'line',
                'kind' => 'line',
                'name' => 'Line',
                'site' => 'sit_harbour',
                'destinations' => ['mobile'],
                'channels' => 2,
            ])
            ->with(['id' => 'num_many', 'number' => '+4416329609*', 'target' => 'mbx'] + $target(6, 'mbx'))
            ->plan();
        $touched = static function (string $id) use ($plan): array {
            $names = array_map(static fn(Number $one): string => $one->name(), Touched::numbers($plan, [$id]));
            sort($names);

            return $names;
        };
        self::assertSame(['Main line', 'ann', 'calls_back', 'team'], $touched('line'));
        // It takes what the main line forwards to.
        self::assertSame(['Main line', 'mbx'], $touched('num_many'));
        self::assertSame(['mbx'], $touched('mbx'));
    }

    public function testOnTheDemoWithOneElementDrawnAnew(): void
    {
        mt_srand(Soak::seed());
        $data = json_decode((string) file_get_contents(\dirname(__DIR__, 3) . '/demo/ternwick-ferries.json'), true);
        \assert(\is_array($data));
        $before = PlanCodec::fromData($data);
        $demo = new ChangedDemo($data);
        $dialled = array_map(
            static fn(Number $one): string => $one->range->number,
            array_merge(
                ...array_map(
                    static fn(Number $one): array => EachNumber::of($before, $one),
                    $before->all(Number::class),
                ),
            ),
        );
        $differ = 0;
        for ($i = 0, $count = Soak::count(20); $i < $count; ++$i) {
            $after = $demo->withOneChanged();
            $looked = array_map(
                static fn(array $pair): string => $pair[1]->range->number,
                PlanImpact::numbers($before, $after),
            );
            $only = [...PlanImpact::onlyIn($before, $after), ...PlanImpact::onlyIn($after, $before)];
            $ids = array_map(static fn(Number $one): string => $one->id(), $only);
            $at = (int) gmmktime(mt_rand(7, 18), mt_rand(0, 59), 0, mt_rand(1, 12), mt_rand(1, 28), 2027);
            $by = 0 === mt_rand(0, 2) ? new Assumptions() : DrawnAssumptions::of(['*']);
            $fares = static fn(Plan $plan, Router $router, TrialCall $call): string => (new Course(
                $router->trace($plan, $call, $by),
            ))->key;
            [$was, $is] = [new Router(), new Router()];
            foreach ($dialled as $to) {
                $call = new TrialCall($to, Caller::parse('', 'GB'), $at);
                $taker = $after->dialled($to);
                if (null === $taker || \in_array($taker->id(), $ids, true)) {
                    continue;
                }
                $isAlike = $fares($before, $was, $call) === $fares($after, $is, $call);
                self::assertTrue($isAlike || \in_array($to, $looked, true), "$i: $to");
                $differ += $isAlike ? 0 : 1;
            }
        }
        self::assertGreaterThan($count, $differ);
    }
}
