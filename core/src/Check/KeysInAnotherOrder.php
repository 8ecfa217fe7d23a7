<?php

declare(strict_types=1);

namespace Meandros\Core\Check;

use Meandros\Core\Plan\Element;
use Meandros\Core\Plan\Element\Journey;
use Meandros\Core\Plan\Step\Exits;
use Meandros\Core\Plan\Step\StepExit;
use Meandros\Core\Script\MenuKeys;
use Meandros\Core\Script\Promised;
use Meandros\Core\Value\Lists;

/**
 * A menu's script that names its keys in another order than they are listed.
 *
 * @implements Check<Journey>
 */
final class KeysInAnotherOrder implements Check
{
    public function looksAt(): array
    {
        return [Journey::class];
    }

    public function of(Element $element, Survey $survey): iterable
    {
        foreach (MenuKeys::of($element, $survey->plan) as $menu) {
            foreach ($menu->promised as $language => $promised) {
                $said = array_values(
                    array_filter(array_map(static fn(Promised $one): string => $one->key, $promised), $menu->has(...)),
                );
                $listed = array_values(
                    array_filter(
                        array_map(static fn(StepExit $exit): string => $exit->on, $menu->keys),
                        static fn(string $key): bool => Lists::has($said, $key),
                    ),
                );
                if ($said !== $listed) {
                    $fix = Fix::replace(
                        $element,
                        $menu->place . '/exits',
                        (new Exits(self::inOrder($menu->step->exits()->items, $said)))->toJson(),
                    );
                    yield Finding::warning(
                        $element,
                        $menu->place . '/exits',
                        'keys-in-another-order',
                        [
                            'said' => implode(' ', $said),
                            'listed' => implode(' ', $listed),
                            'prompt' => $menu->prompt->name(),
                            'language' => $language,
                        ],
                        $fix,
                    );
                    break;
                }
            }
        }
    }

    /**
     * @param list<StepExit> $exits
     * @param list<string>   $order
     *
     * @return list<StepExit> those that are named in that order, in the places of those that are; the others stay where they are
     */
    private static function inOrder(array $exits, array $order): array
    {
        $named = [];
        foreach ($exits as $exit) {
            $place = array_search($exit->on, $order, true);
            false === $place || ($named[$place] = $exit);
        }
        ksort($named);
        $sorted = [];
        foreach ($exits as $exit) {
            $sorted[] = Lists::has($order, $exit->on) ? array_shift($named) ?? $exit : $exit;
        }

        return $sorted;
    }
}
