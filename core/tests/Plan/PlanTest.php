<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Plan;

use Meandros\Core\Plan\Element\Hours;
use Meandros\Core\Plan\Element\Number;
use Meandros\Core\Plan\Element\Prompt;
use Meandros\Core\Plan\Element\Team;
use Meandros\Core\Plan\Integrity\Integrity;
use Meandros\Core\Plan\Json\PlanCodec;
use Meandros\Core\Plan\Kind;
use Meandros\Core\Plan\Place;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Plan\PlanHours;
use Meandros\Core\Tests\KeptElements;
use Meandros\Core\Tests\PlanBuilder;
use PHPUnit\Framework\TestCase;

final class PlanTest extends TestCase
{
    public function testWhatIsChangedBesideItsSourceHasNoMark(): void
    {
        $builder = (new PlanBuilder())->person('ann');
        $plan = Plan::from('Kept', KeptElements::of($builder->plan()));
        $mark = $plan->mark();
        self::assertNotNull($mark);
        self::assertContains('ann', $plan->changedSince($mark) ?? []);
        $changed = $plan->with($builder->person('ben')->plan()->elements()['ben']);
        self::assertNull($changed->mark());
        self::assertNull($changed->changedSince($mark));
        self::assertNull($builder->plan()->mark());
    }

    public function testAStoredPlanIsTheSameAsOneInMemory(): void
    {
        $plan = self::demo();
        $stored = self::stored($plan);
        self::assertSame(PlanCodec::encode($plan), PlanCodec::encode($stored));
        foreach ($plan->elements() as $id => $element) {
            $fresh = self::stored($plan);
            self::assertSame(self::places($plan->usesOf($id)), self::places($fresh->usesOf($id)), $id);
            self::assertEquals($element, $fresh->find($id));
        }
        self::assertEquals($plan->all(Team::class), self::stored($plan)->all(Team::class));
    }

    public function testWhatIsNotWantedIsNotRead(): void
    {
        $plan = Plan::from(
            'Broken inside',
            KeptElements::of(self::demo(), ['prm_broken' => [Kind::Prompt, 'not JSON']]),
        );
        self::assertSame('Bookings desk', $plan->find('team_bookings')?->name());
        self::assertCount(50, $plan->all(Number::class));
        $this->expectException(\JsonException::class);
        $plan->all(Prompt::class);
    }

    public function testNamesAreThoseOfTheElementsAsTheyAre(): void
    {
        $plan = self::demo();
        $team = $plan->find('team_port');
        self::assertInstanceOf(Team::class, $team);
        $renamed = PlanCodec::storedElement(str_replace('Port office', 'Quay', PlanCodec::encodeElement($team)));
        foreach ([$plan, self::stored($plan)] as $one) {
            $changed = $one->with($renamed)->without('team_lost');
            $names = [];
            foreach ($changed->all(Team::class) as $each) {
                $names[$each->id()] = $each->name();
            }
            self::assertSame($names, $changed->names(Kind::Team));
            self::assertSame('Quay', $names['team_port'] ?? null);
            self::assertArrayNotHasKey('team_lost', $names);
        }
    }

    public function testWhatCannotBeReadIsToldAndTheRestGoesOn(): void
    {
        $plan = Plan::from('Broken inside', KeptElements::of(self::demo(), ['prm_broken' => [Kind::Prompt, '{}']]));
        self::assertNull($plan->find('prm_broken'));
        self::assertSame(['prm_broken'], array_keys($plan->unreadable()));
        self::assertNotNull($plan->find('team_bookings'));
    }

    public function testHoursThatArePutByAreTheOnesOfAPlanThatHasNotChangedThem(): void
    {
        $builder = (new PlanBuilder())->hours('hrs', [
            ['days' => ['mo'], 'from' => '08:00', 'to' => '12:00', 'state' => 'open'],
        ]);
        $source = KeptElements::of($builder->plan());
        $plan = Plan::from('Kept', $source);
        self::assertSame('open', self::state($plan));
        $shut = $plan->with(PlanCodec::element(['week' => []] + $builder->element('hrs')));
        self::assertSame('closed', self::state($shut), 'Those that were changed are compiled anew,');
        self::assertSame(
            'open',
            self::state(Plan::from('Kept', $source)),
            'and are not put by in place of the others.',
        );
    }

    public function testHoursWithACalendarThatWasChangedAreCompiledAnew(): void
    {
        $calendar = static fn(string $date): array => [
            'id' => 'cal',
            'kind' => 'calendar',
            'name' => 'House rules',
            'holidays' => [['id' => 'h1', 'name' => 'Founders’ day', 'rule' => ['on' => 'dates', 'dates' => [$date]]]],
        ];
        $builder = (new PlanBuilder())->hours('hrs', []);
        $builder = $builder
            ->with($calendar('2026-11-23'))
            ->with(['calendars' => [['calendar' => 'cal', 'state' => 'lunch']]] + $builder->element('hrs'));
        $plan = Plan::from('Kept', KeptElements::of($builder->plan()));
        self::assertSame('lunch', self::state($plan));
        self::assertSame('closed', self::state($plan->with(PlanCodec::element($calendar('2026-11-24')))));
    }

