<?php

declare(strict_types=1);

/*
 * Figures of the core, each beside a reference measured in the same run:
 *   hours  state lookups per second on compiled hours, beside python-dateutil's rrule.before
 *   trace  one trace on the demo plan, and on one of 10,000 elements
 */

use Meandros\Bench\LargePlan;
use Meandros\Bench\Reference;
use Meandros\Core\Call\Assumptions;
use Meandros\Core\Call\Caller;
use Meandros\Core\Call\Keypad;
use Meandros\Core\Call\TrialCall;
use Meandros\Core\Callers\CallerLookup;
use Meandros\Core\People\PeopleImport;
use Meandros\Core\People\PeopleTable;
use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\Element\CallerEntries;
use Meandros\Core\Plan\Element\CallerEntry;
use Meandros\Core\Plan\Element\CallerList;
use Meandros\Core\Plan\Element\Expectation;
use Meandros\Core\Plan\Element\Hours;
use Meandros\Core\Plan\Element\Number;
use Meandros\Core\Plan\Json\PlanCodec;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Plan\PlanHours;
use Meandros\Core\Proof\AllNumbers;
use Meandros\Core\Proof\Courses;
use Meandros\Core\Proof\Coverage;
use Meandros\Core\Proof\Endings;
use Meandros\Core\Proof\Fares\Fares;
use Meandros\Core\Proof\Promised\Holding;
use Meandros\Core\Proof\Totals;
use Meandros\Core\Proof\Year\YearChecks;
use Meandros\Core\Routing\Router;
use Meandros\Core\Time\HoursCompiler;
use Meandros\Core\Time\YearPicture;

require __DIR__ . '/../vendor/autoload.php';
require __DIR__ . '/LargePlan.php';
require __DIR__ . '/Reference.php';

/** @param list<float> $milliseconds */
function part(array $milliseconds, float $part): float
{
    sort($milliseconds);

    return $milliseconds[(int) floor($part * (count($milliseconds) - 1))];
}

/** @param list<float> $milliseconds */
function figures(array $milliseconds): string
{
    return sprintf('median %.3f ms, p95 %.3f ms', part($milliseconds, 0.5), part($milliseconds, 0.95));
}

/** A bar is a ratio to a reference of the same run: these machines differ fourfold. */
function bar(float $value, float $reference, float $most, string $of): string
{
    return sprintf(
        '%.2f × %s, bar %.1f: %s',
        $value / $reference,
        $of,
        $most,
        $value <= $most * $reference ? 'met' : 'MISSED',
    );
}

$json = (string) file_get_contents(__DIR__ . '/../demo/ternwick-ferries.json');
$plan = PlanCodec::decode($json);
$start = (int) gmmktime(0, 0, 0, 1, 1, 2026);
$years = 5 * 365 * 86400;
$hours = $plan->get(Hours::class, 'hrs_bookings') ?? exit(1);
$timetable = (new PlanHours($plan))->timetable($hours);

$compile = [];
for ($i = 0; $i < 15; ++$i) {
    $t = hrtime(true);
    $compiled = HoursCompiler::compile($timetable, $start, $start + $years);
    $compile[] = (hrtime(true) - $t) / 1e6;
}
mt_srand(1);
$instants = [];
for ($i = 0; $i < 200_000; ++$i) {
    $instants[] = $start + mt_rand(0, $years - 1);
}
$rates = [];
for ($round = 0; $round < 7; ++$round) {
    [$starts, $states, $open] = [$compiled->starts(), $compiled->states(), 0];
    $t = hrtime(true);
    foreach ($instants as $instant) {
        $i = $compiled->stretchAt($instant);
        $state = $states[$i];
        $until = $starts[$i + 1] ?? null;
        $open += 'open' === $state && null !== $until ? 1 : 0;
    }
    $rates[] = count($instants) / ((hrtime(true) - $t) / 1e9);
}
sort($rates);
$rate = $rates[3];
$dateutil = (float) trim((string) shell_exec('/usr/bin/python3 ' . escapeshellarg(__DIR__ . '/dateutil_before.py')));
$rrule = (float) trim((string) shell_exec('node ' . escapeshellarg(__DIR__ . '/../web/bench/rrule.mjs')));
printf(
    "hours   compile five years of Bookings hours, a season and two calendars: %s (%d changes)\n",
    figures($compile),
    count($compiled->starts()),
);
printf("hours   \"which state, until when\": %s answers/s, median of 7\n", number_format($rate));
printf(
    "        python-dateutil rrule.before: %s answers/s; ratio %s, bar 500: %s\n",
    number_format($dateutil),
    number_format($rate / $dateutil),
    $rate >= 500 * $dateutil ? 'met' : 'MISSED',
);
printf(
    "        npm rrule RRuleSet.before: %s answers/s; ratio %s\n",
    number_format($rrule),
    number_format($rate / $rrule),
);

