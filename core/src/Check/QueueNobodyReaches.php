<?php

declare(strict_types=1);

namespace Meandros\Core\Check;

use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\Element\Queue;

/**
 * A queue to which neither a number nor a step leads.
 *
 * @implements Check<Queue>
 */
final class QueueNobodyReaches implements Check
{
    public function looksAt(): array
    {
        return [Queue::class];
    }

    public function of(Element $element, Survey $survey): iterable
    {
        if ([] === $survey->plan->mentioning($element->id())) {
            yield Finding::warning($element, '/name', 'queue-nobody-reaches');
        }
    }
}
