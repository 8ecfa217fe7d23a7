<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Plan;

use Meandros\Core\Plan\Dialled;
use Meandros\Core\Plan\Integrity\Integrity;
use Meandros\Core\Plan\Json\PlanCodec;
use Meandros\Core\Plan\Mentions;
use Meandros\Core\Plan\Orphans;
use Meandros\Core\Plan\Place;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Plan\Target;
use Meandros\Core\Reading\Input;
use Meandros\Core\Reading\InvalidData;
use Meandros\Core\Reading\Problem;
use Meandros\Core\Tests\KeptElements;
use Meandros\Core\Tests\PlanBuilder;
use Meandros\Core\Tests\Soak;
use Meandros\Core\Wording\ProblemWords;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Laws of who mentions whom, on random plans in which everything may refer to everything that fits. */
final class ReferenceLawTest extends TestCase
{
    public function testUsesOfAStoredPlanAreThoseOfADecodedOne(): void
    {
        mt_srand(Soak::seed());
        for ($i = 0, $count = Soak::count(12); $i < $count; ++$i) {
            $plan = self::random();
            foreach ($plan->elements() as $id => $element) {
                $stored = self::stored($plan);
                self::assertSame(self::places($plan->usesOf($id)), self::places($stored->usesOf($id)));
                self::assertSame(self::byHand($plan, $id), self::places($plan->usesOf($id)));
                foreach (Dialled::by($element) as $dialled) {
                    self::assertSame($id, self::stored($plan)->dialled($dialled)?->id());
                }
            }
        }
    }

    public function testWhatRemainsAfterADeletionHoldsTogetherExactlyWhereNothingUsesIt(): void
    {
        mt_srand(Soak::seed());
        for ($i = 0, $count = Soak::count(12); $i < $count; ++$i) {
            $plan = self::random();
            foreach ($plan->elements() as $id => $element) {
                $others = array_filter($plan->usesOf($id), static fn(Place $place): bool => $place->user->id() !== $id);
                $isSound = [] === (new Integrity($plan->without($id)))->problems();
                self::assertSame([] === $others, $isSound, $id);
                if ($isSound) {
                    self::assertSame(
                        PlanCodec::encode($plan->without($id)),
                        PlanCodec::encode(PlanCodec::decode(PlanCodec::encode($plan->without($id)))),
                        'It can be read back.',
                    );
                }
            }
        }
    }

    public function testAPhoneThatATeamRingsCannotBeTakenAway(): void
    {
        $builder = (new PlanBuilder())->person('ann', ['desk', 'laptop'])->team('pair', ['ann/desk']);
        $without = PlanCodec::element(
            ['phones' => [['id' => 'laptop', 'type' => 'soft', 'label' => 'Laptop']]] +
                (array) $builder->plan()->find('ann')?->toJson(),
        );
        $problems = (new Integrity(self::stored($builder->plan())->with($without)))->problemsOf($without);
        self::assertSame(
            [['/phones', 'The phone "desk" is in use: pair rings them as a member.']],
            array_map(
                static fn(Problem $problem): array => [$problem->pointer, ProblemWords::message($problem)],
                $problems,
            ),
        );
        $kept = PlanCodec::element(
            ['phones' => [['id' => 'desk', 'type' => 'soft', 'label' => 'Another']]] +
                (array) $builder->plan()->find('ann')?->toJson(),
        );
        self::assertSame([], (new Integrity(self::stored($builder->plan())->with($kept)))->problemsOf($kept));
    }