/** @return list<float> milliseconds of each trace */
function traces(Plan $plan, int $start): array
{
    $router = new Router();
    $numbers = ['+441632960100', '+441632960110', '+441632960150', '+33261910100', '+441632960101'];
    $times = [];
    mt_srand(2);
    for ($i = 0; $i < 2000; ++$i) {
        $call = new TrialCall($numbers[$i % 5], Caller::parse('', 'GB'), $start + mt_rand(0, 365 * 86400));
        $t = hrtime(true);
        $router->trace($plan, $call, new Assumptions());
        $times[] = (hrtime(true) - $t) / 1e6;
    }

    return $times;
}

$reference = new Reference($json);
$reference->take(51);
$demo = traces($plan, $start);
$reference->take(51);
$decode = $reference->took();
printf("json    json_decode of the demo plan, the reference: %s\n", figures($decode));
printf(
    "trace   demo plan, random moments of a year: %s; p95 %s\n",
    figures($demo),
    bar(part($demo, 0.95), part($decode, 0.5), 1, 'json'),
);

$elements = $plan->elements();
for ($i = count($elements); $i < 10_000; ++$i) {
    $elements['prm_more_' . $i] = PlanCodec::element(
        0 === $i % 5
            ? [
                'id' => 'num_more_' . $i,
                'kind' => 'number',
                'name' => 'Number ' . $i,
                'number' => sprintf('+4420794%05d', $i),
                'site' => 'sit_ternwick',
                'language' => 'en',
                'target' => 'jrn_main',
            ]
            : [
                'id' => 'prm_more_' . $i,
                'kind' => 'prompt',
                'name' => 'Prompt ' . $i,
                'scripts' => ['en' => 'More words'],
            ],
    );
}
$large = Plan::of('Large', $elements);
$ofLarge = traces($large, $start);
printf(
    "trace   plan of %s elements: %s; p95 %s\n",
    number_format(count($large->elements())),
    figures($ofLarge),
    bar(part($ofLarge, 0.95), part($demo, 0.95), 1.5, 'the demo\'s'),
);

$staff = $plan->elements();
$members = [];
for ($i = 0; $i < 200; ++$i) {
    $rule = static fn(string $id, array $when): array => [
        'id' => $id,
        'name' => $id,
        'on' => true,
        'when' => $when,
        'stages' => [
            ['phones' => ['desk'], 'after' => 0, 'seconds' => 20],
            ['phones' => ['mobile'], 'after' => 5, 'seconds' => 30],
        ],
        'next' => [],
    ];
    $staff["per_more_$i"] = PlanCodec::element([
        'id' => "per_more_$i",
        'kind' => 'person',
        'name' => "Person $i",
        'extension' => (string) (10_000 + $i),
        'site' => 'sit_ternwick',
        'mailbox' => null,
        'phones' => [
            ['id' => 'desk', 'type' => 'desk', 'label' => 'Desk'],
            [
                'id' => 'mobile',
                'type' => 'outside',
                'label' => 'Mobile',
                'number' => sprintf('+447700900%03d', $i),
                'askFirst' => true,
                'ownMailbox' => 20,
            ],
        ],
        'rules' => [
            $rule('closed', ['hours' => 'hrs_bookings', 'states' => ['closed', 'holiday']]),
            $rule('team', ['via' => 'team']),
        ],
    ]);
    $members[] = ['who' => "per_more_$i", 'tier' => 1 + intdiv($i, 25)];
}
$staff['team_wide'] = PlanCodec::element([
    'id' => 'team_wide',
    'kind' => 'team',
    'name' => 'Wide',
    'pattern' => 'widening',
    'members' => $members,
    'memberSeconds' => 15,
    'widenSeconds' => 5,
    'followRules' => true,
]);
$staff['num_wide'] = PlanCodec::element([
    'id' => 'num_wide',
    'kind' => 'number',
    'name' => 'Wide',
    'number' => '+441632960199',
    'site' => 'sit_ternwick',
    'language' => 'en',
    'target' => 'team_wide',
]);
$wide = Plan::of('Wide', $staff);
$router = new Router();
$times = [];
for ($i = 0; $i < 300; ++$i) {
    $reference->take();
    $call = new TrialCall('+441632960199', Caller::parse('', 'GB'), $start + mt_rand(0, 365 * 86400));
    $t = hrtime(true);
    $router->trace($wide, $call, new Assumptions());
    $times[] = (hrtime(true) - $t) / 1e6;
}
printf(
    "ring    a widening team of 200 members with rules: %s; p95 %s\n",
    figures($times),
    bar(part($times, 0.95), $reference->median(), 6, 'json'),
);
$lines = [];
for ($i = 0; $i < 100_000; ++$i) {
    $lines[] = sprintf('Person %d,%d,,Desk phone', $i, 10_000 + $i);
}
$t = hrtime(true);
$rows = PeopleTable::read("name,extension,site,desk\n" . implode("\n", $lines), 100_000);
$ids = 0;
$outcomes = PeopleImport::outcomes($plan, $rows, static function () use (&$ids): string {
    return 'per_new_' . ++$ids;
});
$took = (hrtime(true) - $t) / 1e9;
printf(
    "people  a file of %s rows, each new: %.2f s, bar 5 s: %s\n",
    number_format(count($outcomes)),
    $took,
    $took <= 5 ? 'met' : 'MISSED',
);
unset($rows, $outcomes, $lines);
printf("memory  peak %.1f MB\n", memory_get_peak_usage() / 1048576);

