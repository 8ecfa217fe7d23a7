<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Time;

use Meandros\Core\Time\Moment;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * RFC 5545 3.3.5: "If the local time described does not occur (when changing from standard to daylight time), the
 * DATE-TIME value is interpreted using the UTC offset before the gap in local times. … If the local time described
 * occurs more than once (when changing from daylight to standard time), the DATE-TIME value refers to the first
 * occurrence." The RFC's own example: TZID=America/New_York:20070311T023000 is 03:30 EDT; 20071104T013000 is EDT.
 */
final class ZoneTest extends TestCase
{
    #[DataProvider('localTimes')]
    public function testLocalTimesAreReadAsTheRfcSays(string $zone, string $local, string $utc): void
    {
        self::assertSame($utc, gmdate('Y-m-d\TH:i:s\Z', Moment::parse($local, $zone)));
    }

    /** @return iterable<string, array{string, string, string}> the clock changes of 2026 in the EU and UK: 29 March and 25 October, 01:00 UTC */
    public static function localTimes(): iterable
    {
        yield 'the RFC\'s gap' => ['America/New_York', '2007-03-11T02:30', '2007-03-11T07:30:00Z'];
        yield 'the RFC\'s overlap' => ['America/New_York', '2007-11-04T01:30', '2007-11-04T05:30:00Z'];
        yield 'London, last second before the gap' => ['Europe/London', '2026-03-29T00:59:59', '2026-03-29T00:59:59Z'];
        yield 'London, in the gap' => ['Europe/London', '2026-03-29T01:30', '2026-03-29T01:30:00Z'];
        yield 'London, after the gap' => ['Europe/London', '2026-03-29T02:00', '2026-03-29T01:00:00Z'];
        yield 'London, twice, so the first' => ['Europe/London', '2026-10-25T01:30', '2026-10-25T00:30:00Z'];
        yield 'London, after the overlap' => ['Europe/London', '2026-10-25T02:00', '2026-10-25T02:00:00Z'];
        yield 'Paris, in the gap' => ['Europe/Paris', '2026-03-29T02:30', '2026-03-29T01:30:00Z'];
        yield 'Paris, after the gap' => ['Europe/Paris', '2026-03-29T03:00', '2026-03-29T01:00:00Z'];
        yield 'Paris, twice, so the first' => ['Europe/Paris', '2026-10-25T02:30', '2026-10-25T00:30:00Z'];
        yield 'Paris, after the overlap' => ['Europe/Paris', '2026-10-25T03:00', '2026-10-25T02:00:00Z'];
        yield 'an offset given' => ['Europe/Paris', '2026-10-25T02:30:00+01:00', '2026-10-25T01:30:00Z'];
    }

    #[DataProvider('impossible')]
    public function testWhatDoesNotExistIsSaid(string $text, string $words): void
    {
        $this->expectExceptionMessage($words);
        Moment::parse($text, 'Europe/London');
    }

    /** @return iterable<array{string, string}> */
    public static function impossible(): iterable
    {
        yield ['2026-02-30T10:00', 'The date 2026-02-30 does not exist.'];
        yield ['2026-02-03T25:00', 'The time 25:00 does not exist.'];
        yield ['tomorrow', '"tomorrow" is not a moment.'];
    }

    public function testAnUnknownZoneNamesTheClosest(): void
    {
        $this->expectExceptionMessage('the closest is Europe/London');
        Moment::parse('2026-01-01T00:00', 'Europe/Londno');
    }
}
