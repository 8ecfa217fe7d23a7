<?php

declare(strict_types=1);

namespace Meandros\Core\Call;

/** Whether an agent takes calls of a queue. */
enum SignIn: string
{
    case In = 'signed in';
    /** Signed in, and asked for nothing until they say so. */
    case Paused = 'paused';
    case Out = 'signed out';
}
