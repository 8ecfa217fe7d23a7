<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Element;

use Meandros\Core\Plan\Kind;
use Meandros\Core\Plan\Reference;
use Meandros\Core\Plan\Step\MessageStep;
use Meandros\Core\Plan\Step\QueueStep;
use Meandros\Core\Plan\Step\StepList;
use Meandros\Core\Plan\TakesCalls;
use Meandros\Core\Plan\WithoutParts;
use Meandros\Core\Reading\Input;
use Meandros\Core\Reading\Limits;

/** Callers wait in order for an agent. */
final readonly class Queue implements TakesCalls
{
    use Named;
    use WithoutParts;

    public const MOST_RANKS = 9;

    /**
     * @param list<QueueMember>  $members  in the queue's order
     * @param int                $rank     where an agent is in several queues with callers, those of the lowest rank come first
     * @param QueueCallback|null $callback null where nobody is called back
     * @param string|null        $mailbox  that takes a message where a call was sent straight to the queue and nobody took it
     */
    public function __construct(
        private string $id,
        private string $name,
        public array $members,
        public QueueAsking $asking = new QueueAsking(),
        public QueueTaking $taking = new QueueTaking(),
        public QueueDuty $duty = new QueueDuty(),
        public QueueWaiting $waiting = new QueueWaiting(),
        public QueueMusic $music = new QueueMusic(),
        public QueueRecording $recording = new QueueRecording(),
        public QueueAdmission $admission = new QueueAdmission(),
        public ?QueueCallback $callback = null,
        public ServicePromise $promise = new ServicePromise(),
        public int $rank = 1,
        public ?string $mailbox = null,
    ) {}

    public static function fromJson(Input $in): static
    {
        $in->onlyFields([
            'id',
            'kind',
            'name',
            'members',
            'asking',
            'taking',
            'duty',
            'waiting',
            'music',
            'recording',
            'admission',
            'callback',
            'promise',
            'rank',
            'mailbox',
        ]);
        $members = self::members($in->field('members'));
        self::refuseGaps($in, $members);
        $waiting = QueueWaiting::fromJson($in->field('waiting'));
        $before = QueueWaiting::musicBefore($in->field('waiting'));
        $callback = QueueCallback::fromJson($in->field('callback'));
        if (null !== $waiting->leaveKey && $waiting->leaveKey === $callback?->offer->key) {
            $in->field('callback')
                ->field('offer')
                ->field('key')
                ->complain('key-leaves-queue', ['key' => $waiting->leaveKey]);
        }

        return new self(
            $in->field('id')->id(),
            $in->field('name')->text(),
            $members,
            QueueAsking::fromJson($in->field('asking')),
            QueueTaking::fromJson($in->field('taking')),
            QueueDuty::fromJson($in->field('duty')),
            $waiting,
            null === $before ? QueueMusic::fromJson($in->field('music')) : new QueueMusic([$before]),
            QueueRecording::fromJson($in->field('recording')),
            QueueAdmission::fromJson($in->field('admission')),
            $callback,
            ServicePromise::fromJson($in->field('promise')),
            $in->field('rank')->whole(1, self::MOST_RANKS, 'the rank', 1),
            $in->field('mailbox')->reference(),
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

    public function directSteps(): StepList
    {
        $mailbox = null === $this->mailbox ? [] : [new MessageStep('message', $this->mailbox)];

        return new StepList([new QueueStep('queue', $this->id), ...$mailbox]);
    }

    public function hasAgent(string $person): bool
    {
        return [] !== array_filter($this->members, static fn(QueueMember $member): bool => $member->who === $person);
    }

    public function kind(): Kind
    {
        return Kind::Queue;
    }

    public function toJson(): array
    {
        return [
            'id' => $this->id,
            'kind' => 'queue',
            'name' => $this->name,
            'members' => array_map(static fn(QueueMember $member): array => $member->toJson(), $this->members),
            'asking' => $this->asking->toJson(),
            'taking' => $this->taking->toJson(),
            'duty' => $this->duty->toJson(),
            'waiting' => $this->waiting->toJson(),
            'music' => $this->music->toJson(),
            'recording' => $this->recording->toJson(),
            'admission' => $this->admission->toJson(),
            'callback' => $this->callback?->toJson(),
            'promise' => $this->promise->toJson(),
            'rank' => $this->rank,
            'mailbox' => $this->mailbox,
        ];
    }

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
        if (null !== $this->mailbox) {
            $references[] = new Reference($this->mailbox, '/mailbox', [Kind::Mailbox], 'leaves messages with it');
        }

        return [
            ...$references,
            ...$this->taking->references('/taking'),
            ...$this->waiting->references('/waiting'),
            ...$this->music->references('/music'),
            ...$this->recording->references('/recording'),
            ...$this->callback?->references('/callback') ?? [],
        ];
    }
}
