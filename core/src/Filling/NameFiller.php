<?php

declare(strict_types=1);

namespace Meandros\Core\Filling;

final class NameFiller implements Filler
{
    public function words(Facts $facts, Spoken $spoken): string
    {
        return $facts->name();
    }
}
