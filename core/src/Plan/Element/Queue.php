<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Element;

use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\Kind;
use Meandros\Core\Plan\Reference;
use Meandros\Core\Plan\WithoutParts;
use Meandros\Core\Reading\Input;
use Meandros\Core\Reading\Limits;

/** Callers wait in order for an agent. */
final readonly class Queue implements Element
{
    use Named;
    use WithoutParts;

    /** @param list<QueueMember> $members in the queue's order */
    public function __construct(
        private string $id,
        private string $name,
        public array $members,
        public QueueAsking $asking = new QueueAsking(),
        public QueueWaiting $waiting = new QueueWaiting(),
        public QueueAdmission $admission = new QueueAdmission(),
        public ServicePromise $promise = new ServicePromise(),
    ) {
    }

    public static function fromJson(Input $in): static
    {
        $in->onlyFields(['id', 'kind', 'name', 'members', 'asking', 'waiting', 'admission', 'promise']);
        $members = self::members($in->field('members'));
        self::refuseGaps($in, $members);

        return new self(
            $in->field('id')->id(),
            $in->field('name')->text(),
            $members,
            QueueAsking::fromJson($in->field('asking')),
            QueueWaiting::fromJson($in->field('waiting')),
            QueueAdmission::fromJson($in->field('admission')),
            ServicePromise::fromJson($in->field('promise')),
        );
    }

    /** @return list<QueueMember> */
    private static function members(Input $in): array
    {
        $members = [];
        foreach ($in->items(Limits::MEMBERS) as $item) {
            $member = QueueMember::fromJson($item);
            if (isset($members[$member->who])) {
                $item->complain('This member is in the queue twice.', 'Remove one of the two.');
            }
            $members[$member->who] = $member;
        }

        return array_values($members);
    }

    /** @param list<QueueMember> $members */
    private static function refuseGaps(Input $in, array $members): void
    {
        $tiers = array_flip(array_map(static fn (QueueMember $member): int => $member->tier, $members));
        foreach ($members as $i => $member) {
            if ($member->tier > 1 && !isset($tiers[$member->tier - 1])) {
                $in->field('members')->items(Limits::MEMBERS)[$i]->field('tier')->complain(\sprintf('Tier %d waits for tier %d, which has nobody.', $member->tier, $member->tier - 1), \sprintf('Move somebody to tier %d, or lower this one.', $member->tier - 1));
            }
        }
    }

    /** @return array<int, QueueMember> those who are on, by their place among all */
    public function asked(): array
    {
        return array_filter($this->members, static fn (QueueMember $member): bool => $member->on);
    }

    public function kind(): Kind
    {
        return Kind::Queue;
    }

    public function toJson(): array
    {
        return [
            'id' => $this->id, 'kind' => 'queue', 'name' => $this->name, 'members' => array_map(static fn (QueueMember $member): array => $member->toJson(), $this->members),
            'asking' => $this->asking->toJson(), 'waiting' => $this->waiting->toJson(), 'admission' => $this->admission->toJson(), 'promise' => $this->promise->toJson(),
        ];
    }

    public function references(): array
    {
        $references = [];
        foreach ($this->members as $i => $member) {
            $references[] = new Reference($member->who, \sprintf('/members/%d/who', $i), [Kind::Person], 'asks them as an agent');
        }

        return [...$references, ...$this->waiting->references('/waiting')];
    }
}
