<?php

declare(strict_types=1);

namespace Meandros\Server\Tests;

use PHPUnit\Framework\Attributes\DataProvider;

final class TrialCallApiTest extends ApiTestCase
{
    public function testACallIsTriedWithAnElementAsItIsAboutToBe(): void
    {
        $queue = ['name' => 'Reservations queue'] + $this->element('que_bookings');
        self::assertStringContainsString('waits in Reservations queue', $this->sentence(more: ['with' => $queue]));
        self::assertStringContainsString('waits in Bookings queue', $this->sentence(), 'Nothing is written.');
        $this->send('POST', '/api/trial-calls', [
            'to' => self::BOOKINGS,
            'at' => '2026-11-23T10:30',
            'with' => ['name' => ''] + $queue,
        ]);
        $this->assertStatus(422);
    }

    public function testAnElementIsWrittenAndACallTriedAtOnce(): void
    {
        $write = fn(array $element, array $call, int $revision): array => $this->send(
            'PUT',
            '/api/plans/draft/elements/que_bookings/tried',
            ['element' => $element, 'call' => $call],
            $revision,
        );
        $queue = ['name' => 'Reservations queue'] + $this->element('que_bookings');
        $call = ['to' => self::BOOKINGS, 'at' => '2026-11-23T10:30'];
        $before = $this->send('GET', '/api/plans/draft/outline')['revisions']['que_bookings'];

        $saved = $write($queue, $call, $before);
        $this->assertStatus(200);
        self::assertStringContainsString('waits in Reservations queue', $saved['answer']['sentence']);
        self::assertSame($this->send('POST', '/api/trial-calls', $call), $saved['answer']);
        self::assertSame(['que_bookings', 1], [$saved['id'], $saved['changed']]);

        // Whatever is wrong with the call, the element is written.
        $later = $write(['name' => 'Queue'] + $queue, ['to' => '999'] + $call, $saved['revision']);
        self::assertNull($later['answer']);
        self::assertSame('Queue', $this->element('que_bookings')['name']);
        self::assertNull($write($queue, ['in' => '99'] + $call, $later['revision'])['answer']);

        // What is wrong with the element is told as where it stands in the element; nothing is written.
        $revision = $this->send('GET', '/api/plans/draft/outline')['revisions']['que_bookings'];
        $refused = $write(['name' => ''] + $queue, $call, $revision);
        $this->assertStatus(422);
        self::assertSame(['/name'], array_column($refused['errors'], 'pointer'));
        $write($queue, $call, $before);
        $this->assertStatus(412);
    }

    public function testACallOnABankHolidayHearsSo(): void
    {
        self::assertSame(
            'Hears “Public holiday”, then leaves a message with Bookings mailbox.',
            $this->sentence('2026-12-25T12:59'),
        );
    }

    public function testTheTraceGivesTheWayAndTheReasons(): void
    {
        $trace = $this->send('POST', '/api/trial-calls', [
            'to' => self::BOOKINGS,
            'from' => '07700 900123',
            'at' => '2026-11-23T12:30',
            'assume' => [
                'keys' => ['3'],
                'phones' => [['who' => 'per_ines/mobile', 'does' => 'answers', 'after' => 3]],
            ],
        ]);
        self::assertSame(['answered', 'per_ines', 'per_ines/mobile'], array_values($trace['ending']));
        self::assertSame('+447700900123', $trace['call']['from']);
        self::assertSame(['label' => 'Bookings', 'language' => 'en', 'tone' => null, 'note' => null], $trace['shown']);
        $look = array_values(
            array_filter($trace['events'], static fn(array $event): bool => 'hours' === $event['kind']),
        )[0];
        self::assertSame(
            [
                'by' => 'week',
                'date' => '2026-11-23',
                'band' => ['from' => '12:00', 'to' => '13:30', 'state' => 'lunch'],
                'name' => null,
                'source' => null,
                'of' => null,
                'season' => 'Winter timetable',
            ],
            $look['because']['decision'],
        );
        self::assertSame('2026-11-23T13:30:00+00:00', $look['because']['until']);
        self::assertSame(
            10,
            $trace['rung'][1]['until'] - $trace['rung'][1]['from'],
            'Three seconds until it rings, three of ringing, and four to press 1.',
        );
    }

