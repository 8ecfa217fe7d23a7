<?php

declare(strict_types=1);

namespace Meandros\Server\Tests;

use DAMA\DoctrineTestBundle\PHPUnit\ShareSetUpBeforeClassChanges;
use Meandros\Core\Plan\Json\PlanCodec;
use Meandros\Core\Plan\Plan;
use Meandros\Server\Storage\Draft;
use Meandros\Server\Storage\Editions;
use Meandros\Server\Storage\Entity\EditState;
use Symfony\Bundle\FrameworkBundle\KernelBrowser;
use Symfony\Bundle\FrameworkBundle\Test\WebTestCase;
use Symfony\Component\HttpFoundation\Response;

/**
 * Talks to the API with the demo plan in the draft and as edition 1, where each test of a class begins; every answer is checked
 * against the OpenAPI document.
 */
#[ShareSetUpBeforeClassChanges]
abstract class ApiTestCase extends WebTestCase
{
    protected const DEMO = __DIR__ . '/../demo/ternwick-ferries.json';
    protected const BOOKINGS = '+441632960110';

    private static ?Plan $demo = null;
    private KernelBrowser $client;
    private int $status = 0;
    /** @var array<string, list<string>> */
    private array $headers = [];

    public static function setUpBeforeClass(): void
    {
        parent::setUpBeforeClass();
        self::bootKernel();
        // It is read once for all: plans never change.
        self::$demo ??= PlanCodec::decode((string) file_get_contents(self::DEMO));
        self::getContainer()->get(Draft::class)->replaceAll(self::$demo, 'Demo', null, EditState::Dropped);
        self::getContainer()
            ->get(Editions::class)
            ->publish('First', null, despite: static fn(): array => ['exp_port_sleeps' => 'It was so.']);
        self::ensureKernelShutdown();
    }

    protected function setUp(): void
    {
        parent::setUp();
        $this->client = self::createClient();
        $this->client->disableReboot();
    }

    /**
     * @param array<mixed>|string|null $body
     *
     * @return array<string, mixed>
     */
    protected function send(
        string $method,
        string $path,
        array|string|null $body = null,
        ?int $revision = null,
        string $host = '127.0.0.1',
        ?string $key = null,
    ): array {
        $this->request(
            $method,
            $path,
            \is_array($body) ? json_encode([] === $body ? new \stdClass() : $body, \JSON_THROW_ON_ERROR) : $body,
            $revision,
            $host,
            $key,
        );
        $response = $this->answer();
        $this->status = $response->getStatusCode();
        $this->headers = $response->headers->all();
        OpenApi::check($method, $path, $this->status, (string) $response->getContent());

        $text = (string) $response->getContent();

        return str_contains((string) $response->headers->get('Content-Type'), 'json')
            ? json_decode($text, true, 64, \JSON_THROW_ON_ERROR)
            : ['text' => $text];
    }

    /** A request as it is, whose answer is checked by the test itself. */
    protected function request(
        string $method,
        string $path,
        ?string $content = null,
        ?int $revision = null,
        string $host = '127.0.0.1',
        ?string $key = null,
    ): void {
        $headers = ['HTTP_HOST' => $host, 'CONTENT_TYPE' => 'application/json'];
        if (null !== $key) {
            $headers['HTTP_IDEMPOTENCY_KEY'] = '"' . $key . '"';
        }
        if (null !== $revision) {
            $headers['HTTP_IF_MATCH'] = '"' . $revision . '"';
        }
        $this->requestWith($method, $path, $content ?? ('POST' === $method ? '{}' : null), $headers);
    }

    /** @param array<string, string> $headers as a server has them: HTTP_IF_MATCH, CONTENT_TYPE … */
    protected function requestWith(string $method, string $path, ?string $content, array $headers): void
    {
        $this->client->request($method, $path, [], [], $headers + ['HTTP_HOST' => '127.0.0.1'], $content);
    }

    protected function answer(): Response
    {
        return $this->client->getResponse();
    }

    /** What was sent, also of a file. */
    protected function sent(): string
    {
        return (string) $this->client->getInternalResponse()->getContent();
    }

    /** What processes know of the database is looked at again. */
    protected function lookAgain(): void
    {
        self::getContainer()->get('doctrine')->getManager()->clear();
        \function_exists('apcu_enabled') && apcu_enabled() && apcu_clear_cache();
    }

    protected function assertStatus(int $status, string $why = ''): void
    {
        self::assertSame($status, $this->status, $why);
    }

    protected function header(string $name): string
    {
        return $this->headers[strtolower($name)][0] ?? '';
    }

    /** @return array<string, mixed> */
    protected function element(string $id): array
    {
        $element = $this->send('GET', '/api/plans/draft/elements/' . $id);
        $this->assertStatus(200, "$id is in the draft.");

        return $element;
    }

    /** @return array<string, mixed> */
    protected function undo(string $direction = 'undo'): array
    {
        return $this->send('POST', '/api/plans/draft/' . $direction, [
            'edit' => $this->outline()[$direction]['edit'] ?? 1,
        ]);
    }

    /** @return array<string, mixed> */
    protected function publish(string $note): array
    {
        return $this->send('POST', '/api/editions', ['note' => $note], $this->draftRevision());
    }

    /** @return array<string, mixed> */
    protected function restore(int $number): array
    {
        return $this->send('POST', "/api/editions/$number/restore", [], $this->draftRevision());
    }

    /** @return array<string, mixed> of the draft: names and revisions of its elements, what can be undone; without bodies, which take long to check */
    protected function outline(): array
    {
        return $this->send('GET', '/api/plans/draft/outline');
    }

    protected function draftRevision(): int
    {
        return $this->send('GET', '/api/plans/draft/pending')['revision'];
    }

    protected function revision(string $id): int
    {
        return $this->outline()['revisions'][$id];
    }

    /** @param array<string, mixed> $part */
    protected function change(string $id, array $part): array
    {
        return $this->send(
            'PUT',
            '/api/plans/draft/elements/' . $id,
            $part + $this->element($id),
            $this->revision($id),
        );
    }

    /** @param array<string, mixed> $more */
    protected function sentence(string $at = '2026-11-23T10:30', array $more = []): string
    {
        return $this->send('POST', '/api/trial-calls', $more + ['to' => self::BOOKINGS, 'at' => $at])['sentence'];
    }
}
