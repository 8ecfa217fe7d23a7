<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Proof;

use Meandros\Core\Plan\Plan;
use Meandros\Core\Tests\PlanBuilder;

/** Small plans whose one journey looks at hours, rings, says, asks, and goes on, as it comes; drawn with mt_rand. */
final class RandomPlans
{
    private const DAYS = ['mo', 'tu', 'we', 'th', 'fr', 'sa', 'su'];
    private const PEOPLE = ['ann', 'ben', 'cid'];

    public const BEHIND_OWN_NUMBER = 'jrn_own';
    private const OWN_NUMBER = '+441632960123';
    private const MOBILE = ['id' => 'mobile', 'type' => 'outside', 'label' => 'Mobile', 'number' => '+447700900123'];
    private const OUTSIDE = '+441632960987';

    private int $steps = 0;

    private function __construct(private readonly bool $isOfAllKinds = false) {}

    public static function one(): Plan
    {
        return (new self())->builder()->plan();
    }

    /**
     * With queues, directories, extensions, fax machines, parking, numbers outside and of its own, and keys at mailboxes.
     *
     * @param list<array<string, mixed>>|null $steps  of the main journey, where they are not drawn
     * @param array<string, mixed>            $mobile fields of a phone outside that Ann has besides; none where she has none
     */
    public static function ofAllKinds(?array $steps = null, array $mobile = []): Plan
    {
        $self = new self(true);
        $builder = $self->builder();
        foreach (self::PEOPLE as $i => $person) {
            $builder->with([
                'id' => $person,
                'kind' => 'person',
                'name' => ucfirst($person) . ' ' . self::oneOf(['Adams', 'Adderley', 'Brook']),
                'extension' => self::oneOf(['', (string) (201 + $i)]),
                'site' => 'sit_harbour',
                'mailbox' => self::oneOf([null, 'mbx']),
                'phones' => [
                    ['id' => 'desk', 'type' => 'desk', 'label' => 'desk'],
                    ...0 === $i && [] !== $mobile ? [self::MOBILE + $mobile] : [],
                ],
                'rules' => self::oneOf([[], [], [self::rule()]]),
            ]);
        }
        $builder
            ->with([
                'id' => 'num_two',
                'kind' => 'number',
                'name' => 'Second line',
                'number' => self::OWN_NUMBER,
                'site' => 'sit_harbour',
                'language' => 'en',
                'target' => self::BEHIND_OWN_NUMBER,
            ])
            ->with([
                'id' => 'mbx',
                'kind' => 'mailbox',
                'name' => 'Office',
                'owners' => [],
                'notify' => ['office@example.com'],
                'greeting' => 'prm_b',
                'keys' => ['leave' => self::oneOf([null, '0']), 'leaveTo' => self::oneOf([null, 'cid'])],
            ])
            ->with([
                'id' => 'other',
                'kind' => 'queue',
                'name' => 'Other',
                'members' => [['who' => 'ben', 'tier' => 1], ['who' => 'cid', 'tier' => 1]],
                'admission' => ['needsAgent' => false],
            ])
            ->with([
                'id' => 'que',
                'kind' => 'queue',
                'name' => 'Queue',
                'members' => [['who' => 'ann', 'tier' => 1], ['who' => 'ben', 'tier' => self::oneOf([1, 2])]],
                'asking' => [
                    'order' => self::oneOf(['in order', 'all at once', 'longest idle first']),
                    'alertSeconds' => mt_rand(5, 20),
                    'widenSeconds' => mt_rand(5, 20),
                    'spillsOver' => 0 === mt_rand(0, 1),
                ],
                'waiting' => ['longestSeconds' => mt_rand(20, 90), 'leaveKey' => self::oneOf([null, '1'])],
                'callback' => self::oneOf([null, $self->callback()]),
                'admission' => [
                    'needsAgent' => 0 === mt_rand(0, 1),
                    'mostWaiting' => self::oneOf([null, mt_rand(1, 5)]),
                    'mostExpectedSeconds' => self::oneOf([null, mt_rand(100, 600)]),
                ],
            ])
            ->with([
                'id' => 'sit_harbour',
                'kind' => 'site',
                'name' => 'Harbour',
                'zone' => 'Europe/London',
                'country' => 'GB',
                'language' => 'en',
                'parkPlaces' => ['701'],
            ])
            ->journey(self::BEHIND_OWN_NUMBER, [$self->step(3)]);

        return (null === $steps ? $builder : $builder->journey('jrn_main', $steps))->plan();
    }

