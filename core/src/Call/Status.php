<?php

declare(strict_types=1);

namespace Meandros\Core\Call;

/** What a person says of themselves: live state, not plan. Rules name the statuses in which they hold. */
enum Status: string
{
    case Available = 'available';
    case Away = 'away';
    case DoNotDisturb = 'do not disturb';
    case OnLeave = 'on leave';
    case SignedOut = 'signed out';
}
