<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Time;

use Eris\Generators;
use Eris\TestTrait;
use Meandros\Core\Time\Moment;
use Meandros\Core\Time\Zone;
use PHPUnit\Framework\TestCase;

/** Laws of zones, and agreement with PHP's own date objects, which the hot path does without. */
final class ZoneLawsTest extends TestCase
{
    use TestTrait;

    private const ZONES = [
        'Europe/London',
        'Europe/Paris',
        'Australia/Lord_Howe',
        'America/St_Johns',
        'Pacific/Chatham',
        'Asia/Kathmandu',
        'America/Santiago',
        'Asia/Beirut',
        'Africa/Casablanca',
        'UTC',
    ];
    private const FROM = 1_577_836_800; // 2020-01-01T00:00:00Z
    private const SPAN = 600_000_000;

    public function testOffsetsAreThoseOfPhp(): void
    {
        $this->forAll(Generators::elements(...self::ZONES), Generators::choose(0, self::SPAN))->then(static function (
            string $name,
            int $after,
        ): void {
            $instant = self::FROM + $after;
            $expected = (new \DateTimeImmutable('@' . $instant))->setTimezone(new \DateTimeZone($name))->getOffset();
            self::assertSame($expected, Zone::over($name, $instant, $instant)->offsetAt($instant));
            self::assertSame($expected, Zone::over($name, self::FROM, self::FROM + self::SPAN)->offsetAt($instant));
        });
    }

    public function testALocalTimeThatExistsComesBackAsItself(): void
    {
        $this->forAll(Generators::elements(...self::ZONES), Generators::choose(0, self::SPAN))->then(static function (
            string $name,
            int $after,
        ): void {
            $zone = Zone::over($name, self::FROM, self::FROM + self::SPAN);
            $local = $zone->localOf(self::FROM + $after);
            $instant = $zone->instantOf($local);
            self::assertSame($local, $zone->localOf($instant), 'The wall clock shows it at that instant.');
            self::assertLessThanOrEqual(
                self::FROM + $after,
                $instant,
                'It is the first instant at which the clock shows it.',
            );
        });
    }

    public function testMomentsSurviveBeingWrittenAndRead(): void
    {
        $this->forAll(Generators::elements(...self::ZONES), Generators::choose(0, self::SPAN))->then(static function (
            string $name,
            int $after,
        ): void {
            $instant = self::FROM + $after;
            self::assertSame($instant, Moment::parse(Moment::format($instant, $name), 'UTC'));
        });
    }

    public function testASteadyStretchHasOneOffset(): void
    {
        $zone = Zone::over('Europe/London', self::FROM, self::FROM + self::SPAN);
        $gap = Moment::parse('2026-03-29T01:00:00Z', 'UTC');
        self::assertNull($zone->steadyOffset($gap - 1, $gap + 1));
        self::assertSame(0, $zone->steadyOffset($gap - 3600, $gap));
        self::assertSame(3600, $zone->steadyOffset($gap, $gap + 3600));
    }

    public function testNamesThatAreNoZones(): void
    {
        foreach (['', 'Europe', 'Mars/Olympus', '+01:00', 'europe/london '] as $name) {
            self::assertFalse(Zone::exists($name), $name);
        }
        self::assertTrue(Zone::exists('Asia/Kolkata'));
        self::assertSame('Europe/Paris', Zone::closestTo('Europa/Paris'));
    }
}
