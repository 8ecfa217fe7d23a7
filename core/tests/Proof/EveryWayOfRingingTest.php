<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Proof;

use Meandros\Core\Call\Assumptions;
use Meandros\Core\Call\Behaviour;
use Meandros\Core\Call\PhoneAssumption;
use Meandros\Core\Plan\Element\RingPattern;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Proof\Endings;
use Meandros\Core\Routing\EndingKind;
use Meandros\Core\Routing\Router;
use Meandros\Core\Tests\PlanBuilder;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/**
 * A few phones ring for some seconds, mostly on plans that are drawn with mt_rand. Calls are traced with everything that each of the phones
 * may do, at every second: just those endings are listed, each at its soonest and at its latest.
 */
final class EveryWayOfRingingTest extends TestCase
{
    private const SECONDS = 5;
    /** Plans on which something rare tells: a mailbox that takes what others refuse, a turn that is over before it begins. */
    private const RARE = [290, 621, 671, 811, 1181, 1203, 1292];
    private const EXITS = ['busy', 'unreachable', 'refused', 'nobody'];

    #[DataProvider('seeds')]
    public function testAllIsListedAndNothingElse(int $seed): void
    {
        mt_srand($seed);
        self::assertListed(...self::drawn());
    }

    /** The desk is rung by two stages of a rule. */
    public function testAPhoneRingsTwiceByARule(): void
    {
        $builder = (new PlanBuilder())->person('ann', ['desk', 'laptop'])->mailbox('mbx');
        $stages = [
            ['phones' => ['desk', 'laptop'], 'seconds' => 4],
            ['phones' => ['desk'], 'after' => 2, 'seconds' => 4],
        ];
        $rule = ['id' => 'rule', 'name' => 'Rule', 'stages' => $stages];
        $refused = ['on' => 'refused', 'steps' => [['id' => 'refused', 'do' => 'message', 'mailbox' => 'mbx']]];
        $ring = ['id' => 'ring', 'do' => 'ring', 'target' => 'ann', 'seconds' => self::SECONDS];
        $plan = $builder
            ->with(['rules' => [$rule]] + $builder->element('ann'))
            ->journey('jrn_main', [['exits' => [$refused]] + $ring])
            ->plan();
        self::assertListed($plan, ['ann/desk', 'ann/laptop']);
    }

    /** Whoever cannot be reached has calls go to a mailbox. */
    public function testARulePassesOnCallsToWhoIsOutOfReach(): void
    {
        $builder = (new PlanBuilder())->person('ann')->mailbox('mbx');
        $rule = ['stages' => [['phones' => ['desk'], 'seconds' => self::SECONDS]], 'next' => ['unreachable' => 'mbx']];
        $plan = $builder
            ->with(['rules' => [['id' => 'rule', 'name' => 'Rule'] + $rule]] + $builder->element('ann'))
            ->journey('jrn_main', [['id' => 'ring', 'do' => 'ring', 'target' => 'ann', 'handOver' => true]])
            ->plan();
        self::assertListed($plan, ['ann/desk']);
    }

    /** The mobile's own mailbox is asked for a key after the time is up. */
    public function testAMailboxIsAskedForAKey(): void
    {
        $builder = (new PlanBuilder())->person('ann');
        $mobile = ['type' => 'outside', 'number' => '+447700900123', 'ownMailbox' => 9, 'mailboxWhenBusy' => true];
        $plan = $builder
            ->with(
                ['phones' => [['id' => 'mobile', 'label' => 'Mobile', 'askFirst' => true, 'setUp' => 0] + $mobile]] +
                    $builder->element('ann'),
            )
            ->journey('jrn_main', [['id' => 'ring', 'do' => 'ring', 'target' => 'ann', 'seconds' => self::SECONDS]])
            ->plan();
        self::assertListed($plan, ['ann/mobile']);
    }

    /** Two have their turn, and the third where the first refuses. */
    #[TestWith([false])]
    #[TestWith([true])]
    public function testATurnThatDoesNotCome(bool $skipBusy): void
    {
        $builder = (new PlanBuilder())->person('ann')->person('ben')->person('cid')->mailbox('mbx');
        $mobile = [
            'id' => 'mobile',
            'type' => 'outside',
            'label' => 'Mobile',
            'number' => '+447700900123',
            'setUp' => 1,
        ];
        $refused = ['on' => 'refused', 'steps' => [['id' => 'refused', 'do' => 'message', 'mailbox' => 'mbx']]];
        $plan = $builder
            ->with(['phones' => [$mobile]] + $builder->element('ben'))
            ->team('team', ['ann', 'ben', 'cid'], 'one after the other', 3)
            ->with(['skipBusy' => $skipBusy] + $builder->element('team'))
            ->journey('jrn_main', [
                ['id' => 'ring', 'do' => 'ring', 'target' => 'team', 'seconds' => self::SECONDS, 'exits' => [$refused]],
            ])
            ->plan();
        self::assertListed($plan, ['ann/desk', 'ben/mobile', 'cid/desk']);
    }

