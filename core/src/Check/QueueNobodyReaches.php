<?php

declare(strict_types=1);

namespace Meandros\Core\Check;

use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\Element\Queue;
use Meandros\Core\Plan\Kind;

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
        $others = array_filter(
            $survey->plan->mentioning($element->id()),
            static fn(Element $user): bool => Kind::Expectation !== $user->kind(),
        );
        if ([] === $others) {
            yield Finding::warning($element, '/name', 'queue-nobody-reaches');
        }
    }
}
