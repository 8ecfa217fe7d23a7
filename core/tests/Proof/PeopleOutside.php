<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Proof;

use Meandros\Core\Plan\Element\RingPattern;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Tests\PlanBuilder;

/**
 * Plans whose people may have a mobile, in teams of every order with a number outside among them, and rules that pass calls on; drawn
 * with mt_rand. Or all have one, few have rules, and mobiles are in teams by themselves; or they have manners: ask first, refuse for
 * all phones, are passed over while on a call, and rounds are rung.
 */
final class PeopleOutside
{
    private const PEOPLE = ['ann', 'ben', 'cid'];
    private const OUTSIDE = '+441632960555';
    private const EXITS = ['busy', 'unreachable', 'refused', 'nobody'];

    private const TEAMS = [['ann', 'ben'], ['cid/desk', self::OUTSIDE], ['ben', self::OUTSIDE, 'cid']];
    private const MOBILES = [
        ['ann', 'ben/mobile', 'cid'],
        ['ben', self::OUTSIDE, 'cid'],
        ['ann/mobile', 'ben/mobile'],
        ['cid/mobile', 'ann/desk', 'ben'],
    ];

    private int $steps = 0;

    private function __construct(private readonly bool $allHaveMobiles, private readonly bool $haveManners) {}

    /** @return array{Plan, non-empty-list<string>} and its phones */
    public static function drawn(bool $allHaveMobiles = false, bool $haveManners = false): array
    {
        $self = new self($allHaveMobiles, $haveManners);
        $builder = new PlanBuilder();
        $phones = [self::OUTSIDE];
        foreach (self::PEOPLE as $i => $person) {
            $second = $allHaveMobiles ? 'mobile' : self::oneOf([null, null, 'laptop', 'mobile']);
            $builder->with($self->person($person, $second, $i));
            array_push($phones, $person . '/desk', ...null === $second ? [] : [$person . '/' . $second]);
        }
        foreach (['mbx', 'mbx_busy', 'mbx_unreachable', 'mbx_refused', 'mbx_nobody'] as $mailbox) {
            $builder->mailbox($mailbox);
        }
        foreach (['team', 'two'] as $team) {
            $builder->with($self->team($team));
        }
        $within = self::oneOf([
            $self->ring(),
            $self->step(['do' => 'message', 'mailbox' => 'mbx']),
            $self->step(['do' => 'go', 'journey' => 'jrn_two', 'comesBack' => true]),
        ]);
        $first = ['exits' => [['on' => self::oneOf(self::EXITS), 'steps' => [$within]]]] + $self->ring();
        $exits = [];
        foreach (self::EXITS as $on) {
            $message = $self->step(['do' => 'message', 'mailbox' => 'mbx_' . $on]);
            0 === mt_rand(0, 1) && ($exits[] = ['on' => $on, 'steps' => [$message]]);
        }
        $builder
            ->journey('jrn_two', [$self->ring()])
            ->journey('jrn_main', [$first, ['exits' => $exits] + $self->ring()]);

        return [$builder->plan(), $phones];
    }

    /** @return array<string, mixed> */
    private function person(string $id, ?string $second, int $i): array
    {
        $mobile = [
            'type' => 'outside',
            'number' => '+44770090012' . $i,
            'ownMailbox' => self::oneOf([null, mt_rand(3, 12)]),
            'mailboxWhenBusy' => self::oneOf([null, true, false]),
            'setUp' => self::oneOf([0, 2, 4]),
            'askFirst' => $this->may(3),
        ];
        $phones = ['desk', ...null === $second ? [] : [$second]];
        $stage = static fn(): array => [
            'phones' => 0 === mt_rand(0, 1) ? [self::oneOf($phones)] : $phones,
            'teams' => self::oneOf([[], [], [], ['team']]),
            'after' => self::oneOf([0, 0, 5]),
            'seconds' => mt_rand(3, 12),
        ];
        $rule = [
            'id' => 'rule',
            'name' => 'Rule',
            'when' => ['via' => self::oneOf(['any', 'direct'])],
            'stages' => 0 === mt_rand(0, 1) ? [$stage()] : [$stage(), $stage()],
            'againMinutes' => $this->may(3) ? 1 : 0,
            'next' => [
                'nobody' => self::oneOf([null, null, 'mbx', 'cid', 'jrn_two']),
                'busy' => self::oneOf([null, 'mbx', 'ben']),
                'unreachable' => self::oneOf([null, 'mbx', 'ann']),
            ],
        ];

        return [
            'id' => $id,
            'kind' => 'person',
            'name' => ucfirst($id),
            'extension' => '',
            'site' => 'sit_harbour',
            'phones' => array_map(
                static fn(string $one): array => ['id' => $one, 'label' => $one] +
                    ('mobile' === $one ? $mobile : ['type' => 'desk']),
                $phones,
            ),
            'rules' => 0 === mt_rand(0, $this->allHaveMobiles ? 9 : 2) ? [$rule] : [],
            'refusesForAll' => $this->may(4),
        ];
    }

    /** @return array<string, mixed> */
    private function team(string $id): array
    {
        $tier = 1;
        $members = [];
        foreach (self::oneOf($this->allHaveMobiles ? self::MOBILES : self::TEAMS) as $who) {
            $members[] = ['who' => $who, 'tier' => $tier, 'seconds' => self::oneOf([null, null, mt_rand(2, 8)])];
            $tier += mt_rand(0, 1);
        }
        $patterns = array_diff(array_column(RingPattern::cases(), 'value'), [RingPattern::Paging->value]);

        return [
            'id' => $id,
            'kind' => 'team',
            'name' => ucfirst($id),
            'pattern' => self::oneOf(array_values($patterns)),
            'members' => 0 === mt_rand(0, 1) ? $members : \array_slice($members, 0, 2),
            'memberSeconds' => mt_rand(3, 10),
            'widenSeconds' => mt_rand(2, 8),
            'followRules' => 0 === mt_rand(0, 2),
            'skipBusy' => $this->may(6),
        ];
    }

    /** @return array<string, mixed> */
    private function ring(): array
    {
        return $this->step([
            'do' => 'ring',
            'target' => self::oneOf($this->allHaveMobiles ? ['ann', 'team', 'two'] : [...self::PEOPLE, 'team', 'two']),
            'seconds' => $this->allHaveMobiles ? mt_rand(6, 24) : mt_rand(3, 16),
            'handOver' => 0 === mt_rand(0, 3),
            'againMinutes' => $this->may(3) ? 1 : 0,
        ]);
    }

    /** Once in so many, where they have manners. */
    private function may(int $outOf): bool
    {
        return $this->haveManners && 0 === mt_rand(1, $outOf) % $outOf;
    }

    /**
     * @param array<string, mixed> $step
     *
     * @return array<string, mixed>
     */
    private function step(array $step): array
    {
        return ['id' => 's' . ++$this->steps] + $step;
    }

    /**
     * @template T
     *
     * @param non-empty-list<T> $from
     *
     * @return T
     */
    private static function oneOf(array $from): mixed
    {
        return $from[mt_rand(0, \count($from) - 1)];
    }
}
