<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Routing;

use Meandros\Core\Plan\Element\Prompt;
use Meandros\Core\Plan\Json\PlanCodec;
use Meandros\Core\Plan\PlanHours;
use Meandros\Core\Reading\InvalidData;
use Meandros\Core\Routing\Happening\Said;
use Meandros\Core\Routing\Trace;
use Meandros\Core\Tests\PlanBuilder;
use Meandros\Core\Time\Moment;
use Meandros\Core\Wording\TraceReport;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What fills the blanks of prompts at the moment of the call, and how long that makes them. */
final class BlanksTest extends TestCase
{
    /** @param array<string, mixed> $more of the prompt */
    #[DataProvider('openings')]
    public function testTheNextOpening(string $at, array $more, string $words, string $until): void
    {
        $plan = self::plan(['scripts' => ['en' => 'We open again {opening}.']] + $more);
        $trace = $plan->call([], $at);
        self::assertSame($words, self::filled($trace));
        self::assertSame(Moment::parse($until, 'Europe/London'), $trace->holds->until);
    }

    /** @return iterable<string, array{string, array<string, mixed>, string, string}> open on weekdays 08:00–12:00 and 13:00–17:00, on Wednesday not; others daily 20:00–22:00 */
    public static function openings(): iterable
    {
        // Three words of its own and two of the blank: nothing is heard any more two seconds before.
        yield 'later on the same day' => ['2026-11-23T12:00', [], 'today at one', '2026-11-23T13:00'];
        yield 'on the next one' => ['2026-11-23T17:00', [], 'tomorrow at eight', '2026-11-24T00:00'];
        yield 'after a closed day' => ['2026-11-24T20:00', [], 'on Thursday at eight', '2026-11-25T00:00'];
        yield 'of hours of its own' => [
            '2026-11-23T18:00',
            ['hours' => 'hrs_evening'],
            'today at eight in the evening',
            '2026-11-23T20:00',
        ];
    }

    /** It is heard after a minute, so that what it says changes a minute sooner. */
    public function testWhatItSaysLaterInTheCallIsLookedUpThen(): void
    {
        $plan = self::plan(['scripts' => ['en' => 'We open {opening}.']])
            ->prompt('prm_long', 60)
            ->journey('jrn_main', [
                ['id' => 's1', 'do' => 'hours', 'hours' => 'hrs_day'],
                ['id' => 's2', 'do' => 'say', 'prompt' => 'prm_long'],
                ['id' => 's3', 'do' => 'say', 'prompt' => 'prm'],
            ]);
        $seconds = static fn(string $at): int => $plan->call([], $at)->seconds;
        $looked = $plan->call([], '2026-11-24T22:00')->holds->lookups;
        $hours = new PlanHours($plan->plan());
        foreach (['2026-11-24T12:00', '2026-11-24T23:58:59', '2026-11-24T23:59:00', '2026-11-25T00:00:00'] as $at) {
            $instant = Moment::parse($at, 'Europe/London');
            $found = array_map(static fn(array $one): string => $one[0]->at($instant, $hours)->answer, $looked);
            $said = array_map(static fn(array $one): string => $one[1], $plan->call([], $at)->holds->lookups);
            self::assertSame($said, $found, $at);
        }
        self::assertSame(
            [62, 63, 62],
            array_map($seconds, ['2026-11-24T12:00', '2026-11-24T23:58:59', '2026-11-24T23:59:00']),
            '“on Thursday at eight” has a word more than “today at one” and “tomorrow at eight”.',
        );
        $change = Moment::parse('2026-11-24T23:59:00', 'Europe/London');
        self::assertSame(
            [$change, $change],
            [$plan->call([], '2026-11-24T23:30')->holds->until, $plan->call([], '2026-11-25T00:30')->holds->since],
        );
    }

