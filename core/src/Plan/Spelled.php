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

    /** @return array<string, list<string>> keys by what they spell: the first name, the last name, the extension */
    public static function of(Person $person): array
    {
        $words = preg_split('/\s+/', trim($person->name())) ?: [];
        $last = \array_slice($words, 1);

        return [self::FIRST => self::from([$words[0]]), self::LAST => self::from([] === $last ? $words : $last), self::EXTENSION => '' === $person->extension ? [] : [$person->extension]];
    }

    /** @return list<string> what an element is found by */
    public static function by(Element $element): array
    {
        $mentioned = [];
        foreach ($element instanceof Person && $element->listing->on ? self::of($element) : [] as $what => $spellings) {
            foreach ($spellings as $keys) {
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

    /**
     * @param list<string> $words of a name
     *
     * @return list<string> the whole, then from each later part on
     */
    private static function from(array $words): array
    {
        $parts = array_values(array_filter(array_map(Keypad::spell(...), preg_split('/[\s-]+/', implode(' ', $words)) ?: [])));
        $spellings = [];
        foreach (array_keys($parts) as $i) {
            $spellings[] = implode('', \array_slice($parts, $i));
        }

        return $spellings;
    }
}