    /** The same plan twice, but for one thing. @return array{Plan, Plan} */
    public static function pair(): array
    {
        $builder = (new self())->builder();
        $before = $builder->plan();
        $other = new self();
        match (mt_rand(0, 2)) {
            0 => $builder->hours('hrs_a', $other->week()),
            1 => $builder->team('team', ['ann', 'cid'], 'all at once', mt_rand(5, 20)),
            default => $builder->prompt('prm_b', mt_rand(1, 9)),
        };

        return [$before, $builder->plan()];
    }

    private function builder(): PlanBuilder
    {
        $builder = new PlanBuilder();
        foreach (self::PEOPLE as $person) {
            $builder->person($person, ['desk']);
        }
        $builder
            ->team('team', ['ann', 'ben'], self::oneOf(['all at once', 'one after the other']))
            ->mailbox('mbx')
            ->prompt('prm_b', mt_rand(1, 9))
            ->hours('hrs_a', $this->week(), $this->special())
            ->hours('hrs_b', $this->week())
            ->with([
                'id' => 'prm_a',
                'kind' => 'prompt',
                'name' => 'Closed',
                'scripts' => ['en' => self::oneOf(['We open again {opening}.', 'It is {date}.', 'Closed.'])],
                'hours' => self::oneOf([null, 'hrs_b']),
            ])
            ->journey('jrn_two', [$this->step(3), $this->step(3)])
            ->journey('jrn_main', [$this->step(0), $this->step(0), $this->step(0)]);

        return $builder;
    }

    /** @return array<string, mixed> of a person: who is asked when they do not take a call */
    private static function rule(): array
    {
        $next = static fn(): string => self::oneOf(['mbx', 'ann', 'ben', 'cid', 'que', 'jrn_two']);

        return [
            'id' => 'rule',
            'name' => 'Rule',
            'stages' => [['phones' => ['desk'], 'teams' => [], 'after' => 0, 'seconds' => mt_rand(5, 20)]],
            'next' => ['nobody' => $next(), 'busy' => $next(), 'unreachable' => $next()],
        ];
    }

    /** @return array<string, mixed> */
    private function callback(): array
    {
        return [
            'offer' => ['key' => '5', 'afterSeconds' => mt_rand(0, 30), 'atTheEnd' => 0 === mt_rand(0, 1)],
            'calls' => [
                'tries' => mt_rand(1, 3),
                'pauseSeconds' => mt_rand(30, 90),
                'ringSeconds' => mt_rand(10, 40),
            ],
            'window' => [
                'keptMinutes' => mt_rand(5, 8),
                'hours' => self::oneOf([null, 'hrs_a']),
                'overnight' => 0 === mt_rand(0, 1),
            ],
        ];
    }

    /** @return list<array<string, mixed>> */
    private function week(): array
    {
        $week = [];
        foreach (self::DAYS as $day) {
            $from = mt_rand(6, 11) * 60 + mt_rand(0, 59);
            $to = $from + mt_rand(1, 600);
            if (0 !== mt_rand(0, 4)) {
                $week[] = ['days' => [$day], 'from' => self::clock($from), 'to' => self::clock($to), 'state' => 'open'];
                $week[] = [
                    'days' => [$day],
                    'from' => self::clock($to),
                    'to' => self::clock($to + 30),
                    'state' => 'lunch',
                ];
            }
        }

        return $week;
    }

    /** @return list<array<string, mixed>> */
    private function special(): array
    {
        return [
            [
                'date' => \sprintf('2027-%02d-%02d', mt_rand(1, 12), mt_rand(1, 28)),
                'name' => 'Feast',
                'bands' => [['from' => '09:00', 'to' => '10:00', 'state' => 'open']],
            ],
        ];
    }

