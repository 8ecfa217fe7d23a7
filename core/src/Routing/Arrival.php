<?php

declare(strict_types=1);

namespace Meandros\Core\Routing;

use Meandros\Core\Call\Caller;

/** How a call came in, the last time that it did: by what was dialled, and from whom as far as that line tells. */
final readonly class Arrival
{
    /**
     * @param string      $element the number, person or hours that were dialled, by id
     * @param string|null $site    of the number; null where it has none
     */
    public function __construct(public string $element, public string $label, public string $language, public ?string $site, public Caller $caller)
    {
    }
}
