<?php

declare(strict_types=1);

namespace Meandros\Core\Check;

use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\Element\Journey;
use Meandros\Core\Plan\Step;
use Meandros\Core\Plan\Step\AgainStep;
use Meandros\Core\Plan\Step\MenuStep;

/**
 * A step that goes back to a menu, where there is none around it.
 *
 * @implements Check<Journey>
 */
final class AgainWithoutMenu implements Check
{
    public function looksAt(): array
    {
        return [Journey::class];
    }

    public function of(Element $element, Survey $survey): iterable
    {
        $steps = iterator_to_array($element->steps->everyStep('/steps'));
        foreach ($steps as $place => $step) {
            if (!($step instanceof AgainStep)) {
                continue;
            }
            $around = array_filter(
                $steps,
                static fn(Step $menu, string $outer): bool => $menu instanceof MenuStep &&
                    str_starts_with($place, $outer . '/'),
                \ARRAY_FILTER_USE_BOTH,
            );
            if (\count($around) <= $step->up) {
                yield Finding::warning(
                    $element,
                    $place,
                    'again-without-menu',
                    ['menus' => \count($around)],
                    [] === $around ? null : Fix::replace($element, $place . '/up', \count($around) - 1),
                );
            }
        }
    }
}
