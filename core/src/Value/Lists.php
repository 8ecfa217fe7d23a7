<?php

declare(strict_types=1);

namespace Meandros\Core\Value;

/** Lists of values. */
final class Lists
{
    /**
     * Whether one of the values is this one, and of its type.
     *
     * @param array<mixed> $list
     */
    public static function has(array $list, mixed $one): bool
    {
        return \in_array($one, $list, true);
    }
}
