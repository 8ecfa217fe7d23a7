<?php

declare(strict_types=1);

namespace Meandros\Core\Check;

use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\Element\Journey;
use Meandros\Core\Plan\Step\MenuStep;

/**
 * A menu with words for a key that leads nowhere.
 *
 * @implements Check<Journey>
 */
final class WordWithoutKey implements Check
{
    public function looksAt(): array
    {
        return [Journey::class];
    }

    public function of(Element $element, Survey $survey): iterable
    {
        foreach ($element->steps->everyStep('/steps') as $place => $step) {
            foreach ($step instanceof MenuStep ? $step->manner->words : [] as $i => $words) {
                if ([] !== $words->say && null === $step->exits()->find($words->on)) {
                    yield Finding::warning(
                        $element,
                        $place . '/words',
                        'word-without-key',
                        ['word' => $words->say[0], 'key' => $words->on],
                        Fix::remove($element, \sprintf('%s/words/%d', $place, $i)),
                    );
                }
            }
        }
    }
}