    public function testTheSameInstantInAnotherZone(): void
    {
        $london = $this->sentence('2026-11-23T12:30');
        self::assertSame($london, $this->sentence('2026-11-23T13:30', ['zone' => 'Europe/Paris']));
        self::assertSame($london, $this->sentence('2026-11-23T12:30:00Z', ['zone' => 'Asia/Tokyo']));
    }

    public function testTheNextAndThePreviousChange(): void
    {
        $at = fn(string $way, string $from): ?string => $this->send('POST', "/api/trial-calls/$way-change", [
            'to' => self::BOOKINGS,
            'at' => $from,
        ])['at'];
        self::assertSame('2026-11-23T12:00:00+00:00', $at('next', '2026-11-23T10:00'));
        self::assertSame('2026-11-23T13:30:00+00:00', $at('next', '2026-11-23T12:00'));
        // The call comes to reception after 4 min 48 s, and from 08:30 on somebody is at the desk there.
        self::assertSame('2026-11-23T08:25:12+00:00', $at('previous', '2026-11-23T10:00'));
        self::assertSame('2026-11-23T08:00:00+00:00', $at('previous', '2026-11-23T08:25'));
        self::assertSame('2026-11-22T17:00:00+00:00', $at('previous', '2026-11-23T08:00'));
    }

    public function testANumberThatPointsAtAPersonShowsItsSteps(): void
    {
        $trace = $this->send('POST', '/api/trial-calls', ['to' => '+441632960101', 'at' => '2026-11-23T10:30']);
        self::assertSame(['ring', 'message'], array_column($trace['directSteps'], 'do'));
        self::assertSame('mbx_reception', $trace['ending']['who']);
        $extension = $this->send('POST', '/api/trial-calls', ['to' => '200', 'at' => '2026-11-23T10:30']);
        self::assertSame($trace['ending'], $extension['ending']);
    }

    public function testAllHoursAtAMomentInTheirOwnZones(): void
    {
        $states = $this->send('GET', '/api/plans/draft/hours?at=2026-11-23T12:45&zone=Europe/London')['states'];
        self::assertSame(
            ['lunch', '2026-11-23T12:45:00'],
            [$states['hrs_bookings']['state'], $states['hrs_bookings']['local']],
        );
        self::assertSame(
            ['lunch', '2026-11-23T13:45:00'],
            [$states['hrs_port']['state'], $states['hrs_port']['local']],
        );
        self::assertSame('2026-11-23T14:00:00+01:00', $states['hrs_port']['until']);
    }

    public function testTheNumberThatWasCalledHasItsName(): void
    {
        $named = fn(string $to): ?string => $this->send('POST', '/api/trial-calls', [
            'to' => $to,
            'at' => '2026-11-23T10:30',
        ])['call']['name'];
        self::assertSame('Bookings', $named(self::BOOKINGS));
        self::assertSame('Direct lines (Olive Marsh)', $named('+441632960220'));
        self::assertNull($named('team_port'));
    }

    public function testNumbersAreUnderstoodAsTheyAreTyped(): void
    {
        self::assertSame(
            ['number' => '+33261910199', 'international' => '+33 2 61 91 01 99', 'country' => 'FR'],
            $this->send('GET', '/api/phone-numbers?text=02%2061%2091%2001%2099&country=GB,FR'),
        );
        $problem = $this->send('GET', '/api/phone-numbers?text=hello&country=GB');
        $this->assertStatus(422);
        self::assertSame('/text', $problem['errors'][0]['pointer']);
    }

    /** @param array<string, mixed> $call */
    #[DataProvider('badCalls')]
    public function testABadCallNamesTheField(array $call, string $pointer): void
    {
        $problem = $this->send(
            'POST',
            '/api/trial-calls',
            $call + ['to' => self::BOOKINGS, 'at' => '2026-11-23T10:30'],
        );
        $this->assertStatus(422);
        self::assertContains($pointer, array_column($problem['errors'], 'pointer'));
    }

