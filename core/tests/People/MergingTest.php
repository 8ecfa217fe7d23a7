<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\People;

use Meandros\Core\People\Merging;
use Meandros\Core\People\RuleCopy;
use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\Element\Person;
use Meandros\Core\Plan\Integrity\Integrity;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Tests\PlanBuilder;
use PHPUnit\Framework\TestCase;

/** Ann leaves, and Ben takes her place: everything that mentions her mentions him, and nothing is left behind. */
final class MergingTest extends TestCase
{
    public function testEverythingMovesAndNobodyIsNamedTwice(): void
    {
        $merged = self::merge(true);
        self::assertSame([], $merged->usesOf('ann'));
        self::assertSame([], (new Integrity($merged))->problems(), 'Nothing dangles.');
        self::assertSame(
            ['ben', 'ben/desk2', '+447700900123'],
            array_column(self::json($merged, 'team_one')['members'], 'who'),
            'Both were in the team, and her desk phone was.',
        );
        self::assertSame(['ben'], self::json($merged, 'mbx_office')['owners']);
        self::assertSame('ben', self::json($merged, 'jrn_main')['steps'][0]['target']);
        self::assertSame('ben', self::json($merged, 'num_ann')['target']);
    }

    public function testPhonesComeAlongAndWhatHeLacks(): void
    {
        $ben = self::json(self::merge(true), 'ben');
        self::assertSame(['desk', 'desk2', 'mobile'], array_column($ben['phones'], 'id'));
        self::assertSame(['301', 'mbx_office'], [$ben['extension'], $ben['mailbox']], 'He had neither.');
        self::assertSame(
            [['desk2'], ['mobile']],
            array_column($ben['rules'][0]['stages'], 'phones'),
            'Her rules ring her phones, which are his now,',
        );
        self::assertSame('mbx_office', $ben['rules'][0]['next']['nobody'], 'and end in the mailbox that came along.');
    }

    public function testOrSheIsOnlyReplaced(): void
    {
        $merged = self::merge(false);
        $ben = self::json($merged, 'ben');
        self::assertSame(
            [['desk'], '', null, []],
            [array_column($ben['phones'], 'id'), $ben['extension'], $ben['mailbox'], $ben['rules']],
        );
        self::assertSame(
            ['ben', '+447700900123'],
            array_column(self::json($merged, 'team_one')['members'], 'who'),
            'Her single phone is gone, so he himself stands there, once.',
        );
    }

    public function testATierThatOnlySheWasInClosesUp(): void
    {
        $builder = self::builder()
            ->person('cid')
            ->with([
                'id' => 'team_wide',
                'kind' => 'team',
                'name' => 'Wide',
                'pattern' => 'widening',
                'members' => [
                    ['who' => 'ben', 'tier' => 1],
                    ['who' => 'ann', 'tier' => 2],
                    ['who' => 'cid', 'tier' => 3],
                ],
            ]);
        self::assertSame(
            [['ben', 1], ['cid', 2]],
            array_map(
                static fn(array $member): array => [$member['who'], $member['tier']],
                self::json(self::apply($builder->plan(), true), 'team_wide')['members'],
            ),
        );
    }

    public function testARuleOfHisThatPassedCallsToHerLetsThemGoBack(): void
    {
        $builder = self::builder()->with(self::person('ben', '', ['desk'], [self::rule(['desk'], 'ann')]));
        $merged = self::apply($builder->plan(), true);
        self::assertNull(self::json($merged, 'ben')['rules'][0]['next']['nobody']);
    }

    public function testRulesAreCopiedPhoneByPhone(): void
    {
        $plan = self::builder()
            ->with(self::person('cid', '', ['desk', 'pager'], []))
            ->with([
                'id' => 'dee',
                'kind' => 'person',
                'name' => 'Dee',
                'extension' => '',
                'site' => 'sit_harbour',
                'mailbox' => 'mbx_dee',
                'phones' => [['id' => 'own', 'type' => 'outside', 'label' => 'Own', 'number' => '+447700900177']],
            ])
            ->mailbox('mbx_dee')
            ->plan();
        [$ann, $cid, $dee] = array_map(
            static fn(string $id): Person => $plan->get(Person::class, $id) ?? throw new \LogicException($id),
            ['ann', 'cid', 'dee'],
        );
        self::assertSame(
            [['desk']],
            array_column(RuleCopy::to($ann, $cid)->toJson()['rules'][0]['stages'], 'phones'),
            'Cid has no phone outside: that stage is left out.',
        );
        $copied = RuleCopy::to($ann, $dee)->toJson();
        self::assertSame(
            [['own']],
            array_column($copied['rules'][0]['stages'], 'phones'),
            'Her phone outside stands for Ann\'s.',
        );
        self::assertSame('mbx_dee', $copied['rules'][0]['next']['nobody'], 'The own mailbox is hers.');
    }