$agents = [];
for ($i = 0; $i < 200; ++$i) {
    $agents[] = ['who' => "per_more_$i", 'tier' => 1 + intdiv($i, 40)];
}
$staff['que_wide'] = PlanCodec::element([
    'id' => 'que_wide',
    'kind' => 'queue',
    'name' => 'Wide',
    'members' => $agents,
    'waiting' => ['longestSeconds' => 600],
]);
$staff['num_queue'] = PlanCodec::element([
    'id' => 'num_queue',
    'kind' => 'number',
    'name' => 'Queue',
    'number' => '+441632960198',
    'site' => 'sit_ternwick',
    'language' => 'en',
    'target' => 'que_wide',
]);
$queued = Plan::of('Queue', $staff);
$state = [
    'queue' => 'que_wide',
    'ahead' => 50,
    'agents' => array_map(
        static fn(int $i): array => ['who' => "per_more_$i", 'freeAfter' => $i % 100, 'idle' => $i],
        range(0, 199),
    ),
];
$assumed = Assumptions::fromData(['queues' => [$state]]);
$router = new Router();
$times = [];
for ($i = 0; $i < 60; ++$i) {
    $reference->take();
    $call = new TrialCall('+441632960198', Caller::parse('', 'GB'), $start + 3600 * $i);
    $t = hrtime(true);
    $router->trace($queued, $call, $assumed);
    $times[] = (hrtime(true) - $t) / 1e6;
}
printf(
    "queue   200 agents in 5 tiers, 50 ahead, nobody answers for ten minutes: %s (bar 10 ms); p95 %s\n",
    figures($times),
    bar(part($times, 0.95), $reference->median(), 30, 'json'),
);

$first = ['Ann', 'Ben', 'Cleo', 'Dan', 'Eve', 'Finn', 'Gus', 'Hal'];
$last = [
    'Marsh',
    'Marten',
    'Nash',
    'Smith',
    'Jones',
    'Wu',
    'Berg',
    'Le Goff',
    'Quill',
    'Rowe',
    'Tate',
    'Usher',
    'Vane',
    'York',
    'Zell',
    'Dray',
];
$people = [];
for ($i = 0; $i < 2_000; ++$i) {
    $name = $first[$i % 8] . ' ' . $last[intdiv($i, 8) % 16] . $last[intdiv($i, 128) % 16];
    $people["per_name_$i"] = PlanCodec::element([
        'id' => "per_name_$i",
        'kind' => 'person',
        'name' => $name,
        'extension' => (string) (10_000 + $i),
        'site' => 'sit_ternwick',
        'phones' => [['id' => 'desk', 'type' => 'desk', 'label' => 'Desk']],
    ]);
}
$people['jrn_names'] = PlanCodec::element([
    'id' => 'jrn_names',
    'kind' => 'journey',
    'name' => 'Names',
    'steps' => [
        ['id' => 's1', 'do' => 'directory', 'prompt' => null, 'part' => 'either', 'tries' => 1],
        ['id' => 's2', 'do' => 'end'],
    ],
]);
$people['num_names'] = PlanCodec::element([
    'id' => 'num_names',
    'kind' => 'number',
    'name' => 'Names',
    'number' => '+441632960197',
    'site' => 'sit_ternwick',
    'language' => 'en',
    'target' => 'jrn_names',
]);
$named = Plan::of('Names', $people + $plan->elements());
$router = new Router();
$times = [];
for ($i = 0; $i < 200; ++$i) {
    $reference->take();
    $call = new TrialCall('+441632960197', Caller::parse('', 'GB'), $start + 3600 * $i);
    $assumed = Assumptions::fromData(['keys' => [Keypad::spell($last[$i % 16] . $last[intdiv($i, 16) % 16]), '1']]);
    $t = hrtime(true);
    $router->trace($named, $call, $assumed);
    $times[] = (hrtime(true) - $t) / 1e6;
}
printf(
    "names   a directory of 2,000 people, either name: %s; p95 %s\n",
    figures($times),
    bar(part($times, 0.95), $reference->median(), 10, 'json'),
);

