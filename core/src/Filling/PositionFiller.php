<?php

declare(strict_types=1);

namespace Meandros\Core\Filling;

final class PositionFiller implements Filler
{
    public function words(Facts $facts, Spoken $spoken): string
    {
        $position = $facts->position();

        return null === $position ? '' : $spoken->number($position);
    }
}
