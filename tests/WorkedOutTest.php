<?php

declare(strict_types=1);

namespace Meandros\Server\Tests;

use Meandros\Core\Plan\Plan;
use Meandros\Server\Now;
use Meandros\Server\Proof\WorkedOut;
use Meandros\Server\Storage\Live;
use Meandros\Server\Storage\Plans;
use Meandros\Server\Storage\SharedMemory;
use Symfony\Component\Clock\MockClock;

/** What is kept for a minute of what was worked out of plans. */
final class WorkedOutTest extends ApiTestCase
{
    private int $times = 0;
    private MockClock $clock;

    protected function setUp(): void
    {
        parent::setUp();
        if (!apcu_enabled()) {
            self::markTestSkipped('Nothing is shared: run with -d apc.enable_cli=1, as bin/test does.');
        }
        apcu_clear_cache();
        $this->clock = new MockClock('2026-11-23T10:30:01+00:00');
    }

    public function testItIsWorkedOutOnceAMinute(): void
    {
        $plan = $this->plan();
        self::assertSame([1, 1], [$this->workOut($plan), $this->workOut($this->plan())]);
        $this->clock->sleep(58);
        self::assertSame(1, $this->workOut($plan));
        $this->clock->sleep(1);
        self::assertSame(2, $this->workOut($plan));
    }

    public function testItIsOfWhatPlansSayAndOfWhatIsLive(): void
    {
        self::assertSame(1, $this->workOut($this->plan()));
        $this->change('per_dana', ['name' => 'Dana Whitlock-Reyes']);
        self::assertSame(2, $this->workOut($this->plan()));
        $this->undo();
        self::assertSame(1, $this->workOut($this->plan()), 'It says the same again.');
        $this->send('PUT', '/api/statuses/per_dana', ['status' => 'away', 'until' => null]);
        self::assertSame(3, $this->workOut($this->plan()));
    }

    public function testWhatWasLookedAtIsKnownWhenItIsPublished(): void
    {
        $this->change('per_dana', ['name' => 'Dana Whitlock-Reyes']);
        self::assertSame(1, $this->workOut($this->plan()));
        $this->publish('Dana has another name');
        $plans = self::getContainer()->get(Plans::class);
        $plans->get('live');
        self::assertSame(1, $this->workOut($plans->get('live')), 'As it is shared since it was read.');
        self::assertSame(2, $this->workOut($plans->get('1')), 'The one before it says something else.');
    }

    public function testWhatIsNotWholeIsNotKept(): void
    {
        self::assertSame([1, 2], [$this->workOut($this->plan(), false), $this->workOut($this->plan(), false)]);
    }

    private function workOut(Plan $plan, bool $isWhole = true): int
    {
        $container = self::getContainer();
        $workedOut = new WorkedOut(new SharedMemory(), $container->get(Live::class), new Now($this->clock));

        return $workedOut->of('it', [$plan], fn(): int => ++$this->times, static fn(int $_): bool => $isWhole);
    }

    private function plan(): Plan
    {
        return self::getContainer()->get(Plans::class)->get('draft');
    }
}
