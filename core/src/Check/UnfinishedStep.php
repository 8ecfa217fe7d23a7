<?php

declare(strict_types=1);

namespace Meandros\Core\Check;

use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\Element\Journey;

/**
 * A step in which something is still to be chosen.
 *
 * @implements Check<Journey>
 */
final class UnfinishedStep implements Check
{
    public function looksAt(): array
    {
        return [Journey::class];
    }

    public function of(Element $element, Survey $survey): iterable
    {
        foreach ($element->steps->everyStep('/steps') as $place => $step) {
            $field = $step->unfinished();
            if (null !== $field) {
                yield Finding::blocking($element, $place . '/' . $field, 'unfinished-step', ['field' => $field]);
            }
        }
    }
}