$entries = array_map(
    static fn(int $i): CallerEntry => new CallerEntry(
        sprintf('+44%010d%s', 1_100_000_000 + 7 * $i, 0 === $i % 5 ? '*' : ''),
    ),
    range(0, 99_999),
);
$list = new CallerList(new Element\About('clr_wide', 'Wide'), CallerEntries::of($entries));
$lookup = new CallerLookup();
$callers = array_map(
    static fn(int $i): Caller => Caller::parse(sprintf('+44%010d', 1_100_000_000 + 35 * $i), 'GB'),
    range(0, 499),
);
$lookup->find($list, $callers[0]);
$t = hrtime(true);
foreach ($callers as $caller) {
    $lookup->find($list, $caller);
}
$each = (hrtime(true) - $t) / 1e3 / count($callers);
$t = hrtime(true);
foreach (array_slice($callers, 0, 50) as $caller) {
    array_filter(
        $entries,
        static fn(CallerEntry $entry): bool => str_ends_with($entry->match, '*')
            ? str_starts_with($caller->text, rtrim($entry->match, '*'))
            : $entry->match === $caller->text,
    );
}
printf(
    "callers a list of %s entries: %.1f µs a caller, bar 20 µs: %s; a linear scan %.0f µs\n",
    number_format(count($entries)),
    $each,
    $each <= 20 ? 'met' : 'MISSED',
    (hrtime(true) - $t) / 1e3 / 50,
);

// Who takes calls over a year, beside tracing each of its minutes (so many times one trace, measured above).
[$from, $until] = YearPicture::instants('Europe/London', 2027);
$years = [];
foreach (['+441632960100', '+441632960110', '+33261910100', '+441632960150', '+441632960140'] as $number) {
    for ($i = 0; $i < 3; ++$i) {
        $reference->take(5);
        $t = hrtime(true);
        $courses = new Courses($plan, new TrialCall($number, Caller::parse('', 'GB'), $from));
        Coverage::over($courses, $from, $until);
        $years[] = (hrtime(true) - $t) / 1e6;
    }
}
$minutes = (($until - $from) / 60) * part($demo, 0.5);
printf(
    "cover   a year of a number of the demo: %s; p95 %s\n",
    figures($years),
    bar(part($years, 0.95), $reference->median(), 120, 'json'),
);
printf(
    "        tracing each minute: %.0f ms; ratio %.0f, bar 1000: %s\n",
    $minutes,
    $minutes / part($years, 0.5),
    $minutes >= 1000 * part($years, 0.5) ? 'met' : 'MISSED',
);
$wide = PlanCodec::storedPlan(json_encode(LargePlan::of($json), \JSON_THROW_ON_ERROR));
$numbers = $wide->all(Number::class);
$all = new AllNumbers($wide, new TrialCall('', Caller::parse('', 'ZZ'), $from), $from, $until);
$reference->take(21);
$t = hrtime(true);
// As the job does: numbers to which calls fare the same are looked at once.
$totals = [];
foreach ($numbers as $number) {
    $totals[$all->alike->of($number)] ??= Totals::of($all->of($number), 'Europe/London');
}
$seconds = (hrtime(true) - $t) / 1e9;
$reference->take(21);
printf(
    "        all %d numbers of the large plan: %.1f s, %s; %d MB\n",
    count($numbers),
    $seconds,
    // Twenty seconds where json takes half a millisecond.
    bar($seconds * 1e3, $reference->median(), 40_000, 'json'),
    memory_get_peak_usage(true) / 1e6,
);

