<?php

declare(strict_types=1);

namespace Meandros\Core\Routing\Waiting;

/** The seconds of a wait. */
final readonly class WaitTimes
{
    /**
     * @param int      $start at which it began
     * @param int      $began from which on announcements are counted: the introduction is over
     * @param int      $ends  at which it is over
     * @param int|null $offer at which the offer to call back is heard; null where there is none
     */
    public function __construct(public int $start, public int $began, public int $ends, public ?int $offer) {}
}
