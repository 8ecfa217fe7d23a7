<?php

declare(strict_types=1);

namespace Meandros\Core\Plan;

/** What lists and pickers show of an element: all of it but what makes it long. */
final class Outline
{
    /**
     * @return array<string, mixed> the element's JSON without the fields that its kind leaves out, and under `sizes`,
     *                              where there are such, how many entries, or lines of a text, each has
     */
    public static function of(Element $element): array
    {
        $json = $element->toJson();
        $sizes = [];
        foreach ($element->kind()->leftOut() as $field) {
            $value = $json[$field] ?? [];
            $sizes[$field] = \is_string($value) ? self::lines($value) : \count((array) $value);
            unset($json[$field]);
        }

        return [] === $sizes ? $json : $json + ['sizes' => $sizes];
    }

    private static function lines(string $text): int
    {
        return '' === $text ? 0 : substr_count($text, "\n") + 1;
    }
}
