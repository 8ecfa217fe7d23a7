<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Plan;

use Meandros\Core\Plan\Json\PlanCodec;
use Meandros\Core\Tests\PlanBuilder;
use Meandros\Core\Wording\TraceReport;
use PHPUnit\Framework\TestCase;

/** Why an element, or a step, is as it is, in somebody's own words: kept with it, and told where a call comes to it. */
final class WhyTest extends TestCase
{
    private const TEAM = ['id' => 'team', 'kind' => 'team', 'name' => 'Desk'];

    public function testItStandsBehindTheNameWhereSomebodySaidIt(): void
    {
        $said = PlanCodec::element(self::TEAM + ['why' => "  Ann knows them.\nBen does not. "])->toJson();
        self::assertSame(['id', 'kind', 'name', 'why'], \array_slice(array_keys($said), 0, 4));
        self::assertSame("Ann knows them.\nBen does not.", $said['why']);
        foreach ([[], ['why' => ''], ['why' => '  ']] as $nothing) {
            self::assertArrayNotHasKey('why', PlanCodec::element(self::TEAM + $nothing)->toJson());
        }
    }

    public function testACallIsToldItOnceWhereItComesThereFirst(): void
    {
        $plan = (new PlanBuilder())
            ->person('ann')
            ->team('team', ['ann'])
            ->journey('jrn_main', [
                ['id' => 'one', 'do' => 'ring', 'why' => 'Briefly.', 'target' => 'team', 'seconds' => 5],
                ['id' => 'two', 'do' => 'ring', 'target' => 'team', 'seconds' => 5],
                ['id' => 'three', 'do' => 'go', 'journey' => 'jrn_on'],
            ])
            ->journey('jrn_on', [['id' => 'end', 'do' => 'end']]);
        foreach (
            ['team' => 'Ann knows them.', 'jrn_main' => 'As agreed.', 'ann' => 'She works upstairs.']
            as $id => $why
        ) {
            $plan->with(['why' => $why] + $plan->element($id));
        }
        $report = TraceReport::of($plan->call(), $plan->plan(), 'Europe/London');

        self::assertSame(
            [
                ['id' => 'jrn_main', 'kind' => 'journey', 'name' => 'jrn_main', 'why' => 'As agreed.'],
                ['id' => 'team', 'kind' => 'team', 'name' => 'team', 'why' => 'Ann knows them.'],
                ['id' => 'ann', 'kind' => 'person', 'name' => 'Ann', 'why' => 'She works upstairs.'],
                ['id' => 'one', 'kind' => 'step', 'name' => '', 'why' => 'Briefly.'],
            ],
            array_merge(...array_column($report['events'], 'whys')),
        );
        self::assertSame(
            [['team', 'ann', 'one']],
            array_map(
                static fn(array $event): array => array_column($event['whys'], 'id'),
                array_values(
                    array_filter($report['events'], static fn(array $event): bool => 'one' === $event['step']),
                ),
            ),
        );
    }
}
