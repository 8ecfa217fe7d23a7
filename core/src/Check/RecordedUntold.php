<?php

declare(strict_types=1);

namespace Meandros\Core\Check;

use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\Element\Queue;

/**
 * Calls are recorded, and callers are not told.
 *
 * @implements Check<Queue>
 */
final class RecordedUntold implements Check
{
    public function looksAt(): array
    {
        return [Queue::class];
    }

    public function of(Element $element, Survey $survey): iterable
    {
        if ($element->callers->recording->on && null === $element->callers->recording->notice) {
            yield Finding::warning(
                $element,
                '/recording',
                'recorded-untold',
                [],
                Fix::replace($element, '/recording/on', false),
            );
        }
    }
}
