<?php

declare(strict_types=1);

namespace Meandros\Core\Check;

use Meandros\Core\Plan\Element;

/**
 * One thing to look for in a plan. What is found in an element depends on it and on what it is together with, which the
 * survey finds without looking through the plan.
 *
 * @template-contravariant E of Element
 */
interface Check
{
    /** @return non-empty-list<class-string<Element>> those that E stands for */
    public function looksAt(): array;

    /**
     * @param E $element
     *
     * @return iterable<Finding>
     */
    public function of(Element $element, Survey $survey): iterable;
}
