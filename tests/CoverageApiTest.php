<?php

declare(strict_types=1);

namespace Meandros\Server\Tests;

use Meandros\Core\Proof\Ways\Untried;
use Sabre\VObject\Component\VCalendar;
use Sabre\VObject\Reader;
use Symfony\Component\Clock\Test\ClockSensitiveTrait;
use Symfony\Component\Yaml\Yaml;

/** Who takes calls over a year, and what the draft changes for callers. */
final class CoverageApiTest extends ApiTestCase
{
    use ClockSensitiveTrait;

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
        self::assertSame('while Reception hours are “Open”', $rings[0]['during']);
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

    public function testAfterAnEditAllNumbersAreAsIfLookedAtAnew(): void
    {
        $board = function (): array {
            $call = ['to' => self::BERTHS, 'at' => '2027-03-31T10:00'];
            $job = $this->send('POST', '/api/coverage-board', ['call' => $call, 'year' => 2027]);

            return array_column($job['result']['numbers'], null, 'name');
        };
        $before = $board();
        $week = $this->element('hrs_reception')['week'];
        $this->change('hrs_reception', ['week' => [['to' => '16:00'] + $week[0], ...\array_slice($week, 1)]]);
        $this->change('num_sailings', ['target' => 'per_reception']);
        $this->send(
            'POST',
            '/api/plans/draft/elements',
            [
                'number' => '+441632960199',
                'name' => 'New',
            ] + array_diff_key($this->element('num_sailings'), ['id' => 1]),
        );
        $after = $board();
        self::assertCount(\count($before) + 1, $after);
        self::assertSame($before['Gare maritime'], $after['Gare maritime']);
        self::assertSame(40.5 * 3600, (float) $after['Berth telephones']['usualWeek']);
        self::assertGreaterThan(0, $after['Sailing information']['usualWeek']);
        // Another process has nothing kept.
        self::getContainer()->reset();
        $this->undo();
        $this->undo('redo');
        self::assertEquals($after, $board());
        $this->undo();
        $this->undo();
        $this->undo();
        self::assertEquals($before, $board());
    }

    public function testNumbersOfABlockAreLookedAtOneByOne(): void
    {
        $board = function (): array {
            $call = ['to' => self::BERTHS, 'at' => '2027-03-31T10:00'];
            $job = $this->send('POST', '/api/coverage-board', ['call' => $call, 'year' => 2027]);

            return array_filter(
                array_column($job['result']['numbers'], 'usualWeek', 'number'),
                static fn(string $number): bool => str_starts_with($number, '+4416329602'),
                \ARRAY_FILTER_USE_KEY,
            );
        };
        [$first, $olives] = ['+441632960200', '+441632960220'];
        $before = $board();
        self::assertSame([48 * 3600, 9 * 3600], [$before[$first], $before[$olives]]);
        // Nobody has the first one any more: it stands for those of nobody.
        $this->change('per_reception', ['extension' => '230']);
        $this->change('per_olive', ['rules' => []]);
        $after = $board();
        self::assertSame([$olives => 168 * 3600, '+441632960230' => 48 * 3600], array_diff_assoc($after, $before));
        self::assertSame(
            ['Direct lines', 'Direct lines (Bea Longstaff)', 'Direct lines (Olive Marsh)'],
            array_column($this->send('GET', '/api/impact')['numbers'], 'name'),
        );
        $rung = $this->send('GET', '/api/plans/draft/rung/per_olive?year=2027');
        self::assertContains($olives, array_column($rung['lines'], 'number'));
        $answers = $this->send('POST', '/api/number-answers', [
            'call' => ['to' => self::BERTHS, 'at' => '2027-03-31T10:00'],
            'numbers' => ['num_direct'],
        ]);
        self::assertSame($first, $answers['answers']['num_direct']['number']);
    }

