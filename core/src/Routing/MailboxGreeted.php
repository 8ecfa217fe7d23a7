<?php

declare(strict_types=1);

namespace Meandros\Core\Routing;

use Meandros\Core\Plan\Element\GreetingFor;

/** The greeting of a mailbox as a caller hears it. */
final readonly class MailboxGreeted
{
    /** @param int $since the second of the call at which it began */
    public function __construct(public Heard $heard, public GreetingFor $for, public int $since) {}
}
