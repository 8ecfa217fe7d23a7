<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Proof;

use Meandros\Core\Call\Assumptions;
use Meandros\Core\Call\Behaviour;
use Meandros\Core\Call\Caller;
use Meandros\Core\Call\TrialCall;
use Meandros\Core\Plan\Element\Expectation;
use Meandros\Core\Plan\Expected\PromiseReader;
use Meandros\Core\Plan\Json\PlanCodec;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Proof\Fares\Fares;
use Meandros\Core\Proof\Promised\Breach;
use Meandros\Core\Proof\Promised\Held;
use Meandros\Core\Proof\Promised\Holding;
use Meandros\Core\Proof\Promised\Keepings;
use Meandros\Core\Proof\Promised\Suggestion;
use Meandros\Core\Reading\InvalidData;
use Meandros\Core\Reading\Problem;
use Meandros\Core\Routing\Happening\Asked;
use Meandros\Core\Routing\Router;
use Meandros\Core\Routing\Trace;
use Meandros\Core\Tests\PlanBuilder;
use Meandros\Core\Tests\Soak;
use Meandros\Core\Time\Moment;
use Meandros\Core\Wording\PromiseReport;
use Meandros\Core\Wording\PromiseWords;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Expectations are kept exactly where no call that they name fares otherwise. */
final class PromisesTest extends TestCase
{
    private const FROM = '2027-01-01T00:00';
    private const DAY = 86400;
    private const STEP_SECONDS = 220_009;
    private const PHONES = ['ann' => ['ann'], 'team' => ['ann', 'ben']];

    /**
     * @param array<string, mixed> $promise
     * @param array<string, mixed> $more
     */
    #[DataProvider('promises')]
    public function testAPromise(array $promise, array $more, string $sentence, ?string $first): void
    {
        $plan = self::harbour();
        $expectation = self::expectation($promise, $more);
        $held = self::hold($plan, $expectation);
        self::assertSame($sentence, (new PromiseWords($plan))->sentence($expectation));
        self::assertSame($first, self::first($held));
        self::assertTrue($held->isComplete);
        $again = PlanCodec::element($expectation->toJson());
        self::assertSame($expectation->toJson(), $again->toJson());
    }

