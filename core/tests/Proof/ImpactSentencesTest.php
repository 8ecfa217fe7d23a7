<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Proof;

use Meandros\Core\Plan\Plan;
use Meandros\Core\Plan\PlanHours;
use Meandros\Core\Proof\Courses;
use Meandros\Core\Proof\Coverage;
use Meandros\Core\Proof\Impact;
use Meandros\Core\Proof\LookedUp;
use Meandros\Core\Tests\PlanBuilder;
use Meandros\Core\Time\Moment;
use Meandros\Core\Wording\ChangeWords;
use Meandros\Core\Wording\ImpactReport;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What an edit does to callers, as people say it: pairs of plans made by hand, with the words that were expected of them. */
final class ImpactSentencesTest extends TestCase
{
    private const DAYS = ['mo', 'tu', 'we', 'th', 'fr'];

    /**
     * @param \Closure(PlanBuilder): PlanBuilder $edit
     * @param list<string>                       $said "severity | when: what"
     */
    #[DataProvider('pairs')]
    public function testWhatIsSaid(\Closure $edit, array $said): void
    {
        self::assertSame($said, self::said(self::office()->plan(), $edit(self::office())->plan()));
    }

    public function testNothingIsSaidAnyMoreBeforeTheHoursAreLookedAt(): void
    {
        self::assertSame(
            [
                'details | always: no longer hears “prm_other”',
                'details | Mon–Fri 08:59:56–09:00, 16:59:56–17:00: edges of hours come 4 s later',
            ],
            self::said(self::saysHello(self::office())->plan(), self::office()->plan()),
        );
    }

    private static function saysHello(PlanBuilder $plan): PlanBuilder
    {
        return $plan->journey('jrn_main', [
            ['id' => 'hello', 'do' => 'say', 'prompt' => 'prm_other'],
            ...self::journey([self::ring('ann', 20), ...self::MESSAGE], self::CLOSED),
        ]);
    }

    /** @return list<string> */
    private static function said(Plan $before, Plan $after): array
    {
        $from = Moment::parse('2027-01-01T00:00', 'Europe/London');
        $until = Moment::parse('2028-01-01T00:00', 'Europe/London');
        $over = static fn(Plan $plan): Coverage => Coverage::over(
            new Courses($plan, PlanBuilder::trial('2027-01-01T00:00')),
            $from,
            $until,
        );
        $report = ImpactReport::of(
            Impact::between($over($before), $over($after)),
            new ChangeWords($after, $before),
            $from,
            $until,
            'Europe/London',
            new LookedUp(new PlanHours($after), $from, $until),
        );

        return array_map(
            static fn(array $one): string => \sprintf('%s | %s: %s', $one['severity'], $one['when'], $one['what']),
            $report,
        );
    }

