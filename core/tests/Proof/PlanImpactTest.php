<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Proof;

use Meandros\Core\Call\Caller;
use Meandros\Core\Call\TrialCall;
use Meandros\Core\Plan\Element\Number;
use Meandros\Core\Plan\Element\Site;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Plan\PlanHours;
use Meandros\Core\Proof\AllNumbers;
use Meandros\Core\Proof\Changed;
use Meandros\Core\Proof\Fares\Fares;
use Meandros\Core\Proof\LookedUp;
use Meandros\Core\Proof\PlanImpact;
use Meandros\Core\Proof\Severity;
use Meandros\Core\Tests\PlanBuilder;
use Meandros\Core\Time\Moment;
use Meandros\Core\Wording\ChangeWords;
use Meandros\Core\Wording\ImpactReport;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What an edit changes for callers where phones do something else than ring on. */
final class PlanImpactTest extends TestCase
{
    private const ALL_DAY = [['days' => ['mo'], 'from' => '09:00', 'to' => '17:00', 'state' => 'open']];

    public function testWhatStandsBehindBusyAndUnreachableIsToldOnce(): void
    {
        $message = [['id' => 's2', 'do' => 'message', 'mailbox' => 'mbx']];
        $before = self::office([
            ['on' => 'busy', 'steps' => $message],
            ['on' => 'unreachable', 'steps' => [['id' => 's3'] + $message[0]]],
        ]);
        $after = self::office([]);
        self::assertSame([], self::said($before, $after, ['jrn_main'], false));
        self::assertSame(
            ['nobody any more | always: before: a message with mbx; now: nobody: no step is left | busy unreachable'],
            self::said($before, $after, ['jrn_main'], true),
        );
    }

    public function testANumberOfOnlyOnePlanChangesOnceAndForAllTheTime(): void
    {
        $plan = self::office([]);
        $number = $plan->all(Number::class)[0];
        $words = new ChangeWords($plan, Plan::of('Nothing yet', []));
        [[$one, $changes]] = ImpactReport::ofOnlyOne([$number], Severity::Come, $words, 1_000, 4_600);

        self::assertSame($number, $one);
        self::assertEquals(
            [
                [
                    'severity' => 'new',
                    'when' => 'always',
                    'what' => 'a new number',
                    'first' => '1970-01-01T00:16:40+00:00',
                    'seconds' => 3_600,
                    'intervals' => 1,
                    'keys' => [],
                    'from' => '',
                    'phones' => [],
                ],
            ],
            $changes,
        );
    }

    public function testNumbersAreLookedAtByName(): void
    {
        $number = static fn(string $id, string $name, string $number): array => [
            'id' => $id,
            'kind' => 'number',
            'name' => $name,
            'number' => $number,
            'site' => 'sit_harbour',
            'target' => 'jrn_main',
        ];
        $plan = (new PlanBuilder())
            ->with($number('num_z', 'Zebra', '+441632960981'))
            ->with($number('num_b', 'Berths', '+441632960982'))
            ->with($number('num_a', 'Anchorage', '+441632960983'))
            ->journey('jrn_main', [['id' => 's1', 'do' => 'end']])
            ->plan();
        self::assertSame(
            ['Anchorage', 'Berths', 'Main line', 'Zebra'],
            array_map(
                static fn(array $one): string => $one[1]->name(),
                PlanImpact::numbers($plan, $plan, ['jrn_main']),
            ),
        );
    }

    public function testNumbersThatChangeAlikeAreToldAlikeEachByItsOwnClock(): void
    {
        $number = static fn(string $id, string $number, string $site, string $target): array => [
            'id' => $id,
            'kind' => 'number',
            'name' => $id,
            'number' => $number,
            'site' => $site,
            'language' => 'en',
            'target' => $target,
        ];
        $plan = static fn(array $steps, array $more): Plan => (new PlanBuilder())
            ->prompt('prm', 2)
            ->with([
                'id' => 'sit_quay',
                'kind' => 'site',
                'name' => 'Quay',
                'zone' => 'Europe/Paris',
                'country' => 'FR',
                'language' => 'en',
            ])
            ->with($number('num_b', '+441632960982', 'sit_harbour', 'jrn_main'))
            ->with($number('num_c', '+441632960983', 'sit_harbour', 'jrn_more'))
            ->with($number('num_d', '+33261910183', 'sit_quay', 'jrn_main'))
            ->journey('jrn_main', $steps)
            ->journey('jrn_more', $more)
            ->plan();
        $end = ['id' => 'end', 'do' => 'end'];
        $say = ['id' => 'say', 'do' => 'say', 'prompt' => 'prm'];
        [$before, $after] = [$plan([$end], [$say, $end]), $plan([$say, $end], [$end])];
        $from = Moment::parse('2027-01-01T00:00', 'Europe/London');
        $until = $from + 7 * 86400;
        $all = static fn(Plan $one): AllNumbers => new AllNumbers(
            $one,
            new TrialCall('', Caller::withheld(), $from),
            $from,
            $until,
        );
        $impact = new PlanImpact(PlanImpact::numbers($before, $after), $all($before), $all($after), null);
        $told = ImpactReport::ofAll(
            $impact->findWhateverPhonesDo(static fn(): bool => true)[0],
            new ChangeWords($after, $before),
            $from,
            $until,
            static fn(Number $one): string => $after->get(Site::class, $one->line->site)->place->zone ?? '',
            new LookedUp(new PlanHours($after), $from, $until),
        );
        $said = [];
        foreach ($told as [$one, $changes]) {
            $said[$one->name()] = array_map(
                static fn(array $change): array => [$change['what'], $change['first']],
                $changes,
            );
        }
        self::assertSame(['Main line', 'num_b', 'num_c', 'num_d'], array_keys($said));
        self::assertSame($said['Main line'], $said['num_b']);
        self::assertSame([$said['Main line'][0][0], '2027-01-01T01:00:00+01:00'], $said['num_d'][0]);
        self::assertSame('2027-01-01T00:00:00+00:00', $said['num_c'][0][1]);
        self::assertNotSame($said['Main line'][0][0], $said['num_c'][0][0]);
    }

