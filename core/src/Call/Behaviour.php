<?php

declare(strict_types=1);

namespace Meandros\Core\Call;

/** What a phone does when it is to ring. */
enum Behaviour: string
{
    case Rings = 'rings';
    case Answers = 'answers';
    case Busy = 'busy';
    /** On one call: a phone that takes several at the same time still rings. */
    case OnACall = 'on a call';
    case Refuses = 'refuses';
    case Unreachable = 'unreachable';
}
