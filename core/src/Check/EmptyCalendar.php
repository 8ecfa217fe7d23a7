<?php

declare(strict_types=1);

namespace Meandros\Core\Check;

use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\Element\HolidayCalendar;

/**
 * A holiday calendar without a holiday.
 *
 * @implements Check<HolidayCalendar>
 */
final class EmptyCalendar implements Check
{
    public function looksAt(): array
    {
        return [HolidayCalendar::class];
    }

    public function of(Element $element, Survey $survey): iterable
    {
        if ([] === $element->holidays->entries) {
            yield Finding::warning($element, '/holidays', 'empty-calendar');
        }
    }
}