    public function testExceptionsGoWithTheirHoliday(): void
    {
        $holiday = static fn(string $id): array => [
            'id' => $id,
            'name' => $id,
            'rule' => ['on' => 'yearly', 'date' => '12-25'],
        ];
        $calendar = static fn(string ...$ids): array => [
            'id' => 'cal',
            'kind' => 'calendar',
            'name' => 'Cal',
            'holidays' => array_map($holiday, $ids),
        ];
        $hours = static fn(string $exception): array => [
            'id' => 'hrs',
            'kind' => 'hours',
            'name' => 'Hours',
            'site' => 'sit_harbour',
            'states' => [['key' => 'open', 'name' => 'Open', 'open' => true]],
            'default' => 'open',
            'calendars' => [
                ['calendar' => 'cal', 'state' => 'open', 'exceptions' => [['holiday' => $exception, 'state' => null]]],
            ],
        ];
        $plan = (new PlanBuilder())->with($calendar('christmas', 'boxing'))->with($hours('christmas'))->plan();
        $without = PlanCodec::element($calendar('boxing'));
        self::assertSame(
            ['/holidays'],
            array_map(
                static fn(Problem $problem): string => $problem->pointer,
                (new Integrity(self::stored($plan)->with($without)))->problemsOf($without),
            ),
        );
        [$others] = Orphans::of(self::stored($plan), $without);
        self::assertSame([], ((array) $others->toJson()['calendars'])[0]['exceptions']);
        self::assertSame([], (new Integrity(self::stored($plan)->with($without)->with($others)))->problemsOf($without));
        self::assertSame(
            [],
            Orphans::of(self::stored($plan), PlanCodec::element($calendar('christmas'))),
            'What is still there stays.',
        );
        $unknown = PlanCodec::element($hours('easter'));
        self::assertSame(
            ['/calendars/0/exceptions/0/holiday'],
            array_map(
                static fn(Problem $problem): string => $problem->pointer,
                (new Integrity(self::stored($plan)->with($unknown)))->problemsOf($unknown),
            ),
        );
    }

    public function testANumberThatIsSomebodysPhoneCannotBecomeOurs(): void
    {
        $plan = (new PlanBuilder())
            ->with([
                'id' => 'ann',
                'kind' => 'person',
                'name' => 'Ann',
                'extension' => '',
                'site' => 'sit_harbour',
                'phones' => [['id' => 'mobile', 'type' => 'outside', 'label' => 'Mobile', 'number' => '+447700900101']],
            ])
            ->plan();
        $number = PlanCodec::element([
            'id' => 'num_new',
            'kind' => 'number',
            'name' => 'New',
            'number' => '+447700900101',
            'site' => 'sit_harbour',
            'language' => 'en',
            'target' => null,
        ]);
        self::assertSame(
            ['+447700900101 is a phone outside of “Ann” already.'],
            array_map(
                static fn(Problem $problem): string => ProblemWords::message($problem),
                (new Integrity(self::stored($plan)->with($number)))->problemsOf($number),
            ),
        );
    }

    #[DataProvider('targets')]
    public function testATargetComesOutAsItWentIn(string $text, ?string $element, ?string $phone, ?string $number): void
    {
        $target = Target::parse($text);
        self::assertNotNull($target);
        self::assertSame(
            [$text, $element, $phone, $number],
            [$target->text(), $target->element, $target->phone, $target->number],
        );
        self::assertSame(null === $element && null === $number, $target->isEnd());
    }

    /** @return iterable<array{string, string|null, string|null, string|null}> */
    public static function targets(): iterable
    {
        yield ['per_dana', 'per_dana', null, null];
        yield ['per_dana/desk', 'per_dana', 'desk', null];
        yield ['+441632960100', null, null, '+441632960100'];
        yield ['end the call', null, null, null];
    }

    public function testWhatIsNoTarget(): void
    {
        foreach (
            [
                '',
                ' per_dana',
                'per_dana/',
                'per_dana/desk/two',
                '/desk',
                '+44',
                '01632960100',
                'Per_Dana',
                'per dana',
                "per_dana\n",
                '*',
            ]
            as $text
        ) {
            self::assertNull(Target::parse($text), $text);
        }
        foreach (
            [
                'readElement' => '+441632960100',
                'read' => 'end the call',
                'readOrEnd' => 'per_dana/desk',
                'readOrPhone' => 'end the call',
            ]
            as $reader => $text
        ) {
            $this->assertRefused(
                static fn(Input $in): ?Target => match ($reader) {
                    'readElement' => Target::readElement($in),
                    'read' => Target::read($in),
                    'readOrEnd' => Target::readOrEnd($in),
                    default => Target::readOrPhone($in),
                },
                $text,
            );
        }
    }

    /** @param \Closure(Input): ?Target $read */
    private function assertRefused(\Closure $read, string $text): void
    {
        try {
            Input::read($text, $read);
            self::fail($text . ' must be refused.');
        } catch (InvalidData $invalid) {
            self::assertStringContainsString(
                'nothing that a call can go to here',
                ProblemWords::message($invalid->problems[0]),
            );
        }
    }

