<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Proof;

use Meandros\Core\Call\Assumptions;
use Meandros\Core\Plan\Element\Expectation;
use Meandros\Core\Plan\Element\Number;
use Meandros\Core\Plan\Json\PlanCodec;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Proof\AllNumbers;
use Meandros\Core\Proof\Course;
use Meandros\Core\Proof\EachNumber;
use Meandros\Core\Proof\Fares\Fares;
use Meandros\Core\Proof\PlanImpact;
use Meandros\Core\Proof\Promised\Holding;
use Meandros\Core\Proof\Promised\Suggestion;
use Meandros\Core\Proof\Rung;
use Meandros\Core\Proof\Touched;
use Meandros\Core\Routing\Router;
use Meandros\Core\Tests\PlanBuilder;
use Meandros\Core\Time\Moment;
use Meandros\Core\Wording\PromiseWords;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** Calls to every number of a block are looked at: to those of people, and to those that lead to its target. */
final class EachNumberTest extends TestCase
{
    private const AT = '2026-11-23T10:30';
    private const FIRST = 441632960200;
    private const BLOCK = ['last' => '+441632960205', 'extension' => '200'];
    private const SHORTER = ['last' => '+441632960203', 'extension' => '200'];

    public function testABlockIsTakenApart(): void
    {
        $found = [];
        foreach (self::plan()->all(Number::class) as $number) {
            foreach (EachNumber::of(self::plan(), $number) as $one) {
                $found[] = \sprintf('%s %s: %s', $one->range->number, $one->name(), $one->target?->element);
            }
        }
        self::assertSame(
            [
                '+441632960100 Main line: jrn_main',
                '+441632960200 block: jrn',
                '+441632960201 block (Ann): ann',
                '+441632960203 block (Ben): ben',
                '+441632960204 alone: mbx',
                '+441632960301 shared: mbx',
                '+441632960300 first: ann',
                '+44163296020 all: mbx',
            ],
            $found,
        );
    }

    public function testOthersMayTakeAllOfIt(): void
    {
        $plan = self::plan(['200' => 'ann', '201' => 'ben'], ['last' => '+441632960201', 'extension' => '200']);
        self::assertSame([], EachNumber::toTarget($plan, self::block($plan)));
        self::assertCount(2, EachNumber::of($plan, self::block($plan)));
    }

    public function testWhateverIsDialledFaresLikeOneThatIsLookedAt(): void
    {
        $plan = self::plan();
        $looked = [];
        foreach ((new Fares($plan, 0, 1))->numbers() as $numbers) {
            foreach ($numbers as $one) {
                $looked[$one->id()][] = self::course($plan, $one->range->number);
            }
        }
        for ($dialled = self::FIRST; $dialled < self::FIRST + 6; ++$dialled) {
            $id = (string) $plan->dialled("+$dialled")?->id();
            self::assertContains(self::course($plan, "+$dialled"), $looked[$id], "+$dialled");
        }
    }

    public function testThoseAreTouchedThatLeadThere(): void
    {
        $touched = static fn(string $id): array => array_keys(Touched::numbers(self::plan(), [$id]));
        self::assertSame(['+441632960201', '+441632960300'], $touched('ann'));
        self::assertSame(['+441632960200'], $touched('jrn'));
        self::assertSame([], $touched('dot'), 'Another number takes the one for the extension.');
        // The main line rings Ben by his direct one.
        $bens = ['+441632960203', '+441632960100'];
        self::assertSame($bens, $touched('ben'));
        self::assertSame(['+441632960200', '+441632960201', ...$bens], $touched('block'));
    }

    public function testWhatChangesIsToldOfEach(): void
    {
        $plan = self::plan();
        self::assertSame(
            ['+441632960201 block', '+441632960205 block (Ann)'],
            self::changed($plan, self::plan(['205' => 'ann', '203' => 'ben'])),
        );
        // Ann has the one that stood for those of nobody, and these go elsewhere: another stands for them.
        self::assertSame(
            ['+441632960201 block', '+441632960202 block', '+441632960200 block (Ann)'],
            self::changed($plan, self::plan(['200' => 'ann', '203' => 'ben'], target: 'mbx')),
        );
        // Its last ones are taken by what begins so.
        self::assertSame(['+441632960205 all'], self::changed($plan, self::plan(block: self::SHORTER)));
        self::assertSame(['+441632960205 block'], self::changed(self::plan(block: self::SHORTER), $plan));
    }

    public function testWhatIsExpectedNamesANumberOrWhoseItIs(): void
    {
        $named = [
            '+441632960201' => 'ann',
            // Nobody has it, and others of the block lead to people.
            '+441632960202' => null,
            '+441632960301' => 'shared',
            '+441632960204' => 'alone',
            '201' => null,
        ];
        foreach ($named as $dialled => $to) {
            $dialled = (string) $dialled;
            $trace = (new Router())->trace(self::plan(), PlanBuilder::trial(self::AT, $dialled), new Assumptions());
            self::assertSame($to, Suggestion::of($trace, self::plan())?->calls->to[0], $dialled);
        }
    }

    public function testPeopleAreReadAloudWithTheirNumbers(): void
    {
        $trace = (new Router())->trace(self::plan(), PlanBuilder::trial(self::AT, '+441632960201'), new Assumptions());
        $expectation = Suggestion::of($trace, self::plan()) ?? self::fail();
        self::assertSame('Ann', $expectation->name());
        foreach (
            ['en' => 'Calls to Ann’s own number', 'fr' => 'Appels à la ligne directe de Ann']
            as $language => $words
        ) {
            $said = (new PromiseWords(self::plan(), $language))->parts($expectation)['calls'];
            self::assertStringStartsWith($words, $said);
        }
    }

