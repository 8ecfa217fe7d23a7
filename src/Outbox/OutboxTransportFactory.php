<?php

declare(strict_types=1);

namespace Meandros\Server\Outbox;

use Meandros\Server\Now;
use Symfony\Component\DependencyInjection\Attribute\AutoconfigureTag;
use Symfony\Component\Mailer\Transport\Dsn;
use Symfony\Component\Mailer\Transport\TransportFactoryInterface;
use Symfony\Component\Mailer\Transport\TransportInterface;

/** Makes the transport of `outbox://local`. */
#[AutoconfigureTag('mailer.transport_factory')]
final readonly class OutboxTransportFactory implements TransportFactoryInterface
{
    public function __construct(private Outbox $outbox, private Now $now) {}

    public function create(Dsn $dsn): TransportInterface
    {
        return new OutboxTransport($this->outbox, $this->now);
    }

    public function supports(Dsn $dsn): bool
    {
        return 'outbox' === $dsn->getScheme();
    }
}
