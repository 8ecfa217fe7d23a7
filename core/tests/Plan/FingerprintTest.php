<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Plan;

use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Tests\KeptElements;
use Meandros\Core\Tests\PlanBuilder;
use PHPUnit\Framework\TestCase;

/** Plans of one fingerprint say the same. */
final class FingerprintTest extends TestCase
{
    public function testItIsOfWhatAPlanSaysAndNotOfItsOrder(): void
    {
        $elements = (new PlanBuilder())->person('ann')->person('ben')->plan()->elements();
        $plan = Plan::of('Harbour', $elements);
        self::assertSame($plan->fingerprint(), Plan::of('Harbour', array_reverse($elements))->fingerprint());
        self::assertSame($plan->fingerprint(), Plan::of('Harbour', $elements)->fingerprint());
        self::assertNotSame($plan->fingerprint(), Plan::of('Quay', $elements)->fingerprint());
        self::assertNotSame(
            $plan->fingerprint(),
            Plan::of('Harbour', array_diff_key($elements, ['ben' => true]))->fingerprint(),
        );
    }

    public function testWhatIsPutInItsPlaceCountsInWhateverOrder(): void
    {
        $named = static fn(string $id, string $name): Element => (new PlanBuilder())
            ->person($id)
            ->with(['name' => $name] + (array) (new PlanBuilder())->person($id)->plan()->find($id)?->toJson())
            ->plan()
            ->find($id) ?? throw new \LogicException();
        $plan = (new PlanBuilder())->person('ann')->person('ben')->plan();
        foreach ([$plan, Plan::from($plan->name, KeptElements::of($plan))] as $one) {
            $both = $one->with($named('ann', 'Anne'))->with($named('ben', 'Benno'));
            self::assertSame(
                $both->fingerprint(),
                $one->with($named('ben', 'Benno'))->with($named('ann', 'Anne'))->fingerprint(),
            );
            self::assertNotSame($one->fingerprint(), $both->fingerprint());
            self::assertNotSame($one->with($named('ann', 'Anne'))->fingerprint(), $both->fingerprint());
            self::assertNotSame(
                $one->with($named('ann', 'Anna'))->fingerprint(),
                $one->with($named('ann', 'Anne'))->fingerprint(),
            );
        }
    }
}
