<?php

declare(strict_types=1);

namespace Meandros\Core\Plan;

/** A text, and how it is to be worded from now on. */
final readonly class Reworded
{
    public function __construct(public Worded $worded, public string $after) {}
}
