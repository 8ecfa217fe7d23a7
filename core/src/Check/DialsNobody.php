<?php

declare(strict_types=1);

namespace Meandros\Core\Check;

use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\Element\Journey;
use Meandros\Core\Plan\Step\MenuStep;

/**
 * A menu at which extensions may be dialled, of nobody.
 *
 * @implements Check<Journey>
 */
final class DialsNobody implements Check
{
    public function looksAt(): array
    {
        return [Journey::class];
    }

    public function of(Element $element, Survey $survey): iterable
    {
        foreach ($element->steps->everyStep('/steps') as $place => $step) {
            if ($step instanceof MenuStep && true === $step->dial?->isEmpty()) {
                yield Finding::warning($element, $place.'/dial', 'dials-nobody', [], Fix::replace($element, $place.'/dial', null));
            }
        }
    }
}