    private static function state(Plan $plan): string
    {
        $hours = $plan->get(Hours::class, 'hrs');
        self::assertInstanceOf(Hours::class, $hours);

        return (new PlanHours($plan))->read($hours, PlanBuilder::trial('2026-11-23T10:30')->instant)->state;
    }

    public function testUsesAreFoundWhereverAStepStands(): void
    {
        $plan = (new PlanBuilder())
            ->prompt('prm_deep', 2)
            ->journey('jrn_main', [
                [
                    'id' => 'ask',
                    'do' => 'menu',
                    'prompt' => null,
                    'wait' => 5,
                    'tries' => 1,
                    'exits' => [
                        ['on' => '1', 'label' => '', 'steps' => []],
                        [
                            'on' => '2',
                            'label' => '',
                            'steps' => [
                                ['id' => 'end', 'do' => 'end'],
                                ['id' => 'deep', 'do' => 'say', 'prompt' => 'prm_deep'],
                            ],
                        ],
                    ],
                ],
            ])
            ->plan();
        self::assertSame(
            ['jrn_main /steps/0/exits/1/steps/1/prompt plays it'],
            self::places($plan->usesOf('prm_deep')),
        );
        self::assertSame(['num_main /target sends its calls there'], self::places($plan->usesOf('jrn_main')));
        self::assertSame([], $plan->usesOf('num_main'));
    }

    public function testAMailboxUsesAPromptForEachOfItsGreetings(): void
    {
        $box = [
            'id' => 'mbx',
            'kind' => 'mailbox',
            'name' => 'Office',
            'owners' => [],
            'notify' => ['office@example.com'],
            'greeting' => 'prm',
            'greetings' => ['busy' => 'prm', 'unreachable' => 'prm'],
            'nameRecording' => 'prm',
        ];
        $plan = (new PlanBuilder())->prompt('prm', 2)->with($box)->plan();
        self::assertEqualsCanonicalizing(
            [
                'mbx /greeting greets with it',
                'mbx /greetings/busy greets with it while busy',
                'mbx /greetings/unreachable greets with it where nobody can be reached',
                'mbx /nameRecording has it for its name',
            ],
            self::places($plan->usesOf('prm')),
        );
    }

    public function testEveryReferenceOfTheDemoIsFoundFromItsOtherEnd(): void
    {
        $plan = self::demo();
        foreach ($plan->elements() as $element) {
            foreach ($element->references() as $reference) {
                self::assertContains(
                    $element->id() . ' ' . $reference->pointer . ' ' . $reference->role,
                    self::places($plan->usesOf($reference->id)),
                );
            }
        }
    }

    public function testAChangedElementIsCheckedLikeTheWholePlan(): void
    {
        $plan = self::demo();
        foreach (
            [
                'num_paris' => ['number' => '+441632960110'],
                'per_dana' => ['extension' => '202'],
                'team_port' => ['members' => ['per_gone']],
                'mbx_port' => ['greeting' => 'team_port'],
                'jrn_lost' => ['steps' => [['id' => 's1', 'do' => 'go', 'journey' => 'jrn_lost']]],
            ]
            as $id => $part
        ) {
            $changed = PlanCodec::element($part + (array) $plan->find($id)?->toJson());
            $alone = (new Integrity(self::stored($plan)->with($changed)))->problemsOf($changed);
            self::assertCount(1, $alone, $id);
            $whole = (new Integrity($plan->with($changed)))->problems();
            self::assertSame(
                [$alone[0]->pointer],
                array_map(static fn($problem): string => $problem->pointer, array_merge(...array_values($whole))),
                $id,
            );
        }
        self::assertSame([], (new Integrity($plan))->problems());
    }

    public function testAPlanNeverChanges(): void
    {
        $plan = self::demo();
        $before = PlanCodec::encode($plan);
        $plan->with(PlanCodec::element(['id' => 'prm_new', 'kind' => 'prompt', 'name' => 'New', 'scripts' => []]));
        self::assertSame($before, PlanCodec::encode($plan));
    }

    private static function demo(): Plan
    {
        return PlanCodec::decode((string) file_get_contents(__DIR__ . '/../../../demo/ternwick-ferries.json'));
    }

    private static function stored(Plan $plan): Plan
    {
        return Plan::from($plan->name, KeptElements::of($plan));
    }

    /**
     * @param list<Place> $places
     *
     * @return list<string>
     */
    private static function places(array $places): array
    {
        return array_map(static function (Place $place): string {
            ['id' => $id, 'kind' => $kind, 'pointer' => $pointer, 'role' => $role] = $place->toJson();
            self::assertSame($place->user->kind()->value, $kind);

            return "$id $pointer $role";
        }, $places);
    }
}
