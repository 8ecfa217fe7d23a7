<?php

declare(strict_types=1);

namespace Meandros\Server\Tests;

/** Journeys from patterns, over the API. */
final class PatternApiTest extends ApiTestCase
{
    public function testAJourneyIsMadeTriedAndTakenBack(): void
    {
        $patterns = $this->send('GET', '/api/journey-patterns')['patterns'];
        self::assertSame(
            ['open or closed', 'menu of three', 'person then team', 'ring then greet', 'language choice'],
            array_column($patterns, 'name'),
        );
        $made = $this->send('POST', '/api/plans/draft/journeys', [
            'pattern' => 'person then team',
            'name' => 'Coaches',
            'answers' => ['person' => 'per_dana', 'team' => 'team_port', 'mailbox' => 'mbx_port'],
        ]);
        $this->assertStatus(201);
        $trial = $this->send('POST', '/api/trial-calls', ['to' => $made['id'], 'at' => '2026-11-23T10:30']);
        self::assertSame(
            'Rings Dana Whitlock for 15 s, rings Port office for 20 s, then leaves a message with Port office mailbox.',
            $trial['sentence'],
        );
        self::assertSame('Coaches', $trial['shown']['label']);
        $this->undo();
        $this->send('POST', '/api/trial-calls', ['to' => $made['id'], 'at' => '2026-11-23T10:30']);
        $this->assertStatus(422);
        $refused = $this->send('POST', '/api/plans/draft/journeys', [
            'pattern' => 'person then team',
            'name' => '',
            'answers' => [],
        ]);
        self::assertSame(
            ['/name', '/answers/person', '/answers/team', '/answers/mailbox'],
            array_column($refused['errors'], 'pointer'),
        );
    }
}
