<?php

declare(strict_types=1);

namespace Meandros\Core\Routing\Happening;

use Meandros\Core\Plan\Target;
use Meandros\Core\Ringing\Rung;
use Meandros\Core\Routing\Answering\Considered;
use Meandros\Core\Routing\WhyRung;

/** Phones rang, or could not. */
final readonly class Ringing implements Happening
{
    /**
     * @param Target|null $target a person, a team or a number; null when none is chosen
     * @param list<Rung>  $rung   in seconds since the call began
     * @param string|null $exit   null when somebody answered
     */
    public function __construct(
        public ?Target $target,
        public array $rung,
        public int $seconds,
        public int $limitSeconds,
        public ?string $exit,
        public WhyRung $why,
    ) {}

    public function kind(): string
    {
        return null === $this->exit ? 'answered' : 'not answered';
    }

    public function what(): array
    {
        return ['target' => $this->target?->text(), 'seconds' => $this->seconds, 'exit' => $this->exit];
    }

    public function because(): array
    {
        $choice = $this->why->choice;

        return [
            'rule' => $choice?->rule?->id,
            'status' => $choice?->status->value,
            'considered' => array_map(static fn(Considered $one): array => $one->toJson(), $choice->considered ?? []),
            'turn' => $this->why->turn?->toJson(),
            'limit' => $this->limitSeconds,
            'phones' => array_map(static fn(Rung $rung): array => $rung->toJson(), $this->rung),
        ];
    }

    /** Whether any phone was to ring. */
    public function isDialled(): bool
    {
        return [] !== array_filter($this->rung, static fn(Rung $rung): bool => $rung->isDialled());
    }

    /** Whether phones answered by themselves. */
    public function isAnnouncement(): bool
    {
        return [] !== array_filter($this->rung, static fn(Rung $rung): bool => Rung::HEARS === $rung->outcome);
    }

    /** Whether the own mailbox of a phone took the call. */
    public function lostToMailbox(): bool
    {
        return [] !== array_filter($this->rung, static fn(Rung $rung): bool => Rung::OWN_MAILBOX === $rung->outcome);
    }

    public function noticed(): array
    {
        return [
            'exit' => $this->exit,
            'phones' => array_map(static fn(Rung $rung): array => $rung->toJson(), $this->rung),
        ];
    }
}
