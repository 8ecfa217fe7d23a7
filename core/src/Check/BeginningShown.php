<?php

declare(strict_types=1);

namespace Meandros\Core\Check;

use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\Element\Journey;
use Meandros\Core\Plan\Element\Number;
use Meandros\Core\Plan\Element\Person;
use Meandros\Core\Plan\Element\Queue;

/**
 * Calls to outside are to show all numbers that begin alike: they can show but one.
 *
 * @implements Check<Journey|Person|Queue>
 */
final class BeginningShown implements Check
{
    public function looksAt(): array
    {
        return [Person::class, Journey::class, Queue::class];
    }

    public function of(Element $element, Survey $survey): iterable
    {
        foreach ($element->references() as $reference) {
            $number = str_ends_with($reference->pointer, '/shows')
                ? $survey->plan->get(Number::class, $reference->id)?->range->number ?? ''
                : '';
            if (str_ends_with($number, '*')) {
                yield Finding::warning($element, $reference->pointer, 'beginning-shown', ['number' => $number]);
            }
        }
    }
}
