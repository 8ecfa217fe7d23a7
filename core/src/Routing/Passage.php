<?php

declare(strict_types=1);

namespace Meandros\Core\Routing;

use Meandros\Core\Ringing\Rung;

/** What a call went through: what happened, the steps it came to, and the phones that were dialled. */
final readonly class Passage
{
    /**
     * @param list<Event> $events in order of their seconds
     * @param list<Visit> $visits
     * @param list<Rung>  $rung
     */
    public function __construct(public array $events, public array $visits, public array $rung) {}
}
