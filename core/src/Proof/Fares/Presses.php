<?php

declare(strict_types=1);

namespace Meandros\Core\Proof\Fares;

use Meandros\Core\Plan\Step\MenuStep;
use Meandros\Core\Proof\Course;
use Meandros\Core\Routing\Event;
use Meandros\Core\Routing\Happening\Asked;

/** What callers may press at the next menu that hears nothing from them. */
final class Presses
{
    /**
     * @param list<string> $keys that were pressed on the course
     *
     * @return list<list<string>> the keys with what may be pressed then; nothing at a menu to which calls come back
     */
    public static function after(Course $course, array $keys): array
    {
        $menus = [];
        $pressed = 0;
        foreach ($course->trace->passage->events as $event) {
            if (!($event->happening instanceof Asked)) {
                continue;
            }
            $menu = $event->journey . ' ' . $event->step;
            if (!$event->happening->pressed->isNothing()) {
                if (self::isBackAt($course, $event)) {
                    return [];
                }
                ++$pressed;
                $menus[$menu] = true;
            } elseif ($pressed < \count($keys) || isset($menus[$menu])) {
                return [];
            } else {
                return array_map(
                    static fn(array $more): array => [...$keys, ...$more],
                    self::at($event->happening->menu),
                );
            }
        }

        return [];
    }

    /** Whether the call was at the menu before, and came back. */
    private static function isBackAt(Course $course, Event $event): bool
    {
        $visits = 0;
        foreach ($course->trace->passage->visits as $visit) {
            $isThere = $visit->journey === $event->journey && $visit->step === $event->step;
            $visits += $isThere && $visit->from <= $event->second ? 1 : 0;
        }

        return $visits > 1;
    }

    /** @param list<string> $keys whether all of them were asked for */
    public static function areTaken(Course $course, array $keys): bool
    {
        $pressed = 0;
        foreach ($course->trace->passage->events as $event) {
            $pressed += $event->happening instanceof Asked && !$event->happening->pressed->isNothing() ? 1 : 0;
        }

        return $pressed >= \count($keys);
    }

    /** @return list<list<string>> */
    private static function at(MenuStep $menu): array
    {
        $keys = $menu->exits()->keys();
        $wrong = $menu->exits()->wrongKey();
        $presses = array_map(static fn(string $key): array => [$key], $keys);
        if (null !== $wrong && null !== $menu->exits()->find(MenuStep::WRONG)) {
            $presses[] = array_fill(0, $menu->asks->tries, $wrong);
        }

        return $presses;
    }
}
