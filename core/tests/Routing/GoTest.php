<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Routing;

use Meandros\Core\Overflow\Overflow;
use Meandros\Core\Plan\Element\Journey;
use Meandros\Core\Tests\PlanBuilder;
use PHPUnit\Framework\TestCase;

/** Journeys as parts of others. */
final class GoTest extends TestCase
{
    public function testAJourneyThatIsAPartComesBackWhenItRunsOut(): void
    {
        $trace = self::plan([['id' => 'hello', 'do' => 'say', 'prompt' => 'prm_hello']])->call();
        self::assertSame(['jrn_main/go', 'jrn_part/hello', 'jrn_main/message'], self::way($trace->passage->visits));
        self::assertSame('message', $trace->ending->kind->value);
    }

    public function testWhatEndsTheCallThereEndsIt(): void
    {
        $trace = self::plan([['id' => 'end', 'do' => 'end']])->call();
        self::assertSame(['jrn_main/go', 'jrn_part/end'], self::way($trace->passage->visits));
    }

    public function testWhereThePartGoesElsewhereItComesBackFromThere(): void
    {
        $trace = self::plan([['id' => 'on', 'do' => 'go', 'journey' => 'jrn_third']])
            ->journey('jrn_third', [['id' => 'hello', 'do' => 'say', 'prompt' => 'prm_hello']])
            ->call();
        self::assertSame(
            ['jrn_main/go', 'jrn_part/on', 'jrn_third/hello', 'jrn_main/message'],
            self::way($trace->passage->visits),
        );
    }

    public function testAPartThatIsAPartOfItselfIsStopped(): void
    {
        $menu = ['id' => 'menu', 'do' => 'menu', 'prompt' => 'prm_hello', 'wait' => 1, 'tries' => 1, 'exits' => []];
        $trace = self::plan([
            $menu,
            ['id' => 'again', 'do' => 'go', 'journey' => 'jrn_part', 'comesBack' => true],
        ])->call();
        self::assertSame('loop stopped', $trace->ending->kind->value);
    }

    public function testAnOverflowComesBackToo(): void
    {
        $plan = self::plan([['id' => 'hello', 'do' => 'say', 'prompt' => 'prm_hello']])->person('ann');
        $plan = $plan
            ->journey('jrn_main', [
                ['id' => 'ring', 'do' => 'ring', 'target' => 'ann', 'seconds' => 20],
                ['id' => 'go', 'do' => 'go', 'journey' => 'jrn_part', 'comesBack' => true],
                ['id' => 'message', 'do' => 'message', 'mailbox' => 'mbx'],
            ])
            ->plan();
        $overflow = new Overflow($plan);
        $journey = $plan->get(Journey::class, 'jrn_main');
        self::assertNotNull($journey);
        $flow = $overflow->from($overflow->staysOf($journey)[0])[0];
        self::assertSame(['mbx', 24], [$flow->to?->by, $flow->seconds]);
    }

    /**
     * @param list<\Meandros\Core\Routing\Visit> $visits
     *
     * @return list<string>
     */
    private static function way(array $visits): array
    {
        return array_map(static fn($visit): string => $visit->journey . '/' . $visit->step, $visits);
    }

    /** @param list<array<string, mixed>> $part */
    private static function plan(array $part): PlanBuilder
    {
        return (new PlanBuilder())
            ->mailbox('mbx')
            ->prompt('prm_hello', 4)
            ->journey('jrn_part', $part)
            ->journey('jrn_main', [
                ['id' => 'go', 'do' => 'go', 'journey' => 'jrn_part', 'comesBack' => true],
                ['id' => 'message', 'do' => 'message', 'mailbox' => 'mbx'],
            ]);
    }
}
