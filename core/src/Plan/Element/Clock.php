<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Element;

/** By which clock hours run: that of a site, or one of another zone. */
final readonly class Clock
{
    /** @param string|null $zone IANA; null for the zone of the site */
    public function __construct(public string $site, public ?string $zone = null) {}
}
