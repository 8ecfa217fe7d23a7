<?php

declare(strict_types=1);

namespace Meandros\Server\Tests;

use Doctrine\DBAL\Connection;
use Symfony\Component\Clock\Test\ClockSensitiveTrait;

/** What takes effect at once, on a clock that stands still. */
final class LiveStateApiTest extends ApiTestCase
{
    use ClockSensitiveTrait;

    private const DANA = ['to' => '201'];

    public function testAStatusThatEndsIsOverForALaterTrialCallAndIsTheNextChange(): void
    {
        self::mockTime('2026-11-23T09:00:00Z');
        $this->send('PUT', '/api/statuses/per_dana', ['status' => 'on leave', 'until' => '2026-11-23T12:00']);
        $this->assertStatus(200);
        self::assertStringStartsWith('Cannot reach Dana', $this->sentence('2026-11-23T11:59:59', self::DANA));
        self::assertStringStartsWith('Rings Dana', $this->sentence('2026-11-23T12:00', self::DANA));
        self::assertSame(
            '2026-11-23T12:00:00+00:00',
            $this->send('POST', '/api/trial-calls/next-change', self::DANA + ['at' => '2026-11-23T10:00'])['at'],
        );
    }

    public function testItIsOverWhenTheServersClockSaysSo(): void
    {
        $clock = self::mockTime('2026-11-23T09:00:00Z');
        $this->send('PUT', '/api/statuses/per_dana', ['status' => 'away', 'until' => '2026-11-23T09:30']);
        self::assertCount(1, $this->send('GET', '/api/statuses')['statuses']);
        self::assertStringStartsWith('Cannot reach Dana', $this->sentence('2026-11-23T09:10', self::DANA));
        $clock->sleep(1800);
        self::assertStringStartsWith(
            'Rings Dana',
            $this->sentence('2026-11-23T09:10', self::DANA),
            'Nothing was written.',
        );
        self::assertSame([], $this->send('GET', '/api/statuses')['statuses']);
        self::assertSame(
            '/until',
            $this->send('PUT', '/api/statuses/per_dana', ['status' => 'away', 'until' => '2026-11-23T09:30'])[
                'errors'
            ][0]['pointer'],
        );
    }

    public function testTheLastOfSeveralStatusesCounts(): void
    {
        self::mockTime('2026-11-23T09:00:00Z');
        foreach (['away', 'on leave', 'do not disturb'] as $status) {
            self::assertSame($status, $this->send('PUT', '/api/statuses/per_dana', ['status' => $status])['status']);
        }
        self::assertSame(['do not disturb'], array_column($this->send('GET', '/api/statuses')['statuses'], 'status'));
        self::assertStringStartsWith('Finds Dana Whitlock busy', $this->sentence('2026-11-23T10:00', self::DANA));
    }

    public function testWhatIsKnownOfItIsForgottenWhoeverWritesIt(): void
    {
        $database = self::getContainer()->get(Connection::class);
        self::assertStringStartsWith('Rings Dana', $this->sentence('2026-11-23T10:00', self::DANA));
        $database->executeStatement("INSERT INTO person_status VALUES ('per_dana', 'away', NULL, 'x', 1)");
        self::assertStringStartsWith('Cannot reach Dana', $this->sentence('2026-11-23T10:00', self::DANA));
        $database->executeStatement("UPDATE person_status SET status = 'do not disturb'");
        self::assertStringStartsWith('Finds Dana Whitlock busy', $this->sentence('2026-11-23T10:00', self::DANA));
        $database->executeStatement('TRUNCATE person_status');
        self::assertStringStartsWith('Rings Dana', $this->sentence('2026-11-23T10:00', self::DANA));
    }

    public function testAnOverrideEndsWithTheServersClock(): void
    {
        $clock = self::mockTime('2026-11-23T09:00:00Z');
        $this->send('POST', '/api/overrides', [
            'hours' => 'hrs_port',
            'state' => 'storm',
            'reason' => 'Storm',
            'ends' => 'at',
            'at' => '2026-11-23T11:00',
        ]);
        $this->assertStatus(201);
        self::assertCount(1, $this->send('GET', '/api/overrides')['on']);
        $clock->sleep(3600);
        self::assertSame([], $this->send('GET', '/api/overrides')['on'], 'At 11:00 in Paris it is over.');
    }

    public function testAssumptionsThatWouldTryNothingAreRefusedAtTheField(): void
    {
        $answer = $this->send(
            'POST',
            '/api/trial-calls',
            self::DANA + [
                'at' => '2026-11-23T10:00',
                'assume' => [
                    'phones' => [['who' => 'per_dana', 'does' => 'busy'], ['who' => 'per_dan', 'does' => 'busy']],
                    'lines' => [['line' => 'line_none', 'taken' => 1]],
                ],
            ],
        );
        $this->assertStatus(422);
        self::assertSame(['/assume/phones/1/who', '/assume/lines/0/line'], array_column($answer['errors'], 'pointer'));
    }
}
