<?php

declare(strict_types=1);

namespace Meandros\Core\Filling;

final class DateFiller implements Filler
{
    public function words(Facts $facts, Spoken $spoken): string
    {
        return $spoken->date($facts->today());
    }
}
