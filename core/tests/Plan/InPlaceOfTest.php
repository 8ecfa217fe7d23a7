<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Plan;

use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\InPlaceOf;
use Meandros\Core\Plan\Integrity\Integrity;
use Meandros\Core\Plan\Kind;
use Meandros\Core\Plan\Place;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Reading\InvalidData;
use Meandros\Core\Reading\Problem;
use Meandros\Core\Tests\PlanBuilder;
use PHPUnit\Framework\TestCase;

/** One element in the place of another: what mentions it, where that is asked for, and what it may be. */
final class InPlaceOfTest extends TestCase
{
    public function testEverythingThatMentionsItMentionsTheOther(): void
    {
        $plan = self::plan();
        $after = self::put($plan, 'prm_old', 'prm_new');
        self::assertSame([], $after->usesOf('prm_old'));
        self::assertSame(['jrn_main', 'jrn_main', 'jrn_other'], self::users($after, 'prm_new'));
        self::assertNotNull($after->find('prm_old'), 'It stays in the plan.');
        self::assertSame([], (new Integrity($after))->problems());
    }

    public function testOrOnlyWhatIsNamed(): void
    {
        $after = self::put(self::plan(), 'prm_old', 'prm_new', ['jrn_other', 'jrn_main_that_is_not']);
        self::assertSame(['jrn_main', 'jrn_main'], self::users($after, 'prm_old'));
        self::assertSame(['jrn_other'], self::users($after, 'prm_new'));
        self::assertSame([], InPlaceOf::elements(self::plan(), self::element('prm_old'), self::element('prm_new'), []));
    }

    public function testWhatThePutOneMentionsItselfStays(): void
    {
        // The other journey goes on in the main one: it would go on in itself.
        $after = self::put(self::plan(), 'jrn_main', 'jrn_other');
        self::assertSame(['jrn_other'], self::users($after, 'jrn_main'));
        self::assertSame(['num_main'], self::users($after, 'jrn_other'));
    }

    public function testHoursByWhichAPromptIsSaidMayBeOthers(): void
    {
        self::assertSame(['prm_hours'], self::users(self::put(self::plan(), 'hrs', 'hrs_other'), 'hrs_other'));
    }

    public function testWhatIsSaidOfHolidaysThatTheOtherCalendarLacksIsLeftOut(): void
    {
        $after = self::put(self::plan(), 'cal_one', 'cal_two');
        self::assertSame(
            [
                [
                    'calendar' => 'cal_two',
                    'state' => 'closed',
                    'exceptions' => [['holiday' => 'christmas', 'state' => null]],
                ],
            ],
            $after->find('hrs')?->toJson()['calendars'] ?? null,
        );
        self::assertSame([], (new Integrity($after))->problems());
    }

    public function testAPhoneIsTheOthersWhereThereIsOneOfThatName(): void
    {
        $plan = self::plan();
        $who = static fn(Plan $after): array => array_column($after->find('team')?->toJson()['members'] ?? [], 'who');
        self::assertSame(['cid', 'ben/desk'], $who(self::put($plan, 'ann', 'ben')));
    }

    public function testOnlyWhatFitsEverywhereMayStandThere(): void
    {
        $plan = self::plan();
        self::assertSame([Kind::Prompt], InPlaceOf::kinds($plan->usesOf('prm_old')));
        self::assertContains(Kind::Queue, InPlaceOf::kinds($plan->usesOf('dora')), 'A number may lead to it as well.');
        self::assertNotContains(Kind::Queue, InPlaceOf::kinds($plan->usesOf('ann')), 'Nobody waits within a team.');
    }

    public function testWhatCannotMentionTheOtherIsNamed(): void
    {
        try {
            InPlaceOf::elements(self::plan(), self::element('clr_one'), self::element('clr_two'));
            self::fail('One list of callers would be told apart from itself.');
        } catch (InvalidData $invalid) {
            self::assertSame(
                ['/jrn_callers/steps/0/exits/1/on'],
                array_map(static fn(Problem $problem): string => $problem->pointer, $invalid->problems),
            );
        }
    }

