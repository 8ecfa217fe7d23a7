<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Element;

/** How an agent takes a call of a queue. */
enum PickUp: string
{
    case ByHand = 'by hand';
    /** They press 1 to take it, so that no mailbox of a mobile does. */
    case AskedFirst = 'asked first';
    /** Desk and soft phones that are free answer without anybody touching them. */
    case ByItself = 'by itself';
}
