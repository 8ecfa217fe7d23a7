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

    private int $steps = 0;

    public static function one(): Plan
    {
        return (new self())->builder()->plan();
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

    /**
     * @param list<string> $on
     *
     * @return list<array{on: string, steps: list<array<string, mixed>>}>
     */
    private function exits(int $deep, array $on): array
    {
        $exits = [];
        foreach ($on as $one) {
            if (0 !== mt_rand(0, 2)) {
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
