<?php

declare(strict_types=1);

namespace Meandros\Core\Proof;

use Meandros\Core\Call\Assumptions;
use Meandros\Core\Routing\Ending;

/** A way in which calls can end, how soon and how late, and what it takes. */
final readonly class PossibleEnding
{
    /**
     * @param int         $least   seconds
     * @param Assumptions $leastBy under which a call ends so after the least seconds
     * @param int|null    $most    null where calls may go round as often as they like before
     * @param Assumptions $mostBy  under which a call ends so after the most seconds, or late, where there is no most
     */
    public function __construct(
        public Ending $ending,
        public int $least,
        public Assumptions $leastBy,
        public ?int $most,
        public Assumptions $mostBy,
    ) {}
}
