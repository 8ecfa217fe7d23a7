<?php

declare(strict_types=1);

namespace Meandros\Core\Routing;

/** Why a trace is stopped. */
enum Stop: string
{
    /** It came to the same steps again and again. */
    case Steps = 'steps';
    /** It lasted too long. */
    case Seconds = 'seconds';
    /** People pass it on to one another in a ring. */
    case People = 'people';
    /** It came back to a number that it had come in by. */
    case Number = 'number';
}
