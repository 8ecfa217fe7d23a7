<?php

declare(strict_types=1);

/**
 * Two to four clients at once at the same thing, so many times each; says what was lost, mixed or done twice.
 *   php soak/races.php http://127.0.0.1:PORT ROUNDS.
 */
use Meandros\Soak\Client;

require __DIR__ . '/Client.php';

$client = new Client($argv[1]);
$rounds = (int) ($argv[2] ?? 200);
$wrong = 0;

/** @param Closure(int): (string|null) $round what went wrong; null when all is well */
$race = static function (string $name, Closure $round) use ($rounds, &$wrong): void {
    $found = [];
    $began = microtime(true);
    for ($i = 0; $i < $rounds; ++$i) {
        $said = $round($i);
        null === $said || ($found[] = $said);
    }
    $wrong += count($found);
    printf(
        "races   %s: %d of %d rounds went wrong (%.0f s)%s\n",
        $name,
        count($found),
        $rounds,
        microtime(true) - $began,
        [] === $found ? '' : ': ' . $found[0],
    );
};
$tag = static fn(int $revision): array => ['If-Match' => '"' . $revision . '"'];
$statuses = static fn(array $answers): array => array_column($answers, 'status');
$draft = static fn(): array => $client->one('GET', '/api/plans/draft')['json'];

$race('four clients change one element', static function (int $i) use ($client, $tag, $statuses): ?string {
    [$team, $revision] = $client->element('team_port');
    $answers = $client->together(
        array_map(
            static fn(int $n): array => [
                'PUT',
                '/api/plans/draft/elements/team_port',
                ['name' => "Port office $i.$n"] + $team,
                $tag($revision),
            ],
            range(1, 4),
        ),
    );
    $done = array_keys($statuses($answers), 200, true);
    $name = $client->element('team_port')[0]['name'];

    return 1 === count($done) && $name === sprintf('Port office %d.%d', $i, $done[0] + 1)
        ? null
        : json_encode([$statuses($answers), $name]);
});

$race('a plan is read while it is written', static function (int $i) use ($client, $tag): ?string {
    [$team, $revision] = $client->element('team_port');
    $answers = $client->together([
        ['PUT', '/api/plans/draft/elements/team_port', ['memberSeconds' => 5 + ($i % 50)] + $team, $tag($revision)],
        ['GET', '/api/plans/draft', null],
        ['GET', '/api/plans/draft', null],
    ]);
    $new = $answers[0]['json']['revision'];
    foreach ([1, 2] as $n) {
        $plan = $answers[$n]['json'];
        $seen = array_values(
            array_filter($plan['elements'], static fn(array $one): bool => 'team_port' === $one['id']),
        )[0]['memberSeconds'];
        $is = $plan['revisions']['team_port'] === $new ? 5 + ($i % 50) : $team['memberSeconds'];
        if ($seen !== $is || ($plan['revision'] === $new) !== ($plan['revisions']['team_port'] === $new)) {
            return "the body says $seen, the revision $is";
        }
    }

    return null;
});

$race('the plan gets another name and other elements, and is read', static function (int $i) use (
    $client,
    $tag,
    $draft,
): ?string {
    $plan = $client->one('GET', '/api/plans/draft/file')['json'];
    foreach ($plan['elements'] as &$element) {
        $element = 'team_port' === $element['id'] ? ['name' => "Port $i"] + $element : $element;
        $element = array_map(static fn(mixed $value): mixed => $value, $element);
    }
    unset($element);
    $answers = $client->together([
        [
            'PUT',
            '/api/plans/draft/file',
            json_decode(
                str_replace(
                    ['"scripts":[]', '"when":[]', '"next":[]', '"greetings":[]', '"years":[]'],
                    ['"scripts":{}', '"when":{}', '"next":{}', '"greetings":{}', '"years":{}'],
                    json_encode(['name' => "Plan $i"] + $plan),
                ),
            ),
            $tag($draft()['revision']),
        ],
        ['GET', '/api/plans/draft', null],
        ['GET', '/api/plans/draft/file', null],
    ]);
    foreach ([1, 2] as $n) {
        $team = array_values(
            array_filter($answers[$n]['json']['elements'], static fn(array $one): bool => 'team_port' === $one['id']),
        )[0]['name'];
        if (("Plan $i" === $answers[$n]['json']['name']) !== ("Port $i" === $team)) {
            return $answers[$n]['json']['name'] . ' with ' . $team;
        }
    }

    return 200 === $answers[0]['status'] ? null : json_encode($answers[0]['json']);
});

$race('a status is set by four for the first time', static function (int $i) use ($client, $statuses, $tag): ?string {
    $person = $client->one('POST', '/api/plans/draft/elements', [
        'kind' => 'person',
        'name' => 'Somebody new',
        'extension' => '',
        'site' => 'sit_ternwick',
        'phones' => [],
    ])['json'];
    $answers = $client->together(
        array_map(
            static fn(string $status): array => ['PUT', '/api/statuses/' . $person['id'], ['status' => $status]],
            ['away', 'on leave', 'away', 'do not disturb'],
        ),
    );
    $client->one('DELETE', '/api/plans/draft/elements/' . $person['id'], null, $tag($person['revision']));

    return [200, 200, 200, 200] === $statuses($answers) ? null : json_encode($statuses($answers));
});

