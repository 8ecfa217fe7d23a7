<?php

declare(strict_types=1);

namespace Meandros\Core\Proof;

use Meandros\Core\Plan\Element\Number;

/** What another plan changes for the calls to one number. */
final readonly class Changed
{
    /** @param non-empty-list<Change> $changes the worst first */
    public function __construct(public Number $number, public array $changes) {}
}
