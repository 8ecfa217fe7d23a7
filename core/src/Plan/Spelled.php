<?php

declare(strict_types=1);

namespace Meandros\Core\Plan;

use Meandros\Core\Call\Keypad;
use Meandros\Core\Plan\Element\Person;

/**
 * How people are found on the keys of a telephone: the first word of a name is the first name, the others are the last name;
 * a double name may be spelled from each of its parts on. What elements mention holds the first two keys of all of it, so that
 * somebody is found without looking through the plan.
 */
final class Spelled
{
    public const FIRST = 'first';
    public const LAST = 'last';
    public const EXTENSION = 'extension';
    /** With fewer keys nobody is looked for. */
    public const FEWEST = 2;

    /**
     * @param self::FIRST|self::LAST|self::EXTENSION $what
     *
     * @return list<string> keys that spell it: the whole, then from each later part on
     */
    public static function keys(Person $person, string $what): array
    {
        if (self::EXTENSION === $what) {
            return '' === $person->known->extension ? [] : [$person->known->extension];
        }
        $words = preg_split('/\s+/', trim($person->name()), 2) ?: [''];

        return self::from(self::FIRST === $what ? $words[0] : $words[1] ?? $words[0]);
    }

    /** @return list<string> what an element is found by */
    public static function by(Element $element): array
    {
        $mentioned = [];
        if (!($element instanceof Person) || !$element->known->listing->on) {
            return [];
        }
        foreach ([self::FIRST, self::LAST, self::EXTENSION] as $what) {
            foreach (self::keys($element, $what) as $keys) {
                $mentioned[] = self::mention($what, $keys);
            }
        }

        return array_values(array_unique($mentioned));
    }

    /** What those mention whose first name, last name or extension begins so. */
    public static function mention(string $what, string $keys): string
    {
        return \sprintf('spelled %s %s', $what, substr($keys, 0, self::FEWEST));
    }

    /** @return list<string> */
    private static function from(string $name): array
    {
        $parts = array_values(array_filter(array_map(Keypad::spell(...), preg_split('/[\s-]+/', $name) ?: [])));
        $spellings = [];
        foreach (array_keys($parts) as $i) {
            $spellings[] = implode('', \array_slice($parts, $i));
        }

        return $spellings;
    }
}