    private static function plan(): Plan
    {
        $holiday = static fn(string $id, string $date): array => [
            'id' => $id,
            'name' => $id,
            'rule' => ['on' => 'yearly', 'date' => $date],
        ];
        $christmas = $holiday('christmas', '12-25');
        $callers = static fn(string $id, string $match): array => [
            'id' => $id,
            'kind' => 'callers',
            'name' => $id,
            'entries' => [['match' => $match]],
        ];
        $hours = static fn(string $id): array => [
            'id' => $id,
            'kind' => 'hours',
            'name' => 'Hours',
            'site' => 'sit_harbour',
            'states' => [
                ['key' => 'open', 'name' => 'Open', 'open' => true],
                ['key' => 'closed', 'name' => 'Closed', 'open' => false],
            ],
            'default' => 'closed',
            'week' => [],
            'calendars' => [
                [
                    'calendar' => 'cal_one',
                    'state' => 'closed',
                    'exceptions' => [
                        ['holiday' => 'boxing', 'state' => 'open'],
                        ['holiday' => 'christmas', 'state' => null],
                        ['holiday' => 'newyear', 'state' => 'open'],
                    ],
                ],
            ],
        ];

        return (new PlanBuilder())
            ->prompt('prm_old', 2)
            ->prompt('prm_new', 3)
            ->journey('jrn_main', [
                ['id' => 's1', 'do' => 'say', 'prompt' => 'prm_old'],
                ['id' => 's2', 'do' => 'say', 'prompt' => 'prm_old'],
            ])
            ->journey('jrn_other', [
                ['id' => 's1', 'do' => 'say', 'prompt' => 'prm_old'],
                ['id' => 's2', 'do' => 'go', 'journey' => 'jrn_main'],
            ])
            ->journey('jrn_callers', [
                [
                    'id' => 's1',
                    'do' => 'caller',
                    'exits' => [['on' => 'clr_one', 'steps' => []], ['on' => 'clr_two', 'steps' => []]],
                ],
            ])
            ->with($callers('clr_one', '+33*'))
            ->with($callers('clr_two', '+44*'))
            ->with([
                'id' => 'cal_one',
                'kind' => 'calendar',
                'name' => 'One',
                'holidays' => [$holiday('boxing', '12-26'), $christmas, $holiday('newyear', '01-01')],
            ])
            ->with(['id' => 'cal_two', 'kind' => 'calendar', 'name' => 'Two', 'holidays' => [$christmas]])
            ->with($hours('hrs'))
            ->with($hours('hrs_other'))
            ->with([
                'id' => 'prm_hours',
                'kind' => 'prompt',
                'name' => 'Hours',
                'scripts' => ['en' => 'Opens {opening}'],
                'hours' => 'hrs',
            ])
            ->person('ann')
            ->person('ben')
            ->person('cid')
            ->person('dora')
            ->with([
                'id' => 'team',
                'kind' => 'team',
                'name' => 'Team',
                'pattern' => 'all at once',
                'members' => ['cid', 'ann/desk'],
            ])
            ->with([
                'id' => 'num_dora',
                'kind' => 'number',
                'name' => 'Dora',
                'number' => '+441632960101',
                'site' => 'sit_harbour',
                'language' => 'en',
                'target' => 'dora',
            ])
            ->plan();
    }

    private static function element(string $id): Element
    {
        return self::plan()->find($id) ?? throw new \LogicException($id);
    }

    /** @param list<string>|null $in */
    private static function put(Plan $plan, string $of, string $put, ?array $in = null): Plan
    {
        $changed = InPlaceOf::elements($plan, self::element($of), self::element($put), $in);

        return $plan->withAll(
            array_combine(array_map(static fn(Element $one): string => $one->id(), $changed), $changed),
        );
    }

    /** @return list<string> */
    private static function users(Plan $plan, string $id): array
    {
        return array_map(static fn(Place $place): string => $place->user->id(), $plan->usesOf($id));
    }
}
