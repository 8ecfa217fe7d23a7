<?php

declare(strict_types=1);

namespace Meandros\Core\Check;

use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\Element\Journey;
use Meandros\Core\Plan\Step\AgainStep;
use Meandros\Core\Plan\Step\MenuStep;

/**
 * A menu whose every key only asks again: nothing that callers press gets them out of it.
 *
 * @implements Check<Journey>
 */
final class MenuNeverLeft implements Check
{
    public function looksAt(): array
    {
        return [Journey::class];
    }

    public function of(Element $element, Survey $survey): iterable
    {
        foreach ($element->steps->everyStep('/steps') as $place => $step) {
            $keys = $step instanceof MenuStep && null === $step->dial ? $step->exits()->keys() : [];
            $out = array_filter(
                $keys,
                static fn(string $key): bool => !(
                    ($step->exits()->find($key)?->steps->steps[0] ?? null) instanceof
                    AgainStep
                ),
            );
            if ([] !== $keys && [] === $out) {
                yield Finding::warning($element, $place . '/exits', 'menu-never-left');
            }
        }
    }
}
