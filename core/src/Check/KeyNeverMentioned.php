<?php

declare(strict_types=1);

namespace Meandros\Core\Check;

use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\Element\Journey;
use Meandros\Core\Script\MenuKeys;
use Meandros\Core\Script\Promised;
use Meandros\Core\Value\Lists;

/**
 * A key of a menu of which its script says nothing, though it names others.
 *
 * @implements Check<Journey>
 */
final class KeyNeverMentioned implements Check
{
    public function looksAt(): array
    {
        return [Journey::class];
    }

    public function of(Element $element, Survey $survey): iterable
    {
        foreach (MenuKeys::of($element, $survey->plan) as $menu) {
            foreach ($menu->step->exits()->items as $i => $exit) {
                $silent = Lists::has($menu->keys, $exit)
                    ? array_keys(
                        array_filter(
                            $menu->promised,
                            static fn(array $promised): bool => [] ===
                                array_filter($promised, static fn(Promised $one): bool => $one->key === $exit->on),
                        ),
                    )
                    : [];
                if ([] !== $silent) {
                    $scripts = [];
                    foreach ($silent as $language) {
                        $scripts['/scripts/' . $language] = $menu->withKey($language, $exit);
                    }
                    yield Finding::warning(
                        $element,
                        \sprintf('%s/exits/%d', $menu->place, $i),
                        'key-never-mentioned',
                        ['key' => $exit->on, 'prompt' => $menu->prompt->name(), 'languages' => implode(', ', $silent)],
                        '' === $menu->label($exit) ? null : Fix::replaceEach($menu->prompt, $scripts),
                    );
                }
            }
        }
    }
}