    /**
     * @param list<string> $to
     * @param list<string> $numbers
     */
    #[TestWith([['ann'], ['+441632960201', '+441632960300']], 'by a block, and by one that stands alone')]
    #[TestWith([['ben'], ['+441632960203']])]
    #[TestWith([['dot'], []], 'another number takes the one for the extension')]
    #[TestWith([['first', 'ann'], ['+441632960201', '+441632960300']], 'each once')]
    #[TestWith([['block'], ['+441632960200', '+441632960201', '+441632960203']])]
    public function testAPromiseNamesPeopleForTheNumbersThatLeadStraightToThem(array $to, array $numbers): void
    {
        $from = Moment::parse(self::AT, 'Europe/London');
        $expectation = PlanCodec::element([
            'id' => 'exp',
            'kind' => 'expectation',
            'name' => 'E',
            'calls' => ['to' => $to],
            'promise' => ['that' => 'never rings', 'who' => null],
        ]);
        self::assertInstanceOf(Expectation::class, $expectation);
        // Also where what is left of the block leads to her: that is not for her alone.
        $fares = new Fares(self::plan(target: 'ann'), $from, $from + 60);
        $found = array_map(
            static fn(Number $one): string => $one->range->number,
            array_merge(...array_values($fares->numbers($expectation->calls->to))),
        );
        sort($found);
        self::assertSame($numbers, $found);
        $holding = new Holding($fares);
        foreach (array_merge(...array_values($fares->numbers())) as $one) {
            $isKept = $holding->isKeptOf($expectation, [$one]);
            self::assertSame(\in_array($one->range->number, $numbers, true), null !== $isKept, $one->range->number);
        }
    }

    public function testOneThatWasGivenUpIsNobodysAnyMore(): void
    {
        $plan = self::plan();
        $first = $plan->get(Number::class, 'first')?->toJson() ?? self::fail();
        $plan = $plan->with(PlanCodec::element(['keptUntil' => '2030-01-01'] + $first));
        $numbers = array_merge(...array_values((new Fares($plan, 0, 1))->numbers(['ann'])));
        self::assertSame(['+441632960201'], array_map(static fn(Number $one): string => $one->range->number, $numbers));
    }

    public function testPromisesAndWhoIsRung(): void
    {
        $plan = self::plan();
        $from = Moment::parse(self::AT, 'Europe/London');
        $never = PlanCodec::element([
            'id' => 'exp',
            'kind' => 'expectation',
            'name' => 'E',
            'promise' => ['that' => 'never rings', 'who' => 'ann'],
        ]);
        self::assertInstanceOf(Expectation::class, $never);
        $always = static fn(): bool => true;
        $holding = new Holding(new Fares($plan, $from, $from + 60));
        $broken = [];
        foreach ($holding->whateverPhonesDo($holding->hold([$never], $always), $always)[0]->breaches as $breach) {
            $broken[] = array_map(static fn(Number $one): string => $one->name(), $breach->numbers);
        }
        self::assertSame([['block (Ann)', 'first']], $broken);
        [[[$numbers, $times]]] = Rung::find(
            $plan,
            'ann',
            new AllNumbers($plan, PlanBuilder::trial(self::AT), $from, $from + 60),
            $always,
        );
        self::assertSame(['+441632960201', [[$from, $from + 60]]], [$numbers[0]->range->number, $times]);
    }

    /**
     * @param array<string|int, string> $extensions whose they are
     * @param array<string, string>     $block
     */
    private static function plan(
        array $extensions = ['201' => 'ann', '203' => 'ben', '204' => 'dot'],
        array $block = self::BLOCK,
        string $target = 'jrn',
    ): Plan {
        $builder = (new PlanBuilder())->mailbox('mbx')->journey('jrn', [['id' => 's1', 'do' => 'end']]);
        $extensions = array_flip($extensions);
        foreach (['ann', 'ben', 'dot'] as $who) {
            $builder->person($who);
            $builder->with(['extension' => (string) ($extensions[$who] ?? '')] + $builder->element($who));
        }
        $number = static fn(string $id, string $number, string $target, ?array $block = null): array => [
            'id' => $id,
            'kind' => 'number',
            'name' => $id,
            'number' => $number,
            'site' => 'sit_harbour',
            'target' => $target,
            'block' => $block,
        ];

        return $builder
            ->journey('jrn_main', [['id' => 's1', 'do' => 'ring', 'target' => '+441632960203', 'seconds' => 20]])
            ->with($number('block', '+441632960200', $target, $block))
            ->with($number('alone', '+441632960204', 'mbx'))
            ->with($number('shared', '+441632960300', 'mbx', ['last' => '+441632960302', 'extension' => '']))
            ->with($number('first', '+441632960300', 'ann'))
            ->with($number('all', '+4416329602*', 'mbx'))
            ->plan();
    }

    private static function block(Plan $plan): Number
    {
        return $plan->get(Number::class, 'block') ?? self::fail();
    }

    private static function course(Plan $plan, string $dialled): string
    {
        return (new Course(
            (new Router())->trace($plan, PlanBuilder::trial(self::AT, $dialled), new Assumptions()),
        ))->key;
    }

    /** @return list<string> what is dialled, and its name then */
    private static function changed(Plan $before, Plan $after): array
    {
        $from = Moment::parse(self::AT, 'Europe/London');
        $all = static fn(Plan $plan): AllNumbers => new AllNumbers(
            $plan,
            PlanBuilder::trial(self::AT),
            $from,
            $from + 60,
        );
        $impact = new PlanImpact(PlanImpact::numbers($before, $after), $all($before), $all($after), null);

        return array_map(
            static fn(array $one): string => $one[0]->range->number . ' ' . $one[1],
            $impact->find(static fn(Number $number): string => $number->name(), static fn(): bool => true)[0],
        );
    }
}
