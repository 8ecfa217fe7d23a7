<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Proof;

use Meandros\Core\Call\Caller;
use Meandros\Core\Call\SignIn;
use Meandros\Core\Call\Status;
use Meandros\Core\Call\TrialCall;
use Meandros\Core\Check\Finding;
use Meandros\Core\Live\LiveState;
use Meandros\Core\Live\LiveStatus;
use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\Element\Expectation;
use Meandros\Core\Plan\Element\Hours;
use Meandros\Core\Plan\Element\Number;
use Meandros\Core\Plan\Element\Person;
use Meandros\Core\Plan\Json\PlanCodec;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Plan\PlanHours;
use Meandros\Core\Proof\AllNumbers;
use Meandros\Core\Proof\Fares\Fares;
use Meandros\Core\Proof\Known;
use Meandros\Core\Proof\LookedUp;
use Meandros\Core\Proof\PlanImpact;
use Meandros\Core\Proof\Promised\Holding;
use Meandros\Core\Proof\Year\YearChecks;
use Meandros\Core\Tests\PlanBuilder;
use Meandros\Core\Tests\Soak;
use Meandros\Core\Time\ForcedBy;
use Meandros\Core\Time\Override;
use Meandros\Core\Wording\ChangeWords;
use Meandros\Core\Wording\FindingWords;
use Meandros\Core\Wording\ImpactReport;
use Meandros\Core\Wording\PromiseReport;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What is known of numbers after edits is what is found when all of them are looked at anew. */
final class KnownTest extends TestCase
{
    private const FROM = 1_795_000_000;
    private const DAY = 86400;

    public function testOnTheDemoWithOneElementDrawnAnewAfterTheOther(): void
    {
        mt_srand(Soak::seed());
        $data = json_decode((string) file_get_contents(\dirname(__DIR__, 3) . '/demo/ternwick-ferries.json'), true);
        \assert(\is_array($data));
        $data['elements'] = [...$data['elements'], ...self::promises()];
        $demo = new ChangedDemo($data);
        $before = PlanCodec::fromData($data);
        [$live, $known] = [new LiveState(), new Known($before, new LiveState(), '')];
        [$from, $until] = [self::FROM, self::FROM + 9 * self::DAY];
        $looked = $broken = $differ = 0;
        $asked = static function () use (&$looked): bool {
            ++$looked;

            return true;
        };
        self::hold($before, $live, $known, $from, $until, $asked);
        $seen = new Known($before, $live, '');
        [$first, $changed] = [$before, new Known($before, $live, '')];
        self::found($before, $live, $until, $seen);
        [$all, $looked] = [$looked, 0];
        for ($i = 0, $count = Soak::count(6); $i < $count; ++$i) {
            $after = $demo->withOneChanged();
            $live = 0 === mt_rand(0, 1) ? self::live($after) : $live;
            $known = $known->since($after, $live, '', self::written($before, $after));
            // Time goes on: less and less of the stretch matters.
            $at = $from + ($i % 9) * (self::DAY >> 1) + mt_rand(0, 3600);
            $told = self::hold($after, $live, $known, $at, $until, $asked);
            self::assertSame(self::anew($after, $live, $at, $until), $told, "$i");
            $seen = $seen->since($after, $live, '', self::written($before, $after));
            self::assertSame(self::found($after, $live, $until), self::found($after, $live, $until, $seen), "$i");
            $changed = $changed->since($after, $live, '', self::written($before, $after), $first);
            self::assertSame(
                self::changes($first, $after, $live, $until, new Known($after, $live, '')),
                $more = self::changes($first, $after, $live, $until, $changed),
                "$i",
            );
            $differ += \count($more);
            $broken += substr_count(serialize($told), '"broken"');
            $before = $after;
        }
        self::assertGreaterThan(0, $broken);
        self::assertGreaterThan(0, $differ);
        self::assertLessThan($all * $count, $looked, 'Much is known.');
    }

    /** @param \Closure(PlanBuilder): PlanBuilder $edit */
    #[DataProvider('edits')]
    public function testWhatAnEditTouches(\Closure $edit, ?string $forgotten): void
    {
        $before = self::harbour();
        $plan = $before->plan();
        $known = new Known($plan, new LiveState(), 'a');
        foreach ($plan->all(Number::class) as $number) {
            $known->of($number, 'it', static fn(): int => 1);
        }
        $after = $edit($before)->plan();
        $then = $known->since($after, new LiveState(), 'a', self::written($plan, $after));
        $gone = array_filter(
            $after->all(Number::class),
            static fn(Number $one): bool => !$then->has($one, 'it') && null !== $plan->find($one->id()),
        );
        self::assertSame(
            $forgotten,
            implode(' ', array_map(static fn(Number $one): string => $one->id(), $gone)) ?: null,
        );
    }

