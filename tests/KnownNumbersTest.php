<?php

declare(strict_types=1);

namespace Meandros\Server\Tests;

use Meandros\Core\Plan\Element\Number;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Proof\Known;
use Meandros\Server\Proof\KnownNumbers;
use Meandros\Server\Storage\Live;
use Meandros\Server\Storage\Plans;
use Meandros\Server\Storage\SharedMemory;

/** What is kept of calls to each number from one request to the next. */
final class KnownNumbersTest extends ApiTestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        if (!apcu_enabled()) {
            self::markTestSkipped('Nothing is shared: run with -d apc.enable_cli=1, as bin/test does.');
        }
        apcu_clear_cache();
    }

    public function testAfterAnEditOnlyWhatItTouchesIsLookedAt(): void
    {
        $all = $this->looked('draft');
        self::assertGreaterThan(20, \count($all));
        self::assertSame([], $this->looked('draft'));
        $this->change('per_dana', ['name' => 'Dana Whitlock-Reyes']);
        $touched = $this->looked('draft');
        self::assertLessThan(\count($all), \count($touched));
        self::assertContains('num_main', $touched, 'Dana is rung by the main line.');
        self::assertNotContains('num_sailings', $touched);
        self::assertSame([], $this->looked('draft'));
        $this->undo();
        self::assertSame($touched, $this->looked('draft'), 'What was taken back is another edit.');
        $this->send('PUT', '/api/statuses/per_dana', ['status' => 'away', 'until' => null]);
        self::assertSame($touched, $this->looked('draft'));
    }

    public function testEachPlanHasItsOwn(): void
    {
        $all = $this->looked('draft');
        self::assertSame($all, $this->looked('live'));
        $this->change('per_dana', ['name' => 'Dana Whitlock-Reyes']);
        self::assertSame([], $this->looked('live'));
        $this->publish('Dana has another name');
        self::assertSame($all, $this->looked('live'), 'It is another edition.');
        self::assertSame([], $this->looked('1'));
        self::assertSame($all, $this->looked('1', 'tomorrow'));
        self::assertSame([], $this->looked('1', 'tomorrow'));
    }

    public function testANumberThatGoesIsCalledOutside(): void
    {
        $number = ['kind' => 'number', 'name' => 'Kiosk', 'number' => '+441632960155', 'site' => 'sit_ternwick'];
        $added = $this->send('POST', '/api/plans/draft/elements', $number + ['language' => 'en', 'target' => null]);
        $this->assertStatus(201);
        $id = (string) array_key_first($added['elements']);
        $forward = [['id' => 's1', 'do' => 'forward', 'number' => '+441632960155']];
        $this->change('jrn_fax', ['steps' => $forward]);
        self::assertContains($id, $this->looked('draft'));
        self::assertSame([], $this->looked('draft'));
        $this->send('DELETE', "/api/plans/draft/elements/$id", null, $this->revision($id));
        $this->assertStatus(200);
        self::assertSame(['num_fax'], $this->looked('draft'));
    }

    /** @return list<string> numbers of which nothing was known, by id */
    private function looked(string $which, string $asked = 'today'): array
    {
        $plan = self::getContainer()->get(Plans::class)->get($which);
        $live = self::getContainer()->get(Live::class)->state($plan, 1_795_000_000);

        return (new KnownNumbers(new SharedMemory()))->with(
            'it',
            $plan,
            $live,
            $asked,
            static fn(Known $known): array => self::unknown($plan, $known),
        );
    }

    /** @return list<string> */
    private static function unknown(Plan $plan, Known $known): array
    {
        $looked = [];
        foreach ($plan->all(Number::class) as $number) {
            $known->of($number, 'it', static function () use (&$looked, $number): int {
                $looked[] = $number->id();

                return 1;
            });
        }

        sort($looked);

        return $looked;
    }
}
