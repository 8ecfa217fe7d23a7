<?php

declare(strict_types=1);

namespace Meandros\Core\Routing;

/**
 * What one question about calls may set in motion: a step is one, a phone that is to ring is eight. About a hundred thousand
 * take a second.
 */
final class Work
{
    public const OF_A_STEP = 1;
    public const OF_A_PHONE = 8;
    private const OF_A_QUESTION = 100_000;

    public function __construct(private int $left = self::OF_A_QUESTION) {}

    /** @throws TooMuchWork when there is not so much left: what is only prepared is given up before it is large */
    public function demand(int $units): void
    {
        if ($this->left < $units) {
            throw new TooMuchWork(null);
        }
    }

    /** @throws TooMuchWork when there is no more */
    public function spend(int $units): void
    {
        $this->left -= $units;
        if ($this->left < 0) {
            throw new TooMuchWork(null);
        }
    }
}