    /** @param list<string> $phones */
    private static function assertListed(Plan $plan, array $phones): void
    {
        $call = PlanBuilder::trial('2026-11-23T10:30');
        $router = new Router();
        $found = [];
        foreach (self::ways($phones) as $way) {
            $trace = $router->trace($plan, $call, new Assumptions(phones: $way));
            $found[$trace->ending->kind->value . ' ' . $trace->ending->who][] = $trace->seconds;
        }
        $endings = Endings::of($plan, $call);
        $listed = [];
        foreach ($endings->endings as $one) {
            if (EndingKind::CallerGaveUp !== $one->ending->kind) {
                $listed[$one->ending->kind->value . ' ' . $one->ending->who] = [$one->least, $one->most];
            }
        }
        ksort($found);
        ksort($listed);
        self::assertSame(
            [array_map(static fn(array $seconds): array => [min($seconds), max($seconds)], $found), []],
            [$listed, $endings->notTried],
            json_encode(array_map(static fn($one): array => $one->toJson(), $plan->elements()), \JSON_THROW_ON_ERROR),
        );
    }

    /** @return iterable<string, array{int}> */
    public static function seeds(): iterable
    {
        $some = range(1, 40 * (int) (getenv('MEANDROS_SOAK') ?: 1));
        foreach (array_unique([...$some, ...self::RARE]) as $seed) {
            yield 'seed ' . $seed => [$seed];
        }
    }

    /**
     * @param list<string> $phones
     *
     * @return iterable<list<PhoneAssumption>>
     */
    private static function ways(array $phones): iterable
    {
        $phone = array_pop($phones);
        if (null === $phone) {
            yield [];

            return;
        }
        foreach (self::ways($phones) as $others) {
            yield $others;
            yield [...$others, new PhoneAssumption($phone, Behaviour::Busy)];
            yield [...$others, new PhoneAssumption($phone, Behaviour::Unreachable)];
            foreach (range(0, self::SECONDS) as $after) {
                yield [...$others, new PhoneAssumption($phone, Behaviour::Refuses, $after)];
                yield [...$others, new PhoneAssumption($phone, Behaviour::Answers, $after)];
            }
        }
    }

    /** @return array{Plan, list<string>} and its phones */
    private static function drawn(): array
    {
        $builder = new PlanBuilder();
        $second = [null, 'mobile', 'laptop'][mt_rand(0, 2)];
        $ann = ['desk', ...null === $second ? [] : [$second]];
        $ben = [['desk', 'mobile'][mt_rand(0, 1)]];
        $builder->with(self::person('ann', $ann))->with(self::person('ben', $ben));
        $patterns = array_diff(array_column(RingPattern::cases(), 'value'), [RingPattern::Paging->value]);
        $isInTurn = mt_rand(0, 1);
        $builder->with([
            'id' => 'team',
            'kind' => 'team',
            'name' => 'Team',
            'pattern' => array_values($patterns)[mt_rand(0, \count($patterns) - 1)],
            'members' => [['who' => 'ann'], ['who' => 'ben', 'tier' => 1 + $isInTurn]],
            'memberSeconds' => mt_rand(2, 4),
            'widenSeconds' => mt_rand(1, 3),
            'skipBusy' => 0 === mt_rand(0, 5),
        ]);
        $exits = [];
        foreach (self::EXITS as $on) {
            $builder->mailbox('mbx_' . $on);
            $message = ['id' => $on, 'do' => 'message', 'mailbox' => 'mbx_' . $on];
            0 === mt_rand(0, 3) && ($exits[] = ['on' => $on, 'steps' => [$message]]);
        }
        $target = 0 === mt_rand(0, 3) ? 'ann' : 'team';
        $builder->journey('jrn_main', [
            ['id' => 'ring', 'do' => 'ring', 'target' => $target, 'seconds' => self::SECONDS, 'exits' => $exits],
        ]);
        $of = static fn(string $who, array $phones): array => array_map(
            static fn(string $phone): string => $who . '/' . $phone,
            $phones,
        );

        return [$builder->plan(), [...$of('ann', $ann), ...'team' === $target ? $of('ben', $ben) : []]];
    }

    /**
     * @param list<string> $phones
     *
     * @return array<string, mixed>
     */
    private static function person(string $id, array $phones): array
    {
        $mobile = [
            'type' => 'outside',
            'number' => 'ann' === $id ? '+447700900120' : '+447700900121',
            'ownMailbox' => 0 === mt_rand(0, 3) ? null : mt_rand(2, 5),
            'mailboxWhenBusy' => 0 === mt_rand(0, 1),
            'setUp' => mt_rand(0, 2),
            'askFirst' => 0 === mt_rand(0, 2),
            'confirm' => 5,
        ];

        return [
            'phones' => array_map(
                static fn(string $one): array => ['id' => $one, 'label' => $one] +
                    ('mobile' === $one ? $mobile : ['type' => 'desk']),
                $phones,
            ),
            'refusesForAll' => 0 === mt_rand(0, 3),
        ] + (new PlanBuilder())->person($id)->element($id);
    }
}
