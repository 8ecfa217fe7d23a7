<?php

declare(strict_types=1);

namespace Meandros\Core\Ringing;

/** The mailbox that a phone outside has of its own. */
final readonly class OwnMailbox
{
    /**
     * @param int  $after    seconds of ringing after which it answers
     * @param bool $whenBusy whether it also takes calls that are declined or come while the phone is busy
     */
    public function __construct(public int $after, public bool $whenBusy) {}
}