    /** @return iterable<array{array<string, mixed>, string}> */
    public static function badCalls(): iterable
    {
        yield [['to' => 'hello'], '/to'];
        yield [['to' => '+441632960999'], '/to'];
        yield [['to' => ''], '/to'];
        yield [['from' => 'somebody'], '/from'];
        yield [['at' => '2026-02-30T10:00'], '/at'];
        yield [['at' => 'noon'], '/at'];
        yield [['zone' => 'Mars/Olympus'], '/zone'];
        yield [['assume' => ['keys' => ['x']]], '/assume/keys/0'];
        yield [['assume' => ['phones' => [['who' => '*', 'does' => 'sleeps', 'after' => 1]]]], '/assume/phones/0/does'];
        yield [['assume' => ['patience' => -5]], '/assume/patience'];
        yield [['assume' => 'the best'], '/assume'];
    }

    public function testAnswersAreNotKeptOrFramedAndOtherHostsAreRefused(): void
    {
        $this->send('GET', '/api/up');
        self::assertSame(
            ['nosniff', 'no-store, private'],
            [$this->header('X-Content-Type-Options'), $this->header('Cache-Control')],
        );
        self::assertStringContainsString("frame-ancestors 'none'", $this->header('Content-Security-Policy'));
        $this->send('GET', '/api/up', host: 'elsewhere.example');
        $this->assertStatus(400, 'A page of another host must not reach the API by pointing its name here.');
    }

    public function testAStatusTakesEffectAtOnceAndCanBeAssumedAway(): void
    {
        $body = ['to' => '205', 'at' => '2026-11-23T10:30'];
        $before = $this->send('POST', '/api/trial-calls', $body)['sentence'];
        $set = $this->send('PUT', '/api/statuses/per_ines', [
            'status' => 'do not disturb',
            'until' => '2099-01-01T10:00',
        ]);
        $this->assertStatus(200);
        self::assertSame('2099-01-01T10:00:00+00:00', $set['until']);
        self::assertStringStartsWith(
            'Finds Ines Carreira busy',
            $this->send('POST', '/api/trial-calls', $body)['sentence'],
        );
        self::assertSame(
            $before,
            $this->send(
                'POST',
                '/api/trial-calls',
                $body + ['assume' => ['statuses' => [['who' => 'per_ines', 'status' => 'available']]]],
            )['sentence'],
        );
        self::assertSame(['per_ines'], array_column($this->send('GET', '/api/statuses')['statuses'], 'person'));
        $this->send('PUT', '/api/statuses/per_ines', ['status' => 'available']);
        self::assertSame([], $this->send('GET', '/api/statuses')['statuses']);
        $problem = $this->send('PUT', '/api/statuses/per_ines', ['status' => 'away', 'until' => '2020-01-01T10:00']);
        $this->assertStatus(422);
        self::assertSame('/until', $problem['errors'][0]['pointer']);
        $this->send('PUT', '/api/statuses/per_nobody', ['status' => 'away']);
        $this->assertStatus(404);
    }

    public function testTheSameCallToManyNumbers(): void
    {
        $call = ['to' => self::BOOKINGS, 'at' => '2026-11-23T10:30'];
        $answers = $this->send('POST', '/api/number-answers', [
            'call' => $call,
            'numbers' => ['num_bookings', 'num_paris', 'num_none', 'jrn_lost'],
        ])['answers'];
        self::assertSame(['num_bookings', 'num_paris'], array_keys($answers));
        self::assertSame($this->sentence(), $answers['num_bookings']['sentence']);
        $number = $this->element('num_paris')['number'];
        $alone = $this->send('POST', '/api/trial-calls', ['to' => $number, 'zone' => 'Europe/London'] + $call);
        self::assertSame(
            [$alone['sentence'], $alone['ending']['kind'], $alone['seconds']],
            [$answers['num_paris']['sentence'], $answers['num_paris']['ending'], $answers['num_paris']['seconds']],
        );
        $problem = $this->send('POST', '/api/number-answers', [
            'call' => $call,
            'numbers' => array_fill(0, 101, 'num_paris'),
        ]);
        $this->assertStatus(422);
        self::assertSame('/numbers', $problem['errors'][0]['pointer']);
    }
}
