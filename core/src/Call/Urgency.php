<?php

declare(strict_types=1);

namespace Meandros\Core\Call;

/** Which callers of a queue come first; of one urgency those who came first. */
enum Urgency: string
{
    case Urgent = 'urgent';
    case Usual = 'usual';
    case CanWait = 'can wait';
}