    /** @return iterable<string, array{\Closure(PlanBuilder): PlanBuilder, list<string>}> */
    public static function pairs(): iterable
    {
        $hours = static fn(array ...$bands): \Closure => static fn(PlanBuilder $plan): PlanBuilder => $plan->hours(
            'hrs',
            array_values($bands),
        );
        $usual = self::band('09:00', '17:00');
        $journey = static fn(array $open, ?array $closed = null): \Closure => static fn(
            PlanBuilder $plan,
        ): PlanBuilder => $plan->journey('jrn_main', self::journey($open, $closed ?? self::CLOSED));
        yield 'nothing' => [static fn(PlanBuilder $plan): PlanBuilder => $plan, []];
        yield 'it closes an hour earlier' => [
            $hours(self::band('09:00', '16:00')),
            ['nobody any more | Mon–Fri 16:00–17:00: before: rings Ann, then mbx; now: a message with mbx'],
        ];
        yield 'it opens an hour earlier' => [
            $hours(self::band('08:00', '17:00')),
            ['somebody now | Mon–Fri 08:00–09:00: before: a message with mbx; now: rings Ann, then mbx'],
        ];
        yield 'Saturdays too' => [
            $hours($usual, ['days' => ['sa']] + self::band('10:00', '12:00')),
            ['somebody now | Sat 10:00–12:00: before: a message with mbx; now: rings Ann, then mbx'],
        ];
        yield 'what is worst is said first, also where the year begins with something else' => [
            $hours(['days' => ['tu', 'we', 'th']] + $usual, ['days' => ['fr']] + self::band('08:00', '17:00')),
            [
                'nobody any more | Mon 09:00–17:00: before: rings Ann, then mbx; now: a message with mbx',
                'somebody now | Fri 08:00–09:00: before: a message with mbx; now: rings Ann, then mbx',
            ],
        ];
        yield 'no Fridays' => [
            $hours(['days' => ['mo', 'tu', 'we', 'th']] + $usual),
            ['nobody any more | Fri 09:00–17:00: before: rings Ann, then mbx; now: a message with mbx'],
        ];
        yield 'around the clock' => [
            $hours(['days' => [...self::DAYS, 'sa', 'su']] + self::band('00:00', '24:00')),
            [
                'somebody now | Mon–Thu 17:00–09:00; Fri 17:00 until Mon 09:00: before: a message with mbx; now: rings Ann, then mbx',
            ],
        ];
        yield 'a day off' => [
            static fn(PlanBuilder $plan): PlanBuilder => $plan->hours(
                'hrs',
                [$usual],
                [['date' => '2027-03-01', 'name' => 'Stocktaking', 'bands' => []]],
            ),
            ['nobody any more | on Mon 1 Mar 2027: before: rings Ann, then mbx; now: a message with mbx'],
        ];
        yield 'two days off' => [
            static fn(PlanBuilder $plan): PlanBuilder => $plan->hours(
                'hrs',
                [$usual],
                [
                    ['date' => '2027-03-01', 'name' => 'Stocktaking', 'bands' => []],
                    ['date' => '2027-03-03', 'name' => 'Stocktaking', 'bands' => []],
                ],
            ),
            [
                'nobody any more | on 2 days, the first on Mon 1 Mar 2027: before: rings Ann, then mbx; now: a message with mbx',
            ],
        ];
        yield 'a lunch' => [
            $hours(self::band('09:00', '12:00'), self::band('13:00', '17:00')),
            ['nobody any more | Mon–Fri 12:00–13:00: before: rings Ann, then mbx; now: a message with mbx'],
        ];
        yield 'somebody else' => [
            $journey([self::ring('ben', 20), ...self::MESSAGE]),
            ['somebody else | Mon–Fri 09:00–17:00: instead of Ann, rings Ben'],
        ];
        yield 'longer' => [
            $journey([self::ring('ann', 25), ...self::MESSAGE]),
            ['details | Mon–Fri 09:00–17:00: Ann rings 5 s longer'],
        ];
        yield 'shorter' => [
            $journey([self::ring('ann', 10), ...self::MESSAGE]),
            ['details | Mon–Fri 09:00–17:00: Ann rings 10 s shorter'],
        ];
        yield 'one after the other' => [
            $journey([self::ring('ann', 20), self::ring('ben', 15), ...self::MESSAGE]),
            ['somebody else | Mon–Fri 09:00–17:00: also rings Ben'],
        ];
        yield 'nobody in between' => [
            $journey(self::MESSAGE),
            ['nobody any more | Mon–Fri 09:00–17:00: before: rings Ann, then mbx; now: a message with mbx'],
        ];
        yield 'other words' => [
            $journey(
                [self::ring('ann', 20), ...self::MESSAGE],
                [['id' => 's1', 'do' => 'say', 'prompt' => 'prm_other'], ...self::MESSAGE2],
            ),
            [
                'details | Mon–Thu 17:00–09:00; Fri 17:00 until Mon 09:00: hears “prm_other”, no longer hears “prm_closed”',
            ],
        ];
        yield 'no words' => [
            $journey([self::ring('ann', 20), ...self::MESSAGE], self::MESSAGE2),
            ['details | Mon–Thu 17:00–09:00; Fri 17:00 until Mon 09:00: no longer hears “prm_closed”'],
        ];
        yield 'no message at night' => [
            $journey([self::ring('ann', 20), ...self::MESSAGE], [['id' => 'e1', 'do' => 'end']]),
            [
                'nobody any more | Mon–Thu 17:00–09:00; Fri 17:00 until Mon 09:00: before: a message with mbx; now: nobody: the call ends',
            ],
        ];
        yield 'somebody at night' => [
            $journey([self::ring('ann', 20), ...self::MESSAGE], [self::ring('ben', 30), ...self::MESSAGE2]),
            [
                'somebody now | Mon–Thu 17:00–09:00; Fri 17:00 until Mon 09:00: before: a message with mbx; now: rings Ben, then mbx',
            ],
        ];
        yield 'another mailbox' => [
            static fn(PlanBuilder $plan): PlanBuilder => $journey([
                self::ring('ann', 20),
                ['id' => 'm1', 'do' => 'message', 'mailbox' => 'mbx_other'],
            ])($plan->mailbox('mbx_other')),
            ['somebody else | Mon–Fri 09:00–17:00: instead of mbx, leaves a message with mbx_other'],
        ];
        yield 'a longer prompt' => [
            static fn(PlanBuilder $plan): PlanBuilder => $plan->prompt('prm_closed', 10),
            ['details | Mon–Thu 17:00–09:00; Fri 17:00 until Mon 09:00: takes 6 s longer'],
        ];
        yield 'something is said before the hours are looked at' => [
            self::saysHello(...),
            [
                'details | always: hears “prm_other”',
                'details | Mon–Fri 08:59:56–09:00, 16:59:56–17:00: edges of hours come 4 s sooner',
            ],
        ];
        yield 'by less than a minute edges move, however that comes' => [
            $hours(self::band('09:00', '16:59:01')),
            ['details | Mon–Fri 16:59:01–17:00: edges of hours come 59 s sooner'],
        ];
        yield 'half a minute in between is no edge' => [
            $hours(self::band('09:00', '12:00'), self::band('12:00:30', '17:00')),
            ['nobody any more | Mon–Fri 12:00–12:00:30: before: rings Ann, then mbx; now: a message with mbx'],
        ];
        yield 'something is asked' => [
            $journey([
                ['id' => 'ask', 'do' => 'menu', 'prompt' => 'prm_other', 'wait' => 4, 'tries' => 1],
                self::ring('ann', 20),
                ...self::MESSAGE,
            ]),
            ['details | Mon–Fri 09:00–17:00: hears “prm_other”'],
        ];
        yield 'by a minute it is another time' => [
            $hours(self::band('09:00', '16:59')),
            ['nobody any more | Mon–Fri 16:59–17:00: before: rings Ann, then mbx; now: a message with mbx'],
        ];
        yield 'two more in between' => [
            static fn(PlanBuilder $plan): PlanBuilder => $journey([
                self::ring('ann', 20),
                self::ring('ben', 15),
                ['id' => 'wait', 'do' => 'queue', 'queue' => 'que'],
                ...self::MESSAGE,
            ])($plan->with(['id' => 'que', 'kind' => 'queue', 'name' => 'Desk', 'members' => [['who' => 'ben']]])),
            ['somebody else | Mon–Fri 09:00–17:00: also rings Ben, then waits in Desk'],
        ];
        yield 'somebody before, and another message' => [
            static fn(PlanBuilder $plan): PlanBuilder => $journey([
                self::ring('ben', 20),
                ['id' => 'm1', 'do' => 'message', 'mailbox' => 'mbx_other'],
            ])($plan->mailbox('mbx_other')),
            ['somebody else | Mon–Fri 09:00–17:00: before: rings Ann, then mbx; now: rings Ben, then mbx_other'],
        ];
        yield 'the mailbox takes no messages any more' => [
            static fn(PlanBuilder $plan): PlanBuilder => $plan->with([
                'id' => 'mbx',
                'kind' => 'mailbox',
                'name' => 'mbx',
                'greeting' => 'prm_other',
                'takesMessages' => false,
            ]),
            [
                'somebody else | Mon–Thu 17:00–09:00; Fri 17:00 until Mon 09:00: before: a message with mbx; now: the announcement of mbx',
                'details | Mon–Fri 09:00–17:00: hears “prm_other”',
            ],
        ];
        yield 'the name of somebody' => [
            static fn(PlanBuilder $plan): PlanBuilder => $plan->with(['name' => 'Anna'] + self::person('ann')),
            [],
        ];
        yield 'the last step is gone' => [
            $journey([self::ring('ann', 20)], self::CLOSED),
            ['somebody else | Mon–Fri 09:00–17:00: no longer leaves a message with mbx'],
        ];
    }

