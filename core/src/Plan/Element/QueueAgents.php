<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Element;

use Meandros\Core\Plan\Kind;
use Meandros\Core\Plan\Reference;
use Meandros\Core\Reading\Input;
use Meandros\Core\Reading\Limits;

/** Who takes the calls of a queue, and how they are asked. */
final readonly class QueueAgents
{
    public const FIELDS = ['members', 'asking', 'taking', 'duty'];

    /** @param list<QueueMember> $members in the queue's order */
    public function __construct(
        public array $members,
        public QueueAsking $asking,
        public QueueTaking $taking = new QueueTaking(),
        public QueueDuty $duty = new QueueDuty(),
    ) {}

    /** @param Input $in the queue */
    public static function fromJson(Input $in): self
    {
        $members = self::members($in->field('members'));
        self::refuseGaps($in, $members);

        return new self(
            $members,
            QueueAsking::fromJson($in->field('asking')),
            QueueTaking::fromJson($in->field('taking')),
            QueueDuty::fromJson($in->field('duty')),
        );
    }

    /** @return list<QueueMember> */
    private static function members(Input $in): array
    {
        $members = [];
        foreach ($in->items(Limits::MEMBERS) as $item) {
            $member = QueueMember::fromJson($item);
            if (isset($members[$member->who])) {
                $item->complain('queue-member-twice');
            }
            $members[$member->who] = $member;
        }

        return array_values($members);
    }

    /** @param list<QueueMember> $members */
    private static function refuseGaps(Input $in, array $members): void
    {
        $tiers = array_flip(array_map(static fn(QueueMember $member): int => $member->tier, $members));
        foreach ($members as $i => $member) {
            if ($member->tier > 1 && !isset($tiers[$member->tier - 1])) {
                $in->field('members')
                    ->items(Limits::MEMBERS)
                    [$i]->field('tier')
                    ->complain('tier-waits', ['tier' => $member->tier, 'waits' => $member->tier - 1]);
            }
        }
    }

    /** @return array<int, QueueMember> those who are on, by their place among all */
    public function asked(): array
    {
        return array_filter($this->members, static fn(QueueMember $member): bool => $member->on);
    }

    public function has(string $person): bool
    {
        return [] !== array_filter($this->members, static fn(QueueMember $member): bool => $member->who === $person);
    }

    /** @return array<string, mixed> fields of the queue */
    public function toJson(): array
    {
        return [
            'members' => array_map(static fn(QueueMember $member): array => $member->toJson(), $this->members),
            'asking' => $this->asking->toJson(),
            'taking' => $this->taking->toJson(),
            'duty' => $this->duty->toJson(),
        ];
    }

    /** @return list<Reference> */
    public function references(): array
    {
        $references = [];
        foreach ($this->members as $i => $member) {
            $references[] = new Reference(
                $member->who,
                \sprintf('/members/%d/who', $i),
                [Kind::Person],
                'asks them as an agent',
            );
        }

        return [...$references, ...$this->taking->references('/taking')];
    }
}
