<?php

declare(strict_types=1);

/*
 * What a person asks for on an ordinary day, of the demo's elements: with the demo plan, and where they stand among ten thousand.
 * What a request costs does not grow with the plan (design.md, section 9).
 *   php bench/grown.php http://127.0.0.1:PORT FILE
 * keeps the times in the file; where it is there, what takes longer than then is told.
 */

[, $base, $file] = $argv;
/** Times longer, and as many milliseconds more, that do not count. */
const MOST = 3;
const NOISE = 25;
$call = ['to' => '+442079460130', 'from' => '', 'at' => '2026-11-23T10:30:00', 'zone' => 'Europe/London'];
$draft = '/api/plans/draft';
$asked = [
    "$draft/elements/jrn_bookings",
    "$draft/findings?element=jrn_bookings",
    "$draft/overflow?queue=que_bookings",
    "$draft/brief.html?number=num_main",
    "$draft/brief.html?number=num_bookings&before=live",
    "$draft/paper.html?number=num_main",
    "$draft/rung/per_camille?year=2027",
    "$draft/rung/team_port?year=2027",
    "$draft/numbers/num_bookings/coverage.csv?year=2027",
    "$draft/numbers/num_direct/block",
    "$draft/people/per_camille/own-number",
    "$draft/hours/hrs_bookings/year?year=2027",
    "$draft/hours/hrs_bookings/changes?at=2026-11-23T10:30&zone=Europe/London",
    "$draft/calendars/cal_england/dates?from=2026-11-23",
    "$draft/callers/clr_accounts/others",
    "$draft/recordings?journey=jrn_bookings",
    "$draft/prompts/prm_bookings_hold/sound?language=en",
    "$draft/worded?words=Bookings",
    "$draft/history",
    "$draft/pending",
    '/api/editions',
    '/api/impact',
    '/api/impact/counted',
    '/api/sign-ins',
    '/api/overrides',
];
foreach (['exp_accounts', 'exp_bookings_day', 'exp_gare_answers', 'exp_holidays_said'] as $expectation) {
    $asked[] = "$draft/expectations/$expectation";
}
foreach (['per_camille', 'team_bookings', 'hrs_bookings', 'prm_bookings_hold', 'que_bookings'] as $element) {
    $asked[] = "$draft/elements/$element/uses";
}
$asked[] = ['/api/trial-calls', $call];
$asked[] = ['/api/trial-calls/next-change', $call];
$asked[] = ['/api/expected', $call];
foreach (['+442079460130', '+441632960100', '+33261910100'] as $to) {
    $asked[] = ['/api/endings', ['to' => $to] + $call];
}
$asked[] = ['/api/coverage', ['call' => $call, 'year' => 2027]];
$asked[] = ['/api/number-answers', ['call' => ['in' => 'draft'] + $call, 'numbers' => ['num_bookings', 'num_main']]];
foreach (['ring Bookings', 'menu 1', 'message'] as $text) {
    $asked[] = ['/api/typed-steps', ['text' => $text, 'country' => 'GB']];
}
$asked[] = ["$draft/rewording/look", ['words' => 'Bookings', 'put' => 'Reservations']];

/** @param array<string, mixed>|null $body */
function milliseconds(string $url, ?array $body): float
{
    $handle = curl_init($url);
    curl_setopt_array($handle, [
        \CURLOPT_RETURNTRANSFER => true,
        \CURLOPT_HTTPHEADER => ['Content-Type: application/json'],
    ]);
    null === $body || curl_setopt($handle, \CURLOPT_POSTFIELDS, json_encode($body, \JSON_THROW_ON_ERROR));
    $began = hrtime(true);
    $answer = curl_exec($handle);
    $took = (hrtime(true) - $began) / 1e6;
    $status = curl_getinfo($handle, \CURLINFO_RESPONSE_CODE);
    if ($status >= 300) {
        fwrite(\STDERR, "$url answered $status: $answer\n");
        exit(1);
    }

    return $took;
}

$times = [];
foreach ($asked as $one) {
    [$path, $body] = is_array($one) ? $one : [$one, null];
    $took = [];
    // The first two find nothing put by, in one process and the other.
    for ($i = 0; $i < 7; ++$i) {
        $took[] = milliseconds($base . $path, $body);
    }
    $took = array_slice($took, 2);
    sort($took);
    $times[$path . (null === $body ? '' : ' ' . ($body['text'] ?? ($body['to'] ?? '')))] = $took[2];
}
if (!is_file($file)) {
    file_put_contents($file, json_encode($times, \JSON_THROW_ON_ERROR));
    printf("grown   the demo: %d requests, the longest %.0f ms\n", count($times), max($times));
    exit(0);
}
/** @var array<string, float> $before */
$before = json_decode((string) file_get_contents($file), true, 4, \JSON_THROW_ON_ERROR);
$grown = array_filter(
    $times,
    static fn(float $took, string $what): bool => $took > MOST * $before[$what] + NOISE,
    \ARRAY_FILTER_USE_BOTH,
);
foreach ($grown as $what => $took) {
    printf("grown   %s: %.0f ms with the demo, %.0f among ten thousand elements\n", $what, $before[$what], $took);
}
printf(
    "grown   ten thousand elements: %d of %d requests take more than %d times what they take with the demo, bar 0: %s\n",
    count($grown),
    count($times),
    MOST,
    [] === $grown ? 'met' : 'MISSED',
);
