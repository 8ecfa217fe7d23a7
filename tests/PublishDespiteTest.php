<?php

declare(strict_types=1);

namespace Meandros\Server\Tests;

use Meandros\Server\Patience;
use Meandros\Server\Proof\ComingYear;
use Meandros\Server\Proof\HeldPromises;
use Meandros\Server\Proof\KnownNumbers;
use Meandros\Server\Proof\PromisesLeft;
use Meandros\Server\Proof\PublishDespite;
use Meandros\Server\Proof\WorkedOut;
use Meandros\Server\Storage\Editions;
use Meandros\Server\Storage\Plans;

/** What is to be known of expectations before a plan is published. */
final class PublishDespiteTest extends ApiTestCase
{
    public function testWhereThereIsNoTimeToLookItIsNotPublishedWithoutAReason(): void
    {
        $plan = self::getContainer()->get(Plans::class)->get('draft');
        self::assertSame(
            ['exp_port_sleeps' => 'It was so.'],
            $this->despite(1)->reasons($plan, ''),
            'Known since the edition that is live.',
        );
        $this->change('per_dana', ['name' => 'Dana Whitlock-Reyes']);
        $plan = self::getContainer()->get(Plans::class)->get('draft');
        self::assertSame(['' => 'It is urgent.'], $this->despite(0)->reasons($plan, 'It is urgent.'));
        $this->expectException(PromisesLeft::class);
        $this->expectExceptionMessageMatches(
            '/^What is expected was not looked at yet at \d\d numbers\. Publish again to go on, or say why/',
        );
        $this->despite(0)->reasons($plan, '');
    }

    public function testWhatIsLeftIsTold(): void
    {
        $this->change('per_dana', ['name' => 'Dana Whitlock-Reyes']);
        self::getContainer()->set(PublishDespite::class, $this->despite(0));
        $revision = $this->send('GET', '/api/plans/draft/pending')['revision'];
        $problem = $this->send('POST', '/api/editions', ['note' => 'Dana has another name'], $revision);
        $this->assertStatus(409);
        self::assertGreaterThan(9, $problem['left']);
        $body = ['note' => 'Dana has another name', 'despite' => 'It is urgent.'];
        $edition = $this->send('POST', '/api/editions', $body, $revision);
        $this->assertStatus(201);
        self::assertSame(['' => 'It is urgent.'], (array) $edition['despite']);
    }

    /** @param float $patience 0 where nobody waits */
    private function despite(float $patience): PublishDespite
    {
        $get = self::getContainer()->get(...);
        $held = new HeldPromises(
            $get(ComingYear::class),
            new Patience($patience),
            $get(WorkedOut::class),
            $get(KnownNumbers::class),
        );

        return new PublishDespite($held, $get(Editions::class), $get(Plans::class));
    }
}
