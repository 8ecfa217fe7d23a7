<?php

declare(strict_types=1);

namespace Meandros\Core\Proof\Ways;

use Meandros\Core\Call\AgentState;
use Meandros\Core\Call\CallerActs;
use Meandros\Core\Call\Circumstances;
use Meandros\Core\Call\QueueState;

/** What is so on a way through a plan besides what callers press and phones do. */
final readonly class Stated
{
    /**
     * @param array<string, QueueState> $queues by queue
     * @param ParkedSo|null             $parked what becomes of calls that are parked; null where it is not said
     * @param bool|null                 $isFax  whether a fax machine calls; null where it is not said
     */
    public function __construct(
        public array $queues = [],
        public ?ParkedSo $parked = null,
        public ?bool $isFax = null,
    ) {}

    /** Nothing is stated. */
    public static function none(): self
    {
        /** @var self|null $none */
        static $none = null;

        return $none ??= new self();
    }

    public function isNothing(): bool
    {
        return [] === $this->queues && null === $this->parked && null === $this->isFax;
    }

    public function then(self $later): self
    {
        if ($later->isNothing()) {
            return $this;
        }

        return new self($later->queues + $this->queues, $later->parked ?? $this->parked, $later->isFax ?? $this->isFax);
    }

    /** Whether callers were let into a queue so that nobody has been free for them yet; somebody may be from now on. */
    public function waitedInVain(string $queue): bool
    {
        $state = $this->queues[$queue] ?? null;

        return null !== $state && 0 === $state->ahead->all() && null === $state->free && [] === $state->agents;
    }

    /** Whether nobody at all is on for a queue: callers who come back are not let in again. */
    public function nobodyIsOn(string $queue): bool
    {
        $state = $this->queues[$queue] ?? new QueueState();
        $on = array_filter($state->agents, static fn(AgentState $one): bool => $one->signedIn);

        return 0 === $state->ahead->all() && [] !== $state->agents && [] === $on;
    }

    /** The same on a way that begins so many seconds earlier. */
    public function later(int $seconds): self
    {
        if ([] === $this->queues) {
            return $this;
        }

        return new self(
            array_map(
                static fn(QueueState $state): QueueState => new QueueState(
                    $state->ahead,
                    $state->free,
                    array_map(static fn(AgentState $one): AgentState => $one->later($seconds), $state->agents),
                    $state->caller,
                ),
                $this->queues,
            ),
            $this->parked,
            $this->isFax,
        );
    }

    public function around(Circumstances $given): Circumstances
    {
        return [] === $this->queues
            ? $given
            : new Circumstances(
                $given->statuses,
                $this->queues + $given->queues,
                $given->channelsTaken,
                $given->sitesDown,
                $given->withoutOverrides,
            );
    }

    public function by(Presses $presses, CallerActs $given, ?int $patience): CallerActs
    {
        return new CallerActs(
            $presses->saidAtMenus(),
            $presses->saidMeanwhile(),
            $patience,
            $this->isFax ?? $given->isFax,
        );
    }
}
