<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Step;

use Meandros\Core\Plan\Kind;
use Meandros\Core\Plan\Plan;
use Meandros\Core\Plan\Reference;
use Meandros\Core\Plan\Step;
use Meandros\Core\Reading\Input;

/** Takes a message into a mailbox; the call ends with it. Its exits are keys that callers press while the greeting plays. */
final readonly class MessageStep implements Step
{
    use OfAStep;

    /** Key # is the mailbox's own: it records at once. */
    public const KEYS = ['1', '2', '3', '4', '5', '6', '7', '8', '9', '*', '0'];
    public const AT_ONCE = '#';

    public function __construct(
        private AboutStep $about,
        public ?string $mailbox,
        private Exits $exits = new Exits(),
    ) {}

    public static function fromJson(Input $in): static
    {
        $in->onlyFields([...AboutStep::FIELDS, 'mailbox', 'exits']);

        return new self(
            AboutStep::fromJson($in),
            $in->field('mailbox')->reference(),
            Exits::fromJson($in->field('exits'), self::KEYS),
        );
    }

    public function exits(): Exits
    {
        return $this->exits;
    }

    public function toJson(): array
    {
        return [...$this->about->toJson('message'), 'mailbox' => $this->mailbox, 'exits' => $this->exits->toJson()];
    }

    public function references(string $pointer): array
    {
        return null === $this->mailbox
            ? []
            : [new Reference($this->mailbox, $pointer . '/mailbox', [Kind::Mailbox], 'takes messages into it')];
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
        return null !== $this->mailbox && [] === $this->exits->items;
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
