<?php

declare(strict_types=1);

namespace Meandros\Server\Tests;

/** Editions that come into force later, go back, or are published although something promised is broken. */
final class EditionsToComeTest extends ApiTestCase
{
    private const HOURS = 'hrs_reception';
    private const BERTHS = '+441632960290';

    public function testAnEditionComesIntoForceAtItsMoment(): void
    {
        $this->closeAt('16:00');
        $edition = $this->publishAt('2090-03-01T00:00', ['note' => 'Shorter', 'zone' => 'Europe/London']);
        $this->assertStatus(201);
        self::assertSame('2090-03-01T00:00:00+00:00', $edition['inForceFrom']);
        $list = $this->send('GET', '/api/editions');
        self::assertSame([1, ['number' => 2, 'from' => '2090-03-01T00:00:00+00:00']], [$list['live'], $list['next']]);

        // The last day before it and the day on which it comes are a Tuesday and a Wednesday.
        self::assertSame(['message', 1], $this->ending('2090-02-27T17:45'));
        $before = $this->call('2090-02-28T16:30');
        self::assertSame(1, $before['edition']);
        self::assertNotSame('message', $this->rings($before));
        self::assertSame(['message', 2], $this->ending('2090-03-01T16:30'));
        self::assertSame('rings', $this->rings($this->call('2090-03-01T15:30')));
        // What is live now goes on as it is, and the draft is asked as ever.
        self::assertSame('rings', $this->rings($this->call('2027-03-31T16:30')));
        self::assertNull(
            $this->send('POST', '/api/trial-calls', ['to' => self::BERTHS, 'at' => '2090-02-28T16:30'])['edition'],
        );
    }

    public function testTheAnswerHoldsUntilAnotherEditionComes(): void
    {
        $this->closeAt('16:00');
        $this->publishAt('2090-02-28T16:30', ['note' => 'Shorter', 'zone' => 'Europe/London']);
        $call = $this->call('2090-02-28T16:15');
        self::assertSame('2090-02-28T16:30:00+00:00', $call['holds']['until']);
        $change = fn(string $direction, string $at): ?string => $this->send(
            'POST',
            "/api/trial-calls/$direction-change",
            ['in' => 'live', 'to' => self::BERTHS, 'at' => $at],
        )['at'];
        self::assertSame('2090-02-28T16:30:00+00:00', $change('next', '2090-02-28T16:15'));
        // From midnight on they open today.
        self::assertSame('2090-03-01T00:00:00+00:00', $change('next', '2090-02-28T16:30'));
        self::assertSame('2090-02-28T16:30:00+00:00', $change('previous', '2090-02-28T17:00'));
        self::assertSame('2090-02-28T08:30:00+00:00', $change('previous', '2090-02-28T16:15'));
    }

    public function testANumberThatALaterEditionDoesNotHave(): void
    {
        $fax = '+441632960170';
        $this->send('DELETE', '/api/plans/draft/elements/num_fax', revision: $this->revision('num_fax'));
        $this->assertStatus(200);
        $this->publishAt('2090-02-28T16:30', ['note' => 'No fax', 'zone' => 'Europe/London']);
        $this->assertStatus(201);
        $call = ['in' => 'live', 'to' => $fax, 'at' => '2090-02-28T16:15'];
        self::assertSame('2090-02-28T16:30:00+00:00', $this->send('POST', '/api/trial-calls/next-change', $call)['at']);
        $this->send('POST', '/api/trial-calls', ['at' => '2090-03-01T10:00'] + $call);
        $this->assertStatus(422);
    }