    public function testWhatTheDraftChangesForCallers(): void
    {
        $nothing = ['numbers' => [], 'looked' => 0, 'left' => 0, 'unlooked' => 0];
        self::assertSame($nothing, $this->send('GET', '/api/impact'));
        $counted = fn(): array => array_filter($this->send('GET', '/api/impact/counted'));
        self::assertSame([], $counted());
        $hours = $this->element('hrs_reception');
        $week = array_map(static fn(array $band): array => ['to' => '16:00'] + $band, [$hours['week'][0]]);
        $this->change('hrs_reception', ['week' => [...$week, ...\array_slice($hours['week'], 1)]]);
        $impact = $this->send('GET', '/api/impact');
        $this->assertStatus(200);
        $numbers = array_column($impact['numbers'], null, 'id');
        self::assertSame(0, $impact['left']);
        $worst = array_map(static fn(array $one): string => $one['changes'][0]['severity'], $impact['numbers']);
        $all = ['changed' => \count($worst), 'nobody' => array_count_values($worst)['nobody any more']];
        self::assertSame($all, $counted());
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
        self::assertSame([], array_column($this->send('GET', '/api/impact')['numbers'], 'name'));
    }

    /** What is found of an hour is kept for as long as it lasts. */
    public function testWhatIsOverIsNotCounted(): void
    {
        $counted = function (string $from, string $now): int {
            self::mockTime("2027-03-31T$now Europe/London");
            $band = ['from' => $from, 'to' => '17:30', 'state' => 'open'];
            $day = ['date' => '2027-03-31', 'name' => 'Late', 'bands' => [$band]];
            $this->change('hrs_reception', ['specialDays' => [$day]]);

            return $this->send('GET', '/api/impact/counted')['changed'];
        };
        $many = $counted('10:30', '10:20');
        self::assertGreaterThan(0, $many);
        self::assertSame(0, $counted('10:30', '10:50'));
        self::assertSame($many, $counted('10:55', '10:50'));
    }

    public function testNumbersThatComeAndGo(): void
    {
        $fax = $this->element('num_fax');
        $this->send('DELETE', '/api/plans/draft/elements/num_fax', revision: $this->revision('num_fax'));
        $told = static fn(array $impact): array => array_map(
            static fn(array $one): array => [
                $one['number'],
                $one['changes'][0]['severity'],
                $one['changes'][0]['what'],
            ],
            $impact['numbers'],
        );
        self::assertSame(
            [[$fax['number'], 'gone', 'no longer a number of the plan']],
            $told($this->send('GET', '/api/impact')),
        );
        $counted = fn(string $of): array => array_filter($this->send('GET', '/api/impact/counted' . $of));
        self::assertSame(['gone' => 1], $counted(''));
        self::assertSame(['new' => 1], $counted('?before=draft&after=live'));
        self::assertSame(
            [[$fax['number'], 'new', 'a new number']],
            $told($this->send('GET', '/api/impact?before=draft&after=live')),
        );
    }

    /** The steps after the ringing are for those who found nobody, or a phone that is busy. */
    public function testWhatTheDraftChangesWhateverPhonesDo(): void
    {
        $message = ['id' => 's2', 'do' => 'message', 'mailbox' => 'mbx_reception'];
        $ring = ['id' => 's1', 'do' => 'ring', 'target' => 'per_reception', 'seconds' => 20];
        $journey = static fn(array $busy): array => [
            'steps' => [$ring + ['exits' => [['on' => 'busy', 'steps' => $busy]]], ['id' => 's3'] + $message],
        ];
        $added = $this->send(
            'POST',
            '/api/plans/draft/elements',
            ['kind' => 'journey', 'name' => 'One phone'] + $journey([$message]),
        );
        $this->assertStatus(201);
        $id = (string) array_key_first($added['elements']);
        $this->change('num_exception_berths', ['target' => $id]);
        $this->publish('One phone');
        $this->change($id, $journey([['id' => 's2', 'do' => 'end']]));
        self::assertSame([], $this->send('GET', '/api/impact')['numbers']);

        $job = $this->send('POST', '/api/impact/in-full');
        $this->assertStatus(202);
        $job = $this->send('GET', '/api/jobs/' . $job['id']);
        self::assertSame(['impact', 'done'], [$job['kind'], $job['state']]);
        self::assertSame(['num_exception_berths'], array_column($job['result']['numbers'], 'id'));
        $changes = $job['result']['numbers'][0]['changes'];
        self::assertSame([['busy']], array_column($changes, 'phones'));
        self::assertSame(['nobody any more'], array_column($changes, 'severity'));
        foreach (['before', 'after'] as $side) {
            $this->send('POST', "/api/impact/in-full?$side=99");
            $this->assertStatus(404);
        }
    }

