<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Proof;

use Meandros\Core\Call\Behaviour;
use Meandros\Core\Call\PhoneAssumption;
use Meandros\Core\Proof\Ways\Acts;
use PHPUnit\Framework\TestCase;

/** What is done at one step. */
final class ActsTest extends TestCase
{
    /** Rounds of ringing may be over before what would be done in a later one: a step after them asks that anew. */
    public function testWhatPhonesWouldDoLaterIsLeftOut(): void
    {
        $ann = static fn(Behaviour $does): array => ['ann' => new PhoneAssumption('ann', $does)];
        $acts = Acts::ringing($ann(Behaviour::Busy), 55)->then(Acts::ringing($ann(Behaviour::Unreachable), 56));
        $asked = static fn(int $seconds): ?Behaviour => $acts->asked($seconds, 0, 0, [], false)->does('ann')?->does;
        self::assertSame([null, Behaviour::Busy, Behaviour::Unreachable], array_map($asked, [54, 55, 56]));
    }
}
