<?php

declare(strict_types=1);

/*
 * Trial calls and saves over HTTP, beside an empty route of the same server, with the demo plan and with ten thousand elements.
 *   php bench/http.php http://127.0.0.1:PORT
 */

use Meandros\Bench\LargePlan;

require __DIR__ . '/../vendor/autoload.php';
require __DIR__ . '/LargePlan.php';

$base = $argv[1];
const CLIENTS = 4;

/** @param array<string, string> $headers */
function prepared(string $url, ?string $body = null, string $method = 'POST', array $headers = []): CurlHandle
{
    $handle = curl_init($url);
    curl_setopt_array($handle, [
        \CURLOPT_RETURNTRANSFER => true,
        \CURLOPT_TIMEOUT => 60,
        \CURLOPT_HTTPHEADER => [
            'Content-Type: application/json',
            ...array_map(
                static fn(string $name, string $value): string => $name . ': ' . $value,
                array_keys($headers),
                $headers,
            ),
        ],
    ]);
    null === $body || curl_setopt_array($handle, [\CURLOPT_CUSTOMREQUEST => $method, \CURLOPT_POSTFIELDS => $body]);

    return $handle;
}

/** @return array{float, mixed} milliseconds, and the answer */
function timed(CurlHandle $handle): array
{
    // One connection for all: what a browser has, too.
    static $share = null;
    if (null === $share) {
        $share = curl_share_init();
        curl_share_setopt($share, \CURLSHOPT_SHARE, \CURL_LOCK_DATA_CONNECT);
    }
    curl_setopt($handle, \CURLOPT_SHARE, $share);
    $began = hrtime(true);
    $answer = curl_exec($handle);
    $took = (hrtime(true) - $began) / 1e6;
    $status = curl_getinfo($handle, \CURLINFO_RESPONSE_CODE);
    if ($status >= 300) {
        fwrite(\STDERR, curl_getinfo($handle, \CURLINFO_EFFECTIVE_URL) . " answered $status: $answer\n");
        exit(1);
    }

    return [$took, json_decode((string) $answer, true)];
}

/** @return float requests a second, of four clients at once */
function throughput(Closure $request, int $count): float
{
    $multi = curl_multi_init();
    $left = $count;
    for ($i = 0; $i < CLIENTS; ++$i) {
        curl_multi_add_handle($multi, $request(--$left));
    }
    $began = hrtime(true);
    do {
        curl_multi_exec($multi, $running);
        while (false !== ($done = curl_multi_info_read($multi))) {
            curl_multi_remove_handle($multi, $done['handle']);
            $left > 0 && curl_multi_add_handle($multi, $request(--$left));
            $running = 1;
        }
        curl_multi_select($multi, 0.01);
    } while ($running > 0);

    return $count / ((hrtime(true) - $began) / 1e9);
}

/** @param list<float> $times */
function part(array $times, float $part): float
{
    sort($times);

    return $times[(int) floor($part * (count($times) - 1))];
}

function bar(string $what, float $value, float $reference, float $most): void
{
    printf(
        "http    %s: p95 %.2f × empty, bar %g: %s\n",
        $what,
        $value / $reference,
        $most,
        $value <= $most * $reference ? 'met' : 'MISSED',
    );
}

$call = static fn(int $i): string => (string) json_encode([
    'to' => '+441632960110',
    'at' => sprintf('2026-11-%02dT%02d:30', 1 + ($i % 28), $i % 24),
    'assume' => ['keys' => ['1']],
]);
$bars = ['the demo' => [3, 4], 'ten thousand elements' => [4, 6]];
foreach ($bars as $name => [$trialBar, $saveBar]) {
    if ('the demo' !== $name) {
        $revision = timed(prepared("$base/api/plans/draft/pending"))[1]['revision'];
        $file = (string) json_encode(
            LargePlan::of((string) file_get_contents(__DIR__ . '/../demo/ternwick-ferries.json')),
        );
        [$took] = timed(prepared("$base/api/plans/draft/file", $file, 'PUT', ['If-Match' => "\"$revision\""]));
        printf("http    a file of ten thousand elements brought in: %.1f s\n", $took / 1000);
        [$took, $plan] = timed(prepared("$base/api/plans/draft"));
        printf("http    the whole draft: %.0f ms\n", $took);
        // What edits change from here on is what they change for callers of ten thousand elements.
        $revision = timed(prepared("$base/api/plans/draft/pending"))[1]['revision'];
        $note = (string) json_encode(['note' => 'Large', 'despite' => 'To be measured']);
        [$took] = timed(prepared("$base/api/editions", $note, 'POST', ['If-Match' => "\"$revision\""]));
        printf("http    ten thousand elements published: %.1f s\n", $took / 1000);
    }
    $plan = timed(prepared("$base/api/plans/draft"))[1];
    $team = array_values(array_filter($plan['elements'], static fn(array $one): bool => 'team_port' === $one['id']))[0];
    $revision = $plan['revisions']['team_port'];
    $empty = $trial = $save = [];
    for ($i = 0; $i < 320; ++$i) {
        [$one] = timed(prepared("$base/api/up"));
        [$two] = timed(prepared("$base/api/trial-calls", $call($i)));
        [$three, $change] = timed(
            prepared(
                "$base/api/plans/draft/elements/team_port",
                (string) json_encode(['memberSeconds' => 10 + ($i % 20)] + $team),
                'PUT',
                ['If-Match' => "\"$revision\"", 'Idempotency-Key' => '"bench-' . bin2hex(random_bytes(6)) . '"'],
            ),
        );
        $revision = $change['revision'];
        if ($i >= 20) {
            [$empty[], $trial[], $save[]] = [$one, $two, $three];
        }
    }
    foreach (['empty route' => $empty, 'trial call' => $trial, 'save' => $save] as $what => $times) {
        printf("http    %s: %s: median %.1f ms, p95 %.1f ms\n", $name, $what, part($times, 0.5), part($times, 0.95));
    }
    bar("$name: trial call", part($trial, 0.95), part($empty, 0.5), $trialBar);
    bar("$name: save", part($save, 0.95), part($empty, 0.5), $saveBar);
    $words = [];
    for ($i = 0; $i < 40; ++$i) {
        $words[] = timed(prepared("$base/api/plans/draft/worded?words=" . ['fermé', 'port', 'bookings'][$i % 3]))[0];
    }
    printf(
        "http    %s: words found in the draft: median %.1f ms, p95 %.1f ms\n",
        $name,
        part($words, 0.5),
        part($words, 0.95),
    );
    $year = [];
    foreach (range(1, 3) as $time) {
        // What processes put by for each other grows with every time: it must not become too much for one of them.
        $year[] = timed(prepared("$base/api/plans/draft/year-findings"))[0] / 1000;
    }
    printf("http    %s: the findings of a year: %.1f s, and again %.1f and %.1f s\n", $name, ...$year);
    $ups = throughput(static fn(): CurlHandle => prepared("$base/api/up"), 600);
    $calls = throughput(static fn(int $i): CurlHandle => prepared("$base/api/trial-calls", $call($i)), 600);
    printf(
        "http    %s: %d trial calls/s with %d clients, %d empty ones: %.0f %%, bar 50 %%: %s\n",
        $name,
        $calls,
        CLIENTS,
        $ups,
        (100 * $calls) / $ups,
        2 * $calls >= $ups ? 'met' : 'MISSED',
    );
}
