<?php

declare(strict_types=1);

namespace Meandros\Server;

use Symfony\Component\DependencyInjection\Attribute\Autowire;

/** How long is looked on while somebody waits. MEANDROS_PATIENCE, a factor, makes it longer on a slow machine. */
final readonly class Patience
{
    public function __construct(#[Autowire('%env(float:MEANDROS_PATIENCE)%')] private float $times) {}

    /** @return \Closure(): bool whether somebody who has waited since now goes on waiting */
    public function for(float $seconds): \Closure
    {
        $end = microtime(true) + $seconds * $this->times;

        return static fn(): bool => microtime(true) < $end;
    }
}
