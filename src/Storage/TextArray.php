<?php

declare(strict_types=1);

namespace Meandros\Server\Storage;

/** Lists of texts as one parameter of a statement: PostgreSQL's array literal, which it reads faster than JSON. */
final class TextArray
{
    /** @param array<string|null> $texts */
    public static function of(array $texts): string
    {
        return '{' .
            implode(
                ',',
                array_map(
                    static fn(?string $text): string => null === $text ? 'NULL' : '"' . addcslashes($text, '"\\') . '"',
                    $texts,
                ),
            ) .
            '}';
    }
}
