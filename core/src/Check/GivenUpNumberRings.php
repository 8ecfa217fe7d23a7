<?php

declare(strict_types=1);

namespace Meandros\Core\Check;

use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\Element\Journey;
use Meandros\Core\Plan\Element\Number;

/**
 * A number that was given up still rings somebody: its callers mean whoever had it before. A journey may tell them so.
 *
 * @implements Check<Number>
 */
final class GivenUpNumberRings implements Check
{
    public function looksAt(): array
    {
        return [Number::class];
    }

    public function of(Element $element, Survey $survey): iterable
    {
        $target = $survey->plan->find($element->target?->element);
        if (null !== $element->line->keptUntil && null !== $target && !($target instanceof Journey)) {
            yield Finding::warning($element, '/target', 'given-up-number-rings', [
                'target' => $target->name(),
                'until' => $element->line->keptUntil,
            ]);
        }
    }
}
