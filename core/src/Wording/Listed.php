<?php

declare(strict_types=1);

namespace Meandros\Core\Wording;

/** "one, two and three". */
final class Listed
{
    /** @param list<string> $words */
    public static function words(array $words, string $last): string
    {
        return \count($words) < 2
            ? implode('', $words)
            : implode(', ', \array_slice($words, 0, -1)) . " $last " . $words[\count($words) - 1];
    }
}
