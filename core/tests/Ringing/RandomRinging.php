<?php

declare(strict_types=1);

namespace Meandros\Core\Tests\Ringing;

use Meandros\Core\Routing\Trace;
use Meandros\Core\Tests\PlanBuilder;

/**
 * Random people, phones, rules and teams, twice: as a plan that is called, and as a case for the reference. Persons are
 * p0, p1 …; the call comes from outside by a line with one channel more than are free.
 */
final class RandomRinging
{
    /** @var array<string, array<string, mixed>> phones for the reference, by name */
    private array $phones = [];
    /** @var list<array<string, mixed>> */
    private array $people = [];
    /** @var list<array<string, mixed>> */
    private array $assumed = [];
    /** @var list<array<string, mixed>> */
    private array $statuses = [];
    /** @var list<array<string, mixed>> */
    private array $teams = [];
    private int $numbers = 0;

    /**
     * @return array{array<string, mixed>, Trace}
     */
    public static function draw(): array
    {
        return (new self())->case();
    }

    /** @return array{array<string, mixed>, Trace} */
    private function case(): array
    {
        [$target, $program] = 0 === mt_rand(0, 2) ? $this->ownCall() : $this->team('team_main', mt_rand(1, 4));
        [$limit, $again, $patience, $channels] = [
            mt_rand(1, 50),
            max(0, mt_rand(-2, 2)),
            0 === mt_rand(0, 3) ? mt_rand(1, 70) : null,
            0 === mt_rand(0, 1) ? mt_rand(0, 3) : null,
        ];
        $listed = [];
        foreach (self::listed($program['members']) as $name) {
            $listed[$name] ??= $this->phones[$name];
        }
        $builder = new PlanBuilder();
        foreach ([...$this->people, ...$this->teams] as $element) {
            $builder->with($element);
        }
        if (null !== $channels) {
            $builder->with([
                'id' => 'line_quay',
                'kind' => 'line',
                'name' => 'Quay',
                'site' => 'sit_harbour',
                'destinations' => ['local', 'national', 'mobile', 'international'],
                'channels' => $channels + 1,
            ]);
        }
        $trace = $builder
            ->journey('jrn_main', [
                ['id' => 'ring', 'do' => 'ring', 'target' => $target, 'seconds' => $limit, 'againMinutes' => $again],
            ])
            ->call(
                ['phones' => $this->assumed, 'statuses' => $this->statuses] +
                    (null === $patience ? [] : ['patience' => $patience]),
            );

        return [
            [
                'phones' => array_values($listed),
                'program' => $program,
                'limit' => $limit,
                'again' => $again,
                'patience' => $patience,
                'channels' => $channels,
            ],
            $trace,
        ];
    }

    /**
     * @param list<array<string, mixed>> $members
     *
     * @return \Generator<string>
     */
    private static function listed(array $members): \Generator
    {
        foreach ($members as $member) {
            \assert(\is_array($member['stages']));
            foreach ($member['stages'] as $stage) {
                yield from $stage['phones'];
                yield from null === $stage['team'] ? [] : self::listed($stage['team']['members']);
            }
        }
    }

    /** @return array{string, array<string, mixed>} somebody whose rule holds, with teams in its stages */
    private function ownCall(): array
    {
        $phones = $this->person('boss', mt_rand(1, 3), false);
        $stages = $written = [];
        for ($i = 0, $count = mt_rand(1, 3); $i < $count; ++$i) {
            $named = array_values(array_filter($phones, static fn(): bool => 0 === mt_rand(0, 1)));
            $team = [] === $named || 0 === mt_rand(0, 3) ? $this->team('team_' . $i, mt_rand(1, 3)) : null;
            [$after, $seconds] = [mt_rand(0, 30), mt_rand(1, 30)];
            $written[] = [
                'phones' => array_map(static fn(string $name): string => explode('/', $name)[1], $named),
                'teams' => null === $team ? [] : [$team[0]],
                'after' => $after,
                'seconds' => $seconds,
            ];
            $stages[] = ['after' => $after, 'seconds' => $seconds, 'phones' => $named, 'team' => $team[1] ?? null];
        }
        // The first who was made, before those of the teams.
        $this->people[0]['rules'] = [['id' => 'one', 'name' => 'One', 'stages' => $written]];

        return [
            'boss',
            [
                'pattern' => 'all at once',
                'turn' => 0,
                'widen' => 0,
                'members' => [['tier' => 1, 'seconds' => null, 'kept' => null, 'stages' => $stages]],
            ],
        ];
    }

    /** @return array{string, array<string, mixed>} */
    private function team(string $id, int $count): array
    {
        $pattern = ['all at once', 'one after the other', 'one after the other', 'widening'][mt_rand(0, 3)];
        [$members, $written, $tier] = [[], [], 1];
        for ($i = 0; $i < $count; ++$i) {
            $tier += $i > 0 && 0 === mt_rand(0, 1) ? 1 : 0;
            $seconds = 0 === mt_rand(0, 3) ? mt_rand(1, 20) : null;
            $ask = 0 === mt_rand(0, 4);
            [$who, $phones, $kept] = $this->someone($id . '_' . $i, $ask);
            $written[] = ['who' => $who, 'tier' => $tier, 'seconds' => $seconds, 'askFirst' => $ask];
            $members[] = [
                'tier' => $tier,
                'seconds' => $seconds,
                'kept' => $kept,
                'stages' => [['after' => 0, 'seconds' => null, 'phones' => $phones, 'team' => null]],
            ];
            if (!str_starts_with($who, '+') && !str_contains($who, '/') && \count($phones) > 1 && 0 === mt_rand(0, 3)) {
                // One of their phones stands in the team by itself too, before them.
                array_splice($written, -1, 0, [
                    ['who' => $phones[0], 'tier' => $tier, 'seconds' => null, 'askFirst' => $ask],
                ]);
                array_splice($members, -1, 0, [
                    [
                        'tier' => $tier,
                        'seconds' => null,
                        'kept' => null,
                        'stages' => [['after' => 0, 'seconds' => null, 'phones' => [$phones[0]], 'team' => null]],
                    ],
                ]);
            }
        }
        [$turn, $widen] = [mt_rand(1, 20), mt_rand(1, 15)];
        $this->teams[] = [
            'id' => $id,
            'kind' => 'team',
            'name' => $id,
            'pattern' => $pattern,
            'members' => $written,
            'memberSeconds' => $turn,
            'widenSeconds' => $widen,
        ];

        return [$id, ['pattern' => $pattern, 'turn' => $turn, 'widen' => $widen, 'members' => $members]];
    }

