<?php

declare(strict_types=1);

namespace Meandros\Core\Routing\Happening;

use Meandros\Core\Ringing\Rung;

/** Phones rang, or could not. */
final readonly class Ringing implements Happening
{
    /**
     * @param string|null $target an element's id or a number; null when none is chosen
     * @param list<Rung>  $rung   in seconds since the call began
     * @param string|null $exit   null when somebody answered
     */
    public function __construct(public ?string $target, public array $rung, public int $seconds, public int $limitSeconds, public ?string $exit)
    {
    }

    public function kind(): string
    {
        return null === $this->exit ? 'answered' : 'not answered';
    }

    public function what(): array
    {
        return ['target' => $this->target, 'seconds' => $this->seconds, 'exit' => $this->exit];
    }

    public function because(): array
    {
        return ['limit' => $this->limitSeconds, 'phones' => array_map(static fn (Rung $rung): array => $rung->toJson(), $this->rung)];
    }

    /** Whether the own mailbox of a phone took the call. */
    public function lostToMailbox(): bool
    {
        return [] !== array_filter($this->rung, static fn (Rung $rung): bool => Rung::OWN_MAILBOX === $rung->outcome);
    }
}
