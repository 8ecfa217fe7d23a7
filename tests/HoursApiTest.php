<?php

declare(strict_types=1);

namespace Meandros\Server\Tests;

use Meandros\Core\Time\ForcedBy;
use Meandros\Server\Storage\Entity\HoursOverride;
use Meandros\Server\Storage\Overrides;
use PHPUnit\Framework\Attributes\DataProvider;

/** Overrides, calendars, files and years over HTTP. */
final class HoursApiTest extends ApiTestCase
{
    public function testAnOverrideTakesEffectAtOnceOnWhatIsLive(): void
    {
        $before = $this->state('live', 'hrs_port');
        $forced = $this->send('POST', '/api/overrides', [
            'hours' => 'hrs_port',
            'state' => 'storm',
            'reason' => 'Force 10',
            'ends' => 'until lifted',
        ]);
        $this->assertStatus(201);
        self::assertSame(['Storm', 'demo', 'Europe/Paris'], [$forced['stateName'], $forced['who'], $forced['zone']]);
        self::assertNotNull($forced['outlasts'], 'Until lifted is longer than until the next opening.');
        self::assertSame('storm', $this->state('live', 'hrs_port')['state']);
        self::assertSame(
            ['override', 'Force 10'],
            [$this->state('draft', 'hrs_port')['because']['by'], $this->state('draft', 'hrs_port')['because']['name']],
        );
        $again = $this->send('POST', '/api/overrides', [
            'hours' => 'hrs_port',
            'state' => 'open',
            'reason' => 'Calm again',
            'ends' => 'next change',
        ]);
        self::assertSame(
            [$again['id']],
            array_column($this->send('GET', '/api/overrides')['on'], 'id'),
            'The later one takes the place of the earlier.',
        );
        $this->send('POST', '/api/overrides/' . $again['id'] . '/lift');
        $this->assertStatus(200);
        self::assertSame($before['state'], $this->state('live', 'hrs_port')['state']);
        $this->send('POST', '/api/overrides/' . $again['id'] . '/lift');
        $this->assertStatus(404, 'It was lifted already.');
        $list = $this->send('GET', '/api/overrides');
        self::assertSame([[], ['Calm again', 'Force 10']], [$list['on'], array_column($list['past'], 'reason')]);
    }

    public function testAnOverrideThatHoldsIsNotForgottenBehindManyThatAreOver(): void
    {
        $this->send('POST', '/api/overrides', [
            'hours' => 'hrs_port',
            'state' => 'storm',
            'reason' => 'Force 10',
            'ends' => 'until lifted',
        ]);
        $overrides = self::getContainer()->get(Overrides::class);
        for ($i = 1; $i <= 210; ++$i) {
            $overrides->force(
                new HoursOverride(
                    'hrs_lost',
                    'closed',
                    new ForcedBy('demo', 'Tea ' . $i),
                    'at',
                    time() + $i,
                    time() + $i - 1,
                ),
            );
        }
        self::assertContains('Force 10', array_column($this->send('GET', '/api/overrides')['on'], 'reason'));
        self::assertSame('storm', $this->state('live', 'hrs_port')['state']);
    }

    /** @param array<string, mixed> $body */
    #[DataProvider('badOverrides')]
    public function testABadOverrideIsRefusedAtTheField(array $body, string $pointer, string $words): void
    {
        $problem = $this->send(
            'POST',
            '/api/overrides',
            $body + ['hours' => 'hrs_port', 'state' => 'storm', 'reason' => 'Force 10', 'ends' => 'until lifted'],
        );
        $this->assertStatus(422);
        self::assertSame($pointer, $problem['errors'][0]['pointer']);
        self::assertStringContainsString($words, $problem['errors'][0]['detail']);
        self::assertSame([], $this->send('GET', '/api/overrides')['on']);
    }

    /** @return iterable<array{array<string, mixed>, string, string}> */
    public static function badOverrides(): iterable
    {
        yield [['hours' => 'hrs_none'], '/hours', 'no such hours'];
        yield [['state' => 'foggy'], '/state', 'no state “foggy”'];
        yield [['reason' => ''], '/reason', 'missing'];
        yield [['ends' => 'at', 'at' => '2020-01-01T10:00'], '/at', 'Wed 1 Jan 2020 10:00 has passed already'];
        yield [['ends' => 'at', 'at' => '2031-02-30T10:00'], '/at', 'does not exist'];
        yield [['ends' => 'some day'], '/ends', 'not said'];
    }

    public function testACodeCanBeDialledInATrialCall(): void
    {
        $trace = $this->send('POST', '/api/trial-calls', ['to' => '*71', 'from' => '301', 'at' => '2026-11-26T10:00']);
        $this->assertStatus(200);
        self::assertSame(
            ['hours' => 'hrs_port', 'state' => 'storm', 'ends' => 'until lifted', 'allowed' => true],
            $trace['events'][0]['what'],
        );
    }

