<?php

declare(strict_types=1);

namespace Meandros\Soak;

/** Several clients of one server, whose requests go out at the same moment. */
final class Client
{
    public function __construct(private readonly string $base) {}

    /**
     * @param array<array{string, string, mixed, 3?: array<string, string>}> $requests method, path, body as data, headers
     *
     * @return list<array{status: int, json: mixed, headers: string}>
     */
    public function together(array $requests): array
    {
        $multi = curl_multi_init();
        $handles = array_map(fn(array $request): \CurlHandle => $this->handle($request), array_values($requests));
        foreach ($handles as $handle) {
            curl_multi_add_handle($multi, $handle);
        }
        do {
            curl_multi_exec($multi, $running);
            curl_multi_select($multi, 0.05);
        } while ($running > 0);
        $answers = [];
        foreach ($handles as $handle) {
            $text = (string) curl_multi_getcontent($handle);
            $length = (int) curl_getinfo($handle, \CURLINFO_HEADER_SIZE);
            $answers[] = [
                'status' => (int) curl_getinfo($handle, \CURLINFO_RESPONSE_CODE),
                'json' => json_decode(substr($text, $length), true),
                'headers' => substr($text, 0, $length),
            ];
            curl_multi_remove_handle($multi, $handle);
        }
        curl_multi_close($multi);

        return $answers;
    }

    /**
     * @param array<string, string> $headers
     *
     * @return array{status: int, json: mixed, headers: string}
     */
    public function one(string $method, string $path, mixed $body = null, array $headers = []): array
    {
        return $this->together([[$method, $path, $body, $headers]])[0];
    }

    /** @return array{array<string, mixed>, int} an element of the draft, and its revision */
    public function element(string $id): array
    {
        $plan = $this->one('GET', '/api/plans/draft')['json'];
        foreach ($plan['elements'] as $element) {
            if ($element['id'] === $id) {
                return [$element, $plan['revisions'][$id]];
            }
        }
        throw new \RuntimeException('There is no ' . $id);
    }

    /** @param array{string, string, mixed, 3?: array<string, string>} $request */
    private function handle(array $request): \CurlHandle
    {
        $handle = curl_init($this->base . $request[1]);
        \assert(false !== $handle);
        $headers = ['Content-Type: application/json'];
        foreach ($request[3] ?? [] as $name => $value) {
            $headers[] = $name . ': ' . $value;
        }
        curl_setopt_array($handle, [
            \CURLOPT_CUSTOMREQUEST => $request[0],
            \CURLOPT_RETURNTRANSFER => true,
            \CURLOPT_HEADER => true,
            \CURLOPT_HTTPHEADER => $headers,
            \CURLOPT_TIMEOUT => 30,
        ]);
        if (null !== $request[2]) {
            curl_setopt(
                $handle,
                \CURLOPT_POSTFIELDS,
                json_encode([] === $request[2] ? new \stdClass() : $request[2], \JSON_THROW_ON_ERROR),
            );
        }

        return $handle;
    }
}
