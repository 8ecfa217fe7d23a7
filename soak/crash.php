<?php

declare(strict_types=1);

/**
 * Kills -9 every kind of process of a server in the middle of writes by four clients, each of which sends a write again until
 * it is acknowledged; then counts: every write is there, once.
 *   php soak/crash.php http://127.0.0.1:PORT RUN WRITES.
 */
use Meandros\Soak\Client;

require __DIR__ . '/Client.php';

[$base, $run, $writes] = [$argv[1], $argv[2], (int) ($argv[3] ?? 1000)];
$database = $argv[4] ?? $run;
$client = new Client($base);

$leader = static fn(string $file): int => (int) @file_get_contents(
    (str_contains($file, 'postgres') ? $database : $run) . '/' . $file,
);
$parent = static fn(int $pid): int => preg_match(
    '#^\d+ \(.*\) \S (\d+)#s',
    (string) @file_get_contents("/proc/$pid/stat"),
    $part,
)
    ? (int) $part[1]
    : 0;
/** @return list<int> */
$children = static fn(int $of): array => array_values(
    array_filter(
        array_map(static fn(string $path): int => (int) basename($path), glob('/proc/[0-9]*') ?: []),
        static fn(int $pid): bool => $parent($pid) === $of,
    ),
);
// What kills whom: the pids at that moment.
$kinds = [
    'a postgres process' => static fn(): array => $children($leader('services/postgres/own')),
    'the postgres master' => static fn(): array => [$leader('services/postgres/own')],
    'a php-fpm worker' => static fn(): array => $children($leader('services/php-fpm/own')),
    'the php-fpm master' => static fn(): array => [$leader('services/php-fpm/own')],
    'an nginx worker' => static fn(): array => $children($leader('services/nginx/own')),
    'the nginx master' => static fn(): array => [$leader('services/nginx/own')],
    'the watcher of a server' => static fn(): array => array_map(
        $parent,
        array_map($leader, ['services/postgres/own', 'services/php-fpm/own', 'services/nginx/own']),
    ),
    'the watcher of watchers' => static fn(): array => [$leader('services.own')],
];
// Each of them at least once.
$every = min(10, intdiv($writes, 4 * count($kinds)));
$killed = array_fill_keys(array_keys($kinds), 0);
$mark = bin2hex(random_bytes(4));
$acknowledged = 0;
$again = 0;
$longest = 0.0;
for ($i = 0; $acknowledged < $writes; ++$i) {
    $requests = array_map(
        static fn(int $n): array => [
            'POST',
            '/api/plans/draft/elements',
            ['kind' => 'prompt', 'name' => "Crash $mark $i $n", 'scripts' => []],
            ['Idempotency-Key' => '"' . "$mark-$i-$n" . '"'],
        ],
        range(0, 3),
    );
    if ($every - 1 === $i % $every) {
        $kind = array_keys($kinds)[intdiv($i, $every) % count($kinds)];
        // In the middle of the requests, as near as can be.
        $victims = array_values(
            array_filter($kinds[$kind](), static fn(int $pid): bool => $pid > 1 && is_dir("/proc/$pid")),
        );
        if ([] !== $victims) {
            $victim = $victims[array_rand($victims)];
            ++$killed[$kind];
            exec(sprintf('(sleep 0.0%d; kill -9 %d) >/dev/null 2>&1 &', random_int(0, 3), $victim));
        }
    }
    $began = microtime(true);
    while ([] !== $requests) {
        foreach ($client->together($requests) as $n => $answer) {
            if (201 === $answer['status']) {
                ++$acknowledged;
                $requests[$n] = null;
            } elseif (!in_array($answer['status'], [0, 409, 429, 502, 503, 504], true)) {
                exit(sprintf("A write was answered %d: %s\n", $answer['status'], json_encode($answer['json'])));
            }
        }
        $requests = array_values(array_filter($requests));
        if ([] !== $requests) {
            ++$again;
            usleep(100_000);
        }
        if (microtime(true) - $began > 30) {
            exit("The server did not come back within 30 s.\n");
        }
    }
    $longest = max($longest, microtime(true) - $began);
}
// What was killed last may still be coming back.
$began = microtime(true);
do {
    $plan = $client->one('GET', '/api/plans/draft');
    if (microtime(true) - $began > 30) {
        exit("The plan could not be read within 30 s of the last kill.\n");
    }
    $isThere = 200 === $plan['status'];
    $isThere || usleep(100_000);
} while (!$isThere);
$names = array_count_values(array_column($plan['json']['elements'], 'name'));
$mine = array_filter(
    $names,
    static fn(int|string $name): bool => str_starts_with((string) $name, "Crash $mark "),
    \ARRAY_FILTER_USE_KEY,
);
printf(
    "crash   %d kills (%s); %d writes acknowledged, %d lost, %d done twice; sent again %d times; the longest wait %.1f s\n",
    array_sum($killed),
    implode(
        ', ',
        array_map(static fn(string $kind, int $times): string => "$times × $kind", array_keys($killed), $killed),
    ),
    $acknowledged,
    $acknowledged - count($mine),
    array_sum($mine) - count($mine),
    $again,
    $longest,
);
exit($acknowledged === array_sum($mine) && count($mine) === array_sum($mine) && min($killed) > 0 ? 0 : 1);
