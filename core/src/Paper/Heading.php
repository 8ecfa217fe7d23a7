<?php

declare(strict_types=1);

namespace Meandros\Core\Paper;

final readonly class Heading
{
    /** @param int $level 2 for a chapter, 3 for a part of one */
    public function __construct(public string $text, public int $level = 2) {}
}