    public function testTwoEditions(): void
    {
        $this->change('prm_reception_closed', ['scripts' => ['en' => 'Reception is closed.']]);
        $back = $this->send('GET', '/api/impact?before=draft&after=1');
        $this->assertStatus(200);
        self::assertSame(
            ['details'],
            array_values(
                array_unique(array_column(array_merge(...array_column($back['numbers'], 'changes')), 'severity')),
            ),
        );
        self::assertSame([], $this->send('GET', '/api/impact?before=1&after=live')['numbers']);
        $this->send('GET', '/api/impact?before=1&after=99');
        $this->assertStatus(404);
    }

    public function testWhenSomebodyIsRung(): void
    {
        $year = $this->send('GET', '/api/plans/draft/rung/per_reception?year=2027');
        $this->assertStatus(200);
        self::assertSame([365, 0], [\count($year['days']), $year['left']]);
        $berths = array_values(
            array_filter(
                $year['lines'],
                static fn(array $line): bool => \in_array('Berth telephones', $line['numbers'], true),
            ),
        );
        self::assertStringContainsString('Mon–Fri 08:30–17:30', $berths[0]['when']);
        self::assertSame('while Reception hours are “Open”', $berths[0]['during']);
        $team = $this->send('GET', '/api/plans/draft/rung/team_bookings?year=2027');
        self::assertGreaterThan(0, $team['seconds']);
        foreach (['', '?year=soon', '?year=1999'] as $query) {
            $this->send('GET', '/api/plans/draft/rung/per_reception' . $query);
            $this->assertStatus(422);
        }
        $this->send('GET', '/api/plans/draft/rung/hrs_reception?year=2027');
        $this->assertStatus(404);
    }

    public function testFilesToTakeAway(): void
    {
        $path = '/api/plans/draft/numbers/num_exception_berths/coverage.';
        $table = $this->send('GET', $path . 'csv?year=2027')['text'];
        self::assertStringStartsWith("from,until,kind,takes,hears\r\n2027-01-01T00:00:00+00:00,", $table);
        self::assertStringContainsString('2027-01-04T08:30:00+00:00,2027-01-04T17:30:00+00:00,person,"rings ', $table);
        $calendar = Reader::read($this->send('GET', $path . 'ics?year=2027')['text']);
        self::assertInstanceOf(VCalendar::class, $calendar);
        $events = $calendar->getComponents();
        self::assertSame('20270102T090000Z', (string) $events[0]->DTSTART);
        self::assertSame('20270102T120000Z', (string) $events[0]->DTEND);
        $page = $this->send('GET', $path . 'html?year=2027')['text'];
        self::assertStringContainsString('Who takes the calls to Berth telephones in 2027', $page);
        $direct = $this->send('GET', '/api/plans/draft/numbers/num_direct/coverage.html?year=2027')['text'];
        self::assertStringContainsString('Who takes the calls to Direct lines (Bea Longstaff) in 2027', $direct);
        $this->send('GET', $path . 'pdf?year=2027');
        self::assertStringStartsWith('%PDF', (string) $this->answer()->getContent());
        $this->send('GET', '/api/plans/draft/numbers/num_none/coverage.csv?year=2027');
        $this->assertStatus(404);
    }

    public function testEveryReasonWhyNotAllIsTriedIsDocumented(): void
    {
        $api = Yaml::parseFile(\dirname(__DIR__) . '/docs/openapi.yaml');
        self::assertSame(
            array_column(Untried::cases(), 'value'),
            $api['components']['schemas']['Endings']['properties']['notTried']['items']['properties']['why']['enum'] ??
                null,
        );
    }

    public function testEveryEndingOfACall(): void
    {
        $call = ['to' => self::BERTHS, 'at' => '2026-11-23T10:30'];
        $all = $this->send('POST', '/api/endings', $call + ['assume' => ['keys' => ['1'], 'patience' => 5]]);
        $this->assertStatus(200);
        self::assertSame([], $all['notTried']);
        $words = array_column($all['endings'], null, 'words');
        self::assertSame(
            [0, 39],
            [$words['a message with Reception mailbox']['least'], $words['a message with Reception mailbox']['most']],
        );
        foreach ($all['endings'] as $one) {
            $trace = $this->send('POST', '/api/trial-calls', $call + ['assume' => array_filter($one['mostBy'])]);
            $this->assertStatus(200);
            self::assertSame([$one['ending']['kind'], $one['most']], [$trace['ending']['kind'], $trace['seconds']]);
        }
    }
}
