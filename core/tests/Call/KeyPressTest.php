<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Call;

use Meandros\Core\Call\KeyPress;
use Meandros\Core\Reading\Input;
use Meandros\Core\Reading\InvalidData;
use PHPUnit\Framework\TestCase;

final class KeyPressTest extends TestCase
{
    public function testAKeyIsPressedOrAWordIsSaid(): void
    {
        try {
            Input::read(['press' => '2', 'says' => 'bookings'], KeyPress::fromJson(...));
            self::fail('Both were taken.');
        } catch (InvalidData $invalid) {
            self::assertSame(
                [['/says', 'key-or-word']],
                array_map(static fn($one): array => [$one->pointer, $one->code], $invalid->problems),
            );
        }
    }
}
