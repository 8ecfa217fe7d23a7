<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Wording;

use Meandros\Core\Proof\Weekly;
use Meandros\Core\Routing\Event;
use Meandros\Core\Tests\PlanBuilder;
use Meandros\Core\Time\CivilDate;
use Meandros\Core\Time\Weekday;
use Meandros\Core\Wording\AnswerSentence;
use Meandros\Core\Wording\Duration;
use Meandros\Core\Wording\EventWords;
use Meandros\Core\Wording\TimesWords;
use Meandros\Core\Wording\TraceReport;
use Meandros\Core\Wording\When;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class WordingTest extends TestCase
{
    private const SOUND = 'aaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaa';
    private const READ = ['sound' => self::SOUND, 'milliseconds' => 9000, 'words' => 'one two three four five'];
    private const TAKE = [
        'id' => 't1',
        'language' => 'en',
        'part' => 1,
        'sound' => self::SOUND,
        'milliseconds' => 7000,
    ];

    #[DataProvider('durations')]
    public function testDurations(int $seconds, string $words): void
    {
        self::assertSame($words, Duration::words($seconds));
    }

    /** @return iterable<array{int, string}> */
    public static function durations(): iterable
    {
        yield [0, '0 s'];
        yield [59, '59 s'];
        yield [60, '1 min'];
        yield [90, '1 min 30 s'];
        yield [480, '8 min'];
        yield [7500, '2 h 5 min'];
    }

    /** @param non-empty-list<Weekday> $days */
    #[DataProvider('weeklies')]
    public function testTimesOfAWeek(array $days, int $from, int $later, int $to, string $words): void
    {
        self::assertSame($words, TimesWords::weekly(new Weekly($days, $from, $later, $to, 52)));
    }

    /** @return iterable<array{non-empty-list<Weekday>, int, int, int, string}> */
    public static function weeklies(): iterable
    {
        [$monday, $tuesday, $wednesday, , , $saturday, $sunday] = Weekday::cases();
        yield [[$saturday], 0, 0, 86400, 'Sat all day'];
        yield [[$saturday, $sunday], 0, 0, 86399, 'Sat, Sun 00:00–23:59:59'];
        yield [Weekday::cases(), 3600, 0, 86400, 'daily 01:00–24:00'];
        yield [[$monday, $tuesday, $wednesday], 72000, 1, 25200, 'Mon–Wed 20:00–07:00'];
        yield [[$monday, $wednesday], 72000, 1, 72000, 'Mon, Wed 20:00–20:00'];
        yield [[$saturday], 72000, 1, 75600, 'Sat 20:00 until Sun 21:00'];
        yield [[$saturday, $sunday], 72000, 2, 25200, 'Sat, Sun 20:00 until Mon, Tue 07:00'];
    }

    public function testMomentsShowSecondsOnlyWhereThereAreSome(): void
    {
        self::assertSame(
            'Sun 25 Oct 2026 01:30',
            When::instant((int) gmmktime(1, 30, 0, 10, 25, 2026), 'Europe/London'),
        );
        self::assertSame(
            'Mon 23 Nov 2026 13:00:05',
            When::instant((int) gmmktime(12, 0, 5, 11, 23, 2026), 'Europe/Paris'),
        );
    }

    public function testOfADateThatIsKnownNoMoreIsSaidThanWhatIsNot(): void
    {
        $from = static fn(int $hour, int $day, int $month): string => When::instantFrom(
            CivilDate::of(2026, 12, 30),
            (int) gmmktime($hour, 0, 0, $month, $day, 2026),
            'Europe/Paris',
        );
        self::assertSame(['00:00', '23:00'], [$from(23, 29, 12), $from(22, 30, 12)], 'In local time.');
        self::assertSame('Thu 31 Dec 00:00', $from(23, 30, 12));
        self::assertSame('Fri 1 Jan 2027 00:00', $from(23, 31, 12));
    }

    /**
     * @param list<array<string, mixed>> $steps
     * @param array<string, mixed>       $assume
     */
    #[DataProvider('unfinished')]
    public function testWhatIsUnfinishedIsSaidAndTheCallGoesOn(
        array $steps,
        array $assume,
        string $text,
        string $reason,
        string $sentence,
    ): void {
        $plan = (new PlanBuilder())
            ->prompt('prm_none', 0)
            ->person('dana', [])
            ->team('team_none', [])
            ->journey('jrn_main', $steps);
        $trace = $plan->call($assume);
        $words = new EventWords($plan->plan());
        $said = array_map(
            static fn(Event $event): array => [$words->what($event->happening), $words->because($event->happening)],
            $trace->passage->events,
        );
        self::assertContains([$text, $reason], $said);
        self::assertSame($sentence, AnswerSentence::of($trace, $plan->plan()));
    }

    /** @return iterable<string, array{list<array<string, mixed>>, array<string, mixed>, string, string, string}> */
    public static function unfinished(): iterable
    {
        $ends = 'The call ends because no step is left.';
        yield 'no prompt' => [
            [['id' => 's1', 'do' => 'say', 'prompt' => null]],
            [],
            'Says nothing',
            'No prompt is chosen.',
            $ends,
        ];
        yield 'a prompt without words' => [
            [['id' => 's1', 'do' => 'say', 'prompt' => 'prm_none']],
            [],
            'Hears “prm_none”',
            'The prompt has no words yet.',
            $ends,
        ];
        yield 'no hours' => [
            [['id' => 's1', 'do' => 'hours', 'hours' => null, 'exits' => []]],
            [],
            'No hours to look at',
            'No hours are chosen.',
            $ends,
        ];
        yield 'nobody to ring' => [
            [['id' => 's1', 'do' => 'ring', 'target' => null, 'seconds' => 5, 'exits' => []]],
            [],
            'Rings nobody',
            'Nobody is chosen.',
            'Rings nobody (nobody is chosen), then the call ends because no step is left.',
        ];
        yield 'a person without a phone' => [
            [['id' => 's1', 'do' => 'ring', 'target' => 'dana', 'seconds' => 5, 'exits' => []]],
            [],
            'Dana: unreachable',
            'There is no phone to ring.',
            'Cannot reach Dana, then the call ends because no step is left.',
        ];
        yield 'a team without members' => [
            [['id' => 's1', 'do' => 'ring', 'target' => 'team_none', 'seconds' => 5, 'exits' => []]],
            [],
            'team_none: unreachable',
            'There is no phone to ring.',
            'Cannot reach team_none, then the call ends because no step is left.',
        ];
        yield 'no mailbox' => [
            [['id' => 's1', 'do' => 'message', 'mailbox' => null]],
            [],
            'Takes no message',
            'No mailbox is chosen.',
            $ends,
        ];
        yield 'no journey' => [
            [['id' => 's1', 'do' => 'go', 'journey' => null]],
            [],
            'Goes nowhere',
            'No journey is chosen.',
            $ends,
        ];
        yield 'an outside number' => [
            [['id' => 's1', 'do' => 'ring', 'target' => '+447700900123', 'seconds' => 5, 'exits' => []]],
            ['phones' => [['who' => '+447700900123', 'does' => 'answers', 'after' => 1]]],
            'Rings +44 7700 900123, answered after 4 s',
            'Answered: +44 7700 900123.',
            'Rings +44 7700 900123 and is answered after 4 s, then talks to +44 7700 900123.',
        ];
        yield 'a menu that leads nowhere' => [
            [['id' => 's1', 'do' => 'menu', 'prompt' => null, 'wait' => 3, 'tries' => 1, 'exits' => []]],
            ['keys' => ['5']],
            'Presses 5, which leads nowhere',
            'No prompt is chosen; try 1 of 1.',
            'Presses 5, which leads nowhere, then the call ends because no step is left.',
        ];
    }

    public function testManyPhonesAreToldInGroups(): void
    {
        $plan = new PlanBuilder();
        $members = [];
        foreach (range('a', 'l') as $letter) {
            $plan->person($members[] = 'per_' . $letter);
        }
        $plan
            ->team('team_all', $members)
            ->journey('jrn_main', [
                ['id' => 's1', 'do' => 'ring', 'target' => 'team_all', 'seconds' => 30, 'exits' => []],
            ]);
        $trace = $plan->call([
            'phones' => [
                ['who' => 'per_a', 'does' => 'answers', 'after' => 7],
                ['who' => 'per_b', 'does' => 'busy', 'after' => 0],
            ],
        ]);
        self::assertSame(
            'Answered: Per_a. Taken elsewhere: Per_c, Per_d, Per_e, Per_f, Per_g, Per_h, Per_i, Per_j and 2 more. Busy: Per_b.',
            (new EventWords($plan->plan()))->because($trace->passage->events[1]->happening),
        );
        $trace = $plan->team('team_all', \array_slice($members, 0, 9))->call();
        self::assertStringEndsWith(
            'Per_g, Per_h and 1 more.',
            (new EventWords($plan->plan()))->because($trace->passage->events[1]->happening),
        );
    }

    public function testSomebodyWhosePhonesFaredDifferentlyIsToldPhoneByPhone(): void
    {
        $plan = (new PlanBuilder())
            ->person('dana', ['desk', 'laptop'])
            ->journey('jrn_main', [['id' => 's1', 'do' => 'ring', 'target' => 'dana', 'seconds' => 30, 'exits' => []]]);
        $because = static fn(array $assume): string => (new EventWords($plan->plan()))->because(
            $plan->call($assume)->passage->events[1]->happening,
        );
        self::assertSame(
            'Taken elsewhere: Dana (desk). Answered: Dana (laptop).',
            $because(['phones' => [['who' => 'dana/laptop', 'does' => 'answers', 'after' => 4]]]),
        );
        self::assertSame('The limit of 30 s was reached. Not answered: Dana.', $because([]));
    }

    public function testALongWayIsCutShortButItsEndIsTold(): void
    {
        $steps = [];
        for ($i = 1; $i <= 12; ++$i) {
            $steps[] = ['id' => 's' . $i, 'do' => 'say', 'prompt' => 0 === $i % 2 ? 'prm_even' : 'prm_odd'];
        }
        $plan = (new PlanBuilder())
            ->prompt('prm_even', 2)
            ->prompt('prm_odd', 2)
            ->journey('jrn_main', [...$steps, ['id' => 'end', 'do' => 'end']]);
        self::assertSame(
            'Hears “prm_odd”, hears “prm_even”, hears “prm_odd”, hears “prm_even”, hears “prm_odd”, hears “prm_even”, goes through 6 more, then the plan ends the call.',
            AnswerSentence::of($plan->call(), $plan->plan()),
        );
    }

    public function testTheReportHoldsTheDataBesideTheWords(): void
    {
        $plan = (new PlanBuilder())
            ->hours('hrs', [['days' => ['mo'], 'from' => '09:00', 'to' => '17:00', 'state' => 'open']])
            ->journey('jrn_main', [['id' => 'look', 'do' => 'hours', 'hours' => 'hrs', 'exits' => []]]);
        $report = TraceReport::of($plan->call(), $plan->plan(), 'Europe/Paris');
        self::assertSame(
            [
                'to' => PlanBuilder::NUMBER,
                'name' => 'Main line',
                'named' => 'num_main',
                'from' => 'withheld',
                'at' => '2026-11-23T11:30:00+01:00',
                'zone' => 'Europe/Paris',
            ],
            $report['call'],
        );
        self::assertSame(
            ['since' => '2026-11-23T10:00:00+01:00', 'until' => '2026-11-23T18:00:00+01:00'],
            $report['holds'],
        );
        self::assertSame('hours', $report['events'][1]['kind']);
        self::assertSame('open', $report['events'][1]['what']['state']);
        self::assertSame(
            'The week has it on Monday 09:00–17:00, until 17:00. This state has no exit here, so the call goes on.',
            $report['events'][1]['reason'],
        );
        self::assertSame('The list ran out and nothing follows it.', $report['events'][2]['reason']);
    }

    /** @param array<string, mixed> $prompt */
    #[TestWith([[], 2, ', counted from its words'])]
    #[TestWith([['machine' => ['en' => self::READ]], 9, ': as long as the machine voice takes'])]
    #[TestWith([['takes' => [self::TAKE], 'inUse' => ['en' => 't1']], 7, ': as long as its take'])]
    public function testALengthIsToldWithWhereItIsFrom(array $prompt, int $seconds, string $from): void
    {
        $plan = (new PlanBuilder())
            ->with(
                ['id' => 'prm', 'kind' => 'prompt', 'name' => 'Hello', 'scripts' => ['en' => self::READ['words']]] +
                    $prompt,
            )
            ->journey('jrn_main', [['id' => 's1', 'do' => 'say', 'prompt' => 'prm']]);
        self::assertSame(
            "Heard for {$seconds} s in English, the number’s language{$from}.",
            (new EventWords($plan->plan()))->because($plan->call([])->passage->events[1]->happening),
        );
    }

    public function testEndsByALimitNameTheLimit(): void
    {
        $plan = (new PlanBuilder())
            ->prompt('prm_long', 300)
            ->journey('jrn_main', [
                ['id' => 'ask', 'do' => 'menu', 'prompt' => 'prm_long', 'wait' => 5, 'tries' => 1, 'exits' => []],
                ['id' => 'again', 'do' => 'go', 'journey' => 'jrn_main'],
            ]);
        $last = static fn(array $assume): string => (new EventWords($plan->plan()))->because(
            $plan->call($assume)->passage->events[\count($plan->call($assume)->passage->events) - 1]->happening,
        );
        self::assertSame('It lasted for 4 h, which is the longest that a trial call is followed.', $last([]));
        self::assertSame('They were assumed to wait for 1 min 30 s.', $last(['patience' => 90]));
    }
}
