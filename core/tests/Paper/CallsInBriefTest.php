<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Paper;

use Meandros\Core\Paper\CallsInBrief;
use Meandros\Core\Paper\Line;
use Meandros\Core\Paper\PaperWords;
use Meandros\Core\Plan\Element\Number;
use Meandros\Core\Proof\Fares\Fares;
use Meandros\Core\Tests\PlanBuilder;
use Meandros\Core\Time\Moment;
use PHPUnit\Framework\TestCase;

/** When calls fare how is told by what they look up, in the order in which they do; by clock times where that does not tell it. */
final class CallsInBriefTest extends TestCase
{
    public function testHoursWithinHours(): void
    {
        self::assertSame(
            [
                'While shop are “Open”:',
                '  While desk are “Open”: rings Ann, then Ben.',
                '  While desk are “Closed”: rings Ann, then mbx.',
                'While shop are “Closed”: a message with mbx.',
            ],
            self::lines(self::shop('12:00')),
        );
    }

    /** The desk is looked at 20 s later: whoever comes in 20 s before the shop closes finds it closed. */
    public function testWhatIsSoForSecondsBesideAnEdgeIsLeftOut(): void
    {
        self::assertSame(
            ['While shop are “Open”: rings Ann, then Ben.', 'While shop are “Closed”: a message with mbx.'],
            self::lines(self::shop('17:00')),
        );
    }

    public function testHoursThatChangeNothingAreNotTold(): void
    {
        $plan = self::shop('12:00');
        $steps = $plan->element('jrn_main')['steps'];
        $steps[2]['exits'] = [];
        self::assertSame(
            ['While shop are “Open”: rings Ann, then Ben.', 'While shop are “Closed”: a message with mbx.'],
            self::lines($plan->journey('jrn_main', $steps)),
        );
    }

    public function testTimesOfARule(): void
    {
        $rule = static fn(string $id, array $windows, string $mailbox): array => [
            'id' => $id,
            'name' => ucfirst($id),
            'on' => true,
            'when' => ['windows' => $windows],
            'stages' => [['phones' => ['desk'], 'after' => 0, 'seconds' => 20]],
            'next' => ['nobody' => $mailbox],
        ];
        $mornings = array_diff_key(self::band('09:00', '12:00'), ['state' => '']);
        $ann = (new PlanBuilder())->person('ann')->element('ann');
        $ann['rules'] = [$rule('mornings', [$mornings], 'mbx'), $rule('else', [], 'late')];
        $plan = (new PlanBuilder())
            ->mailbox('mbx')
            ->mailbox('late')
            ->with($ann)
            ->journey('jrn_main', [['id' => 'r1', 'do' => 'ring', 'target' => 'ann', 'handOver' => true]]);
        self::assertSame(
            [
                'In the times of the rule “Mornings” of Ann: rings Ann, then mbx.',
                'Outside the times of the rule “Mornings” of Ann: rings Ann, then late.',
            ],
            self::lines($plan),
        );
    }

    public function testUntilAnInstantAndFromItOn(): void
    {
        $plan = (new PlanBuilder())->prompt('usual', 4)->prompt('away', 6)->mailbox('mbx');
        $mailbox = ['greeting' => 'usual', 'away' => ['greeting' => 'away', 'until' => '2027-01-04T09:00']];
        $plan->with($mailbox + $plan->element('mbx'))->journey('jrn_main', [self::MESSAGE]);
        self::assertSame(
            [
                'Until Mon 4 Jan 2027 09:00: callers hear “away”; a message with mbx.',
                'From Mon 4 Jan 2027 09:00 on: callers hear “usual”; a message with mbx.',
            ],
            self::lines($plan),
        );
        self::assertSame('Jusqu’au lun. 4 janv. 2027 09:00', explode("\u{a0}", self::lines($plan, 'fr')[0])[0]);
    }