    /** @return iterable<string, array{array<string, mixed>, array<string, mixed>, string, string|null}> */
    public static function promises(): iterable
    {
        $open = ['when' => ['hours' => 'hrs', 'states' => []]];
        $closed = ['when' => ['hours' => 'hrs', 'states' => ['closed', 'lunch']]];
        yield 'somebody rings' => [
            ['that' => 'rings', 'who' => null, 'within' => null],
            $open,
            'Calls to any number · while hrs are open · ring somebody',
            '2027-01-01T09:00:00+00:00 [1] nobody: the call ends',
        ];
        yield 'in time' => [
            ['that' => 'rings', 'who' => 'ann', 'within' => 5],
            $open + ['calls' => ['keys' => []]],
            'Calls to any number, where nothing is pressed · while hrs are open · ring Ann within 5 s',
            null,
        ];
        yield 'too late by a second' => [
            ['that' => 'rings', 'who' => 'team', 'within' => 4],
            $open + ['calls' => ['to' => ['num_main'], 'keys' => []]],
            'Calls to Main line, where nothing is pressed · while hrs are open · ring team within 4 s',
            // Four seconds of welcome, and one in which a key may come.
            '2027-01-01T09:00:00+00:00 [] rings team, then mbx',
        ];
        yield 'behind a key' => [
            ['that' => 'never rings', 'who' => 'cid'],
            [],
            'Calls to any number · always · never ring Cid',
            '2027-01-01T09:00:00+00:00 [2] rings Cid, then team, then mbx',
        ];
        yield 'by that key' => [
            ['that' => 'rings', 'who' => 'cid'],
            [
                'calls' => ['keys' => ['2']],
                'when' => ['windows' => [['days' => ['we'], 'from' => '12:00', 'to' => '12:01']]],
            ],
            'Calls to any number, with key 2 pressed · Wed 12:00–12:01 · ring Cid',
            null,
        ];
        yield 'by a key that nobody asks for' => [
            ['that' => 'rings', 'who' => 'cid'],
            ['calls' => ['keys' => ['2']]] + $closed,
            'Calls to any number, with key 2 pressed · while hrs are “Closed” or “Lunch” · ring Cid',
            '2027-01-01T00:00:00+00:00 [2] a message with mbx',
        ];
        yield 'heard' => [
            ['that' => 'hears', 'prompt' => 'prm_closed'],
            $closed,
            'Calls to any number · while hrs are “Closed” or “Lunch” · hear “prm_closed”',
            null,
        ];
        yield 'heard on a holiday' => [
            ['that' => 'never hears', 'prompt' => 'prm_closed'],
            ['when' => ['calendar' => 'cal']],
            'Calls to any number · on holidays of Feasts · never hear “prm_closed”',
            '2027-05-03T00:00:00+01:00 [] a message with mbx',
        ];
        yield 'with a message' => [
            ['that' => 'ends with', 'outcomes' => ['message', 'person']],
            [],
            'Calls to any number · always · never end without somebody who answers or a message',
            '2027-01-01T09:00:00+00:00 [1] nobody: the call ends',
        ];
        yield 'of a caller list' => [
            ['that' => 'ends with', 'outcomes' => ['outside']],
            ['calls' => ['from' => ['clr'], 'keys' => ['1', '2']]],
            'Calls to any number from Regulars, with key 1, then 2 pressed · always · never end without a number outside',
            '2027-01-01T00:00:00+00:00 [1 2] a message with mbx',
        ];
        yield 'for so long' => [
            ['that' => 'is over within', 'seconds' => 300],
            [],
            'Calls to any number · always · keep nobody longer than 5 min where nobody answers',
            null,
        ];
        yield 'until midnight' => [
            ['that' => 'never rings', 'who' => null],
            ['when' => ['windows' => [['days' => ['fr'], 'from' => '20:00', 'to' => '24:00']]]],
            'Calls to any number · Fri 20:00–24:00 · never ring anybody',
            null,
        ];
        yield 'overnight' => [
            ['that' => 'never rings', 'who' => null],
            ['when' => ['windows' => [['days' => ['fr'], 'from' => '20:00', 'to' => '33:01']]]],
            'Calls to any number · Fri 20:00–09:01 · never ring anybody',
            // Sat 2 Jan 2027 is a working day of hrs.
            '2027-01-02T09:00:00+00:00 [] rings team, then mbx',
        ];
    }

    public function testWhatStandsBehindBusyPhonesIsHeldToo(): void
    {
        $plan = (new PlanBuilder())
            ->person('ann')
            ->mailbox('mbx')
            ->journey('jrn_main', [
                [
                    'id' => 'r1',
                    'do' => 'ring',
                    'target' => 'ann',
                    'seconds' => 20,
                    'exits' => [['on' => 'busy', 'steps' => [['id' => 'e1', 'do' => 'end']]]],
                ],
                ['id' => 'm1', 'do' => 'message', 'mailbox' => 'mbx'],
            ])
            ->plan();
        $held = self::hold($plan, self::expectation(['that' => 'ends with', 'outcomes' => ['message']], []));
        self::assertSame(
            [[Behaviour::Busy, []]],
            array_map(static fn(Breach $one): array => [$one->phones, $one->keys], $held->breaches),
        );
        // Whoever is to ring within so many seconds need not do so where every phone is busy.
        $rings = self::expectation(['that' => 'rings', 'who' => 'ann', 'within' => 1], []);
        self::assertTrue(self::hold($plan, $rings)->isKept());
    }

