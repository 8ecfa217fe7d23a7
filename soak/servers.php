<?php

declare(strict_types=1);

/**
 * How the servers behave, apart from what they compute: refusals, headers, names, what the web user may write, and coming back.
 *   php soak/servers.php http://127.0.0.1:PORT RUN [RUN OF THE DATABASE].
 */
use Meandros\Soak\Client;

require __DIR__ . '/Client.php';

[$base, $run] = [$argv[1], $argv[2]];
$database = $argv[3] ?? $run;
$client = new Client($base);
[$host, $port] = [(string) parse_url($base, \PHP_URL_HOST), (int) parse_url($base, \PHP_URL_PORT)];
$wrong = [];
$checks = 0;
$expect = static function (bool $holds, string $what) use (&$wrong, &$checks): void {
    ++$checks;
    $holds || ($wrong[] = $what);
};
/** @return string the answer to bytes as they are */
$raw = static function (string $request) use ($host, $port): string {
    $socket = stream_socket_client("tcp://$host:$port", timeout: 5);
    assert(false !== $socket);
    stream_set_timeout($socket, 5);
    fwrite($socket, $request);
    $answer = (string) stream_get_contents($socket);
    fclose($socket);

    return $answer;
};

// Refusals of the web server itself are problem documents (RFC 9457), with the same headers as everything else.
$refusals = [
    'rubbish' => ["rubbish\r\n\r\n", 400],
    'a method that is traced' => ["TRACE /api/up HTTP/1.1\r\nHost: 127.0.0.1\r\nConnection: close\r\n\r\n", 405],
    'a version of the future' => ["GET / HTTP/9.9\r\nHost: 127.0.0.1\r\n\r\n", 505],
    'a long address' => ['GET /api/' . str_repeat('x', 9000) . " HTTP/1.1\r\nHost: 127.0.0.1\r\n\r\n", 414],
    'long headers' => [
        "GET /api/up HTTP/1.1\r\nHost: 127.0.0.1\r\nX-Long: " . str_repeat('x', 40_000) . "\r\n\r\n",
        431,
    ],
    'a body announced too large' => [
        "POST /api/trial-calls HTTP/1.1\r\nHost: 127.0.0.1\r\nContent-Length: 99999999\r\nConnection: close\r\n\r\n",
        413,
    ],
    // It is read, and told what is wrong with it.
    'a plan file of a megabyte that holds none' => [
        "POST /api/plans/draft/file/preview HTTP/1.1\r\nHost: 127.0.0.1\r\nContent-Type: application/json\r\nContent-Length: 1000000\r\nConnection: close\r\n\r\n" .
        str_repeat(' ', 999_998) .
        '{}',
        422,
    ],
    'an encoding that is not known' => [
        "POST /api/trial-calls HTTP/1.1\r\nHost: 127.0.0.1\r\nTransfer-Encoding: bogus\r\nConnection: close\r\n\r\n",
        501,
    ],
    'another name, for the page' => ["GET / HTTP/1.1\r\nHost: evil.example\r\nConnection: close\r\n\r\n", 421],
    'another name, for the API' => ["GET /api/up HTTP/1.1\r\nHost: evil.example\r\nConnection: close\r\n\r\n", 421],
    'an asset that is not there' => [
        "GET /assets/none.js HTTP/1.1\r\nHost: 127.0.0.1\r\nConnection: close\r\n\r\n",
        404,
    ],
    'the front controller itself' => ["GET /index.php HTTP/1.1\r\nHost: 127.0.0.1\r\nConnection: close\r\n\r\n", 404],
    'a request of another site' => [
        "GET /api/up HTTP/1.1\r\nHost: 127.0.0.1:$port\r\nSec-Fetch-Site: cross-site\r\nConnection: close\r\n\r\n",
        403,
    ],
    'another origin' => [
        "POST /api/trial-calls HTTP/1.1\r\nHost: 127.0.0.1:$port\r\nOrigin: http://evil.example\r\nContent-Length: 0\r\nConnection: close\r\n\r\n",
        403,
    ],
];
foreach ($refusals as $name => [$request, $status]) {
    $answer = $raw($request);
    $expect(1 === preg_match("#^HTTP/1\\.[01] $status\\b#", $answer), "$name: $status, not " . strtok($answer, "\r\n"));
    $expect(
        1 === preg_match('#^content-type: application/problem\+json#mi', $answer) &&
            str_contains($answer, '"status":' . $status),
        "$name: a problem document",
    );
}
foreach (
    [
        'the page' => '/',
        'a screen' => '/people/per_dana',
        'an answer' => '/api/up',
        'a refusal' => '/api/none',
        'a lost asset' => '/assets/none.js',
    ]
    as $name => $path
) {
    $headers = strtolower($client->one('GET', $path)['headers']);
    foreach (
        [
            'content-security-policy:',
            'x-content-type-options: nosniff',
            'referrer-policy: no-referrer',
            'cross-origin-opener-policy: same-origin',
            'cross-origin-resource-policy: same-origin',
            'permissions-policy:',
        ]
        as $header
    ) {
        $expect(1 === substr_count($headers, "\n" . $header), "$name has $header once");
    }
}
$expect(
    403 !== $client->one('GET', '/api/up', null, ['Sec-Fetch-Site' => 'same-origin', 'Origin' => $base])['status'],
    'our own page is answered',
);

