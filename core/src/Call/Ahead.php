<?php

declare(strict_types=1);

namespace Meandros\Core\Call;

use Meandros\Core\Reading\Input;
use Meandros\Core\Reading\Limits;

/** Callers who wait in a queue already, by their urgency. */
final readonly class Ahead
{
    public function __construct(public int $usual = 0, public int $urgent = 0, public int $canWait = 0) {}

    /** @param Input $state of the queue, with the fields "ahead", "urgentAhead" and "canWaitAhead" */
    public static function fromJson(Input $state): self
    {
        $callers = static fn(Input $in): int => $in->whole(0, Limits::WAITING, 'callers', 0);

        return new self(
            $callers($state->field('ahead')),
            $callers($state->field('urgentAhead')),
            $callers($state->field('canWaitAhead')),
        );
    }

    /** @return array<string, int> */
    public function toJson(): array
    {
        return ['ahead' => $this->usual, 'urgentAhead' => $this->urgent, 'canWaitAhead' => $this->canWait];
    }

    /** How many of them come before a call of an urgency. */
    public function of(Urgency $urgency): int
    {
        return match ($urgency) {
            Urgency::Urgent => $this->urgent,
            Urgency::Usual => $this->urgent + $this->usual,
            Urgency::CanWait => $this->all(),
        };
    }

    public function all(): int
    {
        return $this->urgent + $this->usual + $this->canWait;
    }
}
