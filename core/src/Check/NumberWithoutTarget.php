<?php

declare(strict_types=1);

namespace Meandros\Core\Check;

use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\Element\Number;

/**
 * Calls to a number lead nowhere.
 *
 * @implements Check<Number>
 */
final class NumberWithoutTarget implements Check
{
    public function looksAt(): array
    {
        return [Number::class];
    }

    public function of(Element $element, Survey $survey): iterable
    {
        $isForExtensions = '' !== $element->range->extension();
        if (null === $element->target && null === $element->line->keptUntil && !$isForExtensions) {
            yield Finding::blocking($element, '/target', 'number-without-target');
        }
    }
}