// Every ending: of the number of the demo that most calls come to, of the one whose calls stand at the most places, of the one
// at which it rings for ten minutes, and of a made-up journey.
// On a Monday in the morning, when all of it is open.
$busy = (int) gmmktime(10, 0, 0, 11, 23, 2026);
$largest = ['the main line' => '+441632960100', 'the head office' => '+442079460130', 'the port' => '+33261910100'];
/** @return array{Endings, list<float>} and milliseconds, of five times */
$ending = static function (Plan $plan, string $number) use ($busy, $router, $reference): array {
    $endings = null;
    $ways = [];
    for ($i = 0; $i < 5; ++$i) {
        $reference->take(5);
        $t = hrtime(true);
        $endings = Endings::of($plan, new TrialCall($number, Caller::parse('', 'GB'), $busy), router: $router);
        $ways[] = (hrtime(true) - $t) / 1e6;
    }
    assert(null !== $endings);

    return [$endings, $ways];
};
foreach ($largest as $name => $number) {
    [$endings, $ways] = $ending($plan, $number);
    printf(
        "ends    of %s, %d endings over %d places: %s; median %s\n",
        $name,
        count($endings->endings),
        $endings->places,
        figures($ways),
        bar(part($ways, 0.5), $reference->median(), 60, 'json'),
    );
}
[$endings, $ways] = $ending($wide, $largest['the head office']);
printf(
    "        of the head office among %s elements, some of whose people are tried, %d endings over %d places: %s\n",
    number_format(count($wide->elements())),
    count($endings->endings),
    $endings->places,
    figures($ways),
);
$elements = $plan->elements();
$made = madeUpJourney($elements);
$reference->took();
$reference->take(21);
$t = hrtime(true);
$endings = Endings::of($made, new TrialCall('+441632960100', Caller::parse('', 'GB'), $busy), router: $router);
$took = (hrtime(true) - $t) / 1e6;
$reference->take(21);
printf(
    "        of a journey of 200 steps with menus six deep, %d endings over %d places: %.0f ms; %s\n",
    count($endings->endings),
    $endings->places,
    $took,
    bar($took, $reference->median(), 600, 'json'),
);

// What is expected, and what is found, whoever calls and whatever they press, over a year.
foreach (['expected' => 'all expectations', 'found' => 'the findings of a year'] as $name => $what) {
    $took = [];
    for ($i = 0; $i < 3; ++$i) {
        $reference->take(5);
        $t = hrtime(true);
        $fares = new Fares($plan, $start, $start + 366 * 86400);
        if ('found' === $name) {
            YearChecks::in($fares, static fn(): bool => true);
        } else {
            (new Holding($fares))->hold($plan->all(Expectation::class), static fn(): bool => true);
        }
        $took[] = (hrtime(true) - $t) / 1e6;
    }
    printf(
        "%-8s%s of the demo: %s; %.0f × json\n",
        $name,
        $what,
        figures($took),
        part($took, 0.5) / $reference->median(),
    );
}

/** @param array<string, Element> $elements of the demo */
function madeUpJourney(array $elements): Plan
{
    $count = 0;
    $step = static function (array $more) use (&$count): array {
        return ['id' => 's' . ++$count] + $more;
    };
    $menu = static function (int $deep) use (&$menu, &$step, &$count): array {
        $exits = [];
        foreach (['1', '2'] as $key) {
            $inner = $deep > 1 && $count < 190 ? [$menu($deep - 1)] : [];
            $exits[] = [
                'on' => $key,
                'steps' => [
                    $step(['do' => 'say', 'prompt' => 'prm_welcome']),
                    ...$inner,
                    $step(['do' => 'ring', 'target' => 'per_ines', 'seconds' => 20]),
                ],
            ];
        }

        return $step(['do' => 'menu', 'prompt' => 'prm_main_menu', 'wait' => 5, 'tries' => 2, 'exits' => $exits]);
    };
    $steps = [$menu(6)];
    while ($count < 200) {
        $steps[] = $step(['do' => 'say', 'prompt' => 'prm_welcome']);
    }
    $steps[] = $step(['do' => 'message', 'mailbox' => 'mbx_reception']);
    $elements['jrn_main'] = PlanCodec::element([
        'id' => 'jrn_main',
        'kind' => 'journey',
        'name' => 'Made up',
        'steps' => $steps,
    ]);

    return Plan::of('Made up', $elements);
}
