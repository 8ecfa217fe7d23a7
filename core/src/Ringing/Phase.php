<?php

declare(strict_types=1);

namespace Meandros\Core\Ringing;

/** What happens first where several things happen in one second. */
enum Phase: int
{
    /** Stretches of ringing are over. */
    case Ends = 0;
    /** Phones fall silent by themselves: refused, or a mailbox that pressed nothing. */
    case FallsSilent = 1;
    /** Teams that ring in turn begin, and teams are paged. */
    case TeamsBegin = 2;
    /** Phones are dialled. */
    case Begins = 3;
    /** Phones are picked up, and calls are taken. */
    case Takes = 4;
}
