<?php

declare(strict_types=1);

namespace Meandros\Core\Time\Holiday;

/** Where a holiday goes that falls on a weekday on which it is not kept. */
enum SubstituteDay: string
{
    /** The next day that is neither Saturday nor Sunday nor a holiday of the same calendar. */
    case NextWorkingDay = 'next working day';
    case NextMonday = 'next monday';
    /** Friday for a Saturday, Monday for a Sunday. */
    case NearestWeekday = 'nearest weekday';
    case DayBefore = 'day before';
    case DayAfter = 'day after';
}
