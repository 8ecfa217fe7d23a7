<?php

declare(strict_types=1);

namespace Meandros\Core\Check;

use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\Element\Journey;
use Meandros\Core\Reading\Limits;
use Meandros\Core\Script\MenuKeys;

/**
 * A key that a menu's script promises and that leads nowhere.
 *
 * @implements Check<Journey>
 */
final class KeyPromisedMissing implements Check
{
    public function looksAt(): array
    {
        return [Journey::class];
    }

    public function of(Element $element, Survey $survey): iterable
    {
        foreach (MenuKeys::of($element, $survey->plan) as $menu) {
            $told = [];
            foreach ($menu->promised as $language => $promised) {
                foreach ($promised as $one) {
                    if (!$menu->has($one->key) && !isset($told[$one->key])) {
                        $told[$one->key] = true;
                        $exit = [
                            'on' => $one->key,
                            'label' => mb_substr($one->destination, 0, Limits::LABEL),
                            'steps' => [],
                        ];
                        yield Finding::warning(
                            $element,
                            $menu->place . '/exits',
                            'key-promised-missing',
                            [
                                'key' => $one->key,
                                'destination' => $one->destination,
                                'prompt' => $menu->prompt->name(),
                                'language' => $language,
                            ],
                            Fix::add($element, $menu->place . '/exits/-', $exit),
                        );
                    }
                }
            }
        }
    }
}