    private const MESSAGE = [['id' => 'm1', 'do' => 'message', 'mailbox' => 'mbx']];
    private const MESSAGE2 = [['id' => 'm2', 'do' => 'message', 'mailbox' => 'mbx']];
    private const CLOSED = [['id' => 's1', 'do' => 'say', 'prompt' => 'prm_closed'], ...self::MESSAGE2];

    /** Weekdays 09:00–17:00 Ann rings for 20 s, then a message; else "closed" and a message. */
    private static function office(): PlanBuilder
    {
        return (new PlanBuilder())
            ->with(self::person('ann'))
            ->with(self::person('ben'))
            ->mailbox('mbx')
            ->prompt('prm_closed', 4)
            ->prompt('prm_other', 4)
            ->hours('hrs', [self::band('09:00', '17:00')])
            ->journey('jrn_main', self::journey([self::ring('ann', 20), ...self::MESSAGE], self::CLOSED));
    }

    /** @return array<string, mixed> */
    private static function person(string $id): array
    {
        return [
            'id' => $id,
            'kind' => 'person',
            'name' => ucfirst($id),
            'extension' => '',
            'site' => 'sit_harbour',
            'phones' => [['id' => 'desk', 'type' => 'desk', 'label' => 'Desk']],
        ];
    }

    /** @return array<string, mixed> */
    private static function band(string $from, string $to): array
    {
        return ['days' => self::DAYS, 'from' => $from, 'to' => $to, 'state' => 'open'];
    }

    /** @return array<string, mixed> */
    private static function ring(string $who, int $seconds): array
    {
        return ['id' => 'r_' . $who, 'do' => 'ring', 'target' => $who, 'seconds' => $seconds];
    }

    /**
     * @param list<array<string, mixed>> $open
     * @param list<array<string, mixed>> $closed
     *
     * @return list<array<string, mixed>>
     */
    private static function journey(array $open, array $closed): array
    {
        return [
            ['id' => 'h1', 'do' => 'hours', 'hours' => 'hrs', 'exits' => [['on' => 'closed', 'steps' => $closed]]],
            ...$open,
        ];
    }
}
