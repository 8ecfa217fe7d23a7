<?php

declare(strict_types=1);

namespace Meandros\Core\Check;

use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\Element\Journey;
use Meandros\Core\Plan\Step\MenuStep;
use Meandros\Core\Script\Spoken;

/**
 * A menu two keys of which are chosen by the same word: it is always taken for the first.
 *
 * @implements Check<Journey>
 */
final class WordOfTwoKeys implements Check
{
    public function looksAt(): array
    {
        return [Journey::class];
    }

    public function of(Element $element, Survey $survey): iterable
    {
        foreach ($element->steps->everyStep('/steps') as $place => $step) {
            $seen = [];
            foreach ($step instanceof MenuStep ? $step->manner->words : [] as $i => $words) {
                foreach ($words->say as $j => $word) {
                    $first = $seen[$words->language][Spoken::plain($word)] ??= $words->on;
                    if ($first !== $words->on) {
                        $fix = Fix::remove($element, \sprintf('%s/words/%d/say/%d', $place, $i, $j));
                        yield Finding::warning(
                            $element,
                            $place . '/words',
                            'word-of-two-keys',
                            ['word' => $word, 'language' => $words->language, 'first' => $first, 'key' => $words->on],
                            $fix,
                        );
                    }
                }
            }
        }
    }
}
