<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Json;

/** Changes that are made at places within an element's JSON. */
final class Within
{
    /** @return list<string> the keys that lead there */
    public static function keys(string $pointer): array
    {
        return explode('/', substr($pointer, 1));
    }

    /**
     * @param list<string>           $keys   that lead there; where nothing is, nothing changes
     * @param \Closure(mixed): mixed $change
     */
    public static function change(mixed &$json, array $keys, \Closure $change): void
    {
        if ([] === $keys) {
            $json = $change($json);
        } elseif (\is_array($json) && \array_key_exists($keys[0], $json)) {
            self::change($json[$keys[0]], \array_slice($keys, 1), $change);
        }
    }

    /**
     * Takes items out of their lists.
     *
     * @param list<list<string>> $items keys that lead to them, in the order in which they stand
     */
    public static function drop(mixed &$json, array $items): void
    {
        // The last of a list first: those before it stay where they are.
        foreach (array_reverse($items) as $keys) {
            $at = (int) array_pop($keys);
            self::change(
                $json,
                $keys,
                static fn(mixed $list): mixed => \is_array($list)
                    ? array_values(array_diff_key($list, [$at => 0]))
                    : $list,
            );
        }
    }

    /**
     * @param list<string> $keys
     *
     * @return list<string> those that lead to the innermost item of a list in which this is; with no list around it, none
     */
    public static function item(array $keys): array
    {
        $place = array_key_last(array_filter($keys, ctype_digit(...)));

        return null === $place ? [] : \array_slice($keys, 0, $place + 1);
    }
}
