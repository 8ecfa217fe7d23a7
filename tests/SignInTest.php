<?php

declare(strict_types=1);

namespace Meandros\Server\Tests;

/** Who is signed in to which queue: live, effective at once, with a log. */
final class SignInTest extends ApiTestCase
{
    private const GROUPS = [
        'to' => '+441632960130',
        'at' => '2026-11-23T10:30',
        'assume' => [
            'queues' => [['queue' => 'que_groups', 'free' => 0]],
            'phones' => [['who' => '*', 'does' => 'answers', 'after' => 2]],
        ],
    ];

    public function testWhoIsSignedOutOrInAPauseIsNotAsked(): void
    {
        self::assertStringContainsString('rings Priya Raman', $this->call());
        $this->set('per_priya', 'signed out');
        self::assertStringContainsString('rings Seun Adebayo', $this->call());
        $signIns = $this->set('per_oluwaseun', 'paused', 'Lunch');
        self::assertSame(
            [['per_oluwaseun', 'paused', 'Lunch'], ['per_priya', 'signed out', '']],
            array_map(static fn(array $one): array => [$one['person'], $one['state'], $one['reason']], $signIns),
        );
        self::assertStringContainsString('rings Marcus Thole', $this->call());
        $this->set('per_priya', 'signed in');
        self::assertStringContainsString('rings Priya Raman', $this->call());
        self::assertSame(
            ['signed in', 'paused', 'signed out'],
            array_column($this->send('GET', '/api/sign-ins/log')['signIns'], 'state'),
        );
    }

    public function testNobodyIsSignedInWhereTheyAreNoAgent(): void
    {
        $this->set('per_dana', 'signed in');
        $this->assertStatus(404);
        $this->send('PUT', '/api/sign-ins/que_none/per_dana', ['state' => 'signed in']);
        $this->assertStatus(404);
        $this->send('PUT', '/api/sign-ins/que_groups/per_priya', ['state' => 'asleep']);
        $this->assertStatus(422);
        self::assertSame([], $this->send('GET', '/api/sign-ins')['signIns']);
    }

    private function call(): string
    {
        return $this->send('POST', '/api/trial-calls', self::GROUPS)['sentence'];
    }

    /** @return list<array<string, mixed>> */
    private function set(string $person, string $state, string $reason = ''): array
    {
        return $this->send('PUT', '/api/sign-ins/que_groups/' . $person, ['state' => $state, 'reason' => $reason])[
            'signIns'
        ] ?? [];
    }
}