    /** Callers from France are cut off at any rate; others where the phone is busy. */
    public function testWhatIsBrokenForSomeCallersIsLookedAtForOthers(): void
    {
        $end = static fn(string $id): array => [['id' => $id, 'do' => 'end']];
        $ring = ['id' => 'r1', 'do' => 'ring', 'target' => 'ann', 'seconds' => 20];
        $plan = (new PlanBuilder())
            ->person('ann')
            ->mailbox('mbx')
            ->with(['id' => 'cls', 'kind' => 'callers', 'name' => 'France', 'entries' => '+33*'])
            ->journey('jrn_main', [
                ['id' => 'c1', 'do' => 'caller', 'exits' => [['on' => 'cls', 'steps' => $end('e1')]]],
                $ring + ['exits' => [['on' => 'busy', 'steps' => $end('e2')]]],
                ['id' => 'm1', 'do' => 'message', 'mailbox' => 'mbx'],
            ])
            ->plan();
        $held = self::hold($plan, self::expectation(['that' => 'ends with', 'outcomes' => ['message']], []));
        self::assertEqualsCanonicalizing(
            [['+33000000000', null], ['+447700900123', Behaviour::Busy]],
            array_map(static fn(Breach $one): array => [$one->caller->text, $one->phones], $held->breaches),
        );
    }

    public function testWhatStandsBehindABusyNumberOutsideIsHeldToo(): void
    {
        $plan = (new PlanBuilder())
            ->journey('jrn_main', [
                [
                    'id' => 'f1',
                    'do' => 'forward',
                    'number' => '+441632960987',
                    'exits' => [['on' => 'busy', 'steps' => [['id' => 'e1', 'do' => 'end']]]],
                ],
                ['id' => 'e2', 'do' => 'end'],
            ])
            ->plan();
        $held = self::hold($plan, self::expectation(['that' => 'ends with', 'outcomes' => ['outside']], []));
        self::assertContains(
            Behaviour::Busy,
            array_map(static fn(Breach $one): ?Behaviour => $one->phones, $held->breaches),
        );
    }

    public function testNobodyIsKeptLongerToTheSecond(): void
    {
        $plan = (new PlanBuilder())
            ->person('ann')
            ->journey('jrn_main', [['id' => 'r1', 'do' => 'ring', 'target' => 'ann', 'seconds' => 20]])
            ->plan();
        $isKept = static fn(int $seconds): bool => self::hold(
            $plan,
            self::expectation(['that' => 'is over within', 'seconds' => $seconds], []),
        )->isKept();
        self::assertSame([false, true], [$isKept(19), $isKept(20)]);
    }

    public function testANumberThatWasGivenUpPromisesNothing(): void
    {
        $expectation = self::expectation(['that' => 'rings', 'who' => null], ['calls' => ['to' => ['num_old']]]);
        $held = self::hold(self::harbour(), $expectation);
        self::assertSame([false, []], [$held->applies, $held->breaches]);
        $from = Moment::parse(self::FROM, 'Europe/London');
        $report = (new PromiseReport(self::harbour(), $from, $from + self::DAY))->of($held);
        self::assertSame('never due', $report['state']);
    }

    public function testWhatThereIsNoTimeForIsCounted(): void
    {
        $plan = self::harbour();
        $from = Moment::parse(self::FROM, 'Europe/London');
        [$held] = (new Holding(new Fares($plan, $from, $from + self::DAY)))->hold(
            [self::expectation(['that' => 'ends with', 'outcomes' => ['person']], [])],
            static fn(): bool => false,
        );
        self::assertSame(1, $held->left);
        $told = (new PromiseReport($plan, $from, $from + self::DAY))->of($held);
        self::assertSame(['not looked at', 'ring on'], [$told['state'], $told['phones']]);
    }

    public function testWhereKeysMayBePressedInTooManyWaysItIsNotAll(): void
    {
        $count = 0;
        $menu = static function (int $deep) use (&$menu, &$count): array {
            $exits = [];
            for ($key = 1; $key <= 9; ++$key) {
                $exits[] = ['on' => (string) $key, 'steps' => 0 === $deep ? [] : [$menu($deep - 1)]];
            }

            return ['id' => 's' . ++$count, 'do' => 'menu', 'prompt' => null, 'wait' => 1, 'tries' => 1] + [
                'exits' => $exits,
            ];
        };
        $from = Moment::parse(self::FROM, 'Europe/London');
        $isAll = static function (int $deep) use ($menu, $from): bool {
            $plan = (new PlanBuilder())->journey('jrn_main', [$menu($deep)])->plan();
            $never = self::expectation(['that' => 'never rings', 'who' => null], []);
            $always = static fn(): bool => true;

            return (new Holding(new Fares($plan, $from, $from + self::DAY)))->hold([$never], $always)[0]->isComplete;
        };
        self::assertSame([true, false], [$isAll(1), $isAll(2)]);
    }

