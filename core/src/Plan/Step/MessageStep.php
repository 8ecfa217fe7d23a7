<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Step;

use Meandros\Core\Plan\Kind;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Plan\Reference;
use Meandros\Core\Plan\Step;
use Meandros\Core\Reading\Input;

/** Takes a message into a mailbox; the call ends with it. */
final readonly class MessageStep implements Step
{
    use WithoutExits;

    public function __construct(private string $id, public ?string $mailbox)
    {
    }

    public static function fromJson(Input $in): static
    {
        $in->onlyFields(['id', 'do', 'mailbox']);

        return new self($in->field('id')->id(), $in->field('mailbox')->reference());
    }

    public function id(): string
    {
        return $this->id;
    }

    public function toJson(): array
    {
        return ['id' => $this->id, 'do' => 'message', 'mailbox' => $this->mailbox];
    }

    public function references(string $pointer): array
    {
        return null === $this->mailbox ? [] : [new Reference($this->mailbox, $pointer.'/mailbox', [Kind::Mailbox], 'takes messages into it')];
    }

    public function unfinished(): ?string
    {
        return null === $this->mailbox ? 'mailbox' : null;
    }

    public function letsPassUnasked(): bool
    {
        return false;
    }

    public function isLast(): bool
    {
        return null !== $this->mailbox;
    }

    public function leadsTo(): null
    {
        return null;
    }

    public function takenBy(): ?string
    {
        return $this->mailbox;
    }

    public function waysOn(Plan $plan): array
    {
        return null === $this->mailbox ? ['' => 0] : [];
    }
}
