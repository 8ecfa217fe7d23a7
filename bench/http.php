<?php

declare(strict_types=1);

/* A trial call over HTTP, beside an empty route of the same server: one client, one connection, in turns. */

$base = $argv[1];
$handle = curl_init();

/** @return float milliseconds */
function request(CurlHandle $handle, string $url, ?string $body): float
{
    curl_setopt_array($handle, [\CURLOPT_URL => $url, \CURLOPT_RETURNTRANSFER => true, \CURLOPT_HTTPHEADER => ['Content-Type: application/json']]);
    null === $body ? curl_setopt($handle, \CURLOPT_HTTPGET, true) : curl_setopt_array($handle, [\CURLOPT_POST => true, \CURLOPT_POSTFIELDS => $body]);
    $t = hrtime(true);
    curl_exec($handle);
    $took = (hrtime(true) - $t) / 1e6;
    if (200 !== curl_getinfo($handle, \CURLINFO_RESPONSE_CODE)) {
        fwrite(\STDERR, "$url did not answer 200.\n");
        exit(1);
    }

    return $took;
}

$empty = $trial = [];
for ($i = 0; $i < 320; ++$i) {
    $call = json_encode(['to' => '+441632960110', 'at' => sprintf('2026-11-%02dT%02d:30', 1 + $i % 28, $i % 24), 'assume' => ['keys' => ['1']]]);
    [$one, $two] = [request($handle, "$base/api/up", null), request($handle, "$base/api/trial-calls", (string) $call)];
    if ($i >= 20) {
        [$empty[], $trial[]] = [$one, $two];
    }
}
sort($empty);
sort($trial);
$p = static fn (array $times, float $part): float => $times[(int) floor($part * (count($times) - 1))];
printf("http    empty route: median %.1f ms, p95 %.1f ms\n", $p($empty, 0.5), $p($empty, 0.95));
printf("http    trial call: median %.1f ms, p95 %.1f ms; p95 %.2f × empty, bar 3: %s\n", $p($trial, 0.5), $p($trial, 0.95), $p($trial, 0.95) / $p($empty, 0.5), $p($trial, 0.95) <= 3 * $p($empty, 0.5) ? 'met' : 'MISSED');