    /** @return array{string, non-empty-list<string>, string|null} a member, their phones, and why these do not ring */
    private function someone(string $id, bool $ask): array
    {
        if (0 === mt_rand(0, 4)) {
            $number = $this->number(0 === mt_rand(0, 1));
            $this->phone(
                $number,
                $number,
                str_starts_with($number, '+447') ? 3 : 2,
                ['ask' => $ask, 'calls' => str_starts_with($number, '+447') ? 2 : 1],
                null,
            );

            return [$number, [$number], null];
        }
        $phones = $this->person('per_' . $id, mt_rand(1, 3), $ask);
        if (0 === mt_rand(0, 5)) {
            $this->statuses[] = [
                'who' => 'per_' . $id,
                'status' => ($status = ['do not disturb', 'on leave', 'away'][mt_rand(0, 2)]),
            ];

            return [
                'per_' . $id,
                $phones,
                ['do not disturb' => 'busy', 'on leave' => 'unreachable', 'away' => null][$status],
            ];
        }

        return 0 === mt_rand(0, 4) ? [$phones[0], [$phones[0]], null] : ['per_' . $id, $phones, null];
    }

    /** @return non-empty-list<string> names of the phones */
    private function person(string $id, int $count, bool $ask): array
    {
        $forAll = 0 === mt_rand(0, 3);
        $phones = $names = [];
        for ($i = 0; $i < $count; ++$i) {
            $own = ['id' => 'p' . $i, 'label' => 'p' . $i, 'askFirst' => 0 === mt_rand(0, 3)];
            [$outside, $name] = [0 === mt_rand(0, 1), $id . '/p' . $i];
            if ($outside) {
                $mobile = 0 === mt_rand(0, 1);
                $own += [
                    'type' => 'outside',
                    'number' => $this->number($mobile),
                    'ownMailbox' => 0 === mt_rand(0, 1) ? mt_rand(0, 25) : null,
                    'digits' => str_repeat(',', max(0, mt_rand(-3, 3))),
                ];
                $own += [
                    'mailboxWhenBusy' => [null, true, false][mt_rand(0, 2)],
                    'setUp' => 0 === mt_rand(0, 1) ? mt_rand(0, 6) : null,
                    'confirm' => mt_rand(5, 12),
                    'calls' => [null, 1, 2][mt_rand(0, 2)],
                ];
                $this->phone(
                    $name,
                    $id,
                    $own['setUp'] ?? ($mobile ? 3 : 2),
                    [
                        'mailbox' => $own['ownMailbox'],
                        'when_busy' => $own['mailboxWhenBusy'] ?? $mobile,
                        'ask' => $ask || $own['askFirst'],
                        'confirm' => $own['confirm'],
                        'digits' => \strlen($own['digits']),
                        'calls' => $own['calls'] ?? ($mobile ? 2 : 1),
                        'for_all' => $forAll,
                    ],
                    $id,
                );
            } else {
                $own += ['type' => 'desk', 'calls' => mt_rand(1, 2)];
                $this->phone(
                    $name,
                    $id,
                    0,
                    [
                        'outside' => false,
                        'ask' => $ask || $own['askFirst'],
                        'calls' => $own['calls'],
                        'for_all' => $forAll,
                    ],
                    $id,
                );
            }
            [$phones[], $names[]] = [$own, $name];
        }
        $this->people[] = [
            'id' => $id,
            'kind' => 'person',
            'name' => $id,
            'extension' => '',
            'site' => 'sit_harbour',
            'phones' => $phones,
            'refusesForAll' => $forAll,
            'mailbox' => null,
        ];
        \assert([] !== $names);

        return $names;
    }

    /** @param array<string, mixed> $more */
    private function phone(string $name, string $person, int $setUp, array $more, ?string $owner): void
    {
        $does = ['rings', 'rings', 'answers', 'answers', 'busy', 'refuses', 'unreachable', 'on a call'][mt_rand(0, 7)];
        $after =
            \in_array($does, ['answers', 'refuses'], true) || ('on a call' === $does && 0 === mt_rand(0, 1))
                ? mt_rand(0, 30)
                : null;
        $this->assumed[] = ['who' => $name, 'does' => $does] + (null === $after ? [] : ['after' => $after]);
        $this->phones[$name] = $more + [
            'name' => $name,
            'person' => $owner ?? $person,
            'does' => $does,
            'after' => $after,
            'set_up' => $setUp,
            'mailbox' => null,
            'when_busy' => false,
            'ask' => false,
            'confirm' => 10,
            'digits' => 0,
            'calls' => 1,
            'for_all' => false,
            'outside' => true,
        ];
    }

    private function number(bool $mobile): string
    {
        return \sprintf($mobile ? '+4477009001%02d' : '+4416329602%02d', ++$this->numbers);
    }
}