    public function testAYearOfHoursIsDrawn(): void
    {
        $year = $this->send('GET', '/api/plans/draft/hours/hrs_bookings/year?year=2026');
        $this->assertStatus(200);
        self::assertCount(365, $year['days']);
        self::assertSame(['2026-03-29', '2026-10-25'], array_column($year['clockChanges'], 'date'));
        self::assertContains('Good Friday', array_column($year['holidays'], 'name'));
        self::assertContains('Winter timetable', array_column($year['seasons'], 'name'));
        $both = $this->send('GET', '/api/plans/draft/hours/hrs_bookings/year?year=2026&with=hrs_port');
        self::assertEqualsCanonicalizing(
            ['both', 'first', 'neither', 'second'],
            array_values(array_unique(array_column(array_merge(...$both['days']), 'state'))),
        );
        $this->send('GET', '/api/plans/draft/hours/hrs_bookings/year?year=12');
        $this->assertStatus(422);
    }

    public function testTheNextChangesAreListed(): void
    {
        $changes = $this->send(
            'GET',
            '/api/plans/draft/hours/hrs_bookings/changes?at=2026-12-24T12:00&zone=Europe/London&most=3',
        )['changes'];
        self::assertSame(
            ['2026-12-24T13:00:00+00:00', '2026-12-25T00:00:00+00:00', '2026-12-27T00:00:00+00:00'],
            array_column($changes, 'at'),
        );
        self::assertSame('holiday', $changes[1]['state']);
    }

    public function testTypedWeeksAreUnderstoodOrRefused(): void
    {
        $states = $this->element('hrs_bookings')['states'];
        $entries = $this->send('POST', '/api/week-text', [
            'text' => 'mo-fr 9-12, 13-17:30 open; sa closed',
            'states' => $states,
        ])['entries'];
        self::assertSame(
            [
                ['from' => '09:00', 'to' => '12:00', 'state' => 'open'],
                ['from' => '13:00', 'to' => '17:30', 'state' => 'open'],
            ],
            $entries[0]['bands'],
        );
        $problem = $this->send('POST', '/api/week-text', ['text' => 'mo 9-26', 'states' => $states]);
        self::assertSame('/text', $problem['errors'][0]['pointer']);
    }

    public function testAReadyMadeCalendarIsAddedAndLooksAhead(): void
    {
        self::assertCount(12, $this->send('GET', '/api/ready-made-calendars')['calendars']);
        $saved = $this->send('POST', '/api/plans/draft/calendars', ['readyMade' => 'scotland']);
        $this->assertStatus(201);
        $ahead = $this->send('GET', '/api/plans/draft/calendars/' . $saved['id'] . '/dates?from=2026-11-23');
        self::assertSame(['2026-11-30', 'St Andrew’s Day'], [$ahead['dates'][0]['date'], $ahead['dates'][0]['name']]);
        self::assertSame([], $ahead['passed'], 'Dated entries that are over were left out.');
        $this->send('POST', '/api/plans/draft/calendars', ['readyMade' => 'atlantis']);
        $this->assertStatus(422);
    }

    public function testACalendarGoesOutAsAFileAndComesBackUnchanged(): void
    {
        $text = $this->send('GET', '/api/plans/live/calendars/cal_england.ics')['text'];
        $this->assertStatus(200);
        self::assertStringStartsWith('text/calendar', $this->header('Content-Type'));
        $preview = $this->send('POST', '/api/plans/draft/calendars/cal_england/import', [
            'ics' => $text,
            'zone' => 'Europe/London',
        ]);
        self::assertSame([[], [], []], [$preview['added'], $preview['changed'], $preview['leftOut']]);
        self::assertSame($this->element('cal_england'), $preview['element']);
    }

    public function testHoursGoOutAsAFileAndComeBackUnchanged(): void
    {
        $text = $this->send('GET', '/api/plans/draft/hours/hrs_bookings.ics')['text'];
        $preview = $this->send('POST', '/api/plans/draft/hours/hrs_bookings/import', [
            'ics' => $text,
            'state' => 'closed',
        ]);
        $this->assertStatus(200);
        self::assertSame([[], [], []], [$preview['added'], $preview['changed'], $preview['leftOut']]);
        self::assertNotSame([], $preview['unchanged']);
    }

    public function testABadFileChangesNothing(): void
    {
        $problem = $this->send('POST', '/api/plans/draft/calendars/cal_england/import', [
            'ics' =>
                "BEGIN:VCALENDAR\r\nBEGIN:VEVENT\r\nDTSTART;VALUE=DATE:20260230\r\nSUMMARY:Leap\r\nEND:VEVENT\r\nEND:VCALENDAR\r\n",
            'zone' => 'Europe/London',
        ]);
        $this->assertStatus(422);
        self::assertSame('/ics', $problem['errors'][0]['pointer']);
        self::assertStringContainsString('“Leap” (line 2)', $problem['errors'][0]['detail']);
        $this->send('POST', '/api/plans/draft/calendars/cal_england/import', [
            'ics' => str_repeat('x', 1_000_001),
            'zone' => 'Europe/London',
        ]);
        $this->assertStatus(422);
    }

    /** @return array<string, mixed> */
    private function state(string $which, string $hours): array
    {
        return $this->send(
            'GET',
            "/api/plans/$which/hours?at=" . gmdate('Y-m-d\TH:i:s', time() + 1) . '&zone=UTC',
        )['states'][$hours];
    }
}
