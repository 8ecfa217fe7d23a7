<?php

declare(strict_types=1);

namespace Meandros\Core\Proof;

use Meandros\Core\Routing\EndingKind;

/** Who or what takes calls that take a course: what is said of it in a few words, and small enough to be kept. */
final readonly class TakenBy
{
    /** @param list<string> $takes as those of the course */
    public function __construct(public Reach $reach, public array $takes, public EndingKind $ending) {}
}
