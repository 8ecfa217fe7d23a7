<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Expected;

/** What a call may be promised to end with. */
enum Outcome: string
{
    /** Somebody answers, or calls back. */
    case Person = 'person';
    case Message = 'message';
    /** Sent on to a number outside. */
    case Outside = 'outside';
    case Announcement = 'announcement';
}
