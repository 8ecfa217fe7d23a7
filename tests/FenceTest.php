<?php

declare(strict_types=1);

namespace Meandros\Server\Tests;

use Meandros\Core\Reading\Limits;
use PHPUnit\Framework\Attributes\DataProvider;

/** What is turned away before anybody looks at it, and how. */
final class FenceTest extends ApiTestCase
{
    /** @param array<string, string> $headers */
    #[DataProvider('requests')]
    public function testRequestsOfOthersAreTurnedAway(
        int $status,
        string $method,
        string $path,
        array $headers,
        ?string $body = null,
    ): void {
        $this->requestWith($method, $path, $body, $headers);
        self::assertSame($status, $this->answer()->getStatusCode(), (string) $this->answer()->getContent());
        $headers = $this->answer()->headers;
        foreach (
            [
                'X-Content-Type-Options' => 'nosniff',
                'Cross-Origin-Opener-Policy' => 'same-origin',
                'Cross-Origin-Resource-Policy' => 'same-origin',
                'Referrer-Policy' => 'no-referrer',
                'Cache-Control' => 'no-store, private',
            ]
            as $name => $value
        ) {
            self::assertSame($value, $headers->get($name));
        }
        if ($status >= 400) {
            $problem = json_decode((string) $this->answer()->getContent(), true);
            self::assertSame(
                ['application/problem+json', $status],
                [$headers->get('Content-Type'), $problem['status']],
            );
        }
    }

    /** @return iterable<string, array{0: int, 1: string, 2: string, 3: array<string, string>, 4?: string}> */
    public static function requests(): iterable
    {
        $json = ['CONTENT_TYPE' => 'application/json'];
        yield 'our own page' => [
            200,
            'GET',
            '/api/up',
            ['HTTP_SEC_FETCH_SITE' => 'same-origin', 'HTTP_ORIGIN' => 'http://127.0.0.1'],
        ];
        yield 'an address that was typed' => [200, 'GET', '/api/up', ['HTTP_SEC_FETCH_SITE' => 'none']];
        yield 'a program' => [200, 'GET', '/api/up', []];
        yield 'a page of another site' => [403, 'GET', '/api/up', ['HTTP_SEC_FETCH_SITE' => 'cross-site']];
        yield 'a page of a neighbour' => [
            403,
            'POST',
            '/api/trial-calls',
            ['HTTP_SEC_FETCH_SITE' => 'same-site'] + $json,
            '{}',
        ];
        yield 'another origin' => [
            403,
            'POST',
            '/api/plans/draft/elements',
            ['HTTP_ORIGIN' => 'http://127.0.0.1:9999'] + $json,
            '{}',
        ];
        yield 'no origin at all' => [403, 'POST', '/api/plans/draft/elements', ['HTTP_ORIGIN' => 'null'] + $json, '{}'];
        yield 'another name' => [400, 'GET', '/api/up', ['HTTP_HOST' => 'evil.example']];
        yield 'a form' => [415, 'POST', '/api/trial-calls', ['CONTENT_TYPE' => 'text/plain'], '{}'];
        yield 'a key without quotes' => [
            400,
            'POST',
            '/api/plans/draft/elements',
            ['HTTP_IDEMPOTENCY_KEY' => 'abc'] + $json,
            '{}',
        ];
        yield 'a question that is too long' => [
            413,
            'POST',
            '/api/week-text',
            $json,
            '{"text": "' . str_repeat('1', 64_001) . '"}',
        ];
        yield 'too many lists' => [
            413,
            'PUT',
            '/api/plans/draft/file',
            ['HTTP_IF_MATCH' => '"1"'] + $json,
            '[' . str_repeat('[],', 120_001) . '1]',
        ];
        yield 'an address that is no text' => [400, 'GET', '/api/plans/%c3%28', []];
        yield 'a field that comes twice' => [400, 'GET', '/api/editions?most[]=1', []];
        yield 'a page that is none' => [422, 'GET', '/api/editions?most=101', []];
        yield 'something in a request that says all in its address' => [
            422,
            'POST',
            '/api/editions/1/restore',
            ['HTTP_IF_MATCH' => '"1"'] + $json,
            '{"surprise": 1}',
        ];
    }

    public function testLongListsOfProblemsAreCounted(): void
    {
        $people = array_map(static fn(int $i): string => \sprintf('Somebody %d,2x', $i), range(1, 300));
        $problem = $this->send('POST', '/api/plans/draft/people', [
            'text' => "name,extension\n" . implode("\n", $people),
        ]);
        $this->assertStatus(422);
        self::assertCount(Limits::PROBLEMS, $problem['errors']);
        self::assertSame(300 - Limits::PROBLEMS, $problem['more']);
        self::assertSame('300 fields need a look.', $problem['detail']);
    }

    public function testWhatTheDatabaseGuardsIsAConflictAndChangesNothing(): void
    {
        // Behind the application's back: it knows of no such extension, and the database does.
        self::getContainer()
            ->get('doctrine')
            ->getConnection()
            ->executeStatement("INSERT INTO draft_dialled (dialled, element_id) VALUES ('977', 'per_dana')");
        $this->send('POST', '/api/plans/draft/elements', [
            'kind' => 'person',
            'name' => 'Somebody',
            'extension' => '977',
            'site' => 'sit_ternwick',
            'phones' => [],
        ]);
        $this->assertStatus(409);
        self::assertNotContains('Somebody', array_column($this->outline()['elements'], 'name'));
    }
}
