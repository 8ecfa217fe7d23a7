<?php

declare(strict_types=1);

namespace Meandros\Core\Filling;

/** What might fill blanks, to hear a prompt while nobody calls: a Monday, before tomorrow at eight. */
final class SampleFacts implements Facts
{
    private const MONDAY = 4;
    private const EIGHT = 480;

    public function today(): int
    {
        return self::MONDAY;
    }

    public function nextOpening(): array
    {
        return [self::MONDAY + 1, self::EIGHT];
    }

    public function position(): int
    {
        return 3;
    }

    public function expectedWait(): int
    {
        return 300;
    }

    public function name(): string
    {
        return 'Robin Lane';
    }
}