    /**
     * @param list<array<string, mixed>> $before fields of numbers besides the main line
     * @param list<array<string, mixed>> $after
     * @param list<string>               $said   of each that only one of the plans has
     * @param list<string>               $both   names, after, of those whose calls are compared
     */
    #[DataProvider('numbersThatComeAndGo')]
    public function testNumbersThatComeAndGo(array $before, array $after, array $said, array $both = []): void
    {
        [$was, $is] = [self::numbered($before), self::numbered($after)];
        $words = new ChangeWords($is, $was);
        self::assertSame($said, [
            ...array_map(
                static fn(Number $one): string => '- ' . $one->name() . ': ' . $words->gone($one),
                PlanImpact::onlyIn($was, $is),
            ),
            ...array_map(
                static fn(Number $one): string => '+ ' . $one->name() . ': ' . $words->come($one),
                PlanImpact::onlyIn($is, $was),
            ),
        ]);
        self::assertSame(
            $both,
            array_map(static fn(array $one): string => $one[1]->name(), PlanImpact::numbers($was, $is)),
        );
    }

    /** @return iterable<string, array{0: list<array<string, mixed>>, 1: list<array<string, mixed>>, 2: list<string>, 3?: list<string>}> */
    public static function numbersThatComeAndGo(): iterable
    {
        $zebra = ['id' => 'num_z', 'name' => 'Zebra', 'number' => '+441632960981'];
        $anchorage = ['id' => 'num_a', 'name' => 'Anchorage', 'number' => '+441632960980'];
        yield 'one is deleted' => [[$zebra, $anchorage], [$anchorage], ['- Zebra: no longer a number of the plan']];
        yield 'two are added, by name' => [
            [],
            [$zebra, $anchorage],
            ['+ Anchorage: a new number', '+ Zebra: a new number'],
        ];
        yield 'one gets another number' => [
            [$zebra],
            [['number' => '+441632960985'] + $zebra],
            ['- Zebra: no longer a number of the plan', '+ Zebra: a new number'],
        ];
        yield 'the same number is another element' => [
            [$zebra],
            [['id' => 'num_new', 'name' => 'New'] + $zebra],
            [],
            ['New'],
        ];
        yield 'two exchange their numbers' => [
            [$zebra, $anchorage],
            [['number' => $anchorage['number']] + $zebra, ['number' => $zebra['number']] + $anchorage],
            [],
            ['Anchorage', 'Zebra'],
        ];
        $block = [
            'id' => 'num_b',
            'name' => 'Block',
            'number' => '+441632960980',
            'block' => ['last' => '+441632960989', 'extension' => ''],
        ];
        $shorter = ['block' => ['last' => '+441632960985', 'extension' => '']] + $block;
        yield 'a block is shorter' => [
            [$block],
            [$shorter],
            ['- Block: not all of its numbers are in the plan any more'],
            ['Block'],
        ];
        yield 'a block is longer' => [
            [$shorter],
            [$block],
            ['+ Block: more of its numbers are in the plan'],
            ['Block'],
        ];
        $all = ['id' => 'num_all', 'name' => 'All', 'number' => '+44163296098*'];
        yield 'what begins so takes it' => [
            [$zebra, $all],
            [$all],
            ['- Zebra: no number of its own any more: its calls are those of All'],
        ];
        yield 'it is taken out of what begins so' => [
            [$all],
            [$zebra, $all],
            ['+ Zebra: a number of its own: its calls were those of All'],
        ];
        yield 'the rest of a block is taken by what begins so' => [
            [$block, $all],
            [$shorter, $all],
            [],
            ['All', 'Block'],
        ];
    }

