<?php

declare(strict_types=1);

namespace Meandros\Core\Filling;

final class OpeningFiller implements Filler
{
    public function words(Facts $facts, Spoken $spoken): string
    {
        $opening = $facts->nextOpening();

        return null === $opening ? '' : $spoken->moment($facts->today(), ...$opening);
    }
}