    public function testThoseThatAreNamedAreLookedAtFirst(): void
    {
        $number = ['id' => 'num_z', 'kind' => 'number', 'name' => 'Z', 'number' => '+441632960198'];
        $plan = (new PlanBuilder())
            ->person('ann')
            ->with($number + ['site' => 'sit_harbour', 'language' => 'en', 'target' => 'ann'])
            ->plan();
        $from = Moment::parse(self::FROM, 'Europe/London');
        $told = [];
        $once = static function (int $done, int $of) use (&$told): bool {
            $told[] = [$done, $of];

            return 0 === $done;
        };
        $ends = ['that' => 'ends with', 'outcomes' => ['person']];
        $promises = [self::expectation($ends, []), self::expectation($ends, ['calls' => ['to' => ['num_z']]])];
        $holding = new Holding(new Fares($plan, $from, $from + self::DAY));
        $held = $holding->hold($promises, $once);
        self::assertSame([1, 0], array_map(static fn(Held $one): int => $one->left, $held));
        self::assertSame([[0, 2], [1, 2]], $told);
        $more = $holding->whateverPhonesDo($held, static fn(): bool => false);
        self::assertSame(
            [[1, false, true], [0, false, true]],
            array_map(static fn(Held $one): array => [$one->left, $one->isComplete, $one->whatever], $more),
            'What phones do was looked at for no number; where they ring on, for all but one.',
        );
    }

    public function testWhereNotAllOfOneNumberWasLookedAtItIsNotAll(): void
    {
        $none = new Held(self::expectation(['that' => 'rings', 'who' => null], []), [], false, true, 0, false);
        self::assertFalse($none->with([], true, false)->with([], true, true)->isComplete);
        self::assertTrue($none->with([], false, true)->with([], true, true)->isComplete);
        self::assertTrue($none->with([], true, true)->with([], false, true)->applies);
        self::assertSame(5, $none->leaving(2)->leaving(3)->left);
    }

    public function testEveryKindOfPromiseIsHeldAndSaid(): void
    {
        self::assertEqualsCanonicalizing(array_values(PromiseReader::ALL), array_keys(Keepings::all()));
        $schema = json_decode(
            (string) file_get_contents(__DIR__ . '/../../schema/plan.schema.json'),
            true,
            64,
            \JSON_THROW_ON_ERROR,
        )['$defs'];
        self::assertEqualsCanonicalizing(
            array_keys(PromiseReader::ALL),
            array_map(
                static fn(array $one): string => $schema[basename($one['$ref'])]['properties']['that']['const'],
                $schema['promise']['oneOf'],
            ),
        );
        $said = [];
        foreach (self::promises() as [$promise]) {
            $said[] = $promise['that'];
        }
        self::assertEqualsCanonicalizing(array_keys(PromiseReader::ALL), array_values(array_unique($said)));
    }

    /** @param array<string, mixed> $element */
    #[DataProvider('wrong')]
    public function testWhatIsNoExpectationIsRefused(array $element, string $pointer, string $code): void
    {
        try {
            PlanCodec::element(
                $element + ['id' => 'exp', 'kind' => 'expectation', 'name' => 'E', 'promise' => ['that' => 'rings']],
            );
            self::fail('It was taken.');
        } catch (InvalidData $invalid) {
            self::assertSame(
                [[$pointer, $code]],
                array_map(static fn(Problem $one): array => [$one->pointer, $one->code], $invalid->problems),
            );
        }
    }