// What the web user runs it may not write.
$user = posix_getpwuid((int) fileowner("$run/temp"))['name'] ?? '';
$code = array_filter(
    explode(
        "\n",
        (string) shell_exec(
            'find ' .
                escapeshellarg(dirname(__DIR__) . '/var/cache') .
                ' ' .
                escapeshellarg(dirname(__DIR__) . '/public') .
                ' -name "*.php"',
        ),
    ),
);
$expect([] !== $code, 'there is a container');
foreach (array_slice($code, 0, 50) as $file) {
    $expect(
        'root' === $user ||
            (0 === (fileperms($file) & 0o002) &&
                ($user !== (posix_getpwuid((int) fileowner($file))['name'] ?? '') || 0 === (fileperms($file) & 0o200))),
        "$user may not write $file",
    );
}
// The application's user of the database is none of its masters.
$settings = shell_exec(
    sprintf(
        'PGPASSWORD=%s psql -h 127.0.0.1 -U meandros -d postgres -Atc %s',
        trim((string) file_get_contents("$database/postgres.password")),
        escapeshellarg(
            "SELECT rolsuper, rolcreatedb, rolcreaterole, array_to_string(rolconfig, ','), current_setting('data_checksums') FROM pg_roles WHERE rolname = 'meandros_app'",
        ),
    ),
);
$expect(
    'f|f|f|statement_timeout=10s,lock_timeout=5s,idle_in_transaction_session_timeout=15s|on' ===
        trim((string) $settings),
    'the database user: ' . $settings,
);

// Whatever dies comes back by itself, however long a database takes to recover; meanwhile it is said what is away.
const TRIES = 600;
/** @return list<int> statuses on the way back */
$kill = static function (string $folder, string $service) use ($client): array {
    posix_kill((int) file_get_contents("$folder/services/$service/own"), \SIGKILL);
    $seen = [];
    for ($i = 0; $i < TRIES; ++$i) {
        $seen[] = $client->one('GET', '/api/ready')['status'];
        if (200 === end($seen) && $i > 3) {
            return [...array_diff(array_unique($seen), [200]), 200];
        }
        usleep(100_000);
    }

    return [...array_unique($seen), -1];
};
// Each process finds out by itself that its connection was cut.
$ready = static function () use ($client): bool {
    for ($i = $inARow = 0; $i < TRIES && $inARow < 12; ++$i) {
        $inARow = 200 === $client->one('GET', '/api/ready')['status'] ? $inARow + 1 : 0;
        $inARow > 0 || usleep(100_000);
    }

    return 12 === $inARow;
};
foreach (['postgres' => $database, 'php-fpm' => $run, 'nginx' => $run, 'worker' => $run] as $service => $folder) {
    $seen = $kill($folder, $service);
    $expect([] === array_diff($seen, [200, 503, 0]) && 200 === end($seen), "$service is back: " . implode(', ', $seen));
}
exec('sv down ' . escapeshellarg("$database/services/postgres"));
// It takes a moment to go.
for ($i = 0; $i < 50 && 200 === ($answer = $client->one('GET', '/api/plans/draft'))['status']; ++$i) {
    usleep(100_000);
}
$expect(
    503 === $answer['status'] &&
        str_contains(strtolower($answer['headers']), 'retry-after:') &&
        'The database is away' === $answer['json']['title'],
    'without a database: ' . $answer['status'],
);
$expect(200 === $client->one('GET', '/api/up')['status'], 'liveness does not need the database');
exec('sv up ' . escapeshellarg("$database/services/postgres"));
$ready();
exec('sv down ' . escapeshellarg("$run/services/php-fpm"));
// Requests that it has are answered first.
for ($i = 0; $i < 50 && 200 === ($answer = $client->one('GET', '/api/up'))['status']; ++$i) {
    usleep(100_000);
}
$expect(
    503 === $answer['status'] &&
        str_contains(strtolower($answer['headers']), 'retry-after:') &&
        'The server is away' === ($answer['json']['title'] ?? ''),
    'without PHP: ' . $answer['status'],
);
exec('sv up ' . escapeshellarg("$run/services/php-fpm"));
$expect($ready(), 'everything is back');

printf(
    "servers %d checks, %d wrong%s\n",
    $checks,
    count($wrong),
    [] === $wrong ? '' : ":\n  " . implode("\n  ", $wrong),
);
exit([] === $wrong ? 0 : 1);
