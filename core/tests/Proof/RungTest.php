<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Proof;

use Meandros\Core\Plan\Element\Number;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Proof\AllNumbers;
use Meandros\Core\Proof\Rung;
use Meandros\Core\Tests\PlanBuilder;
use Meandros\Core\Time\Moment;
use PHPUnit\Framework\TestCase;

/** When somebody is rung, and by which numbers. */
final class RungTest extends TestCase
{
    private const ZONE = 'Europe/London';
    private const MONDAY = ['2026-11-23T00:00', '2026-11-24T00:00'];

    public function testNumbersThatRingAtTheSameTimesAreToldTogether(): void
    {
        self::assertSame(
            [
                ['num_always', [self::MONDAY]],
                [
                    'num_main num_same',
                    [['2026-11-23T09:00', '2026-11-23T12:00'], ['2026-11-23T13:00', '2026-11-23T17:00']],
                ],
            ],
            self::found(self::plan(), 'ann', static fn(): bool => true)[0],
        );
        self::assertSame([[], 0], self::found(self::plan(), 'ben', static fn(): bool => true));
    }

    public function testWhatThereIsNoTimeForIsCounted(): void
    {
        [$found, $left] = self::found(self::plan(), 'ann', static fn(int $looked): bool => $looked < 1);
        self::assertSame([1, 2], [\count($found), $left]);
    }

    private static function plan(): Plan
    {
        $band = static fn(string $from, string $to): array => [
            'days' => ['mo'],
            'from' => $from,
            'to' => $to,
            'state' => 'open',
        ];
        $number = static fn(string $id, string $number, string $target): array => [
            'id' => $id,
            'kind' => 'number',
            'name' => $id,
            'number' => $number,
            'site' => 'sit_harbour',
            'language' => 'en',
            'target' => $target,
        ];
        $ring = [['id' => 's2', 'do' => 'ring', 'target' => 'ann', 'seconds' => 20]];

        return (new PlanBuilder())
            ->person('ann')
            ->person('ben')
            ->mailbox('mbx')
            ->with($number('num_same', '+441632960101', 'jrn_main'))
            ->with($number('num_always', '+441632960102', 'ann'))
            ->with($number('num_other', '+441632960103', 'mbx'))
            ->hours('hrs', [$band('09:00', '12:00'), $band('13:00', '17:00')])
            ->journey('jrn_main', [
                ['id' => 's1', 'do' => 'hours', 'hours' => 'hrs', 'exits' => [['on' => 'open', 'steps' => $ring]]],
                ['id' => 's3', 'do' => 'message', 'mailbox' => 'mbx'],
            ])
            ->plan();
    }

    /**
     * @param \Closure(int): bool $goOn
     *
     * @return array{list<array{string, list<array{string, string}>}>, int} numbers with local times; how many were not looked at
     */
    private static function found(Plan $plan, string $who, \Closure $goOn): array
    {
        [$from, $until] = array_map(static fn(string $local): int => Moment::parse($local, self::ZONE), self::MONDAY);
        [$found, $left] = Rung::find(
            $plan,
            $who,
            new AllNumbers($plan, PlanBuilder::trial(self::MONDAY[0]), $from, $until),
            $goOn,
        );
        $local = static fn(int $instant): string => gmdate('Y-m-d\TH:i', $instant);
        $told = array_map(
            static fn(array $one): array => [
                implode(' ', array_map(static fn(Number $number): string => $number->id(), $one[0])),
                array_map(static fn(array $times): array => [$local($times[0]), $local($times[1])], $one[1]),
            ],
            $found,
        );

        return [$told, $left];
    }
}
