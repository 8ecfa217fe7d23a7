<?php

declare(strict_types=1);

/*
 * Recordings over HTTP until they can be heard, the machine voice, and many files at once; beside ffmpeg and espeak-ng run by hand.
 *   php bench/sound.php http://127.0.0.1:PORT FOLDER-OF-THE-RUN
 */

$base = $argv[1];
$run = $argv[2];
$folder = sys_get_temp_dir() . '/meandros-bench-' . getmypid();
mkdir($folder);

/** @return array{float, mixed} milliseconds, and the answer */
function asked(
    string $method,
    string $url,
    ?string $body = null,
    string $type = 'application/json',
    string $tag = '',
): array {
    static $handle = null;
    $handle ??= curl_init();
    curl_setopt_array($handle, [
        \CURLOPT_URL => $url,
        \CURLOPT_RETURNTRANSFER => true,
        \CURLOPT_CUSTOMREQUEST => $method,
        \CURLOPT_POSTFIELDS => $body ?? '',
        \CURLOPT_HTTPHEADER => ['Content-Type: ' . $type, ...'' === $tag ? [] : ['If-Match: "' . $tag . '"']],
    ]);
    $began = hrtime(true);
    $answer = (string) curl_exec($handle);
    $took = (hrtime(true) - $began) / 1e6;
    $status = curl_getinfo($handle, \CURLINFO_RESPONSE_CODE);
    if ($status >= 300) {
        fwrite(\STDERR, "$method $url answered $status: " . substr($answer, 0, 500) . "\n");
        exit(1);
    }

    return [$took, json_decode($answer, true)];
}

/** @param list<float> $times */
function median(array $times): float
{
    sort($times);

    return $times[intdiv(count($times), 2)];
}

function took(string $command): float
{
    $began = hrtime(true);
    exec($command . ' >/dev/null 2>&1');

    return (hrtime(true) - $began) / 1e6;
}

function upload(string $base, string $file): string
{
    $id = bin2hex(random_bytes(16));
    asked('PUT', "$base/api/uploads/$id", (string) file_get_contents($file), 'application/octet-stream');

    return $id;
}

/** @return array<string, mixed> the job, once it is over */
function over(string $base, int $job): array
{
    while (true) {
        $state = asked('GET', "$base/api/jobs/$job")[1];
        if (!in_array($state['state'], ['waiting', 'running'], true)) {
            return $state;
        }
        usleep(20_000);
    }
}

$say = static fn(string $what, string $figures, bool $met, string $bar): int|false => printf(
    "sound   %-44s %s (bar %s: %s)\n",
    $what,
    $figures,
    $bar,
    $met ? 'met' : 'MISSED',
);

// A recording of half a minute.
exec(
    "espeak-ng -w $folder/one.wav 'Our offices are closed today and open again tomorrow at eight in the morning, thank you for calling.'",
);
exec("sox $folder/one.wav -r 44100 $folder/half.wav repeat 6 trim 0 30");
$times = $byHand = [];
for ($i = 0; $i < 5; ++$i) {
    $began = hrtime(true);
    $body = json_encode(['upload' => upload($base, "$folder/half.wav"), 'name' => 'half.wav', 'language' => 'en']);
    $job = over($base, asked('POST', "$base/api/plans/draft/prompts/prm_holiday/takes", $body)[1]['id']);
    $heard = asked('GET', "$base/api/plans/draft/prompts/prm_holiday/sound?language=en")[1];
    asked('GET', "$base/api/sounds/{$heard['pieces'][0]['sound']}.wav");
    $times[] = (hrtime(true) - $began) / 1e6;
    'done' === $job['state'] || exit("The recording was not taken.\n");
    $byHand[] =
        took("ffmpeg -y -nostdin -i $folder/half.wav -af loudnorm=print_format=json -f null -") +
        took("ffmpeg -y -nostdin -i $folder/half.wav -af loudnorm=linear=true -ac 1 -ar 8000 $folder/out.wav");
}
$say(
    '30 s of recording, sent until it is heard',
    sprintf('%.2f s; ffmpeg by hand, twice: %.2f s', median($times) / 1000, median($byHand) / 1000),
    median($times) <= 2000,
    '2 s',
);

// Twelve words, for the first time and then again.
$first = $again = $byHand = [];
for ($i = 0; $i < 9; ++$i) {
    $words = getmypid() . " and $i: please hold the line, we are with you in a moment.";
    $element = asked('GET', "$base/api/plans/draft/elements/prm_groups")[1];
    $element['scripts'] = ['en' => $words];
    $element['inUse'] = $element['machine'] = new stdClass();
    $tag = (string) asked('GET', "$base/api/plans/draft/outline")[1]['revisions']['prm_groups'];
    $first[] = asked('PUT', "$base/api/plans/draft/elements/prm_groups", json_encode($element), tag: $tag)[0];
    $again[] = asked('GET', "$base/api/plans/draft/prompts/prm_groups/sound?language=en")[0];
    $byHand[] = took('espeak-ng -w ' . "$folder/by-hand.wav " . escapeshellarg($words));
}
$say(
    'twelve words spoken for the first time',
    sprintf('%.0f ms, the save of the prompt with it; espeak-ng by hand: %.0f ms', median($first), median($byHand)),
    median($first) <= 300,
    '300 ms',
);
$say('and again', sprintf('%.1f ms', median($again)), median($again) <= 20, '20 ms');

// Two hundred files in a ZIP.
exec("sox $folder/half.wav $folder/short.wav trim 0 3");
$files = array_column(asked('GET', "$base/api/plans/draft/recordings?what=all")[1]['rows'], 'file');
$zip = new ZipArchive();
$zip->open("$folder/many.zip", ZipArchive::CREATE);
for ($i = 0; $i < 200; ++$i) {
    $zip->addFile("$folder/short.wav", sprintf('%d/%s.wav', intdiv($i, count($files)), $files[$i % count($files)]));
}
$zip->close();
$began = hrtime(true);
$body = json_encode(['files' => [['upload' => upload($base, "$folder/many.zip"), 'name' => 'many.zip']]]);
$job = asked('POST', "$base/api/plans/draft/recordings", $body)[1];
$worker = (int) explode(' ', trim((string) file_get_contents("$run/services/worker/own")))[0];
$job = over($base, $job['id']);
$seconds = (hrtime(true) - $began) / 1e9;
preg_match('/VmHWM:\s+(\d+) kB/', (string) @file_get_contents("/proc/$worker/status"), $peak);
$megabytes = (int) ($peak[1] ?? 0) / 1000;
$say(
    '200 files of 3 s in a ZIP',
    sprintf('%s in %.0f s, %.0f MB at most in the process that makes them', $job['state'], $seconds, $megabytes),
    'done' === $job['state'] && $megabytes > 0 && $megabytes <= 128,
    '128 MB',
);

array_map(unlink(...), glob("$folder/*") ?: []);
rmdir($folder);