    public function testWhatIsToComeCanBeTakenBackUntilThen(): void
    {
        $this->closeAt('16:00');
        $this->publishAt('2090-03-01T00:00', ['note' => 'Shorter']);
        $revoked = $this->send('POST', '/api/editions/2/revoke', []);
        $this->assertStatus(200);
        self::assertNotNull($revoked['revokedAt']);
        self::assertNull($this->send('GET', '/api/editions')['next']);
        self::assertSame('rings', $this->rings($this->call('2090-03-01T16:30')));
        foreach ([1, 2] as $number) {
            $this->send('POST', "/api/editions/$number/revoke", []);
            $this->assertStatus(409);
        }
        $this->send('POST', '/api/editions/99/revoke', []);
        $this->assertStatus(404);
        foreach (['2020-01-01T00:00', 'soon', ''] as $past) {
            $this->publishAt($past, ['note' => 'Late']);
            $this->assertStatus(422, $past);
        }
        self::assertSame(3, $this->publish('At once')['number']);
    }

    public function testGoingBackIsOneAct(): void
    {
        $this->closeAt('16:00');
        $this->publish('Shorter');
        self::assertSame(['message', 2], $this->ending('2090-03-01T16:30'));
        $back = $this->send('POST', '/api/editions/1/again', []);
        $this->assertStatus(201);
        self::assertSame([3, 'Back to edition 1'], [$back['number'], $back['note']]);
        self::assertSame(3, $this->call('2090-03-01T16:30')['edition']);
        self::assertSame('rings', $this->rings($this->call('2090-03-01T16:30')));
        // The draft keeps what was changed.
        self::assertSame('16:00', $this->element(self::HOURS)['week'][0]['to']);
        $this->send('POST', '/api/editions/3/again', []);
        $this->assertStatus(409);
    }

    public function testABrokenPromiseStopsPublishingUnlessItIsSaidWhy(): void
    {
        $this->change('num_sailings', ['target' => 'jrn_bookings']);
        $refused = $this->publish('Sailings');
        $this->assertStatus(409);
        self::assertSame(['exp_sailings'], $refused['expectations'], 'For what is broken already it was said why.');
        self::assertStringContainsString('Sailings are told at any hour', $refused['detail']);
        $edition = $this->send(
            'POST',
            '/api/editions',
            ['note' => 'Sailings', 'despite' => 'For a week.'],
            $this->draftRevision(),
        );
        $this->assertStatus(201);
        $despite = ['exp_port_sleeps' => 'It was so.', 'exp_sailings' => 'For a week.'];
        self::assertEqualsCanonicalizing($despite, $edition['despite']);
        self::assertEqualsCanonicalizing($despite, $this->send('GET', '/api/editions')['editions'][0]['despite']);
        // A promise that is worded anew is another one.
        $this->change('exp_sailings', [
            'when' => ['hours' => 'hrs_bookings', 'states' => ['open'], 'calendar' => null, 'windows' => []],
        ]);
        self::assertSame(['exp_sailings'], $this->publish('By day')['expectations']);
        $this->change('num_sailings', ['target' => 'mbx_sailings']);
        self::assertSame(['exp_port_sleeps'], array_keys((array) $this->publish('As it was')['despite']));
    }

    private function closeAt(string $to): void
    {
        $week = $this->element(self::HOURS)['week'];
        $this->change(self::HOURS, ['week' => [['to' => $to] + $week[0], ...\array_slice($week, 1)]]);
        $this->assertStatus(200);
    }

    /**
     * @param array<string, string> $more
     *
     * @return array<string, mixed>
     */
    private function publishAt(string $from, array $more): array
    {
        return $this->send('POST', '/api/editions', $more + ['from' => $from], $this->draftRevision());
    }

    /** @return array<string, mixed> */
    private function call(string $at): array
    {
        $trace = $this->send('POST', '/api/trial-calls', ['in' => 'live', 'to' => self::BERTHS, 'at' => $at]);
        $this->assertStatus(200);

        return $trace;
    }

    /** @return array{string, int} */
    private function ending(string $at): array
    {
        $trace = $this->call($at);

        return [$this->rings($trace), $trace['edition']];
    }

    /** @param array<string, mixed> $trace */
    private function rings(array $trace): string
    {
        return [] === $trace['rung'] ? 'message' : 'rings';
    }
}
