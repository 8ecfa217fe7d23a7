<?php

declare(strict_types=1);

namespace Meandros\Core\Check;

use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\Element\Journey;

/**
 * A step behind one after which no call goes on.
 *
 * @implements Check<Journey>
 */
final class UnreachableStep implements Check
{
    public function looksAt(): array
    {
        return [Journey::class];
    }

    public function of(Element $element, Survey $survey): iterable
    {
        foreach ($element->steps->everyList('/steps') as $place => $list) {
            foreach (\array_slice($list->steps, 1, null, true) as $i => $step) {
                if ($list->steps[$i - 1]->isLast()) {
                    yield Finding::warning($element, $place . '/' . $i, 'unreachable-step');
                }
            }
        }
    }
}