    public function testOfHoursThatAreOpenItIsTheOneAfterThat(): void
    {
        $plan = self::plan(['hours' => 'hrs_evening', 'scripts' => ['en' => '{opening}']]);
        self::assertSame('tomorrow at eight in the evening', self::filled($plan->call([], '2026-11-23T20:30')));
        $plan->hours('hrs_evening', [
            ['days' => ['mo', 'tu'], 'from' => '08:00', 'to' => '12:00', 'state' => 'open'],
            ['days' => ['mo', 'tu'], 'from' => '12:00', 'to' => '20:00', 'state' => 'lunch'],
        ]);
        self::assertSame(
            'tomorrow at eight',
            self::filled($plan->call([], '2026-11-23T09:00')),
            'From one state that is open to another, nothing opens.',
        );
    }

    public function testInTheLanguageThatIsHeard(): void
    {
        $plan = self::plan(['scripts' => ['fr' => 'Nous répondons {opening}.']]);
        self::assertSame('demain à huit heures', self::filled($plan->call([], '2026-11-23T18:00')));
    }

    public function testTheDateChangesAtMidnightWhereTheHoursAre(): void
    {
        $plan = self::plan(['scripts' => ['en' => 'It is {date}.']]);
        $trace = $plan->call([], '2026-11-23T18:00');
        self::assertSame('Monday the twenty-third of November', self::filled($trace));
        self::assertSame(Moment::parse('2026-11-24T00:00', 'Europe/London'), $trace->holds->until);
    }

    public function testTheNameIsOfWhoRangLastElseOfWhatWasDialled(): void
    {
        $plan = (new PlanBuilder())
            ->person('ann')
            ->with([
                'id' => 'prm',
                'kind' => 'prompt',
                'name' => 'Prompt',
                'scripts' => ['en' => '{name} is not here.'],
            ])
            ->journey('jrn_main', [
                ['id' => 's1', 'do' => 'say', 'prompt' => 'prm'],
                ['id' => 's2', 'do' => 'ring', 'target' => 'ann', 'seconds' => 10],
                ['id' => 's3', 'do' => 'say', 'prompt' => 'prm'],
            ]);
        $trace = $plan->call();
        self::assertSame('Main line; Ann', self::filled($trace));
        self::assertStringContainsString('It says “Ann” for {name}.', self::told($plan, $trace));
    }

    public function testAMailboxHasTheNameOfItsFirstOwnerElseItsOwn(): void
    {
        $name = static fn(array $owners): string => self::filled(
            (new PlanBuilder())
                ->person('ann')
                ->with([
                    'id' => 'prm',
                    'kind' => 'prompt',
                    'name' => 'Prompt',
                    'scripts' => ['en' => 'Here is {name}.'],
                ])
                ->with([
                    'id' => 'mbx',
                    'kind' => 'mailbox',
                    'name' => 'Box',
                    'owners' => $owners,
                    'greeting' => 'prm',
                ])
                ->journey('jrn_main', [['id' => 's1', 'do' => 'message', 'mailbox' => 'mbx']])
                ->call(),
        );
        self::assertSame(['Ann', 'Box'], [$name(['ann']), $name([])]);
    }

    public function testThePlaceAndTheWaitInAQueue(): void
    {
        $plan = (new PlanBuilder())
            ->person('ann')
            ->with(['id' => 'prm', 'kind' => 'prompt', 'name' => 'P', 'scripts' => ['en' => '{position}, {wait}.']])
            ->with([
                'id' => 'que',
                'kind' => 'queue',
                'name' => 'Desk',
                'members' => [['who' => 'ann']],
                'waiting' => ['longestSeconds' => 60, 'announceSeconds' => 0, 'introduction' => 'prm'],
                'admission' => ['handlingSeconds' => 90],
            ])
            ->journey('jrn_main', [
                ['id' => 's1', 'do' => 'queue', 'queue' => 'que'],
                ['id' => 's2', 'do' => 'say', 'prompt' => 'prm'],
            ]);
        // Two ahead of one agent who takes 90 s for each: (2 + 1) × 90 = 270 s, five minutes begun.
        $trace = $plan->call(['queues' => [['queue' => 'que', 'ahead' => 2]]]);
        self::assertSame('three, about five minutes; , ', self::filled($trace));
        self::assertStringContainsString(
            'Nothing is said for {position}: the caller does not wait in a queue.',
            self::told($plan, $trace),
        );
    }

