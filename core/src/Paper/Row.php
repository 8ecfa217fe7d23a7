<?php

declare(strict_types=1);

namespace Meandros\Core\Paper;

/** A line of an outline: a step, or an exit with what follows it further in. */
final readonly class Row
{
    /**
     * @param int    $depth  of exits that it is within
     * @param bool   $isExit whether it names a way out, and is no step
     * @param string $words  that callers hear there; empty where they hear none
     */
    public function __construct(
        public int $depth,
        public bool $isExit,
        public string $text,
        public string $words = '',
    ) {}
}
