<?php

declare(strict_types=1);

namespace Meandros\Core\Routing\Lookup;

use Meandros\Core\Plan\Element\Hours;
use Meandros\Core\Routing\Waits;

/** What is known of a call whenever it comes in, and goes into blanks. */
final readonly class CallFacts
{
    /**
     * @param Hours|null $hours of which the next opening is told
     * @param string     $zone  in which days are told
     * @param string     $name  of whoever is called
     * @param Waits|null $wait  null where the caller does not wait in a queue
     */
    public function __construct(public ?Hours $hours, public string $zone, public string $name, public ?Waits $wait) {}
}
