<?php

declare(strict_types=1);

/*
 * What looks at the calls of a year to all numbers, with the ten thousand elements that are in the draft: the board, all expectations,
 * and the findings of a year; from nothing, and again after one edit.
 *   php bench/board.php http://127.0.0.1:PORT
 */

$base = $argv[1];

/**
 * @param array<string, mixed>|null $body
 *
 * @return array<string, mixed>
 */
function asked(string $method, string $url, ?array $body = null, ?int $revision = null): array
{
    $handle = curl_init($url);
    curl_setopt_array($handle, [
        \CURLOPT_RETURNTRANSFER => true,
        \CURLOPT_CUSTOMREQUEST => $method,
        \CURLOPT_HTTPHEADER => [
            'Content-Type: application/json',
            ...null === $revision ? [] : ["If-Match: \"$revision\""],
        ],
    ]);
    null === $body || curl_setopt($handle, \CURLOPT_POSTFIELDS, (string) json_encode($body));
    $answer = (string) curl_exec($handle);
    if (curl_getinfo($handle, \CURLINFO_RESPONSE_CODE) >= 300) {
        fwrite(\STDERR, "$method $url: $answer\n");
        exit(1);
    }

    return json_decode($answer, true);
}

/** @return array{float, array<string, mixed>} seconds from asking until all numbers are there, and what came of it */
function board(string $base): array
{
    $began = hrtime(true);
    $call = ['to' => '+441632960110', 'at' => '2026-11-23T10:30'];
    $job = asked('POST', "$base/api/coverage-board", ['call' => $call, 'year' => 2027]);
    while (in_array($job['state'], ['waiting', 'running'], true)) {
        usleep(20_000);
        $job = asked('GET', "$base/api/jobs/{$job['id']}");
    }

    return [(hrtime(true) - $began) / 1e9, $job['result'] ?? exit("The board was not made.\n")];
}

$json = (string) file_get_contents(__DIR__ . '/../demo/ternwick-ferries.json');
$decode = [];
for ($i = 0; $i < 101; ++$i) {
    $t = hrtime(true);
    json_decode($json, true, 128, \JSON_THROW_ON_ERROR);
    $decode[] = (hrtime(true) - $t) / 1e6;
}
sort($decode);
/** @return array{float, int} seconds until all of it was looked at, and how often it was asked for */
function wholly(string $base, string $what): array
{
    $began = hrtime(true);
    for ($asked = 1; ; ++$asked) {
        $found = asked('GET', "$base/api/plans/draft/$what");
        if (0 === ($found['left'] ?? array_sum(array_column($found['expectations'], 'left')))) {
            return [(hrtime(true) - $began) / 1e9, $asked];
        }
    }
}

/** Edits one team, a little differently each time. */
function edit(string $base, int $time): void
{
    static $team = null;
    $team ??= asked('GET', "$base/api/plans/draft/elements/team_port");
    asked(
        'PUT',
        "$base/api/plans/draft/elements/team_port",
        ['memberSeconds' => 21 + $time, 'name' => $team['name'] . ' ' . $time] + $team,
        asked('GET', "$base/api/plans/draft/outline")['revisions']['team_port'],
    );
}

[$all, $before] = board($base);
$whole = array_map(static fn(string $what): array => wholly($base, $what), [
    'expectations' => 'expectations',
    'findings' => 'year-findings',
]);
$again = [];
for ($i = 0; $i < 5; ++$i) {
    edit($base, $i);
    [$again['board'][], $after] = board($base);
    count($after['numbers']) === count($before['numbers']) || exit("Numbers are missing.\n");
    [$again['expectations'][]] = wholly($base, 'expectations');
    [$again['findings'][]] = wholly($base, 'year-findings');
}
$told = [
    'board' => sprintf('all %d numbers over a year: %.1f s', count($before['numbers']), $all),
    'expectations' => vsprintf('all expectations: whole after %.1f s, asked for %d times', $whole['expectations']),
    'findings' => vsprintf('the findings of a year: whole after %.1f s, asked for %d times', $whole['findings']),
];
foreach ($told as $what => $first) {
    sort($again[$what]);
    $took = $again[$what][2];
    // A second where json takes half a millisecond.
    printf(
        "%-13s%s; again after an edit of one team: median %.2f s, %.0f × json, bar 2000: %s\n",
        $what,
        $first,
        $took,
        ($took * 1000) / $decode[50],
        $took * 1000 <= 2000 * $decode[50] ? 'met' : 'MISSED',
    );
}
