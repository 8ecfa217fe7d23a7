<?php

declare(strict_types=1);

namespace Meandros\Core\Proof\Ways;

/** Why not everything that callers, phones and the company may do is tried. */
enum Untried: string
{
    case AfterPlaceKept = 'place-kept';
    case ManyPeople = 'many-people';
    case ParkedWithoutEnd = 'parked-without-end';
    case QueueAgain = 'queue-again';
    case AgentAgain = 'agent-again';
    case PhoneOfTwo = 'phone-of-two';
    case PhoneAgain = 'phone-again';
    case Rounds = 'rounds';
    case TooManyWays = 'too-many-ways';
    case Changes = 'changes';
}
