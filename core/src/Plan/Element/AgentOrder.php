<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Element;

/** Which of the agents who are free is asked first. */
enum AgentOrder: string
{
    case LongestIdle = 'longest idle first';
    case InOrder = 'in order';
    case RoundRobin = 'round robin';
    case FewestCalls = 'fewest calls first';
    case LeastTalk = 'least talk time first';
    case Random = 'random';
    case AllAtOnce = 'all at once';
}
