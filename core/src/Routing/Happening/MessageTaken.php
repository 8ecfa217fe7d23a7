<?php

declare(strict_types=1);

namespace Meandros\Core\Routing\Happening;

final readonly class MessageTaken implements Happening
{
    public function __construct(
        public ?string $mailbox,
        public ?string $greeting,
        public int $greetingSeconds,
        public bool $greetingOfRule = false,
    ) {}

    public function kind(): string
    {
        return 'message';
    }

    public function what(): array
    {
        return ['mailbox' => $this->mailbox, 'greeting' => $this->greeting, 'seconds' => $this->greetingSeconds];
    }

    public function because(): array
    {
        return null === $this->mailbox ? ['missing' => 'mailbox'] : ['greetingOfRule' => $this->greetingOfRule];
    }

    public function noticed(): array
    {
        return null === $this->mailbox ? [] : $this->what();
    }
}
