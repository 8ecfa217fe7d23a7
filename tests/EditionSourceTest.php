<?php

declare(strict_types=1);

namespace Meandros\Server\Tests;

use Meandros\Core\Plan\Json\PlanCodec;
use Meandros\Core\Plan\Kind;
use Meandros\Core\Plan\Plan;
use Meandros\Server\Storage\EditionSource;
use Meandros\Server\Storage\SharedMemory;
use PHPUnit\Framework\TestCase;

/** Elements of an edition come from shared memory one by one; all of it is read where something is not there, and once. */
final class EditionSourceTest extends TestCase
{
    private int $read = 0;

    public function testWhatIsNotThereIsLookedForOnce(): void
    {
        $name = 'test.edition.' . bin2hex(random_bytes(6));
        $plan = PlanCodec::decode((string) file_get_contents(__DIR__ . '/../demo/ternwick-ferries.json'));
        EditionSource::share(new SharedMemory(), $name, $plan);

        self::assertSame('Port office', $this->edition($name, $plan)->find('team_port')?->name());
        self::assertSame(Kind::Hours, $this->edition($name, $plan)->kindOf('hrs_port'));
        self::assertNull(
            $this->edition($name, $plan)->kindOf('per_night/rule_one'),
            'Windows of a rule are no element.',
        );
        self::assertSame(0, $this->read);
        self::assertSame($plan->names(Kind::Hours), $this->edition($name, $plan)->names(Kind::Hours));
        self::assertSame($plan->names(Kind::Hours), $this->edition($name, $plan)->names(Kind::Hours));
        self::assertSame(1, $this->read);
        $this->read = 0;
        self::assertNull($this->edition($name, $plan)->find('hrs_of_the_draft'));
        self::assertSame(1, $this->read);
        self::assertNull($this->edition($name, $plan)->find('hrs_of_the_draft'));
        self::assertNull($this->edition($name, $plan)->kindOf('hrs_of_the_draft'));
        self::assertSame([], $this->edition($name, $plan)->mentioning('hrs_of_the_draft'));
        self::assertSame([], $this->edition($name, $plan)->mentioning('hrs_of_the_draft'));
        self::assertSame(2, $this->read);
    }

    /** As each request has it. */
    private function edition(string $name, Plan $plan): Plan
    {
        return Plan::from(
            $plan->name,
            new EditionSource(
                new SharedMemory(),
                $name,
                function () use ($plan): Plan {
                    ++$this->read;

                    return $plan;
                },
                $plan->fingerprint(...),
            ),
        );
    }
}
