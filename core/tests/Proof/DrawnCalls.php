<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Proof;

use Meandros\Core\Call\Assumptions;
use Meandros\Core\Call\TrialCall;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Tests\PlanBuilder;

/** Small plans of drawn people, phones, queues and hours around one thing each, and a call to them. */
final readonly class DrawnCalls
{
    private const MESSAGE = ['id' => 'last', 'do' => 'message', 'mailbox' => 'mbx'];
    private const SAY = ['id' => 'say', 'do' => 'say', 'prompt' => 'prm_b'];
    private const END = ['id' => 'end', 'do' => 'end'];
    public const KINDS = [
        'hours',
        'all kinds',
        'queue',
        'place kept',
        'queue again',
        'rounds',
        'names',
        'keys',
        'parked',
        'mobiles',
        'two queues',
        'in turn',
    ];

    private function __construct(public Plan $plan, public TrialCall $call, public Assumptions $given) {}

    public static function of(string $kind, int $seed): self
    {
        mt_srand(1000 * $seed + \strlen($kind));
        $plan = match ($kind) {
            'hours' => RandomPlans::one(),
            'all kinds' => RandomPlans::ofAllKinds(),
            default => RandomPlans::ofAllKinds(
                [self::SAY, ...array_values(self::steps($kind))],
                'mobiles' === $kind ? ['ownMailbox' => mt_rand(5, 30), 'mailboxWhenBusy' => 0 === mt_rand(0, 1)] : [],
            ),
        };
        $call = PlanBuilder::trial(
            \sprintf('2027-0%d-%02dT%02d:%02d', mt_rand(1, 9), mt_rand(1, 28), mt_rand(6, 20), mt_rand(0, 59)),
            from: self::oneOf(['', '+441632960777', '+441632960777']),
        );
        $agent = ['who' => 'ann', 'freeAfter' => self::oneOf([null, 0, 30, 200])];
        $queue = ['queue' => 'que', 'ahead' => mt_rand(0, 2), 'agents' => self::oneOf([[], [$agent]])];

        return new self($plan, $call, Assumptions::fromData(['queues' => 0 === $seed % 4 ? [$queue] : []]));
    }

    /** @return list<array<string, mixed>> */
    private static function steps(string $kind): array
    {
        $ring = static fn(string $id, string $whom): array => [
            'id' => $id,
            'do' => 'ring',
            'target' => $whom,
            'seconds' => mt_rand(1, 30),
        ];
        $queue = static fn(string $id): array => ['id' => $id, 'do' => 'queue', 'queue' => 'que'];
        $whom = self::oneOf(['ann', 'ben', 'team']);
        $menu = [
            'id' => 'menu',
            'do' => 'menu',
            'prompt' => 'prm_b',
            'wait' => mt_rand(1, 6),
            'tries' => mt_rand(1, 2),
        ];

        return match ($kind) {
            'queue' => [$ring('ring', $whom), $queue('que'), self::MESSAGE],
            'place kept' => [
                $queue('que') + [
                    'exits' => [
                        [
                            'on' => 'callback',
                            'steps' => [$ring('ring', 'cid'), ['id' => 'thanks'] + self::SAY, self::END],
                        ],
                    ],
                ],
                self::MESSAGE,
            ],
            'queue again' => [
                $queue('one') + ['exits' => [['on' => 'waited', 'steps' => [$ring('ring', 'cid'), $queue('two')]]]],
                self::MESSAGE,
            ],
            'rounds' => [
                ['againMinutes' => mt_rand(1, 2), 'exits' => [['on' => 'refused', 'steps' => [self::END]]]] +
                $ring('ring', $whom),
                self::MESSAGE,
            ],
            'names' => [
                [
                    'id' => 'names',
                    'do' => 'directory',
                    'prompt' => 'prm_b',
                    'wait' => mt_rand(1, 6),
                    'tries' => mt_rand(1, 2),
                    'part' => self::oneOf(['first', 'last', 'either']),
                    'letters' => mt_rand(2, 4),
                    'most' => mt_rand(1, 3),
                    'exits' => [['on' => 'nobody', 'steps' => [self::END]]],
                ],
                self::MESSAGE,
            ],
            'keys' => [
                [
                    'exits' => [
                        ['on' => '1', 'steps' => [$ring('ring', $whom)]],
                        ['on' => '2', 'steps' => [self::END]],
                    ],
                ] + ['dial' => ['scope' => 'everybody', 'digitSeconds' => mt_rand(1, 4)]] +
                $menu,
                ['id' => 'fax', 'do' => 'fax', 'mailbox' => 'mbx', 'seconds' => mt_rand(4, 12)],
                ['exits' => [['on' => '5', 'steps' => [['id' => 'five'] + self::END]]], 'greeting' => 'prm_b'] +
                $ring('key', 'cid'),
            ],
            'parked' => [
                [
                    'id' => 'park',
                    'do' => 'park',
                    'site' => 'sit_harbour',
                    'seconds' => mt_rand(5, 60),
                    'exits' => [['on' => 'none free', 'steps' => [self::END]]],
                ],
                ['id' => 'out', 'do' => 'forward', 'number' => '+441632960987'],
                self::MESSAGE,
            ],
            'two queues' => [$queue('que'), ['queue' => 'other'] + $queue('other'), self::MESSAGE],
            'in turn' => [['handOver' => true] + $ring('ring', 'ann'), $ring('team', 'team'), $ring('one', 'ben')],
            default => [$ring('ring', $whom), $ring('again', $whom), $queue('que'), self::MESSAGE],
        };
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
