<?php

declare(strict_types=1);

namespace Meandros\Core\Check;

use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\Element\Journey;
use Meandros\Core\Plan\Step\MenuWord;
use Meandros\Core\Script\MenuKeys;
use Meandros\Core\Script\PromisedWord;
use Meandros\Core\Script\Spoken;

/**
 * A word that a menu's script tells callers to say, and that is not understood.
 *
 * @implements Check<Journey>
 */
final class WordPromisedMissing implements Check
{
    public function looksAt(): array
    {
        return [Journey::class];
    }

    public function of(Element $element, Survey $survey): iterable
    {
        foreach (MenuKeys::of($element, $survey->plan) as $menu) {
            foreach ($menu->words() as $language => $words) {
                foreach ($words as $one) {
                    if (null === Spoken::understand($one->word, $menu->step->manner->words, $language)->key) {
                        $arguments = [
                            'word' => $one->word,
                            'key' => $one->key ?? '',
                            'prompt' => $menu->prompt->name(),
                            'language' => $language,
                        ];
                        yield Finding::warning(
                            $element,
                            $menu->place . '/words',
                            'word-promised-missing',
                            $arguments,
                            self::fix($element, $menu, $one, $language),
                        );
                    }
                }
            }
        }
    }

    private static function fix(Journey $journey, MenuKeys $menu, PromisedWord $promised, string $language): ?Fix
    {
        if (null === $promised->key || !$menu->has($promised->key)) {
            return null;
        }
        foreach ($menu->step->manner->words as $i => $words) {
            if ($words->on === $promised->key && $words->language === $language) {
                return Fix::add($journey, \sprintf('%s/words/%d/say/-', $menu->place, $i), $promised->word);
            }
        }

        return Fix::add(
            $journey,
            $menu->place . '/words/-',
            (new MenuWord($promised->key, $language, [$promised->word]))->toJson(),
        );
    }
}