    /** @return iterable<string, array{\Closure(PlanBuilder): PlanBuilder, string|null}> */
    public static function edits(): iterable
    {
        yield 'nothing' => [static fn(PlanBuilder $plan): PlanBuilder => $plan, null];
        yield 'a person' => [
            static fn(PlanBuilder $plan): PlanBuilder => $plan->with(['name' => 'Benny'] + $plan->element('ben')),
            'num_main num_ben',
        ];
        yield 'a number that somebody forwards to is another one' => [
            static fn(PlanBuilder $plan): PlanBuilder => $plan->with(
                ['number' => '+441632960177'] + $plan->element('num_ben'),
            ),
            'num_main num_ben',
        ];
        yield 'a beginning more' => [
            static fn(PlanBuilder $plan): PlanBuilder => $plan->with(
                ['id' => 'num_many', 'number' => '+4416329607*'] + $plan->element('num_ben'),
            ),
            'num_main num_ann num_ben',
        ];
    }

    public function testANumberMoreIsFoundToReachNobodyLikeTheOthers(): void
    {
        $builder = (new PlanBuilder())->journey('jrn_main', [['id' => 's1', 'do' => 'end']]);
        $number = ['id' => 'num_more', 'number' => '+441632960179', 'name' => 'More'];
        [$before, $after] = [$builder->plan(), $builder->with($number + $builder->element('num_main'))->plan()];
        $codes = static fn(Plan $plan, Known $known): array => array_column(
            self::found($plan, new LiveState(), self::FROM + self::DAY, $known),
            'code',
            'id',
        );
        $known = new Known($before, new LiveState(), '');
        self::assertSame(['num_main' => 'number-reaches-nobody'], $codes($before, $known));
        $known = $known->since($after, new LiveState(), '', ['num_more']);
        self::assertSame(
            ['num_main' => 'number-reaches-nobody', 'num_more' => 'number-reaches-nobody'],
            $codes($after, $known),
        );
    }

    public function testWhatIsLiveTouchesWhoComesToIt(): void
    {
        $plan = self::harbour()->plan();
        $known = new Known($plan, new LiveState(), 'a');
        $numbers = $plan->all(Number::class);
        foreach ($numbers as $number) {
            $known->of($number, 'it', static fn(): int => 1);
        }
        $away = new LiveState(statuses: ['ann' => new LiveStatus(Status::Away)]);
        $has = static fn(Known $known): array => array_map(
            static fn(Number $one): bool => $known->has($one, 'it'),
            $numbers,
        );
        self::assertSame([true, false, true], $has($known->since($plan, $away, 'a', [])));
        self::assertSame([false, false, false], $has($known->since($plan, $away, 'b', [])));
        self::assertSame([false, false, false], $has($known->since($plan, $away, 'a', null)));
        self::assertSame([true, true, true], $has($known->since($plan, new LiveState(), 'a', [])));
        self::assertFalse($known->has($numbers[0], 'another'));
    }

    public function testWhatMayDependOnAnythingIsKnownUntilAnyEdit(): void
    {
        $plan = self::harbour()->plan();
        $known = new Known($plan, new LiveState(), 'a');
        [$first] = $plan->all(Number::class);
        self::assertSame(1, $known->of($first, 'keys', static fn(): int => 1, true));
        self::assertSame(1, $known->of($first, 'keys', static fn(): int => 2, true));
        self::assertTrue($known->has($first, 'keys'));
        self::assertTrue($known->since($plan, new LiveState(), 'a', [])->has($first, 'keys'));
        self::assertFalse($known->since($plan, new LiveState(), 'a', ['ann'])->has($first, 'keys'));
        $away = new LiveState(statuses: ['ann' => new LiveStatus(Status::Away)]);
        self::assertFalse($known->since($plan, $away, 'a', [])->has($first, 'keys'));
        self::assertFalse($known->since($plan, new LiveState(), 'b', [])->has($first, 'keys'));
    }

    public function testWhatTwoLiveStatesSayDifferently(): void
    {
        $forced = static fn(string $hours, ?int $until): Override => new Override(
            '1',
            $hours,
            'closed',
            self::FROM,
            $until,
            new ForcedBy('Ann', ''),
        );
        $one = new LiveState([$forced('hrs_a', 1), $forced('hrs_b', 1)], ['ann' => new LiveStatus(Status::Away)]);
        self::assertSame([], $one->differing($one));
        self::assertSame(['hrs_a', 'hrs_b', 'ann'], (new LiveState())->differing($one));
        $other = new LiveState(
            [$forced('hrs_a', 2), $forced('hrs_b', 1)],
            ['ann' => new LiveStatus(Status::Away, 9)],
            ['que' => ['ben' => SignIn::Out]],
        );
        self::assertSame(['hrs_a', 'ann', 'que'], $one->differing($other));
    }