    /** @return array<string, mixed> */
    private function step(int $deep): array
    {
        $id = 's' . ++$this->steps;
        $kinds = ['say', 'ring', 'message', 'end', 'go', 'hours', 'hours', 'hours', 'menu'];
        $kind = $deep > 2 ? self::oneOf(['say', 'ring', 'message', 'end']) : self::oneOf($kinds);
        if ($this->isOfAllKinds && $deep < 4 && 0 === mt_rand(0, $deep > 1 ? 4 : 1)) {
            return ['id' => $id] + $this->stepOfOtherKinds($deep);
        }

        return ['id' => $id, 'do' => $kind] +
            match ($kind) {
                'say' => ['prompt' => self::oneOf(['prm_a', 'prm_b'])],
                'ring' => [
                    'target' => self::oneOf([...self::PEOPLE, 'team']),
                    'seconds' => mt_rand(5, 30),
                    'exits' => $this->exits($deep, ['nobody', 'busy', 'refused']),
                ],
                'message' => ['mailbox' => 'mbx'],
                'go' => ['journey' => 'jrn_two', 'comesBack' => $deep < 2 && 0 === mt_rand(0, 1)],
                'hours' => [
                    'hours' => self::oneOf(['hrs_a', 'hrs_b']),
                    'exits' => $this->exits($deep, ['open', 'lunch', 'closed']),
                ],
                'menu' => [
                    'prompt' => 'prm_b',
                    'wait' => mt_rand(1, 6),
                    'tries' => mt_rand(1, 3),
                    'exits' => $this->exits($deep, ['1', '2', 'nothing', 'wrong']),
                ],
                default => [],
            };
    }

    /** @return array<string, mixed> */
    private function stepOfOtherKinds(int $deep): array
    {
        $kind = self::oneOf(
            $deep > 2
                ? ['forward', 'queue', 'fax', 'park']
                : ['queue', 'queue', 'directory', 'menu', 'fax', 'park', 'forward', 'ring', 'ring'],
        );

        return ['do' => $kind] +
            match ($kind) {
                'queue' => [
                    'queue' => 'que',
                    'exits' => $this->exits($deep, [
                        'full',
                        'waited',
                        'too long',
                        'no agents',
                        'key',
                        'unreachable',
                        'callback',
                    ]),
                ],
                'directory' => [
                    'prompt' => 'prm_b',
                    'wait' => mt_rand(1, 6),
                    'tries' => mt_rand(1, 2),
                    'part' => self::oneOf(['first', 'last', 'either']),
                    'letters' => mt_rand(2, 4),
                    'most' => mt_rand(1, 3),
                    'exits' => $this->exits($deep, ['nobody', 'nothing', '0', 'dialled']),
                ],
                'menu' => [
                    'prompt' => 'prm_b',
                    'wait' => mt_rand(1, 6),
                    'tries' => mt_rand(1, 2),
                    'duringPrompt' => 0 === mt_rand(0, 1),
                    'dial' => ['scope' => 'everybody', 'digitSeconds' => mt_rand(1, 4)],
                    'exits' => $this->exits($deep, ['1', 'nothing', 'wrong', 'dialled']),
                ],
                'fax' => ['mailbox' => 'mbx', 'seconds' => mt_rand(4, 12), 'prompt' => self::oneOf([null, 'prm_b'])],
                'park' => [
                    'site' => 'sit_harbour',
                    'seconds' => mt_rand(5, 60),
                    'exits' => $this->exits($deep, ['not taken', 'none free']),
                ],
                'forward' => [
                    'number' => $deep > 2 ? self::OUTSIDE : self::oneOf([self::OUTSIDE, self::OWN_NUMBER]),
                    'exits' => $this->exits($deep, ['busy', 'unreachable']),
                ],
                default => [
                    'target' => self::oneOf(self::PEOPLE),
                    'seconds' => mt_rand(5, 30),
                    'exits' => $this->exits($deep, ['nobody', 'busy', 'refused', '5']),
                    'handOver' => 0 === mt_rand(0, 1),
                    'againMinutes' => self::oneOf([0, 0, 0, 1]),
                    'greeting' => self::oneOf([null, 'prm_b']),
                    'greetAfter' => mt_rand(0, 5),
                ],
            };
    }

    /**
     * @param list<string> $on
     *
     * @return list<array{on: string, steps: list<array<string, mixed>>}>
     */
    private function exits(int $deep, array $on): array
    {
        $exits = [];
        foreach ($on as $one) {
            if (0 !== mt_rand(0, 2) && !($this->isOfAllKinds && $deep + mt_rand(0, 2) > 2)) {
                $steps = [];
                for ($i = mt_rand(0, 2); $i > 0; --$i) {
                    $steps[] = $this->step($deep + 1);
                }
                $exits[] = ['on' => $one, 'steps' => $steps];
            }
        }

        return $exits;
    }

    private static function clock(int $minute): string
    {
        return \sprintf('%02d:%02d', intdiv($minute, 60), $minute % 60);
    }

    /**
     * @template T
     *
     * @param non-empty-list<T> $choices
     *
     * @return T
     */
    private static function oneOf(array $choices): mixed
    {
        return $choices[mt_rand(0, \count($choices) - 1)];
    }
}