    public function testLengthsArePutTogether(): void
    {
        $sound = static fn(int $milliseconds): array => [
            'sound' => str_repeat('a', 64),
            'milliseconds' => $milliseconds,
        ];
        $prompt = static fn(array $more): PlanBuilder => self::plan(
            $more + ['scripts' => ['en' => 'Closed. We open {opening}, or on the web.']],
        );
        $length = static function (PlanBuilder $plan): array {
            $said = array_values(
                array_filter(
                    array_map(
                        static fn($event) => $event->happening,
                        $plan->call([], '2026-11-23T18:00')->passage->events,
                    ),
                    static fn($happening): bool => $happening instanceof Said,
                ),
            )[0];

            return [$said->seconds, $said->heard->from->value];
        };
        // Seven words and three of the blank, 400 ms each.
        self::assertSame([4, 'words'], $length($prompt([])));
        $take = ['id' => 't1', 'language' => 'en', 'part' => 2] + $sound(2500);
        $machine = ['en' => $sound(1700) + ['words' => 'Closed. We open']];
        // 1.7 s of the machine, 1.2 s of the blank, 2.5 s of the take.
        $both = ['takes' => [$take], 'inUse' => ['en/2' => 't1'], 'machine' => $machine];
        self::assertSame([6, 'parts and words'], $length($prompt($both)));
        self::assertSame(
            [4, 'words'],
            $length($prompt(['machine' => ['en' => ['words' => 'Closed.'] + $machine['en']]])),
            'It read other words.',
        );
        self::assertSame(6, $prompt($both)->plan()->all(Prompt::class)[0]->longest());
    }

    public function testUnknownBlanksAreRefused(): void
    {
        $problems = static function (string $script): array {
            try {
                PlanCodec::element(['id' => 'prm', 'kind' => 'prompt', 'name' => 'P', 'scripts' => ['en' => $script]]);
            } catch (InvalidData $invalid) {
                return array_map(
                    static fn($one): string => implode(' ', [
                        $one->pointer,
                        $one->code,
                        ...\array_slice($one->arguments, 0, 1),
                    ]),
                    $invalid->problems,
                );
            }

            return [];
        };
        self::assertSame(['/scripts/en not-a-blank {openning}'], $problems('We open {openning}.'));
        self::assertSame(['/scripts/en not-a-blank {'], $problems('We open {opening.'));
        self::assertSame(['/scripts/en not-a-blank { opening }'], $problems('We open { opening }.'));
        self::assertSame([], $problems(str_repeat('We open {opening}.', 8)));
        self::assertSame(['/scripts/en blanks-too-many 8'], $problems(str_repeat('We open {opening}.', 9)));
    }

    /** @param array<string, mixed> $prompt */
    private static function plan(array $prompt): PlanBuilder
    {
        $days = ['mo', 'tu', 'th', 'fr'];

        return (new PlanBuilder())
            ->hours('hrs_day', [
                ['days' => $days, 'from' => '08:00', 'to' => '12:00', 'state' => 'open'],
                ['days' => $days, 'from' => '13:00', 'to' => '17:00', 'state' => 'open'],
            ])
            ->hours('hrs_evening', [
                ['days' => [...$days, 'we'], 'from' => '20:00', 'to' => '22:00', 'state' => 'open'],
            ])
            ->with($prompt + ['id' => 'prm', 'kind' => 'prompt', 'name' => 'Prompt'])
            ->journey('jrn_main', [
                ['id' => 's1', 'do' => 'hours', 'hours' => 'hrs_day'],
                ['id' => 's2', 'do' => 'say', 'prompt' => 'prm'],
            ]);
    }

    private static function told(PlanBuilder $plan, Trace $trace): string
    {
        return (string) json_encode(
            TraceReport::of($trace, $plan->plan(), 'UTC'),
            \JSON_THROW_ON_ERROR | \JSON_UNESCAPED_UNICODE | \JSON_UNESCAPED_SLASHES,
        );
    }

    /** What filled the blanks, in order. */
    private static function filled(Trace $trace): string
    {
        $filled = [];
        foreach ($trace->passage->events as $event) {
            $words = array_column($event->happening->what()['filled'] ?? [], 'words');
            [] === $words || ($filled[] = implode(', ', $words));
        }

        return implode('; ', $filled);
    }
}
