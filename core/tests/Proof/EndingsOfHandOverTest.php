<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Proof;

use Meandros\Core\Proof\Endings;
use Meandros\Core\Tests\PlanBuilder;
use PHPUnit\Framework\TestCase;

/** Every ending of calls that somebody's rule passes on to others, within one step. */
final class EndingsOfHandOverTest extends TestCase
{
    use HoldsEndings;

    /** Ann is on a call, and her rule passes on to Ben, who rang with her and is out of reach. */
    public function testWhoeverItIsPassedOnToMayHaveRungInTheSameSecond(): void
    {
        $plan = (new PlanBuilder())
            ->person('ann')
            ->person('ben')
            ->team('team', ['ben'])
            ->mailbox('mbx')
            ->mailbox('own');
        self::rule($plan, 'ann', ['teams' => ['team'], 'seconds' => 8], ['busy' => 'ben', 'unreachable' => 'own']);
        $message = ['id' => 's2', 'do' => 'message', 'mailbox' => 'mbx'];
        self::assertHas(
            'message mbx 0 0',
            self::endings($plan, [self::handOver('ann', [['on' => 'unreachable', 'steps' => [$message]]])]),
        );
    }

    /** Ben declines after a second, and Cid, to whom it is passed on, is on a call: so soon the next step rings Ben, for four seconds. */
    public function testWhoDeclinedMayBeRungAgainASecondLater(): void
    {
        $plan = (new PlanBuilder())->person('ben')->person('cid')->mailbox('mbx')->mailbox('own');
        self::rule($plan, 'ben', ['seconds' => 8], ['nobody' => 'cid']);
        self::rule($plan, 'cid', ['seconds' => 12], ['nobody' => 'own']);
        $message = ['id' => 's3', 'do' => 'message', 'mailbox' => 'mbx'];
        self::assertHas(
            'message mbx 5 12',
            self::endings($plan, [
                self::handOver('ben'),
                [
                    'id' => 's2',
                    'do' => 'ring',
                    'target' => 'ben',
                    'seconds' => 4,
                    'exits' => [['on' => 'nobody', 'steps' => [$message]]],
                ],
            ]),
        );
    }

    /** Ann has five seconds, then Cid is rung for a minute: that is over five seconds later than where Ann declines at once. */
    public function testRoundsThatBeginLaterAreOverLater(): void
    {
        $plan = (new PlanBuilder())->person('ann')->person('cid');
        self::rule($plan, 'ann', ['seconds' => 5], ['nobody' => 'cid']);
        self::rule($plan, 'cid', ['seconds' => 4], [], 1);
        self::assertSame(
            ['answered ann 0 4', 'ran out of steps  0 65', 'answered cid 0 64', 'caller gave up  1 65'],
            self::endings($plan, [self::handOver('ann')]),
        );
    }

    /** @param list<string> $endings */
    private static function assertHas(string $one, array $endings): void
    {
        self::assertContains($one, $endings, implode(', ', $endings));
    }

    /**
     * @param array<string, mixed>       $stage
     * @param array<string, string|null> $next
     */
    private static function rule(PlanBuilder $plan, string $who, array $stage, array $next = [], int $minutes = 0): void
    {
        $rule = [
            'id' => 'rule',
            'name' => 'Rule',
            'stages' => [$stage + ['phones' => ['desk'], 'teams' => [], 'after' => 0]],
            'againMinutes' => $minutes,
            'next' => $next + ['nobody' => null, 'busy' => null, 'unreachable' => null],
        ];
        $plan->with(['rules' => [$rule]] + $plan->element($who));
    }

    /**
     * @param list<array<string, mixed>> $exits
     *
     * @return array<string, mixed>
     */
    private static function handOver(string $who, array $exits = []): array
    {
        return ['id' => 's1', 'do' => 'ring', 'target' => $who, 'seconds' => 10, 'handOver' => true, 'exits' => $exits];
    }

    /**
     * @param list<array<string, mixed>> $steps
     *
     * @return list<string>
     */
    private static function endings(PlanBuilder $plan, array $steps): array
    {
        $call = PlanBuilder::trial('2026-11-23T10:30');
        $endings = Endings::of($plan->journey('jrn_main', $steps)->plan(), $call);
        self::reproduce($plan->plan(), $call, $endings);

        return self::told($endings);
    }
}