    /** @param list<array<string, mixed>> $numbers */
    private static function numbered(array $numbers): Plan
    {
        $builder = new PlanBuilder();
        foreach ($numbers as $number) {
            $builder = $builder->with($number + ['kind' => 'number', 'site' => 'sit_harbour', 'target' => 'jrn_main']);
        }

        return $builder->journey('jrn_main', [['id' => 's1', 'do' => 'end']])->plan();
    }

    public function testWhatIsSoWherePhonesRingIsNotToldAgain(): void
    {
        $hours = ['id' => 's9', 'do' => 'hours', 'hours' => 'hrs'];
        $later = [['from' => '10:00'] + self::ALL_DAY[0]];
        $closed = [['on' => 'closed', 'steps' => [['id' => 's8', 'do' => 'end']]]];
        $before = self::office([], [$hours + ['exits' => $closed]]);
        $after = self::office([], [$hours + ['exits' => $closed]], $later);
        $said = ['nobody any more | Mon 09:00–10:00: before: rings Ann; now: nobody: the call ends | '];
        self::assertSame($said, self::said($before, $after, ['hrs'], false));
        self::assertSame($said, self::said($before, $after, ['hrs'], true));
    }

    /**
     * @param list<array<string, mixed>> $exits of the ringing
     * @param list<array<string, mixed>> $first steps before it
     * @param list<array<string, mixed>> $week
     */
    private static function office(array $exits, array $first = [], array $week = self::ALL_DAY): Plan
    {
        return (new PlanBuilder())
            ->person('ann')
            ->mailbox('mbx')
            ->hours('hrs', $week)
            ->journey('jrn_main', [
                ...$first,
                ['id' => 's1', 'do' => 'ring', 'target' => 'ann', 'seconds' => 20, 'exits' => $exits],
            ])
            ->plan();
    }

    /**
     * @param list<string> $ids of what differs
     *
     * @return list<string>
     */
    private static function said(Plan $before, Plan $after, array $ids, bool $isInFull): array
    {
        $from = Moment::parse('2027-01-01T00:00', 'Europe/London');
        $until = Moment::parse('2028-01-01T00:00', 'Europe/London');
        $call = new TrialCall('', Caller::withheld(), $from);
        $impact = new PlanImpact(
            PlanImpact::numbers($before, $after, $ids),
            new AllNumbers($before, $call, $from, $until),
            new AllNumbers($after, $call, $from, $until),
            [new Fares($before, $from, $until), new Fares($after, $from, $until)],
        );
        $goOn = static fn(): bool => true;
        $changed = static fn(Number $number, array $changes): Changed => new Changed($number, $changes);
        [$found, $left] = $isInFull ? $impact->findWhateverPhonesDo($goOn) : $impact->find($changed, $goOn);
        self::assertSame(0, $left);
        $report = [];
        foreach ($found as $one) {
            array_push(
                $report,
                ...ImpactReport::of(
                    ($one instanceof Changed ? $one : $one[1])->changes,
                    new ChangeWords($after, $before),
                    $from,
                    $until,
                    'Europe/London',
                    new LookedUp(new PlanHours($after), $from, $until),
                ),
            );
        }

        return array_map(
            static fn(array $one): string => \sprintf(
                '%s | %s: %s | %s',
                $one['severity'],
                $one['when'],
                $one['what'],
                implode(' ', $one['phones']),
            ),
            $report,
        );
    }

    /** Two journeys go to each other at lunch: what is pressed there when the call comes back is not followed, else there is no end of it. */
    public function testJourneysThatGoToEachOther(): void
    {
        $menu = static fn(string $id): array => [
            'id' => $id,
            'do' => 'menu',
            'prompt' => 'prm',
            'wait' => 5,
            'tries' => 1,
            'exits' => [['on' => '1', 'steps' => []], ['on' => '2', 'steps' => []]],
        ];
        $go = static fn(string $journey): array => ['id' => 'go', 'do' => 'go', 'journey' => $journey];
        $plan = (new PlanBuilder())
            ->prompt('prm', 4)
            ->hours('hrs', [['days' => ['mo'], 'from' => '12:00', 'to' => '13:00', 'state' => 'lunch']])
            ->journey('jrn_lunch', [$menu('lunch'), $go('jrn_main')])
            ->journey('jrn_main', [
                [
                    'id' => 'hours',
                    'do' => 'hours',
                    'hours' => 'hrs',
                    'exits' => [['on' => 'lunch', 'steps' => [['id' => 'in'] + $go('jrn_lunch')]]],
                ],
                $menu('main'),
            ])
            ->plan();
        $from = Moment::parse('2026-11-23T00:00', 'Europe/London');
        $fares = new Fares($plan, $from, $from + 86_400);
        $presses = $fares->presses($plan->all(Number::class)[0], Caller::withheld());
        self::assertSame([[[], ['1'], ['2'], ['1', '1'], ['1', '2'], ['2', '1'], ['2', '2']], true], $presses);
    }
}