    /** @return list<string> elements that the later plan has and the earlier has not, or has differently; by id */
    private static function written(Plan $before, Plan $after): array
    {
        return array_keys(
            array_filter(
                $after->elements(),
                static fn(Element $one): bool => null === $before->find($one->id()) ||
                    PlanCodec::encodeElement($before->elements()[$one->id()]) !== PlanCodec::encodeElement($one),
            ),
        );
    }

    /** The main line forwards to Ben's number; Ann has one of her own. */
    private static function harbour(): PlanBuilder
    {
        $number = static fn(string $who, int $last): array => [
            'id' => 'num_' . $who,
            'kind' => 'number',
            'name' => $who,
            'number' => '+44163296017' . $last,
            'site' => 'sit_harbour',
            'target' => $who,
        ];

        return (new PlanBuilder())
            ->person('ann')
            ->person('ben')
            ->with($number('ann', 1))
            ->with($number('ben', 2))
            ->journey('jrn_main', [['id' => 's1', 'do' => 'forward', 'number' => '+441632960172']]);
    }

    /** @return list<array<string, mixed>> about any number */
    private static function promises(): array
    {
        $promises = [
            ['that' => 'ends with', 'outcomes' => ['person', 'message', 'outside']],
            ['that' => 'is over within', 'seconds' => 90],
        ];

        return array_map(
            static fn(array $promise, int $i): array => [
                'id' => 'exp_any_' . $i,
                'kind' => 'expectation',
                'name' => 'Any ' . $i,
                'promise' => $promise,
            ],
            $promises,
            array_keys($promises),
        );
    }

    private static function live(Plan $plan): LiveState
    {
        $hours = $plan->all(Hours::class);
        $people = $plan->all(Person::class);
        $one = $hours[mt_rand(0, \count($hours) - 1)];
        $from = self::FROM + mt_rand(-5, 5) * 3600;

        return new LiveState(
            [new Override('1', $one->id(), $one->states->default, $from, $from + self::DAY, new ForcedBy('Ann', ''))],
            [$people[mt_rand(0, \count($people) - 1)]->id() => new LiveStatus(Status::Away, $from + 9000)],
        );
    }

    /** @return list<array{string, mixed}> what changes, by what is dialled */
    private static function changes(Plan $before, Plan $after, LiveState $live, int $until, Known $known): array
    {
        $call = new TrialCall('', Caller::withheld(), self::FROM);
        $all = static fn(Plan $plan): AllNumbers => new AllNumbers($plan, $call, self::FROM, $until, live: $live);
        $fares = static fn(Plan $plan): Fares => new Fares($plan, self::FROM, $until, $live);
        $impact = new PlanImpact(PlanImpact::numbers($before, $after), $all($before), $all($after), [
            $fares($before),
            $fares($after),
        ]);
        $lookedUp = new LookedUp(new PlanHours($after, $live->overrides), self::FROM, $until);
        $tell = static fn(Number $number, array $changes): array => ImpactReport::of(
            $changes,
            new ChangeWords($after, $before),
            self::FROM,
            $until,
            $after->zoneOf($number->line->site),
            $lookedUp,
        );
        [$told, , $unlooked] = $impact->find($tell, static fn(): bool => true, $known);
        self::assertSame(0, $unlooked);

        return array_map(static fn(array $one): array => [$one[0]->range->number, $one[1]], $told);
    }

    /** @return list<array<string, mixed>> what is found in how calls fare */
    private static function found(Plan $plan, LiveState $live, int $until, ?Known $known = null): array
    {
        [$findings] = YearChecks::in(new Fares($plan, self::FROM, $until, $live), static fn(): bool => true, $known);

        return array_map(static fn(Finding $one): array => FindingWords::report($one, null), $findings);
    }

    /** @return list<array<string, mixed>> */
    private static function hold(
        Plan $plan,
        LiveState $live,
        Known $known,
        int $from,
        int $until,
        \Closure $asked,
    ): array {
        $fares = new Fares($plan, self::FROM, $until, $live);

        return self::told($plan, new Holding($fares, $known, $from, $until), $from, $until, $asked);
    }

    /** @return list<array<string, mixed>> */
    private static function anew(Plan $plan, LiveState $live, int $from, int $until): array
    {
        return self::told($plan, new Holding(new Fares($plan, $from, $until, $live)), $from, $until);
    }

    /** @return list<array<string, mixed>> */
    private static function told(Plan $plan, Holding $holding, int $from, int $until, ?\Closure $asked = null): array
    {
        $report = new PromiseReport($plan, $from, $until);
        $asked ??= static fn(): bool => true;

        return array_map($report->of(...), $holding->hold($plan->all(Expectation::class), $asked));
    }
}
