<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Proof;

use Meandros\Core\Plan\Expected\ExpectedTimes;
use Meandros\Core\Plan\PlanHours;
use Meandros\Core\Proof\Promised\PromisedTimes;
use Meandros\Core\Tests\PlanBuilder;
use Meandros\Core\Time\Moment;
use PHPUnit\Framework\TestCase;

/** When what is promised applies. */
final class PromisedTimesTest extends TestCase
{
    private const ZONE = 'Europe/London';

    public function testStatesThatFollowEachOtherAreOneInterval(): void
    {
        $day = static fn(string $from, string $to, string $state): array => [
            'days' => ['mo'],
            'from' => $from,
            'to' => $to,
            'state' => $state,
        ];
        $week = [$day('09:00', '12:00', 'open'), $day('12:00', '13:00', 'lunch'), $day('13:00', '17:00', 'open')];
        $builder = (new PlanBuilder())->hours('hrs', $week);
        self::assertSame(
            [['2026-11-23T09:00', '2026-11-23T17:00']],
            self::within($builder, new ExpectedTimes('hrs')),
            'Lunch is open, too.',
        );
        self::assertSame(
            [['2026-11-23T09:00', '2026-11-23T12:00'], ['2026-11-23T13:00', '2026-11-23T17:00']],
            self::within($builder, new ExpectedTimes('hrs', ['open'])),
        );
        self::assertSame(
            [['2026-11-23T00:00', '2026-11-23T09:00'], ['2026-11-23T17:00', '2026-11-24T00:00']],
            self::within($builder, new ExpectedTimes('hrs', ['closed'])),
        );
    }

    public function testWithoutConditionItIsAlways(): void
    {
        self::assertSame(
            [['2026-11-23T00:00', '2026-11-24T00:00']],
            self::within(new PlanBuilder(), new ExpectedTimes()),
        );
    }

    /** @return list<array{string, string}> on one Monday */
    private static function within(PlanBuilder $builder, ExpectedTimes $when): array
    {
        $plan = $builder->plan();
        $times = PromisedTimes::of($when, 'Europe/London', $plan, new PlanHours($plan));

        return array_map(
            static fn(array $one): array => [self::local($one[0]), self::local($one[1])],
            $times->within(self::instant('2026-11-23T00:00'), self::instant('2026-11-24T00:00')),
        );
    }

    private static function instant(string $local): int
    {
        return Moment::parse($local, self::ZONE);
    }

    private static function local(int $instant): string
    {
        return gmdate('Y-m-d\TH:i', $instant);
    }
}
