<?php

declare(strict_types=1);

namespace Meandros\Core\Check;

use Meandros\Core\Overflow\Stay;
use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\Element\Journey;
use Meandros\Core\Plan\Step\QueueStep;

/**
 * A queue from which calls that nobody takes come back to it.
 *
 * @implements Check<Journey>
 */
final class OverflowComesBack implements Check
{
    public function looksAt(): array
    {
        return [Journey::class];
    }

    public function of(Element $element, Survey $survey): iterable
    {
        foreach ($survey->overflow->staysOf($element) as $stay) {
            $way = $stay->step instanceof QueueStep ? $survey->overflow->wayBack($stay) : [];
            if ([] !== $way) {
                $names = array_map(static fn(Stay $at): string => $survey->plan->nameOf($at->by), $way);
                yield Finding::warning($element, $stay->place, 'overflow-comes-back', [
                    'way' => implode(' → ', [...$names, $names[0]]),
                ]);
            }
        }
    }
}