    /** Three hours tell them apart; by the fourth, what is left is told by the clock, to the minute. */
    public function testBeyondThreeHoursItIsTheClock(): void
    {
        $plan = (new PlanBuilder())->mailbox('mbx');
        $steps = [];
        foreach (['ha' => '16:00', 'hb' => '15:00', 'hc' => '14:00', 'hd' => '13:00'] as $id => $closes) {
            $plan->hours($id, [self::band('09:00', $closes)])->person("p$id");
            array_unshift($steps, ['id' => "ring_$id", 'do' => 'ring', 'target' => "p$id", 'seconds' => 5]);
        }
        foreach (['hd', 'hc', 'hb', 'ha'] as $i => $id) {
            array_splice($steps, 2 * $i, 0, [
                [
                    'id' => "look_$id",
                    'do' => 'hours',
                    'hours' => $id,
                    'exits' => [['on' => 'closed', 'steps' => [['id' => "leave_$id"] + self::MESSAGE]]],
                ],
            ]);
        }
        $plan->journey('jrn_main', $steps);
        self::assertSame(
            [
                'While hd are “Open”: rings Phd, then Phc, then Phb, then Pha.',
                'While hd are “Closed”: a message with mbx.',
            ],
            self::lines($plan),
            'Whoever finds the first open finds the others so.',
        );
        $plan->journey('jrn_main', [
            $steps[6],
            $steps[7],
            ...\array_slice($steps, 4, 2),
            ...\array_slice($steps, 2, 2),
            $steps[0],
            $steps[1],
        ]);
        self::assertSame(
            [
                'While ha are “Open”:',
                '  While hb are “Open”:',
                '    While hc are “Open”:',
                '      Mon–Fri 09:00–13:00: rings Pha, then Phb, then Phc, then Phd.',
                '      Mon–Fri 13:00–14:00: rings Pha, then Phb, then Phc, then mbx.',
                '    While hc are “Closed”: rings Pha, then Phb, then mbx.',
                '  While hb are “Closed”: rings Pha, then mbx.',
                'While ha are “Closed”: a message with mbx.',
            ],
            self::lines($plan),
        );
    }

    private const MESSAGE = ['id' => 'm1', 'do' => 'message', 'mailbox' => 'mbx'];

    /** @return array<string, mixed> */
    private static function band(string $from, string $to): array
    {
        return ['days' => ['mo', 'tu', 'we', 'th', 'fr'], 'from' => $from, 'to' => $to, 'state' => 'open'];
    }

    /** A shop where Ann is rung, and then Ben while the desk is open. */
    private static function shop(string $deskCloses): PlanBuilder
    {
        $closed = static fn(string $id, string $hours): array => [
            'id' => $id,
            'do' => 'hours',
            'hours' => $hours,
            'exits' => [['on' => 'closed', 'steps' => [['id' => "leave_$id"] + self::MESSAGE]]],
        ];

        return (new PlanBuilder())
            ->person('ann')
            ->person('ben')
            ->mailbox('mbx')
            ->hours('shop', [self::band('09:00', '17:00')])
            ->hours('desk', [self::band('09:00', $deskCloses)])
            ->journey('jrn_main', [
                $closed('h1', 'shop'),
                ['id' => 'r1', 'do' => 'ring', 'target' => 'ann', 'seconds' => 20],
                $closed('h2', 'desk'),
                ['id' => 'r2', 'do' => 'ring', 'target' => 'ben', 'seconds' => 20],
            ]);
    }

    /** @return list<string> further in by two blanks for each that they lie within */
    private static function lines(PlanBuilder $builder, string $language = 'en'): array
    {
        $plan = $builder->plan();
        $from = Moment::parse('2027-01-01T00:00', 'Europe/London');
        $calls = new CallsInBrief(new Fares($plan, $from, $from + 365 * 86400), new PaperWords($plan, $language));

        return array_map(
            static fn(Line $line): string => str_repeat('  ', $line->depth) . $line->text,
            $calls->lines($plan->all(Number::class)[0], 'Europe/London'),
        );
    }
}