$race('one request is sent four times', static function (int $i) use ($client, $statuses, $draft): ?string {
    $key = ['Idempotency-Key' => '"' . bin2hex(random_bytes(8)) . '"'];
    $request = [
        'POST',
        '/api/plans/draft/elements',
        ['kind' => 'prompt', 'name' => "Once $i", 'scripts' => ['en' => 'Once']],
        $key,
    ];
    $answers = $client->together(array_fill(0, 4, $request));
    $last = $client->one(...$request);
    $made = array_filter($draft()['elements'], static fn(array $one): bool => $one['name'] === "Once $i");
    $ids = array_unique(
        array_column(
            array_column(
                array_filter([...$answers, $last], static fn(array $one): bool => 201 === $one['status']),
                'json',
            ),
            'id',
        ),
    );

    return 1 === count($made) &&
        1 === count($ids) &&
        201 === $last['status'] &&
        [] === array_diff($statuses($answers), [201, 409])
        ? null
        : json_encode([count($made), $ids, $statuses($answers)]);
});

$race('one edit is taken back three times', static function (int $i) use ($client, $tag, $statuses, $draft): ?string {
    foreach ([10 + ($i % 20), 31 + ($i % 20)] as $seconds) {
        [$team, $revision] = $client->element('team_freight');
        $client->one(
            'PUT',
            '/api/plans/draft/elements/team_freight',
            ['memberSeconds' => $seconds] + $team,
            $tag($revision),
        );
    }
    $edit = $draft()['undo']['edit'];
    $answers = $client->together(array_fill(0, 3, ['POST', '/api/plans/draft/undo', ['edit' => $edit]]));
    $is = $client->element('team_freight')[0]['memberSeconds'];

    return 1 === count(array_keys($statuses($answers), 200, true)) && $is === 10 + ($i % 20)
        ? null
        : json_encode([$statuses($answers), $is]);
});

$race('a phone is taken away while a team comes to ring it', static function (int $i) use (
    $client,
    $tag,
    $statuses,
): ?string {
    $person = $client->one('POST', '/api/plans/draft/elements', [
        'kind' => 'person',
        'name' => 'Two phones',
        'extension' => '',
        'site' => 'sit_ternwick',
        'phones' => [
            ['id' => 'desk', 'type' => 'desk', 'label' => 'Desk'],
            ['id' => 'soft', 'type' => 'soft', 'label' => 'Laptop'],
        ],
    ])['json'];
    $id = $person['id'];
    $team = $client->one('POST', '/api/plans/draft/elements', [
        'kind' => 'team',
        'name' => 'Comes to ring',
        'pattern' => 'all at once',
        'members' => [],
    ])['json'];
    $body = $person['elements'][$id];
    $answers = $client->together([
        [
            'PUT',
            '/api/plans/draft/elements/' . $id,
            ['phones' => [$body['phones'][0]]] + $body,
            $tag($person['revision']),
        ],
        [
            'PUT',
            '/api/plans/draft/elements/' . $team['id'],
            ['members' => [['who' => $id . '/soft']]] + $team['elements'][$team['id']],
            $tag($team['revision']),
        ],
    ]);
    foreach ([$team['id'], $id] as $gone) {
        $client->one('DELETE', '/api/plans/draft/elements/' . $gone, null, $tag($client->element($gone)[1]));
    }

    return 1 === count(array_keys($statuses($answers), 200, true))
        ? null
        : json_encode([$statuses($answers), $answers[1]['json']]);
});

$race('two people take one extension', static function (int $i) use ($client, $statuses, $tag): ?string {
    $person = static fn(string $name): array => [
        'POST',
        '/api/plans/draft/elements',
        ['kind' => 'person', 'name' => $name, 'extension' => '977', 'site' => 'sit_ternwick', 'phones' => []],
    ];
    $answers = $client->together([$person('One'), $person('Other'), $person('Third')]);
    foreach ($answers as $answer) {
        201 === $answer['status'] &&
            $client->one(
                'DELETE',
                '/api/plans/draft/elements/' . $answer['json']['id'],
                null,
                $tag($answer['json']['revision']),
            );
    }
    $sorted = $statuses($answers);
    sort($sorted);

    return [201, 422, 422] === $sorted ? null : json_encode($sorted);
});

$race('publishing ships what was looked at', static function (int $i) use ($client, $tag): ?string {
    [$team, $revision] = $client->element('team_port');
    $change = $client->one(
        'PUT',
        '/api/plans/draft/elements/team_port',
        ['name' => "Looked at $i"] + $team,
        $tag($revision),
    )['json'];
    $answers = $client->together([
        ['POST', '/api/editions', ['note' => "Round $i"], $tag($change['revision'])],
        [
            'PUT',
            '/api/plans/draft/elements/team_port',
            ['name' => "Unseen $i"] + $change['elements']['team_port'],
            $tag($change['revision']),
        ],
    ]);
    if (201 !== $answers[0]['status']) {
        return 412 === $answers[0]['status'] ? null : json_encode($answers[0]['json']);
    }
    $live = array_values(
        array_filter(
            $client->one('GET', '/api/plans/' . $answers[0]['json']['number'])['json']['elements'],
            static fn(array $one): bool => 'team_port' === $one['id'],
        ),
    )[0]['name'];

    return "Looked at $i" === $live ? null : $live;
});

exit(0 === $wrong ? 0 : 1);