    /** @return list<string> uses found by going through everything */
    private static function byHand(Plan $plan, string $id): array
    {
        $uses = [];
        foreach ($plan->elements() as $element) {
            foreach ($element->references() as $reference) {
                if ($reference->id === $id) {
                    $uses[] = $element->id() . ' ' . $reference->pointer;
                }
            }
        }
        sort($uses);

        return $uses;
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
        $texts = array_map(
            static fn(Place $place): string => $place->user->id() . ' ' . $place->reference->pointer,
            $places,
        );
        sort($texts);

        return $texts;
    }

    private static function random(): Plan
    {
        $one = static fn(string ...$choices): string => $choices[mt_rand(0, \count($choices) - 1)];
        $builder = new PlanBuilder();
        foreach (range(0, 3) as $i) {
            $outside = [
                'id' => 'mobile',
                'type' => 'outside',
                'label' => 'Mobile',
                'number' => \sprintf('+44770090010%d', $i),
                'shows' => $one('num_main', ''),
            ];
            $next = static fn(): string => $one(
                '',
                'mbx_a',
                'mbx_b',
                'per_' . mt_rand(0, 3),
                'team_' . mt_rand(0, 1),
                'jrn_main',
                '+447700900155',
                'end the call',
            );
            $builder->with([
                'id' => 'per_' . $i,
                'kind' => 'person',
                'name' => 'Person ' . $i,
                'extension' => '20' . $i,
                'site' => 'sit_harbour',
                'mailbox' => $one('mbx_a', 'mbx_b', ''),
                'phones' => [['id' => 'desk', 'type' => 'desk', 'label' => 'Desk'], $outside],
                'rules' =>
                    0 === mt_rand(0, 1)
                        ? []
                        : [
                            [
                                'id' => 'one',
                                'name' => 'One',
                                'when' => 0 === mt_rand(0, 1) ? [] : ['hours' => 'hrs', 'states' => ['open']],
                                'stages' => [
                                    [
                                        'phones' => ['desk'],
                                        'teams' => [$one('team_0', 'team_1')],
                                        'after' => 0,
                                        'seconds' => 5,
                                    ],
                                ],
                                'next' => ['nobody' => $next(), 'busy' => $next()],
                                'greetings' => ['nobody' => $one('prm_a', '')],
                            ],
                        ],
            ]);
        }
        foreach ([0, 1] as $i) {
            $members = array_values(
                array_unique(
                    array_map(
                        static fn(): string => $one(
                            'per_' . mt_rand(0, 3),
                            'per_' . mt_rand(0, 3) . '/desk',
                            '+447700900177',
                        ),
                        range(0, 3),
                    ),
                ),
            );
            $builder->with(['id' => 'team_' . $i, 'kind' => 'team', 'name' => 'Team ' . $i, 'members' => $members]);
        }
        $builder
            ->mailbox('mbx_a')
            ->with([
                'id' => 'mbx_b',
                'kind' => 'mailbox',
                'name' => 'B',
                'owners' => ['per_' . mt_rand(0, 3)],
                'greeting' => $one('prm_a', ''),
            ])
            ->prompt('prm_a', 2)
            ->hours('hrs', [])
            ->with(['id' => 'cal', 'kind' => 'calendar', 'name' => 'Cal', 'holidays' => []])
            ->with(['id' => 'line', 'kind' => 'line', 'name' => 'Line', 'site' => 'sit_harbour'])
            ->with([
                'id' => 'num_b',
                'kind' => 'number',
                'name' => 'B',
                'number' => '+441632960105',
                'site' => 'sit_harbour',
                'target' => $one('per_0', 'team_0', 'mbx_a', 'jrn_main', ''),
            ])
            ->journey('jrn_main', [
                [
                    'id' => 's1',
                    'do' => 'hours',
                    'hours' => $one('hrs', ''),
                    'exits' => [
                        [
                            'on' => 'open',
                            'steps' => [
                                [
                                    'id' => 's2',
                                    'do' => 'ring',
                                    'target' => $one('per_1', 'team_1', '+447700900199', ''),
                                    'greeting' => $one('prm_a', ''),
                                ],
                            ],
                        ],
                    ],
                ],
                [
                    'id' => 's3',
                    'do' => 'menu',
                    'prompt' => $one('prm_a', ''),
                    'exits' => [
                        [
                            'on' => '1',
                            'steps' => [['id' => 's4', 'do' => 'message', 'mailbox' => $one('mbx_a', 'mbx_b')]],
                        ],
                    ],
                ],
            ]);

        return $builder->plan();
    }
}