    public function testARuleThatRingsNobodyIsCopiedAndOneThatWouldRingNobodyIsNot(): void
    {
        $plan = self::builder()
            ->with(
                self::person(
                    'ben',
                    '',
                    ['desk', 'lab'],
                    [['id' => 'away'] + self::rule([], 'cid'), ['id' => 'lab'] + self::rule(['lab'], 'cid')],
                ),
            )
            ->with(self::person('cid', '', ['desk'], []))
            ->plan();
        [$ben, $cid] = [$plan->get(Person::class, 'ben'), $plan->get(Person::class, 'cid')];
        \assert(null !== $ben && null !== $cid);
        self::assertSame(['away'], array_column(RuleCopy::to($ben, $cid)->toJson()['rules'], 'id'));
    }

    public function testPhonesOfATypeStandForEachOtherInTheirOrder(): void
    {
        $plan = self::builder()
            ->with(self::person('ben', '', ['p1', 'p2', 'p3'], []))
            ->with(self::person('cid', '', ['q1', 'q2', 'q3'], []))
            ->plan();
        [$ben, $cid] = [$plan->get(Person::class, 'ben'), $plan->get(Person::class, 'cid')];
        \assert(null !== $ben && null !== $cid);
        self::assertSame(['p1' => 'q1', 'p2' => 'q2', 'p3' => 'q3'], RuleCopy::names($ben, $cid));
    }

    public function testARuleThatLedToWhomItIsCopiedToEndsThere(): void
    {
        $plan = self::builder()
            ->with(self::person('ben', '', ['desk'], [self::rule(['desk'], 'cid')]))
            ->with(self::person('cid', '', ['desk'], []))
            ->plan();
        [$ben, $cid] = [$plan->get(Person::class, 'ben'), $plan->get(Person::class, 'cid')];
        \assert(null !== $ben && null !== $cid);
        self::assertSame('cid', $ben->toJson()['rules'][0]['next']['nobody']);
        self::assertNull(RuleCopy::to($ben, $cid)->toJson()['rules'][0]['next']['nobody']);
    }

    private static function merge(bool $withPhones): Plan
    {
        return self::apply(self::builder()->plan(), $withPhones);
    }

    private static function apply(Plan $plan, bool $withPhones): Plan
    {
        [$ann, $ben] = [$plan->get(Person::class, 'ann'), $plan->get(Person::class, 'ben')];
        \assert(null !== $ann && null !== $ben);

        return array_reduce(
            Merging::elements($plan, $ann, $ben, $withPhones),
            static fn(Plan $after, Element $element): Plan => $after->with($element),
            $plan,
        )->without('ann');
    }

    /** @return array<string, mixed> */
    private static function json(Plan $plan, string $id): array
    {
        return $plan->find($id)?->toJson() ?? [];
    }

    private static function builder(): PlanBuilder
    {
        $ann = self::person('ann', '301', ['desk'], [self::rule(['desk', 'mobile'], 'mbx_office')]);
        $ann['mailbox'] = 'mbx_office';
        $ann['phones'][] = ['id' => 'mobile', 'type' => 'outside', 'label' => 'Mobile', 'number' => '+447700900101'];

        return (new PlanBuilder())
            ->with($ann)
            ->with(self::person('ben', '', ['desk'], []))
            ->with([
                'id' => 'team_one',
                'kind' => 'team',
                'name' => 'One',
                'pattern' => 'all at once',
                'members' => [['who' => 'ann'], ['who' => 'ann/desk'], ['who' => 'ben'], ['who' => '+447700900123']],
            ])
            ->with([
                'id' => 'mbx_office',
                'kind' => 'mailbox',
                'name' => 'Office',
                'owners' => ['ben', 'ann'],
                'notify' => [],
            ])
            ->with([
                'id' => 'num_ann',
                'kind' => 'number',
                'name' => 'Ann',
                'number' => '+441632960101',
                'site' => 'sit_harbour',
                'language' => 'en',
                'target' => 'ann',
            ])
            ->journey('jrn_main', [['id' => 'ring', 'do' => 'ring', 'target' => 'ann', 'seconds' => 20]]);
    }

    /**
     * @param list<string>               $phones
     * @param list<array<string, mixed>> $rules
     *
     * @return array{phones: list<array<string, mixed>>, ...<string, mixed>}
     */
    private static function person(string $id, string $extension, array $phones, array $rules): array
    {
        return [
            'id' => $id,
            'kind' => 'person',
            'name' => ucfirst($id),
            'extension' => $extension,
            'site' => 'sit_harbour',
            'mailbox' => null,
            'rules' => $rules,
            'phones' => array_map(
                static fn(string $phone): array => ['id' => $phone, 'type' => 'desk', 'label' => $phone],
                $phones,
            ),
        ];
    }

    /**
     * @param list<string> $phones one stage each
     *
     * @return array<string, mixed>
     */
    private static function rule(array $phones, string $then): array
    {
        return [
            'id' => 'one',
            'name' => 'One',
            'on' => true,
            'next' => ['nobody' => $then],
            'stages' => array_map(
                static fn(string $phone): array => ['phones' => [$phone], 'after' => 0, 'seconds' => 10],
                $phones,
            ),
        ];
    }
}
