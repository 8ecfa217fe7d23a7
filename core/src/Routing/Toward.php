<?php

declare(strict_types=1);

namespace Meandros\Core\Routing;

/** Another journey to which a call goes. */
final readonly class Toward
{
    /** @param bool $comesBack whether the call goes on after the step when that journey runs out */
    public function __construct(public string $journey, public bool $comesBack) {}
}
