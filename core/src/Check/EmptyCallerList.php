<?php

declare(strict_types=1);

namespace Meandros\Core\Check;

use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\Element\CallerList;

/**
 * A list of callers in which nobody is.
 *
 * @implements Check<CallerList>
 */
final class EmptyCallerList implements Check
{
    public function looksAt(): array
    {
        return [CallerList::class];
    }

    public function of(Element $element, Survey $survey): iterable
    {
        if ($element->entries->isEmpty()) {
            yield Finding::warning($element, '/entries', 'empty-caller-list');
        }
    }
}
