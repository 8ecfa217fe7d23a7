<?php

declare(strict_types=1);

namespace Meandros\Core\Routing\Happening;

use Meandros\Core\Plan\Element\Mailbox;
use Meandros\Core\Routing\MailboxGreeted;

/** A mailbox has the call: it was greeted, and leaves a message, or heard what there was to hear. */
final readonly class MessageTaken implements Happening
{
    public ?string $mailbox;
    /** The prompt; null where there is none. */
    public ?string $greeting;
    public bool $isAnnouncement;
    public bool $beeps;
    /** Until when the greeting for a while holds, on the local clock. */
    public ?string $until;

    /** @param Mailbox|null $mailbox null where none is chosen */
    public function __construct(?Mailbox $mailbox, public ?MailboxGreeted $greeted, public int $greetingSeconds)
    {
        $this->mailbox = $mailbox?->id();
        $this->greeting = $greeted?->heard->prompt;
        $this->isAnnouncement = null !== $mailbox && !$mailbox->messages->taken;
        $this->beeps = null !== $mailbox && $mailbox->messages->taken && $mailbox->messages->beep;
        $this->until = $mailbox?->greetings->away?->until;
    }

    public function kind(): string
    {
        return 'message';
    }

    public function what(): array
    {
        return [
            'mailbox' => $this->mailbox,
            'greeting' => $this->greeting,
            'language' => $this->greeted?->heard->language,
            'seconds' => $this->greetingSeconds,
            'filled' => $this->greeted?->heard->filledJson() ?? [],
            'beeps' => $this->beeps,
            'announcement' => $this->isAnnouncement,
        ];
    }

    public function because(): array
    {
        return null === $this->mailbox
            ? ['missing' => 'mailbox']
            : [
                'greetingFor' => $this->greeted?->for->value,
                'lengthFrom' => $this->greeted?->heard->from->value,
            ];
    }

    public function noticed(): array
    {
        return null === $this->mailbox ? [] : $this->what();
    }
}
