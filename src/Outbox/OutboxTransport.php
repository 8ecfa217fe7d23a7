<?php

declare(strict_types=1);

namespace Meandros\Server\Outbox;

use Meandros\Server\Now;
use Symfony\Component\Mailer\SentMessage;
use Symfony\Component\Mailer\Transport\AbstractTransport;
use Symfony\Component\Mime\Address;
use Symfony\Component\Mime\Email;

/** Puts e-mails into the outbox: another DSN of the mailer would send them. */
final class OutboxTransport extends AbstractTransport
{
    public function __construct(private readonly Outbox $outbox, private readonly Now $now)
    {
        parent::__construct();
    }

    public function __toString(): string
    {
        return 'outbox://local';
    }

    protected function doSend(SentMessage $message): void
    {
        $email = $message->getOriginalMessage();
        $to = array_values(
            array_map(
                static fn(Address $address): string => $address->getAddress(),
                $message->getEnvelope()->getRecipients(),
            ),
        );
        $text = $email instanceof Email ? $email->getTextBody() : null;
        $this->outbox->add(
            $to,
            $email instanceof Email ? $email->getSubject() ?? '' : '',
            \is_string($text) ? $text : '',
            $message->toString(),
            $this->now->second(),
            $email instanceof Email ? self::sound($email) : null,
        );
    }

    /** @return string|null the SHA-256 of the sound that comes with it */
    private static function sound(Email $email): ?string
    {
        foreach ($email->getAttachments() as $part) {
            if ('audio' === $part->getMediaType()) {
                return hash('sha256', $part->getBody());
            }
        }

        return null;
    }
}
