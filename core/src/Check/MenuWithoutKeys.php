<?php

declare(strict_types=1);

namespace Meandros\Core\Check;

use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\Element\Journey;
use Meandros\Core\Plan\Step\MenuStep;

/**
 * A menu in which no key leads anywhere.
 *
 * @implements Check<Journey>
 */
final class MenuWithoutKeys implements Check
{
    public function looksAt(): array
    {
        return [Journey::class];
    }

    public function of(Element $element, Survey $survey): iterable
    {
        foreach ($element->steps->everyStep('/steps') as $place => $step) {
            if ($step instanceof MenuStep && [] === $step->exits()->items) {
                yield Finding::warning($element, $place . '/exits', 'menu-without-keys');
            }
        }
    }
}
