<?php

declare(strict_types=1);

namespace Meandros\Core\Tests;

/** How many random cases a comparison draws, and from which seed: few in bin/test, many in bin/soak. */
final class Soak
{
    public static function count(int $usual): int
    {
        $factor = getenv('MEANDROS_SOAK');

        return $usual * (is_numeric($factor) ? max(1, (int) $factor) : 1);
    }

    public static function seed(): int
    {
        $seed = getenv('MEANDROS_SEED');

        return is_numeric($seed) ? (int) $seed : 20261126;
    }
}
