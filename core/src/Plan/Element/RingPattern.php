<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Element;

use Meandros\Core\Value\Lists;

enum RingPattern: string
{
    case AllAtOnce = 'all at once';
    case OneAfterTheOther = 'one after the other';
    case Rotating = 'rotating';
    case LongestIdle = 'longest idle first';
    case FewestCalls = 'fewest calls first';
    case Random = 'random';
    case Widening = 'widening';
    /** One way: phones inside answer by themselves, and everybody hears the caller. */
    case Paging = 'paging';

    /** Whether members ring one after the other. */
    public function isInTurn(): bool
    {
        return !Lists::has([self::AllAtOnce, self::Widening, self::Paging], $this);
    }
}
