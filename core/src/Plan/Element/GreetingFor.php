<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Element;

/** Why callers hear the greeting that they hear. */
enum GreetingFor: string
{
    case Usual = 'usual';
    case Busy = 'busy';
    case Unreachable = 'unreachable';
    /** Until a date, in place of all others. */
    case Away = 'away';
    /** The answering rule that passed the call on brings its own. */
    case Rule = 'rule';
    /** There is no greeting: its name is heard. */
    case Name = 'name';
}
