<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Element;

use Meandros\Core\Plan\Reference;
use Meandros\Core\Reading\Input;

/** What a queue does for its callers: whom it takes, what they go through and hear, and what they are promised. */
final readonly class QueueCallers
{
    public const FIELDS = ['waiting', 'music', 'recording', 'admission', 'callback', 'promise'];

    /** @param QueueCallback|null $callback null where nobody is called back */
    public function __construct(
        public QueueWaiting $waiting = new QueueWaiting(),
        public QueueMusic $music = new QueueMusic(),
        public QueueRecording $recording = new QueueRecording(),
        public QueueAdmission $admission = new QueueAdmission(),
        public ?QueueCallback $callback = null,
        public ServicePromise $promise = new ServicePromise(),
    ) {}

    /** @param Input $in the queue */
    public static function fromJson(Input $in): self
    {
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
            $waiting,
            null === $before ? QueueMusic::fromJson($in->field('music')) : new QueueMusic([$before]),
            QueueRecording::fromJson($in->field('recording')),
            QueueAdmission::fromJson($in->field('admission')),
            $callback,
            ServicePromise::fromJson($in->field('promise')),
        );
    }

    /** How callers are called back: the usual way where the queue does not say that they are. */
    public function callsBack(): QueueCallback
    {
        return $this->callback ?? new QueueCallback();
    }

    /** @return array<string, mixed> fields of the queue */
    public function toJson(): array
    {
        return [
            'waiting' => $this->waiting->toJson(),
            'music' => $this->music->toJson(),
            'recording' => $this->recording->toJson(),
            'admission' => $this->admission->toJson(),
            'callback' => $this->callback?->toJson(),
            'promise' => $this->promise->toJson(),
        ];
    }

    /** @return list<Reference> */
    public function references(): array
    {
        return [
            ...$this->waiting->references('/waiting'),
            ...$this->music->references('/music'),
            ...$this->recording->references('/recording'),
            ...$this->callback?->references('/callback') ?? [],
        ];
    }
}
