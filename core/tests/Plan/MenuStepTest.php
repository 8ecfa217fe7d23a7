<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Plan;

use Meandros\Core\Call\Keypad;
use Meandros\Core\Plan\Element\Person;
use Meandros\Core\Plan\Json\PlanCodec;
use Meandros\Core\Plan\Step\DialScope;
use Meandros\Core\Plan\Step\Exits;
use Meandros\Core\Plan\Step\MenuDialling;
use Meandros\Core\Plan\Step\StepExit;
use Meandros\Core\Plan\Step\StepList;
use Meandros\Core\Tests\PlanBuilder;
use PHPUnit\Framework\TestCase;

final class MenuStepTest extends TestCase
{
    /** 0 is a key like the others. */
    public function testAKeyThatLeadsNowhereIsTheFirstOfTheKeypadWithoutAnExit(): void
    {
        $exits = static fn(string ...$keys): Exits => new Exits(
            array_map(
                static fn(string $key): StepExit => new StepExit($key, '', new StepList([])),
                array_values($keys),
            ),
        );
        self::assertSame('1', $exits()->wrongKey());
        self::assertSame('2', $exits('1', 'nothing')->wrongKey());
        self::assertSame('0', $exits('#', ...array_map(strval(...), range(1, 9)), ...['*'])->wrongKey());
        self::assertNull($exits(...Keypad::KEYS)->wrongKey());
    }

    public function testOfASiteThoseAreDialledWhoBelongThereAndAreListed(): void
    {
        $dialling = new MenuDialling(DialScope::Site, 'sit_harbour');
        $builder = (new PlanBuilder())->person('ann');
        $mayReach = static function (array $changed) use ($dialling, $builder): bool {
            $person = PlanCodec::element($changed + $builder->element('ann'));

            return $person instanceof Person && $dialling->mayReach($person);
        };
        self::assertTrue($mayReach([]));
        self::assertFalse($mayReach(['site' => 'sit_other']));
        self::assertFalse($mayReach(['listing' => ['on' => false, 'reason' => 'at night']]));
    }
}