    /** @return iterable<array{array<string, mixed>, string, string}> */
    public static function wrong(): iterable
    {
        yield [['promise' => ['that' => 'sings']], '/promise/that', 'not-a-promise'];
        yield [['promise' => ['that' => 'rings', 'within' => -1]], '/promise/within', 'not-whole'];
        yield [['promise' => ['that' => 'never rings', 'within' => 1]], '/promise/within', 'field-not-known'];
        yield [['promise' => ['that' => 'hears', 'prompt' => '']], '/promise/prompt', 'missing'];
        yield [['promise' => ['that' => 'ends with', 'outcomes' => []]], '/promise/outcomes', 'outcome-missing'];
        yield [['promise' => ['that' => 'is over within']], '/promise/seconds', 'not-whole'];
        yield [['calls' => ['keys' => ['x']]], '/calls/keys/0', 'not-a-key'];
        yield [['when' => ['states' => ['open']]], '/when/states', 'states-of-no-hours'];
    }

    /**
     * @param list<string>         $keys
     * @param array<string, mixed> $promise
     */
    #[DataProvider('suggested')]
    public function testWhatIsExpectedOfAnAnswerIsSoThen(string $at, array $keys, string $state, array $promise): void
    {
        $plan = self::harbour();
        $trace = (new Router())->trace($plan, PlanBuilder::trial($at), Assumptions::fromData(['keys' => $keys]));
        $expectation = Suggestion::of($trace, $plan);
        self::assertNotNull($expectation);
        self::assertSame([['num_main'], [], $keys], [...array_values($expectation->calls->toJson())]);
        self::assertSame(['hrs', [$state]], [$expectation->when->hours, $expectation->when->states]);
        self::assertSame($promise, $expectation->promise->toJson());
        self::assertSame([], self::hold($plan, $expectation)->breaches);
    }

    /** @return iterable<array{string, list<string>, string, array<string, mixed>}> */
    public static function suggested(): iterable
    {
        yield ['2027-01-04T10:00', [], 'open', ['that' => 'rings', 'who' => 'team', 'within' => 10]];
        yield ['2027-01-04T10:00', ['2'], 'open', ['that' => 'rings', 'who' => 'cid', 'within' => 10]];
        yield ['2027-01-04T10:00', ['1'], 'open', ['that' => 'hears', 'prompt' => 'prm_welcome']];
        yield ['2027-01-04T20:00', [], 'closed', ['that' => 'ends with', 'outcomes' => ['message']]];
    }

    public function testRandomPlansAsIfEveryCallWasTraced(): void
    {
        mt_srand(Soak::seed());
        $compared = [0, 0];
        for ($i = 0, $count = Soak::count(15); $i < $count; ++$i) {
            $plan = RandomPlans::one();
            $from = Moment::parse(self::FROM, 'Europe/London');
            $promise = [
                ['that' => 'rings', 'who' => 'ann', 'within' => mt_rand(0, 30)],
                ['that' => 'never rings', 'who' => 'team'],
                ['that' => 'hears', 'prompt' => 'prm_b'],
                ['that' => 'ends with', 'outcomes' => ['message']],
                ['that' => 'is over within', 'seconds' => mt_rand(10, 120)],
            ][$i % 5];
            $held = self::hold($plan, self::expectation($promise, []));
            for ($at = $from; $at < $from + 365 * self::DAY; $at += self::STEP_SECONDS) {
                $keys = array_map(static fn(): string => (string) mt_rand(1, 2), array_fill(0, mt_rand(0, 3), 0));
                $isKept = [];
                foreach ([null, ...Keepings::phones($held->expectation->promise)] as $does) {
                    $trace = (new Router())->trace(
                        $plan,
                        new TrialCall(PlanBuilder::NUMBER, Caller::parse('', 'GB'), $at),
                        Assumptions::fromData([
                            'keys' => $keys,
                            'phones' => null === $does ? [] : [['who' => '*', 'does' => $does->value]],
                        ]),
                    );
                    if (self::isOfThoseThatAreTried($trace, \count($keys))) {
                        $isKept[] = self::keeps($promise, $trace);
                    }
                }
                if ([] !== $isKept) {
                    $isAlwaysKept = !\in_array(false, $isKept, true);
                    self::assertSame(
                        !$isAlwaysKept,
                        self::isToldOf($held, $keys, $at),
                        implode(' ', $keys) . " $at $i",
                    );
                    ++$compared[(int) $isAlwaysKept];
                }
            }
        }
        self::assertGreaterThan(16 * $count, min($compared));
    }

