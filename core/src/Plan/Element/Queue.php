<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Element;

use Meandros\Core\Plan\Kind;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Plan\Reference;
use Meandros\Core\Plan\Step\AboutStep;
use Meandros\Core\Plan\Step\MessageStep;
use Meandros\Core\Plan\Step\QueueStep;
use Meandros\Core\Plan\Step\StepList;
use Meandros\Core\Plan\TakesCalls;
use Meandros\Core\Plan\WithoutParts;
use Meandros\Core\Reading\Input;

/** Callers wait in order for an agent. */
final readonly class Queue implements TakesCalls
{
    use Named;
    use WithoutParts;

    public const MOST_RANKS = 9;

    /**
     * @param int         $rank    where an agent is in several queues with callers, those of the lowest rank come first
     * @param string|null $mailbox that takes a message where a call was sent straight to the queue and nobody took it
     */
    public function __construct(
        private About $about,
        public QueueAgents $agents,
        public QueueCallers $callers = new QueueCallers(),
        public int $rank = 1,
        public ?string $mailbox = null,
    ) {}

    public static function fromJson(Input $in): static
    {
        $in->onlyFields([...About::FIELDS, ...QueueAgents::FIELDS, ...QueueCallers::FIELDS, 'rank', 'mailbox']);

        return new self(
            About::fromJson($in),
            QueueAgents::fromJson($in),
            QueueCallers::fromJson($in),
            $in->field('rank')->whole(1, self::MOST_RANKS, 'the rank', 1),
            $in->field('mailbox')->reference(),
        );
    }

    /** @return array<int, QueueMember> who may be asked for a queue; nobody where there is none */
    public static function askedIn(Plan $plan, ?string $id): array
    {
        return $plan->get(self::class, $id)?->agents->asked() ?? [];
    }

    public function directSteps(): StepList
    {
        $mailbox = null === $this->mailbox ? [] : [new MessageStep(new AboutStep('message'), $this->mailbox)];

        return new StepList([new QueueStep(new AboutStep('queue'), $this->about->id), ...$mailbox]);
    }

    public function kind(): Kind
    {
        return Kind::Queue;
    }

    public function toJson(): array
    {
        return [
            ...$this->about->toJson($this->kind()),
            ...$this->agents->toJson(),
            ...$this->callers->toJson(),
            'rank' => $this->rank,
            'mailbox' => $this->mailbox,
        ];
    }

    public function references(): array
    {
        $references = $this->agents->references();
        if (null !== $this->mailbox) {
            $references[] = new Reference($this->mailbox, '/mailbox', [Kind::Mailbox], 'leaves messages with it');
        }

        return [...$references, ...$this->callers->references()];
    }
}
