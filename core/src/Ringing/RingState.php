<?php

declare(strict_types=1);

namespace Meandros\Core\Ringing;

enum RingState
{
    case Ringing;
    /** Picked up: digits are sent, or whoever did is asked. No limit cuts that. */
    case Connecting;
    /** The time was up. */
    case Ended;
    /** Refused, or its own mailbox was turned away: it does not ring on in this stretch. */
    case Silent;
}