    /** Every key did something, and no menu was answered twice. */
    private static function isOfThoseThatAreTried(Trace $trace, int $keys): bool
    {
        $menus = [];
        foreach ($trace->passage->events as $event) {
            if ($event->happening instanceof Asked && !$event->happening->pressed->isNothing()) {
                if (!$event->happening->pressed->known || isset($menus[$event->step])) {
                    return false;
                }
                $menus[$event->step] = true;
            }
        }

        return \count($menus) === $keys;
    }

    /** @param array<string, mixed> $promise read from what the trace shows to everybody */
    private static function keeps(array $promise, Trace $trace): bool
    {
        $phones = array_map(
            static fn(array $one): array => [$one['person'], $one['rings']],
            array_map(static fn($rung): array => $rung->toJson(), $trace->passage->rung),
        );
        $rang = static fn(array $people): array => array_column(
            array_filter($phones, static fn(array $one): bool => null !== $one[1] && \in_array($one[0], $people, true)),
            1,
        );
        $heard = $targets = [];
        foreach ($trace->passage->events as $event) {
            $what = $event->happening->what();
            ($what['seconds'] ?? 0) > 0 && ($heard[] = $what['prompt'] ?? null);
            $targets[] = $what['target'] ?? null;
        }

        return match ($promise['that']) {
            'rings' => [] !== $rang(['ann']) && min($rang(['ann'])) <= $promise['within'],
            'never rings' => !\in_array('team', $targets, true),
            'hears' => \in_array('prm_b', $heard, true),
            'ends with' => 'message' === $trace->ending->kind->value,
            default => $trace->seconds <= $promise['seconds'],
        };
    }

    /** @param list<string> $keys */
    private static function isToldOf(Held $held, array $keys, int $at): bool
    {
        foreach ($held->breaches as $breach) {
            foreach ($breach->keys === $keys ? $breach->times->all() : [] as [$since, $until]) {
                if ($since <= $at && $at < $until) {
                    return true;
                }
            }
        }

        return false;
    }

    /**
     * @param array<string, mixed> $promise
     * @param array<string, mixed> $more
     */
    private static function expectation(array $promise, array $more): Expectation
    {
        $element = PlanCodec::element(
            ['id' => 'exp', 'kind' => 'expectation', 'name' => 'E', 'promise' => $promise] + $more,
        );
        self::assertInstanceOf(Expectation::class, $element);

        return $element;
    }

    /** Keys 1 and 2 lead to Ann, as nothing does; key 3 leads to Ben. */
    public function testWhatIsToldOfSeveralKeysIsToldOnce(): void
    {
        $plan = (new PlanBuilder())
            ->person('ann')
            ->person('ben')
            ->journey('jrn_main', [
                [
                    'id' => 'menu',
                    'do' => 'menu',
                    'prompt' => null,
                    'wait' => 1,
                    'tries' => 1,
                    'exits' => [
                        ['on' => '1', 'steps' => []],
                        ['on' => '2', 'steps' => []],
                        [
                            'on' => '3',
                            'steps' => [
                                ['id' => 's1', 'do' => 'ring', 'target' => 'ben', 'seconds' => 9],
                                ['id' => 's2', 'do' => 'end'],
                            ],
                        ],
                    ],
                ],
                ['id' => 's3', 'do' => 'ring', 'target' => 'ann', 'seconds' => 9],
            ])
            ->plan();
        $held = self::hold($plan, self::expectation(['that' => 'ends with', 'outcomes' => ['message']], []));
        $from = Moment::parse(self::FROM, 'Europe/London');
        $told = (new PromiseReport($plan, $from, $from + 365 * self::DAY))->of($held);
        self::assertSame(
            [[[], [['1'], ['2']], 'rings Ann'], [['3'], null, 'rings Ben']],
            array_map(
                static fn(array $one): array => [$one['keys'], $one['alsoKeys'] ?? null, $one['what']],
                \array_slice($told['breaches'], 0, 2),
            ),
        );
        self::assertSame(\count($told['breaches']), $told['ways']);
    }

