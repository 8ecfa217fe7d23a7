<?php

declare(strict_types=1);

namespace Meandros\Core\Script;

/** What a menu's script promises for a key. */
final readonly class Promised
{
    /** @param string $destination in the words of the script; empty where it says none */
    public function __construct(public string $key, public string $destination) {}
}
