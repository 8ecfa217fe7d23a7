<?php

declare(strict_types=1);

namespace Meandros\Server\Tests;

/** Who takes calls over a year, and what the draft changes for callers. */
final class CoverageApiTest extends ApiTestCase
{
    private const BERTHS = '+441632960290';

    public function testAYearOfANumber(): void
    {
        $call = ['to' => self::BERTHS, 'at' => '2027-03-31T10:00'];
        $year = $this->send('POST', '/api/coverage', ['call' => $call, 'year' => 2027]);
        $this->assertStatus(200);
        self::assertSame([365, 7, 'Europe/London'], [\count($year['days']), \count($year['week']), $year['zone']]);
        self::assertSame('2027-03-29', $year['week'][0]['date'], 'The week from Monday on.');
        self::assertSame(86400 * 365, array_sum($year['totals']['seconds']));
        // Weekdays 08:30–17:30 and Saturday 09:00–12:00.
        self::assertSame(48 * 3600, $year['totals']['usualWeek']);
        self::assertGreaterThan(52, $year['totals']['daysWithout'], 'Sundays and bank holidays.');
        $rings = array_values(
            array_filter($year['courses'], static fn(array $one): bool => 'person' === $one['reach']),
        );
        self::assertStringStartsWith('rings ', $rings[0]['words']);
        self::assertStringContainsString('Mon–Fri 08:30–17:30', $rings[0]['when']);
        foreach ($year['days'] as $day) {
            self::assertSame([0, 86400], [$day[0]['from'], $day[\count($day) - 1]['to']]);
        }
        $this->send('POST', '/api/coverage', ['call' => $call, 'year' => 1999]);
        $this->assertStatus(422);
        $this->send('POST', '/api/coverage', [
            'call' => ['to' => '+441632000000', 'at' => '2027-01-01T10:00'],
            'year' => 2027,
        ]);
        $this->assertStatus(422);
    }

    public function testAllNumbersInTheBackground(): void
    {
        $call = ['to' => self::BERTHS, 'at' => '2027-03-31T10:00'];
        $job = $this->send('POST', '/api/coverage-board', ['call' => $call, 'year' => 2027]);
        self::assertSame('done', $job['state']);
        $numbers = array_column($job['result']['numbers'], null, 'id');
        self::assertCount(50, $numbers);
        self::assertSame(48 * 3600, $numbers['num_exception_berths']['usualWeek']);
        self::assertSame(0, $numbers['num_sailings']['usualWeek']);
        self::assertSame(365, $numbers['num_gare']['days']);
    }

    public function testWhatTheDraftChangesForCallers(): void
    {
        $nothing = ['numbers' => [], 'looked' => 0, 'left' => 0];
        self::assertSame($nothing, $this->send('GET', '/api/plans/draft/impact'));
        $hours = $this->element('hrs_reception');
        $week = array_map(static fn(array $band): array => ['to' => '16:00'] + $band, [$hours['week'][0]]);
        $this->change('hrs_reception', ['week' => [...$week, ...\array_slice($hours['week'], 1)]]);
        $impact = $this->send('GET', '/api/plans/draft/impact');
        $this->assertStatus(200);
        $numbers = array_column($impact['numbers'], null, 'id');
        self::assertSame(0, $impact['left']);
        self::assertArrayHasKey('num_exception_berths', $numbers);
        self::assertArrayNotHasKey('num_sailings', $numbers);
        $change = $numbers['num_exception_berths']['changes'][0];
        self::assertSame('nobody any more', $change['severity']);
        self::assertStringStartsWith('Mon–Fri 16:00–17:30', $change['when']);
        self::assertMatchesRegularExpression(
            '/^before: rings .*; now: a message with Reception mailbox$/',
            $change['what'],
        );

        // Words that nobody at these numbers hears change nothing for them.
        $this->undo();
        $this->change('prm_storm', ['scripts' => ['en' => 'Because of the weather no ferry is sailing.']]);
        self::assertSame([], array_column($this->send('GET', '/api/plans/draft/impact')['numbers'], 'name'));
    }
}
