<?php

declare(strict_types=1);

namespace Meandros\Core\Check;

use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\Element\Number;

/**
 * Nobody has said what numbers of a block do whose extension nobody has.
 *
 * @implements Check<Number>
 */
final class FreeNumbersLeadNowhere implements Check
{
    public function looksAt(): array
    {
        return [Number::class];
    }

    public function of(Element $element, Survey $survey): iterable
    {
        if (null === $element->target && '' !== $element->range->extension()) {
            yield Finding::warning($element, '/target', 'free-numbers-lead-nowhere');
        }
    }
}
