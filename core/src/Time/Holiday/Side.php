<?php

declare(strict_types=1);

namespace Meandros\Core\Time\Holiday;

/** On which side of a date a weekday is looked for. */
enum Side: string
{
    case OnOrBefore = 'on or before';
    case OnOrAfter = 'on or after';
}
