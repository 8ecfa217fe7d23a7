<?php

declare(strict_types=1);

namespace Meandros\Core\Plan\Step;

use Meandros\Core\Plan\Spelled;

/** Which part of a name callers spell. */
enum NamePart: string
{
    case Last = 'last';
    case First = 'first';
    case Either = 'either';

    /** @return non-empty-list<Spelled::FIRST|Spelled::LAST|Spelled::EXTENSION> */
    public function parts(): array
    {
        return match ($this) {
            self::Last => [Spelled::LAST],
            self::First => [Spelled::FIRST],
            self::Either => [Spelled::LAST, Spelled::FIRST],
        };
    }
}
