<?php

declare(strict_types=1);

namespace Meandros\Core\Check;

use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\Element\Journey;
use Meandros\Core\Plan\Step\StepExit;
use Meandros\Core\Script\MenuKeys;
use Meandros\Core\Script\Promised;

/**
 * A key that leads elsewhere than the menu's script says: perhaps, for words are compared.
 *
 * @implements Check<Journey>
 */
final class KeyLeadsElsewhere implements Check
{
    public function looksAt(): array
    {
        return [Journey::class];
    }

    public function of(Element $element, Survey $survey): iterable
    {
        foreach (MenuKeys::of($element, $survey->plan) as $menu) {
            foreach ($menu->promised as $language => $promised) {
                foreach ($promised as $one) {
                    $other = self::fitsAnother($menu, $one);
                    if (null !== $other) {
                        $script = $menu->written($language);
                        yield Finding::warning(
                            $element,
                            $menu->place . '/exits',
                            'key-leads-elsewhere',
                            [
                                'key' => $one->key,
                                'destination' => $one->destination,
                                'other' => $other->on,
                                'label' => $menu->label($other),
                                'prompt' => $menu->prompt->name(),
                            ],
                            null === $script ? null : Fix::replace($menu->prompt, '/scripts/' . $language, $script),
                        );
                        break 2;
                    }
                }
            }
        }
    }

    /** A key whose label shares a word with what the script says of this one, which itself shares none. */
    private static function fitsAnother(MenuKeys $menu, Promised $promised): ?StepExit
    {
        $fits = null;
        foreach ($menu->keys as $exit) {
            $shared = array_intersect_key(
                self::words($promised->destination),
                self::words(implode(' ', [$exit->label, ...$menu->names($exit)])),
            );
            if ([] !== $shared && $exit->on === $promised->key) {
                return null;
            }
            $fits ??= [] === $shared ? null : $exit;
        }

        return $menu->has($promised->key) ? $fits : null;
    }

    /** @return array<string, true> the beginnings of longer words, so that "booking" is "bookings" */
    private static function words(string $text): array
    {
        preg_match_all('/\p{L}{4,}/u', mb_strtolower($text), $words);

        return array_fill_keys(array_map(static fn(string $word): string => mb_substr($word, 0, 5), $words[0]), true);
    }
}
