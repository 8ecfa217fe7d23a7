<?php

declare(strict_types=1);

namespace Meandros\Server\Storage;

use Meandros\Core\Plan\Kind;

/** Ids that no element has yet. */
final class NewId
{
    public static function of(Kind $kind): string
    {
        return $kind->prefix() . '_' . bin2hex(random_bytes(6));
    }
}
