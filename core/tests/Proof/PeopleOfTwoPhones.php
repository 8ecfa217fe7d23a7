<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Proof;

use Meandros\Core\Plan\Plan;
use Meandros\Core\Tests\PlanBuilder;

/** Plans whose people may have two phones, rules with stages, and refuse for all; they are rung again at once; drawn with mt_rand. */
final class PeopleOfTwoPhones
{
    public const PHONES = ['ann/desk', 'ann/lap', 'ben/desk', 'ben/lap', 'cid/desk', 'cid/lap'];
    private const EXITS = ['busy', 'unreachable', 'refused'];

    private int $steps = 0;

    private function __construct(private readonly bool $isPaged) {}

    /**
     * @param bool $queue whether Ann and Ben are agents of a queue too, to which calls come somewhere on the way
     * @param bool $paged whether a team may be paged, also by rules
     */
    public static function plan(bool $queue = false, bool $paged = false): Plan
    {
        $self = new self($paged);
        $builder = new PlanBuilder();
        foreach (['ann', 'ben', 'cid'] as $person) {
            $builder->with($self->person($person));
        }
        foreach (['mbx', 'mbx_a', 'mbx_b', 'mbx_c'] as $mailbox) {
            $builder->mailbox($mailbox);
        }
        foreach (['team', 'two'] as $team) {
            $builder->with(self::team($team));
        }
        if ($paged) {
            $builder->with(['pattern' => 'paging'] + self::team('paged'));
        }
        $first = $self->ring();
        foreach (\array_slice(self::shuffled(self::EXITS), 0, 2) as $on) {
            $within =
                ['exits' => [['on' => self::oneOf(self::EXITS), 'steps' => [$self->message('mbx')]]]] + $self->ring();
            $first['exits'][] = ['on' => $on, 'steps' => [$within]];
        }
        $last = $self->ring();
        foreach (self::EXITS as $i => $on) {
            $last['exits'][] = ['on' => $on, 'steps' => [$self->message(['mbx_a', 'mbx_b', 'mbx_c'][$i])]];
        }

        $steps = [$first, $last];
        if ($queue) {
            $builder->with(self::queue());
            array_splice($steps, mt_rand(0, 2), 0, [['id' => 'que', 'do' => 'queue', 'queue' => 'que']]);
            $steps[] = $self->message('mbx');
        }

        return $builder->journey('jrn_main', $steps)->plan();
    }

    /** @return array<string, mixed> */
    private static function queue(): array
    {
        return [
            'id' => 'que',
            'kind' => 'queue',
            'name' => 'Queue',
            'members' => [['who' => 'ann', 'tier' => 1], ['who' => 'ben', 'tier' => mt_rand(1, 2)]],
            'asking' => [
                'order' => self::oneOf(['in order', 'all at once', 'longest idle first']),
                'alertSeconds' => mt_rand(5, 20),
                'widenSeconds' => mt_rand(5, 20),
                'spillsOver' => 0 === mt_rand(0, 1),
            ],
            'waiting' => ['longestSeconds' => mt_rand(20, 90), 'leaveKey' => self::oneOf([null, '1'])],
            'admission' => [
                'needsAgent' => 0 === mt_rand(0, 1),
                'mostWaiting' => self::oneOf([null, mt_rand(1, 5)]),
                'mostExpectedSeconds' => self::oneOf([null, mt_rand(100, 600)]),
            ],
        ];
    }

    /** @return array<string, mixed> */
    private function person(string $id): array
    {
        $phones = \array_slice(['desk', 'lap'], 0, 0 === mt_rand(0, 2) ? 1 : 2);
        $stage = fn(): array => [
            'phones' => 0 === mt_rand(0, 1) ? [self::oneOf($phones)] : $phones,
            'teams' => $this->isPaged ? self::oneOf([[], [], ['paged'], ['team'], ['two']]) : [],
            'after' => self::oneOf([0, 0, 5]),
            'seconds' => mt_rand(3, 12),
        ];
        $rule = [
            'id' => 'rule',
            'name' => 'Rule',
            'when' => ['via' => self::oneOf(['any', 'direct'])],
            'stages' => [$stage(), $stage()],
            'next' => ['nobody' => null, 'busy' => self::oneOf([null, 'mbx']), 'unreachable' => null],
        ];

        return [
            'id' => $id,
            'kind' => 'person',
            'name' => ucfirst($id),
            'extension' => '',
            'site' => 'sit_harbour',
            'mailbox' => null,
            'refusesForAll' => 0 === mt_rand(0, 3),
            'phones' => array_map(
                static fn(string $one): array => ['id' => $one, 'type' => 'desk', 'label' => $one],
                $phones,
            ),
            'rules' => 0 === mt_rand(0, 2) ? [$rule] : [],
        ];
    }

    /** @return array<string, mixed> */
    private static function team(string $id): array
    {
        return [
            'id' => $id,
            'kind' => 'team',
            'name' => ucfirst($id),
            'pattern' => self::oneOf(['all at once', 'one after the other']),
            'members' => array_map(
                static fn(string $who): array => ['who' => $who],
                \array_slice(self::shuffled(['ann', 'ben', 'cid/desk']), 0, mt_rand(1, 3)),
            ),
            'memberSeconds' => mt_rand(3, 10),
            'skipBusy' => 0 === mt_rand(0, 3),
            'followRules' => 0 === mt_rand(0, 2),
        ];
    }

    /** @return array{id: string, do: string, target: string, seconds: int, handOver: bool} */
    private function ring(): array
    {
        return [
            'id' => 's' . ++$this->steps,
            'do' => 'ring',
            'target' => self::oneOf(['ann', 'ben', 'cid', 'team', 'two', ...$this->isPaged ? ['paged'] : []]),
            'seconds' => mt_rand(4, 15),
            'handOver' => 0 === mt_rand(0, 3),
        ];
    }

    /** @return array<string, string> */
    private function message(string $mailbox): array
    {
        return ['id' => 's' . ++$this->steps, 'do' => 'message', 'mailbox' => $mailbox];
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

    /**
     * @param list<string> $all
     *
     * @return list<string>
     */
    private static function shuffled(array $all): array
    {
        $keys = array_map(static fn(): int => mt_rand(), $all);
        array_multisort($keys, $all);

        return $all;
    }
}
