<?php

declare(strict_types=1);

namespace Meandros\Core\Filling;

/**
 * What fills one kind of blank.
 *
 * @phpstan-sealed OpeningFiller|DateFiller|PositionFiller|WaitFiller|NameFiller
 */
interface Filler
{
    /** @return string words as a person would say them; empty where nothing is known */
    public function words(Facts $facts, Spoken $spoken): string;
}