    private static function hold(Plan $plan, Expectation $expectation): Held
    {
        $from = Moment::parse(self::FROM, 'Europe/London');

        $holding = new Holding(new Fares($plan, $from, $from + 365 * self::DAY));
        $always = static fn(): bool => true;

        return $holding->whateverPhonesDo($holding->hold([$expectation], $always), $always)[0];
    }

    private static function first(Held $held): ?string
    {
        $breach = $held->breaches[0] ?? null;
        $report = new PromiseReport(self::harbour(), 0, 1);

        return null === $breach
            ? null
            : \sprintf(
                '%s [%s] %s',
                Moment::format($breach->times->since(), 'Europe/London'),
                implode(' ', $breach->keys),
                $report->what($breach),
            );
    }

    /** Open every day 09:00–17:00, with an hour of lunch and one holiday; a menu while it is open. */
    private static function harbour(): Plan
    {
        $days = ['mo', 'tu', 'we', 'th', 'fr', 'sa', 'su'];
        $message = ['id' => 'm1', 'do' => 'message', 'mailbox' => 'mbx'];

        return (new PlanBuilder())
            ->person('ann')
            ->person('ben')
            ->person('cid')
            ->team('team', ['ann', 'ben'])
            ->mailbox('mbx')
            ->prompt('prm_welcome', 4)
            ->prompt('prm_closed', 3)
            ->with([
                'id' => 'cal',
                'kind' => 'calendar',
                'name' => 'Feasts',
                'holidays' => [
                    [
                        'id' => 'may',
                        'name' => 'May',
                        'rule' => ['on' => 'nth weekday', 'nth' => 1, 'weekday' => 'mo', 'month' => 5],
                    ],
                ],
            ])
            ->with(['id' => 'clr', 'kind' => 'callers', 'name' => 'Regulars', 'entries' => '+441632960701'])
            ->hours('hrs', [
                ['days' => $days, 'from' => '09:00', 'to' => '12:30', 'state' => 'open'],
                ['days' => $days, 'from' => '12:30', 'to' => '13:00', 'state' => 'closed'],
                ['days' => $days, 'from' => '13:00', 'to' => '17:00', 'state' => 'open'],
            ])
            ->with([
                'id' => 'num_old',
                'kind' => 'number',
                'name' => 'Old',
                'number' => '+441632960199',
                'site' => 'sit_harbour',
                'language' => 'en',
                'target' => null,
                'keptUntil' => '2030-01-01',
            ])
            ->journey('jrn_main', [
                [
                    'id' => 'h1',
                    'do' => 'hours',
                    'hours' => 'hrs',
                    'exits' => [
                        [
                            'on' => 'open',
                            'steps' => [
                                [
                                    'id' => 'menu',
                                    'do' => 'menu',
                                    'prompt' => 'prm_welcome',
                                    'wait' => 1,
                                    'tries' => 1,
                                    'exits' => [
                                        ['on' => '1', 'steps' => [['id' => 'e1', 'do' => 'end']]],
                                        [
                                            'on' => '2',
                                            'steps' => [
                                                ['id' => 'r2', 'do' => 'ring', 'target' => 'cid', 'seconds' => 9],
                                            ],
                                        ],
                                    ],
                                ],
                                ['id' => 'r1', 'do' => 'ring', 'target' => 'team', 'seconds' => 20],
                                $message,
                            ],
                        ],
                    ],
                ],
                ['id' => 'c1', 'do' => 'say', 'prompt' => 'prm_closed'],
                ['id' => 'm2', 'do' => 'message', 'mailbox' => 'mbx'],
            ])
            ->plan();
    }
}
