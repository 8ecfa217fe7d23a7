<?php

declare(strict_types=1);

namespace Meandros\Server\Tests;

use Meandros\Core\Plan\Json\PlanCodec;
use Meandros\Core\Tests\Soak;
use Meandros\Server\Sound\SamplePlan;
use Meandros\Server\Storage\Draft;

/**
 * Requests made from the OpenAPI document, most of them damaged: none is a fault of the server, every refusal is a problem
 * document, and whatever is accepted can be read, taken away and brought back unchanged.
 */
final class DamagedRequestsTest extends ApiTestCase
{
    private const MOST_SECONDS = 2.0;
    private const MOST_BYTES = 128_000_000;
    private const AT_ONCE = 50;

    public function testNothingBreaksTheServer(): void
    {
        mt_srand(Soak::seed());
        // With its scripts read by the machine voice, as it comes out of a server.
        $demo = self::getContainer()->get(SamplePlan::class)->load((string) file_get_contents(self::DEMO), self::DEMO);
        $answered = ['accepted' => 0, 'refused' => 0];
        $written = 0;
        for ($i = 0, $count = Soak::count(300); $i < $count; ++$i) {
            if (0 === $i % self::AT_ONCE) {
                self::getContainer()->get(Draft::class)->replaceAll($demo, 'Demo', null);
            }
            // Whether it fits its schema is looked at where something was written.
            $this->request('GET', '/api/plans/draft');
            $draft = json_decode((string) $this->answer()->getContent(), true);
            $request = DamagedRequest::random($draft['elements'], $draft['revision'], $draft['revisions']);
            $status = $this->ask($request);
            if ($status >= 500) {
                self::fail(
                    \sprintf(
                        "Request %d: %d\n%s\n%s",
                        $i,
                        $status,
                        $this->shrunk($request),
                        $this->answer()->getContent(),
                    ),
                );
            }
            if ($status >= 400) {
                self::assertSame(
                    'application/problem+json',
                    $this->answer()->headers->get('Content-Type'),
                    "Request $i: $request",
                );
                self::assertLessThan(64_000, \strlen((string) $this->answer()->getContent()), "Request $i: $request");
            }
            ++$answered[$status >= 400 ? 'refused' : 'accepted'];
            if ('GET' !== $request->method && $status < 300) {
                $this->assertTheDraftIsWhole("After request $i: $request");
                ++$written;
            }
        }
        self::assertGreaterThan($count / 10, $answered['accepted']);
        self::assertGreaterThan($count / 10, $answered['refused']);
        self::assertGreaterThan($count / 25, $written);
    }

    private function assertTheDraftIsWhole(string $said): void
    {
        $draft = $this->draft();
        self::assertSame([], $draft['unreadable'], $said);
        $this->request('GET', '/api/plans/draft/file');
        $file = (string) $this->answer()->getContent();
        self::assertSame($file, PlanCodec::encode(PlanCodec::decode($file), true), $said);
        // The first edition's scripts were never read by the machine voice: bringing a file in does that.
        foreach ([null, 0] as $changed) {
            $this->request('PUT', '/api/plans/draft/file', $file, $this->draft()['revision']);
            self::assertSame(200, $this->answer()->getStatusCode(), $said . $this->answer()->getContent());
            $answer = json_decode((string) $this->answer()->getContent(), true);
            self::assertSame($changed ?? $answer['changed'], $answer['changed'], $said);
            $this->request('GET', '/api/plans/draft/file');
            $file = (string) $this->answer()->getContent();
        }
    }

    private function ask(DamagedRequest $request): int
    {
        memory_reset_peak_usage();
        [$memory, $began] = [memory_get_usage(), hrtime(true)];
        $this->requestWith($request->method, $request->path, $request->body, $request->headers);
        $seconds = (hrtime(true) - $began) / 1e9;
        self::assertLessThan(self::MOST_BYTES, memory_get_peak_usage() - $memory, (string) $request);
        false === getenv('MEANDROS_SOAK') || self::assertLessThan(self::MOST_SECONDS, $seconds, (string) $request);

        return $this->answer()->getStatusCode();
    }

    /** As little of the body as still breaks it. */
    private function shrunk(DamagedRequest $request): DamagedRequest
    {
        $data = json_decode((string) $request->body, true);
        foreach (\is_array($data) ? array_keys($data) : [] as $key) {
            $less = $request->with((string) json_encode(array_diff_key($data, [$key => 1]) ?: new \stdClass()));
            if ($this->ask($less) >= 500) {
                unset($data[$key]);
                $request = $less;
            }
        }
        $this->ask($request);

        return $request;
    }

    /** @return array<string, mixed> */
    private function draft(): array
    {
        $this->request('GET', '/api/plans/draft');
        self::assertSame(200, $this->answer()->getStatusCode());

        return json_decode((string) $this->answer()->getContent(), true, 128, \JSON_THROW_ON_ERROR);
    }
}
